<?php

declare(strict_types=1);

namespace Tests\Support\Plots;

use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;

/**
 * Buildings of bare card on plots, by seed: away from the origin, on plots turned by any angle, under roofs of unequal slopes, whole or cut
 * in
 * every school, with wires over their slopes, bridges over their eaves, rods, neighbours and tracks. The roof is a gable along x, so that
 * its
 * section says all of it.
 */
final class PlotGenerator
{
    public const SCHOOLS = ['slice', 'squeeze', 'keep-pitch', 'front-slope', 'keep-ridge'];

    private readonly Randomizer $random;

    private ?stdClass $document = null;

    /**
     * @var array<string, array{ring: list<array{float, float}>, round: float, from: float, to: float}> what stands on the plot, by id,
     * wherever it moves
     */
    public array $things = [];

    /** The way by which the building comes off. */
    public string $way = 'up';

    public readonly float $width;

    public readonly float $depth;

    public readonly float $eaves;

    /** Pitch of the front and of the back slope, degrees. */
    public readonly float $pitch;

    public readonly float $rear;

    /** Where its front left corner stands. */
    public readonly float $x;

    public readonly float $y;

    public readonly float $turn;

    /** The plot's corner, in the building's axes. */
    public readonly float $plotX;

    public readonly float $plotY;

    public readonly float $overhang;

    /** @var array{distance: float, low: float, high: float, travel: float} */
    public readonly array $eye;

    public readonly ?string $school;

    public readonly float $cut;

