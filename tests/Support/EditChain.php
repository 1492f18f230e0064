<?php

declare(strict_types=1);

namespace Tests\Support;

use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\Edit\Ruler;
use Chartula\Core\Problem\InvalidInput;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;

/** A person's hour at a house: edit after edit, by seed, each of a document that was sound or had faults before it. */
final readonly class EditChain
{
    private Randomizer $random;

    public function __construct(private int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed * 7 + 3));
    }

    /** @return iterable<int, stdClass> the documents, the first as it is begun */
    public function documents(int $edits): iterable
    {
        yield $document = (new HouseGenerator($this->seed))->document();
        for ($done = 0, $tried = 0; $done < $edits && $tried < 4 * $edits; $tried++) {
            try {
                $document = Edits::apply($document, [(object) $this->edit($document)])->document;
            } catch (InvalidInput) {
                continue;
            }
            $done++;
            yield $document;
        }
    }

    /** @return array<string, mixed> */
    private function edit(stdClass $document): array
    {
        $blocks = Ruler::listed($document->blocks ?? null);
        $b = $this->random->getInt(0, count($blocks) - 1);
        $block = is_string($blocks[$b]->id ?? null) ? $blocks[$b]->id : 'block-'.($b + 1);
        $edges = Ruler::edges($blocks[$b]);
        $edge = $edges[$this->random->getInt(0, count($edges) - 1)];
        $openings = $this->openings($blocks[$b]);
        $set = static fn (string $path, mixed $value): array => ['op' => 'set', 'path' => $path, 'value' => $value];
        $some = fn (float $least, float $step, int $most): string => ($least + $step * $this->random->getInt(0, $most)).'mm';
        [$wall, $opening] = $openings[$this->random->getInt(0, max(0, count($openings) - 1))] ?? [$edge, 'w1'];
        $edits = [
            ['op' => 'move-opening', 'wall' => "$block.$wall", 'id' => $opening, 'bricks' => $this->random->getInt(-6, 6) / 4],
            ['op' => 'move-opening', 'wall' => "$block.$wall", 'id' => $opening, 'courses' => $this->random->getInt(-3, 3)],
            ['op' => 'copy-opening', 'wall' => "$block.$wall", 'id' => $opening],
            ['op' => 'remove-opening', 'wall' => "$block.$wall", 'id' => $opening],
            ['op' => 'add-opening', 'wall' => "$block.$edge"],
            ['op' => 'move-block', 'block' => $block, 'x' => $this->random->getInt(-3, 3), 'y' => $this->random->getInt(-3, 3)],
            ['op' => 'roof-edge', 'block' => $block, 'edge' => $edge, 'kind' => $this->random->getInt(0, 1) === 0 ? 'hip' : null],
            $set("blocks.$b.eaves", $some(2100.0, 6.35, 300)),
            $set("blocks.$b.roof.pitch", 25 + $this->random->getInt(0, 60) / 2),
            $set("blocks.$b.name", 'Annexe '.$this->random->getInt(1, 9)),
            $set('scale', '1:'.[64, 76.2, 87.1, 120, 148][$this->random->getInt(0, 4)]),
            $set('methods.template.stays', $this->random->getInt(0, 1) === 0),
            $set('methods.corner', $this->random->getInt(0, 1) === 0 ? 'butt' : 'mitre'),
            $set('methods.panels', $this->random->getInt(0, 1) === 0 ? 'square' : 'bevelled'),
            $set('name', 'House '.$this->random->getInt(1, 99)),
            ...$this->ofThings(
                $blocks[$b],
                [$block, $b, $edge],
                array_values(array_filter($openings, static fn (array $o): bool => $o[0] === $wall)),
            ),
        ];

        return $edits[$this->random->getInt(0, count($edits) - 1)];
    }

    /**
     * What is done to things on its walls.
     *
     * @param  array{string, int, string}  $of  the block's id and number, and one of its edges
     * @param  list<array{string, string}>  $openings  of one wall
     * @return list<array<string, mixed>>
     */
    private function ofThings(stdClass $block, array $of, array $openings): array
    {
        [$id, $b, $edge] = $of;
        $things = count(Ruler::listed($block->features ?? null));
        $n = $this->random->getInt(0, max(0, $things - 1));
        $thing = Ruler::listed($block->features ?? null)[$n]->id ?? 'band-1';
        $as = ['printed', 'raised', 'both'][$this->random->getInt(0, 2)];

        return [
            ['op' => 'add-thing', 'block' => $id, 'kind' => 'band', 'on' => (object) ['edge' => $edge]],
            count($openings) < 2
                ? ['op' => 'add-thing', 'block' => $id, 'kind' => 'band', 'on' => (object) ['edge' => $edge, 'up' => '1015mm']]
                : ['op' => 'add-thing', 'block' => $id, 'kind' => 'lintel', 'on' => (object) [
                    'edge' => $openings[0][0], 'openings' => array_column(array_slice($openings, 0, 2), 1),
                ]],
            ['op' => 'move-thing', 'block' => $id, 'id' => $thing, 'courses' => $this->random->getInt(-4, 4)],
            $things === 0
                ? ['op' => 'remove-thing', 'block' => $id, 'id' => $thing]
                : ['op' => 'set', 'path' => "blocks.$b.features.$n.as", 'value' => $as],
            ['op' => 'remove-thing', 'block' => $id, 'id' => $thing],
        ];
    }

    /** @return list<array{string, string}> edges and ids of the openings in a block's walls */
    private function openings(stdClass $block): array
    {
        $openings = [];
        foreach (Ruler::listed($block->walls ?? null) as $wall) {
            foreach (Ruler::listed($wall->openings ?? null) as $opening) {
                if (is_string($wall->edge ?? null) && is_string($opening->id ?? null)) {
                    $openings[] = [$wall->edge, $opening->id];
                }
            }
        }

        return $openings;
    }
}
