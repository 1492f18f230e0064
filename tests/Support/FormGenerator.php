<?php

declare(strict_types=1);

namespace Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;

/** Buildings of one to four blocks with all sorts of outlines and roofs, from seeds. At 1:76.2, sizes given on the model. */
final class FormGenerator
{
    public const CLASSES = ['rectilinear', 'convex', 'star', 'jogged', 'wing', 'cluster', 'dormer'];

    private readonly Randomizer $random;

    public readonly string $class;

    public function __construct(public readonly int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed * 7 + 1));
        $this->class = self::CLASSES[$seed % count(self::CLASSES)];
    }

    public function document(): stdClass
    {
        $blocks = match ($this->class) {
            'rectilinear' => [$this->block('main', $this->rectilinear())],
            'convex' => [$this->block('main', $this->round(0.0))],
            'star' => [$this->block('main', $this->round(0.45))],
            'jogged' => [$this->block('main', $this->jogged())],
            'wing' => $this->wings(),
            'cluster' => $this->cluster(),
            default => $this->dormers(),
        };
        $layers = $this->random->getInt(1, 2) === 1
            ? [['id' => 'core', 'stock' => 'greyboard-1', 'role' => 'core']]
            : [['id' => 'face', 'stock' => 'card-0.5', 'role' => 'face'], ['id' => 'core', 'stock' => 'greyboard-1', 'role' => 'core']];
        $document = json_decode((string) json_encode([
            'format' => 'chartula.building', 'version' => 1, 'name' => "Form $this->seed", 'scale' => '1:76.2',
            'methods' => [
                'wall' => $layers,
                'roof' => [['id' => 'carrier', 'stock' => 'greyboard-1', 'role' => 'core']],
                'template' => ['stays' => false],
            ],
            'blocks' => $blocks,
        ]));
        assert($document instanceof stdClass);

        return $document;
    }

    /** @return array<string, mixed> */
    private function block(string $id, mixed $footprint, ?float $eaves = null): array
    {
        return [
            'id' => $id, 'footprint' => $footprint, 'at' => [$this->mm(0), $this->mm(0)],
            'turn' => $this->pick([0, 0, 90, 37.5]), 'eaves' => $this->mm($eaves ?? $this->between(30, 70)),
            'roof' => $this->roof(is_array($footprint) && isset($footprint['rect']) ? ['front', 'right', 'back', 'left'] : []),
        ];
    }

    /**
     * @param  list<string>  $names
     * @return array<string, mixed>
     */
    private function roof(array $names): array
    {
        $kind = $this->pick(
            $names === []
                ? ['hip', 'hip', 'gable', 'half-hip', 'mansard']
                : ['hip', 'gable', 'gable', 'half-hip', 'lean-to', 'mansard', 'flat'],
        );
        $pitch = $this->pick([30, 40, 45, $this->between(15, 60)]);
        $roof = [
            'kind' => $kind, 'ridge' => $this->pick(['x', 'y']), 'pitch' => $pitch,
            'overhang' => ['eaves' => $this->mm($this->pick([0, 2, 3])), 'verge' => $this->mm($this->pick([0, 1, 2]))],
        ];
        if ($kind === 'mansard') {
            $roof['pitch'] = $this->between(60, 75);
            $roof['upper'] = ['pitch' => $this->between(15, 40), 'from' => $this->mm($this->between(4, 9))];
        }
        if ($kind === 'flat') {
            unset($roof['pitch']);
        } elseif ($kind === 'hip' && $names !== [] && $this->random->getInt(0, 1) === 1) {
            $roof['edges'] = [['edge' => $this->pick($names), 'pitch' => $this->between(25, 55)]];
        }

        return $roof;
    }

    /** @return array<string, mixed> */
    private function rect(float $w, float $d): array
    {
        return ['rect' => [$this->mm($w), $this->mm($d)]];
    }

    /**
     * Teeth of chosen widths and heights on a bar.
     *
     * @return array<string, mixed>
     */
    private function rectilinear(): array
    {
        $teeth = $this->random->getInt(2, 5);
        $x = 0.0;
        $tops = [];
        for ($i = 0; $i < $teeth; $i++) {
            $w = 10.0 * $this->random->getInt(2, 6);
            $tops[] = [$x, $x + $w, 10.0 * $this->random->getInt(3, 9)];
            $x += $w;
        }
        $points = [[0.0, 0.0], [$x, 0.0]];
        foreach (array_reverse($tops) as [$a, $b, $h]) {
            $points[] = [$b, $h];
            $points[] = [$a, $h];
        }

        return ['polygon' => $this->written(self::simple($points))];
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}> without corners that are none
     */
    private static function simple(array $points): array
    {
        for ($i = 0; $i < count($points);) {
            $n = count($points);
            [$a, $b, $c] = [$points[($i + $n - 1) % $n], $points[$i], $points[($i + 1) % $n]];
            if (abs(($b[0] - $a[0]) * ($c[1] - $b[1]) - ($b[1] - $a[1]) * ($c[0] - $b[0])) < 1e-9) {
                array_splice($points, $i, 1);
                $i = max(0, $i - 1);

                continue;
            }
            $i++;
        }

        return $points;
    }

    /** @return array<string, mixed> */
    private function round(float $rough): array
    {
        $n = $this->random->getInt(4, 12);
        $points = [];
        for ($i = 0; $i < $n; $i++) {
            $angle = 2.0 * M_PI * ($i + ($this->float(0.0, 0.5))) / $n;
            $r = 55.0 * (1.0 - $rough * $this->float(0.0, 1.0));
            $points[] = [$r * cos($angle), $r * sin($angle)];
        }

        return ['polygon' => $this->written($points)];
    }

    /** @return array<string, mixed> */
    private function jogged(): array
    {
        $jog = $this->pick([0.2, 0.3, 1.0]);
        $x = $this->between(20, 50);

        return [
            'polygon' => $this->written([
                [0.0, 0.0],
                [$x, 0.0],
                [$x, $jog],
                [90.0, $jog + $this->pick([0.0, 0.05])],
                [90.0, 60.0],
                [0.0, 60.0],
            ]),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function wings(): array
    {
        $eaves = $this->between(40, 60);
        $main = [
            'roof' => [
                'kind' => $this->pick(['gable', 'hip']),
                'pitch' => $this->pick([35, 40, 45]),
                'overhang' => ['eaves' => $this->mm(2), 'verge' => $this->mm(2)],
            ],
        ]
            + $this->block('main', $this->rect(110, $this->between(50, 70)), $eaves);
        $main['turn'] = 0;
        $wings = [];
        foreach ($this->pick([[['front', 'back']], [['front', 'back'], ['back', 'front']]]) as $i => [$edge, $own]) {
            $wings[] = [
                'id' => "wing-$i", 'footprint' => $this->rect($this->between(25, 45), $this->between(20, 50)),
                'place' => [
                    ['against' => $own, 'with' => "main.$edge"],
                    ['centre' => $own, 'with' => "main.$edge", 'by' => $this->mm($this->between(-20, 20))],
                ],
                'eaves' => $this->mm($this->pick([$eaves, $eaves, $eaves - 20.0, $eaves - 30.0])),
                'roof' => [
                    'kind' => 'gable', 'ridge' => 'y', 'pitch' => $this->pick([35, 40, 45, 50]),
                    'overhang' => ['eaves' => $this->mm(2), 'verge' => $this->mm(1)],
                    'edges' => [['edge' => $own, 'kind' => 'wall']],
                ],
            ];
        }

        return [$main, ...$wings];
    }

    /**
     * Blocks in a row, each a storey higher than the last, that one's roof running against it.
     *
     * @return list<array<string, mixed>>
     */
    private function cluster(): array
    {
        $blocks = [];
        $count = $this->random->getInt(2, 4);
        $depth = $this->between(50, 70);
        foreach (range(1, $count) as $i) {
            $block = ['turn' => 0, 'eaves' => $this->mm(30.0 * $i + $this->between(0, 3))]
                + $this->block("b$i", $this->rect($this->between(40, 70), $depth - 6.0 * ($count - $i)));
            $kind = $this->pick(['gable', 'hip', 'half-hip']);
            $block['roof'] = [
                'kind' => $kind, 'ridge' => 'x', 'pitch' => $this->between(22, 30),
                'overhang' => ['eaves' => $this->mm(2), 'verge' => $this->mm(1)],
                'edges' => $i < $count ? [['edge' => 'right', 'kind' => 'wall']] : [],
            ];
            if ($i > 1) {
                unset($block['at']);
                $block['place'] = [
                    ['against' => 'left', 'with' => 'b'.($i - 1).'.right'],
                    ['centre' => 'left', 'with' => 'b'.($i - 1).'.right'],
                ];
            }
            $blocks[] = $block;
        }

        return $blocks;
    }

    /** @return list<array<string, mixed>> */
    private function dormers(): array
    {
        $pitch = $this->pick([40, 45, 50]);
        $main = [
            'roof' => [
                'kind' => $this->pick(['gable', 'hip']),
                'pitch' => $pitch,
                'overhang' => ['eaves' => $this->mm(2), 'verge' => $this->mm(2)],
            ],
            'turn' => 0,
        ]
            + $this->block('main', $this->rect(120, 70), 45.0);
        $eaves = 45.0 + 14.0 * tan(deg2rad($pitch)) + $this->between(0, 4);
        $edges = $this->pick([[], [], [['edge' => 'front', 'kind' => 'hip']]]);

        return [
            $main,
            [
                'id' => 'dormer', 'footprint' => $this->rect($this->between(14, 22), 30.0),
                'place' => [
                    ['set-back' => 'front', 'with' => 'main.front', 'by' => $this->mm(5)],
                    ['centre' => 'front', 'with' => 'main.front', 'by' => $this->mm($this->between(-12, 12))],
                ],
                'eaves' => $this->mm($eaves),
                'roof' => [
                    'kind' => 'gable', 'ridge' => 'y', 'pitch' => $this->pick([35, 45]),
                    'overhang' => ['eaves' => $this->mm(1), 'verge' => $this->mm(1)], 'edges' => $edges,
                ],
            ],
        ];
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{string, string}>
     */
    private function written(array $points): array
    {
        return array_map(fn (array $p): array => [$this->mm($p[0]), $this->mm($p[1])], $points);
    }

    private function mm(float $mm): string
    {
        return rtrim(rtrim(number_format($mm, 4, '.', ''), '0'), '.').'mm model';
    }

    private function float(float $low, float $high): float
    {
        return $low + ($high - $low) * $this->random->getInt(0, 1_000_000) / 1_000_000.0;
    }

    private function between(float $low, float $high): float
    {
        return round($this->float($low, $high), 2);
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    private function pick(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }
}
