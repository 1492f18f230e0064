<?php

declare(strict_types=1);

namespace Chartula\Core\Output;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Wall;
use Chartula\Core\Building\Whereabouts;
use Chartula\Core\Derivation;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\OpeningNames;
use Chartula\Core\Problem\Check;

/**
 * What is to be thought about, a line a finding: how many it concerns, each by the name that a person gave, and where that is looked at.
 * What somebody has left so stays with the building and counts no more.
 *
 * @phpstan-type Place array{at: string, where: string, go: array{stage: string, block: ?string, wall: ?string, opening: ?string}}
 * @phpstan-type Thought array{code: string, level: string, count: int, words: string, alike: bool, left: bool, places: list<Place>}
 */
final readonly class Thoughts
{
    /** Where what has no place on the building is put right, by the first word of its code. */
    private const STAGES = [
        'compress' => 'plot', 'relief' => 'plot', 'perspective' => 'plot', 'plot' => 'plot', 'place' => 'plot', 'mockup' => 'sheets',
    ];

    private const WORDS = [
        'compress' => 'what is given up', 'relief' => 'low relief', 'plot' => 'the plot', 'place' => 'the plot', 'mockup' => 'the mock-up',
    ];

    /** @param  array<string, string>  $openings  “third sash”, by block, wall and id on the wall as it is modelled */
    private function __construct(private Building $building, private array $openings, private PartWords $parts)
    {
    }

    /** @return list<Thought> worst first, what is left so at the end */
    public static function of(Derivation $derived): array
    {
        $self = new self($derived->described, self::openings($derived->kit->form), PartWords::of($derived->kit));
        $groups = [];
        foreach ($derived->checks as $check) {
            $groups[$check->level.' '.$check->code][] = $check;
        }
        $lines = array_map($self->line(...), array_values($groups));
        usort($lines, static fn (array $a, array $b): int => $a['left'] <=> $b['left']);

        return $lines;
    }

    /** Whether somebody has left a remark as it is. */
    public static function isLeft(Building $building, Check $check): bool
    {
        return $check->level !== Check::STOP && in_array($check->at, $building->leave[$check->code] ?? [], true);
    }

    /**
     * @param  non-empty-list<Check>  $checks  alike
     * @return Thought
     */
    private function line(array $checks): array
    {
        $first = $checks[0];
        $left = array_filter($checks, fn (Check $c): bool => self::isLeft($this->building, $c));
        // The worst of them speaks for all.
        usort($checks, static fn (Check $a, Check $b): int => abs($b->mm ?? 0.0) <=> abs($a->mm ?? 0.0));
        $isOne = count(array_unique(array_map(static fn (Check $c): string => $c->text, $checks))) === 1;

        return [
            'code' => $first->code, 'level' => $first->level, 'count' => count($checks),
            'words' => $this->parts->in($checks[0]->text), 'alike' => $isOne, 'left' => count($left) === count($checks),
            'places' => array_map($this->place(...), $checks),
        ];
    }

    /** @return Place */
    private function place(Check $check): array
    {
        $keys = explode('.', $check->at);
        $block = array_values(array_filter($this->building->blocks, static fn (Block $b): bool => $b->id === $keys[0]))[0] ?? null;
        $go = ['stage' => self::STAGES[explode('.', $check->code)[0]] ?? 'shell', 'block' => null, 'wall' => null, 'opening' => null];
        $stock = $this->building->methods->shelf[$check->at] ?? null;
        if ($block === null) {
            $where = $stock?->words() ?? $this->parts->name($check->at) ?? self::WORDS[explode('.', $check->code)[0]] ?? 'the building';

            return ['at' => $check->at, 'where' => $where, 'go' => $stock === null ? $go : ['wall' => 'plan'] + $go];
        }
        $words = count($this->building->blocks) > 1 ? [$block->name] : [];
        $go['block'] = $block->id;
        $edge = $keys[1] ?? '';
        $wall = array_values(array_filter($block->walls, static fn (Wall $w): bool => $w->name === $edge))[0] ?? null;
        if ($wall !== null) {
            $go['wall'] = "$block->id.$edge";
            $words[] = $edge;
            $opening = $this->openings["$block->id.$edge.".($keys[2] ?? '')] ?? null;
            $thing = $opening === null ? self::thing($block, $keys[2] ?? '') : [];
            $go['opening'] = match (true) {
                $opening !== null => $keys[2],
                $thing !== [] => Whereabouts::THING.$keys[2],
                default => null,
            };
            array_push($words, ...$opening === null ? $thing : [$opening]);
        } elseif (self::thing($block, $edge) !== []) {
            array_push($words, ...self::thing($block, $edge));
        } elseif (str_ends_with($edge, '-slope')) {
            $go['stage'] = 'roof';
            $words[] = str_replace('-', ' ', $edge);
        } elseif ($this->parts->name($check->at) !== null) {
            $words[] = $this->parts->name($check->at);
        }
        $text = implode(', ', $words === [] ? [$block->name] : $words);

        return ['at' => $check->at, 'where' => mb_strtoupper(mb_substr($text, 0, 1)).mb_substr($text, 1), 'go' => $go];
    }

    /** @return list<string> what a thing of a block is called; none where there is none of that id */
    private static function thing(Block $block, string $id): array
    {
        $own = array_values(array_filter($block->features, static fn (Feature $f): bool => $f->id === $id));

        return array_map($block->called(...), $own);
    }

    /** @return array<string, string> */
    private static function openings(Form $form): array
    {
        $called = [];
        foreach ($form->walls() as $wall) {
            $names = OpeningNames::of($wall->openings);
            foreach ($wall->openings as $i => $opening) {
                $called[$form->blocks[$wall->block]->block->id.".{$wall->wall->name}.$opening->id"] = $names[$i];
            }
        }

        return $called;
    }
}
