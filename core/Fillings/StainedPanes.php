<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** Panes between the leads of one light, each in a colour that follows from its place: equal documents print equal windows. */
final readonly class StainedPanes
{
    private const COLOURS = ['#c9b458', '#8e3b34', '#3f5f8a', '#5f7f52', '#d9cfae', '#7a4f7c'];

    /**
     * @param  float  $across  from lead to lead
     * @param  ?string  $more  a colour that half of them have, as #rrggbb
     */
    public function __construct(private float $across, private float $up, private bool $areLozenges, private ?string $more)
    {
    }

    /** @return list<array{string, list<Ring>}> in their colours */
    public function in(Ring $light): array
    {
        $box = $light->bounds();
        $hull = Hull::around($light->points);
        // As far to each side as a light goes, from its middle, and for lozenges as far again.
        $most = [(int) ceil($box->width() / $this->across) + 1, (int) ceil($box->height() / $this->up) + 1];
        $most = $this->areLozenges ? [array_sum($most), array_sum($most)] : $most;
        $shapes = [];
        for ($i = -$most[0]; $i < $most[0]; $i++) {
            for ($k = -$most[1]; $k < $most[1]; $k++) {
                $pane = self::within($hull, $this->pane($box->centre(), $i, $k));
                if ($pane !== null) {
                    $shapes[$this->colour($i, $k)][] = $pane;
                }
            }
        }
        ksort($shapes);
        $coloured = [];
        foreach ($shapes as $colour => $rings) {
            $coloured[] = [$colour, $rings];
        }

        return $coloured;
    }

    /** @return non-empty-list<Vec2> counter-clockwise */
    private function pane(Vec2 $middle, int $i, int $k): array
    {
        [$a, $b] = [$this->across, $this->up];
        if (! $this->areLozenges) {
            [$x, $y] = [$middle->x + $i * $a, $middle->y + $k * $b];

            return [new Vec2($x, $y), new Vec2($x + $a, $y), new Vec2($x + $a, $y + $b), new Vec2($x, $y + $b)];
        }
        [$x, $y] = [$middle->x + $a * ($i + $k + 1) / 2.0, $middle->y + $b * ($i - $k) / 2.0];

        return [new Vec2($x - $a / 2.0, $y), new Vec2($x, $y - $b / 2.0), new Vec2($x + $a / 2.0, $y), new Vec2($x, $y + $b / 2.0)];
    }

    private function colour(int $i, int $k): string
    {
        $at = crc32("$i,$k");

        return $this->more !== null && $at % 2 === 0 ? $this->more : self::COLOURS[intdiv($at, 2) % count(self::COLOURS)];
    }

    /** @param  non-empty-list<Vec2>  $pane */
    private static function within(Hull $light, array $pane): ?Ring
    {
        $hull = $light;
        foreach ($pane as $n => $p) {
            $hull = $hull?->leftOf($p, $pane[($n + 1) % count($pane)]->minus($p));
        }

        return $hull === null || count($hull->points) < 3 ? null : new Ring($hull->points);
    }
}
