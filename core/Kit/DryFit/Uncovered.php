<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** The lines of a surface along which its card is not what it should be, before anybody has looked what stands behind it. */
final readonly class Uncovered
{
    /** A difference must be there as far to either side of a line as this, mm: two edges may cross at a sharp angle. */
    private const ASIDE_MM = Tolerance::COVER / 2.0;

    /** A hole no wider than this, mm, glue and paint close. */
    private const PINHOLE_MM = 0.2;

    /**
     * @param  non-empty-list<UncoveredLine>  $lines
     * @param  array{float, float, float, float, float, float}  $box  where their gaps lie: least and greatest x, y, z
     */
    private function __construct(public array $lines, public array $box)
    {
    }

    /** Null where there are none. */
    public static function of(CoverLines $cover, Frame $frame): ?self
    {
        $lines = [];
        foreach ($cover->places as $i => $x) {
            $off = $cover->at($i);
            if (Stretches::longest(array_merge(...$off)) > Tolerance::COVER) {
                $lines[] = self::line($cover, $x, (($cover->places[$i + 1] ?? $x) - ($cover->places[$i - 1] ?? $x)) / 2.0, $off);
            }
        }

        return $lines === [] ? null : new self($lines, self::box($lines, $frame));
    }

    /** @param  array<int, list<Interval>>  $off  what is wrong along it, as CoverLines::at() gives it */
    private static function line(CoverLines $cover, float $x, float $width, array $off): UncoveredLine
    {
        // What is there on this line only is where two edges cross at a sharp angle, or one runs along it.
        [$missing, $beyond, $unsaid, $falseGap] = array_map(
            Stretches::both(...),
            array_map(Stretches::both(...), $off, $cover->beside($x - self::ASIDE_MM)),
            $cover->beside($x + self::ASIDE_MM),
        );
        $short = array_values(array_filter($missing, $cover->isShort(...)));
        $sides = Stretches::longest($short) > Tolerance::COVER ? [$x - self::PINHOLE_MM / 2.0, $x + self::PINHOLE_MM / 2.0] : [];

        return new UncoveredLine(
            $width,
            [$missing, $beyond, $unsaid, $falseGap],
            $short,
            $cover->gaps($x, $missing),
            array_map(static fn (float $at): Gaps => $cover->gaps($at, $cover->beside($at)[0]), $sides),
        );
    }

    /**
     * @param  non-empty-list<UncoveredLine>  $lines
     * @return array{float, float, float, float, float, float}
     */
    private static function box(array $lines, Frame $frame): array
    {
        $box = [INF, -INF, INF, -INF, INF, -INF];
        foreach ($lines as $line) {
            foreach ([$line->gaps, ...$line->beside] as $gaps) {
                foreach ($gaps->mayClose as $stretch) {
                    foreach ([$stretch->from, $stretch->to] as $y) {
                        $p = $frame->at(new Vec2($gaps->x, $y));
                        $box = [
                            min($box[0], $p->x), max($box[1], $p->x), min($box[2], $p->y), max($box[3], $p->y), min($box[4], $p->z),
                            max($box[5], $p->z),
                        ];
                    }
                }
            }
        }

        return $box;
    }
}