    public function __construct(public readonly int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed * 17 + 3));
        $this->width = $this->step(60, 300);
        $this->depth = $this->step(50, 120);
        $this->eaves = $this->step(30, 90);
        $this->pitch = $this->step(25, 55);
        $this->rear = $this->random->getInt(0, 1) === 1 ? $this->pitch : $this->step(25, 55);
        [$this->x, $this->y] = [$this->step(-500, 500), $this->step(-300, 300)];
        $this->turn = match ($this->random->getInt(0, 3)) {
            0 => 0.0,
            1 => 90.0 * $this->random->getInt(0, 3),
            default => $this->random->getInt(-1800, 1800) / 10.0,
        };
        $this->overhang = $this->random->getInt(0, 1) === 1 ? 0.0 : $this->step(2, 9);
        // The plot's middle lies under the building's, more or less.
        [$dx, $dy] = [$this->width / 2.0 + $this->step(-60, 60), $this->depth / 2.0 + $this->step(-40, 40)];
        [$sin, $cos] = [sin(deg2rad($this->turn)), cos(deg2rad($this->turn))];
        $this->plotX = round($this->x + $dx - 200.0 * $cos + 150.0 * $sin, 2);
        $this->plotY = round($this->y + $dy - 200.0 * $sin - 150.0 * $cos, 2);
        $low = $this->step(120, 500);
        $this->eye = [
            'distance' => $this->step(300, 900), 'low' => $low, 'high' => $low + $this->random->getInt(0, 1) * $this->step(50, 300),
            'travel' => $this->random->getInt(0, 3) === 0 ? 0.0 : $this->step(50, 500),
        ];
        $this->school = $this->random->getInt(0, 5) === 0 ? null : self::SCHOOLS[$seed % 5];
        $ridge = $this->ridge()[0];
        $this->cut = match ($this->school) {
            'front-slope' => round($ridge + ($this->depth - $ridge) * $this->random->getInt(10, 80) / 100.0, 1),
            'slice' => round($ridge * $this->random->getInt(40, 95) / 100.0, 1),
            default => round($this->depth * $this->random->getInt(30, 80) / 100.0, 1),
        };
    }

    /** @return array{float, float} how far the ridge of the whole building lies behind its front, and how high it is */
    public function ridge(): array
    {
        [$front, $back] = [tan(deg2rad($this->pitch)), tan(deg2rad($this->rear))];
        $at = $this->depth * $back / ($front + $back);

        return [$at, $this->eaves + $at * $front];
    }

    /** @return array{float, float} a place of the building's axes on the plot */
    public function onPlot(float $x, float $y): array
    {
        [$sin, $cos] = [sin(deg2rad($this->turn)), cos(deg2rad($this->turn))];
        [$x, $y] = [$x - $this->plotX, $y - $this->plotY];

        return [$x * $cos + $y * $sin, $y * $cos - $x * $sin];
    }

    /** @return array{float, float} a place of the plot in the building's axes */
    public function inBuilding(float $x, float $y): array
    {
        [$sin, $cos] = [sin(deg2rad($this->turn)), cos(deg2rad($this->turn))];

        return [$this->plotX + $x * $cos - $y * $sin, $this->plotY + $x * $sin + $y * $cos];
    }

    private function step(int $least, int $most): float
    {
        return 0.5 * $this->random->getInt(2 * $least, 2 * $most);
    }

    /** The same each time it is asked for. */
    public function document(): stdClass
    {
        return $this->document ??= $this->made();
    }

    private function made(): stdClass
    {
        $this->way = ['up', 'up', 'up', 'front', 'back', 'left', 'right'][$this->random->getInt(0, 6)];
        $mm = static fn (float $mm): string => "{$mm}mm";
        $model = static fn (float $mm): string => "{$mm}mm model";
        $document = [
            'format' => 'chartula.building', 'version' => 1, 'name' => "Plot $this->seed", 'scale' => '1:76.2',
            'methods' => [
                'wall' => [['id' => 'core', 'stock' => 'greyboard-1', 'role' => 'core']],
                'roof' => [['id' => 'carrier', 'stock' => 'greyboard-1', 'role' => 'core']], 'template' => ['stays' => false],
            ],
            'blocks' => [
                [
                    'id' => 'main', 'at' => [$model($this->x), $model($this->y)],
                    'footprint' => ['rect' => [$model($this->width), $model($this->depth)]], 'eaves' => $model($this->eaves),
                    'roof' => [
                        'kind' => 'gable', 'ridge' => 'x', 'pitch' => $this->pitch, 'edges' => [['edge' => 'back', 'pitch' => $this->rear]],
                        'overhang' => ['eaves' => $model($this->overhang), 'verge' => '0mm'],
                    ],
                ],
            ],
            'plot' => [
                'size' => ['400mm', '300mm'], 'at' => [$mm($this->plotX), $mm($this->plotY)], 'turn' => $this->turn, 'gap' => '3mm',
                'eye' => [
                    'distance' => $mm($this->eye['distance']), 'height' => $mm($this->eye['low']), 'to' => $mm($this->eye['high']),
                    'travel' => $mm($this->eye['travel']),
                ],
                'neighbours' => $this->neighbours(), 'obstacles' => $this->obstacles(),
                'lift' => ['way' => $this->way],
            ],
        ];
        if ($this->school !== null) {
            $document['relief'] = ['depth' => $mm($this->cut), 'school' => $this->school];
        }
        $made = json_decode((string) json_encode($document));
        assert($made instanceof stdClass);

        return $made;
    }

    /** @return list<array<string, mixed>> beside the building, over its eaves, or anywhere */
    private function neighbours(): array
    {
        $made = [];
        foreach (range(0, $this->random->getInt(0, 2)) as $i) {
            [$x, $y] = $this->onPlot($this->x + $this->step(-40, (int) $this->width + 40), $this->y + $this->step(-60, 20));
            [$x, $y] = [round($x, 2), round($y, 2)];
            $from = $this->random->getInt(0, 1) * $this->step(20, 120);
            [$w, $d, $to] = [$this->step(10, 80), $this->step(4, 30), $from + $this->step(4, 90)];
            $this->things["n$i"] = [
                'ring' => [[$x, $y], [$x + $w, $y], [$x + $w, $y + $d], [$x, $y + $d]], 'round' => 0.0, 'from' => $from, 'to' => $to,
            ];
            $made[] = [
                'id' => "n$i",
                'at' => ["{$x}mm", "{$y}mm"],
                'size' => ["{$w}mm", "{$d}mm"],
                'from' => "{$from}mm",
                'to' => "{$to}mm",
            ];
        }

        return $made;
    }

    /** @return list<array<string, mixed>> rods and posts, and wires over the slopes */
    private function obstacles(): array
    {
        $made = [];
        foreach (range(0, $this->random->getInt(0, 3)) as $i) {
            [$x, $y] = $this->onPlot($this->x + $this->step(0, (int) $this->width), $this->y + $this->step(-20, (int) $this->depth));
            [$x, $y] = [round($x, 2), round($y, 2)];
            $isRound = $this->random->getInt(0, 1) === 1;
            $from = $isRound ? -$this->step(0, 20) : $this->step(20, 140);
            [$to, $moves, $w] = [$from + $this->step(1, 60), 4.0 * $this->random->getInt(0, 2), $this->step(1, $isRound ? 6 : 90)];
            $this->things["o$i"] = [
                'ring' => $isRound ? [[$x, $y], [$x + $moves, $y]] : [
                    [
                        $x - $w / 2.0,
                        $y - 0.5,
                    ], [$x + $w / 2.0 + $moves, $y - 0.5], [$x + $w / 2.0 + $moves, $y + 0.5], [$x - $w / 2.0, $y + 0.5],
                ],
                'round' => $isRound ? $w / 2.0 : 0.0, 'from' => $from, 'to' => $to,
            ];
            $made[] = [
                'id' => "o$i", 'kind' => $isRound ? 'rod' : 'wire', 'at' => ["{$x}mm", "{$y}mm"], 'from' => "{$from}mm", 'to' => "{$to}mm",
                'travel' => ["{$moves}mm", '0mm'],
            ] + ($isRound ? ['across' => "{$w}mm"] : ['size' => ["{$w}mm", '1mm']]);
        }

        return $made;
    }
}
