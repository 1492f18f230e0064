<?php

declare(strict_types=1);

namespace Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;

/**
 * Houses as people measure them, by seed: 5 mm or quarter-inch steps, nothing symmetric, one block of 3 to 24 corners under
 * every kind of roof, or two to five blocks; every corner method, stack, panel and scale that is made.
 */
final class HouseGenerator
{
    public const CLASSES = ['rect', 'arms', 'convex', 'many', 'wing', 'overlap', 'dormer', 'lean-to', 'terrace', 'cluster', 'relief'];

    private const SCALES = ['1:43.5', '1:48', '1:64', '1:76.2', '1:76.2', '1:87.1', '1:100', '1:120', '1:148', '1:160'];

    private readonly Randomizer $random;

    public readonly string $class;

    /** One step of the tape, mm. */
    private readonly float $step;

    public function __construct(public readonly int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed * 13 + 5));
        $this->class = self::CLASSES[$seed % count(self::CLASSES)];
        $this->step = $this->random->getInt(0, 1) === 1 ? 5.0 : 6.35;
    }

    public function document(): stdClass
    {
        $document = [
            'format' => 'chartula.building', 'version' => 1, 'name' => "House $this->seed",
            'scale' => $this->pick(self::SCALES),
            'methods' => $this->methods(),
            'styles' => ['w' => [
                'kind' => 'window', 'w' => $this->mm(600, 1200), 'h' => $this->mm(700, 1400),
                'head' => $this->pick([['shape' => 'flat'], ['shape' => 'segmental', 'rise' => $this->mm(60, 150)]]),
            ]],
            'blocks' => $this->blocks(),
        ];
        if ($this->class === 'relief') {
            $document['relief'] = [
                'depth' => $this->pick(['15mm', '22.5mm', '31mm', '40mm']),
                'school' => $this->pick(['slice', 'squeeze', 'keep-pitch', 'front-slope', 'keep-ridge']),
            ];
        }
        $made = json_decode((string) json_encode($document));
        assert($made instanceof stdClass);

        return $made;
    }

    /** @return array<string, mixed> */
    private function methods(): array
    {
        $stocks = $this->pick([['greyboard-1'], ['card-0.5', 'greyboard-1'], ['card-0.5', 'greyboard-1', 'greyboard-1'],
            ['mountboard-1.4'], ['greyboard-2'], ['card-0.25', 'card-0.5', 'greyboard-1', 'greyboard-1']]);
        $layers = [];
        foreach ($stocks as $k => $stock) {
            $layers[] = ['id' => "l$k", 'stock' => $stock, 'role' => $k === 0 && count($stocks) > 1 ? 'face' : 'core'];
        }

        return [
            'wall' => $layers, 'roof' => [['id' => 'c', 'stock' => $this->pick(['greyboard-1', 'card-0.5']), 'role' => 'core']],
            'corner' => $this->pick(['butt', 'butt', 'mitre']), 'through' => $this->pick(['front-and-back', 'sides']),
            'panels' => $this->pick(['square', 'square', 'bevelled']), 'supports' => $this->pick(['auto', 'none']),
            'base' => $this->pick(['floor', 'none']), 'braces' => $this->pick(['auto', 'none']),
            'template' => ['side' => $this->pick(['front', 'back']), 'stays' => $this->pick([true, false])],
        ];
    }

    /** @return list<array<string, mixed>> */
    private function blocks(): array
    {
        return match ($this->class) {
            'arms' => [
                $this->block('m', ['polygon' => $this->written((new PlanGenerator($this->seed))->plan()->scaled(90.0)->toArray())], true),
            ],
            'convex' => [$this->block('m', $this->round($this->random->getInt(3, 9)), true)],
            'many' => [$this->block('m', $this->round($this->random->getInt(10, 24)), true)],
            'wing' => $this->wing($this->random->getInt(0, 1) === 1 ? 0 : $this->random->getInt(1, 40)),
            'overlap' => $this->wing(-$this->random->getInt(20, 200)),
            'dormer' => $this->dormer(),
            'lean-to' => $this->leanTo(),
            'terrace' => $this->row($this->random->getInt(2, 5), true),
            'cluster' => $this->row($this->random->getInt(2, 5), false),
            default => [$this->withWindows($this->block('m', ['rect' => [$this->mm(3600, 12000), $this->mm(2800, 8000)]], false))],
        };
    }

    /**
     * @param  array<string, mixed>  $footprint
     * @return array<string, mixed>
     */
    private function block(string $id, array $footprint, bool $isPolygon): array
    {
        return [
            'id' => $id, 'footprint' => $footprint, 'eaves' => $this->mm(2400, 6500),
            'roof' => $this->roof($isPolygon ? ['hip', 'hip', 'flat', 'mansard', 'none'] : [
                'gable', 'gable', 'hip', 'half-hip', 'lean-to', 'mansard', 'flat', 'none',
            ]),
        ];
    }

    /**
     * @param  non-empty-list<string>  $kinds
     * @return array<string, mixed>
     */
    private function roof(array $kinds): array
    {
        $kind = $this->pick($kinds);
        $overhang = ['eaves' => $this->pick(['0mm', $this->mm(100, 350)]), 'verge' => $this->pick(['0mm', $this->mm(80, 250)])];

        return ['kind' => $kind, 'overhang' => $overhang] + match ($kind) {
            'flat' => ['parapet' => $this->pick(['0mm', $this->mm(300, 1000)])],
            'none' => [],
            'mansard' => [
                'pitch' => $this->random->getInt(60, 72),
                'upper' => ['pitch' => $this->random->getInt(18, 35), 'from' => $this->mm(1200, 2200)],
            ],
            'lean-to' => ['pitch' => $this->random->getInt(12, 40)],
            default => ['pitch' => $this->random->getInt(25, 55) + $this->pick([0, 0.5]), 'ridge' => $this->pick(['x', 'y'])],
        };
    }

    /**
     * @param  array<string, mixed>  $block
     * @return array<string, mixed>
     */
    private function withWindows(array $block): array
    {
        $openings = [];
        $at = $this->random->getInt(60, 140);
        for ($i = 0, $n = $this->random->getInt(0, 2); $i < $n; $i++) {
            $openings[] = ['id' => "w$i", 'style' => 'w', 'from' => $this->length($at), 'sill' => $this->mm(600, 1000)];
            $at += $this->random->getInt(300, 360);
        }

        return $block + ['walls' => [['edge' => $this->pick(['front', 'back', 'left']), 'openings' => $openings]]];
    }

    /**
     * A corner on each of so many rays, at steps of the tape.
     *
     * @return array<string, mixed>
     */
    private function round(int $corners): array
    {
        [$a, $b] = [$this->random->getInt(2000, 5000), $this->random->getInt(2000, 5000)];
        $points = [];
        for ($i = 0; $i < $corners; $i++) {
            $angle = 2.0 * M_PI * ($i + $this->random->getInt(0, 300) / 1000.0) / $corners;
            $points[] = [$a * cos($angle), $b * sin($angle)];
        }

        return ['polygon' => $this->written($points)];
    }

    /** @return list<array<string, mixed>> a main block and one that stands before it, so many steps out of its end or into its front */
    private function wing(int $off): array
    {
        $main = $this->block('m', ['rect' => [$this->mm(7000, 12000), $this->mm(4500, 7000)]], false);
        $main['roof'] = $this->roof(['gable', 'hip']);
        $wing = $this->block('w', ['rect' => [$this->mm(2500, 4500), $this->mm(2000, 4500)]], false);
        $wing['roof'] = $this->roof(['gable', 'hip', 'gable']) + ['edges' => $off >= 0 ? [['edge' => 'back', 'kind' => 'wall']] : []];
        $wing['roof']['ridge'] = 'y';
        $wing['place'] = $off >= 0
            ? [
                ['against' => 'back', 'with' => 'm.front'],
                ['flush' => 'left', 'with' => 'm.left'] + ($off > 0 ? ['by' => $this->length($off)] : []),
            ]
            : [['set-back' => 'front', 'with' => 'm.front', 'by' => $this->length($off)], ['centre' => 'front', 'with' => 'm.front']];

        return [$main, $wing];
    }

    /** @return list<array<string, mixed>> */
    private function dormer(): array
    {
        $main = $this->block('m', ['rect' => [$this->mm(7000, 11000), $this->mm(6000, 9000)]], false);
        $main['roof'] = ['ridge' => 'x'] + $this->roof(['gable', 'hip']);
        $main['eaves'] = $this->length(700);
        $dormer = $this->block('d', ['rect' => [$this->mm(1300, 2400), $this->mm(1800, 3000)]], false);
        $dormer['roof'] = ['ridge' => 'y'] + $this->roof(['gable', 'hip', 'flat', 'lean-to']);
        $dormer['eaves'] = $this->length($this->random->getInt(960, 1180));
        $dormer['place'] = [
            ['set-back' => 'front', 'with' => 'm.front', 'by' => $this->mm(300, 900)],
            ['centre' => 'front', 'with' => 'm.front', 'by' => $this->mm(0, 600)],
        ];

        return [$main, $dormer];
    }

    /** @return list<array<string, mixed>> */
    private function leanTo(): array
    {
        $main = $this->block('m', ['rect' => [$this->mm(5000, 9000), $this->mm(4000, 7000)]], false);
        $main['eaves'] = $this->mm(4500, 6500);
        $shed = $this->block('l', ['rect' => [$this->mm(2000, 4500), $this->mm(1500, 2500)]], false);
        $shed['eaves'] = $this->mm(1900, 2500);
        $shed['roof'] = $this->roof(['lean-to']) + ['edges' => [['edge' => 'back', 'kind' => 'wall']]];
        $shed['place'] = [
            ['against' => 'back', 'with' => 'm.front'],
            ['set-back' => 'left', 'with' => 'm.left', 'by' => $this->mm(200, 700)],
        ];

        return [$main, $shed];
    }

    /** @return list<array<string, mixed>> blocks wall to wall, flush or each a little before or behind the last */
    private function row(int $count, bool $isFlush): array
    {
        $blocks = [];
        $roof = $this->roof(['gable']);
        [$depth, $eaves] = [$this->mm(5000, 8000), $this->mm(3500, 6000)];
        for ($i = 0; $i < $count; $i++) {
            $block = $this->block("b$i", ['rect' => [$this->mm(3600, 6000), $isFlush ? $depth : $this->mm(5000, 7000)]], false);
            if ($isFlush) {
                $block['roof'] = ['ridge' => 'x'] + $roof;
                $block['eaves'] = $this->random->getInt(0, 1) === 1 ? $eaves : $this->mm(3500, 6000);
            }
            if ($i > 0) {
                $last = 'b'.($i - 1);
                $block['place'] = [['against' => 'left', 'with' => "$last.right"], $isFlush ? ['flush' => 'front', 'with' => "$last.front"]
                    : ['set-back' => 'front', 'with' => "$last.front", 'by' => $this->pick(['0mm', $this->mm(50, 400)])]];
            }
            $blocks[] = $block;
        }

        return $blocks;
    }

    /**
     * @param  array<array{float, float}>  $points
     * @return list<array{string, string}> at steps of the tape
     */
    private function written(array $points): array
    {
        return array_values(array_map(fn (array $p): array => [
            $this->length((int) round($p[0] / $this->step)), $this->length((int) round($p[1] / $this->step)),
        ], $points));
    }

    /** Some length between two, mm. */
    private function mm(int $least, int $most): string
    {
        return $this->length($this->random->getInt((int) ceil($least / $this->step), (int) floor($most / $this->step)));
    }

    private function length(int $steps): string
    {
        return $this->step === 5.0 ? (5 * $steps).'mm' : ($steps / 4).'in';
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $from
     * @return T
     */
    private function pick(array $from): mixed
    {
        return $from[$this->random->getInt(0, count($from) - 1)];
    }
}
