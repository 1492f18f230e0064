<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\Tolerance;

/** How card fills one surface: the longest stretches over which it does not, along lines in the surface. Millimetres. */
final readonly class Cover
{
    /**
     * @param  float  $missing  where card should be
     * @param  float  $beyond  where no card should be
     * @param  float  $unsaid  where what the kit says of its outside is not what the document says
     * @param  float  $falseGap  where the kit says that card is missing, and it is not
     * @param  ?array{float, float}  $excused  mm² that something else closes, and the longest stretch of them; null where there are none
     */
    private function __construct(
        public float $missing,
        public float $beyond,
        public float $unsaid,
        public float $falseGap,
        public ?array $excused,
    ) {
    }

    public static function of(Uncovered $open, Closing $closing, Through $through): self
    {
        $worst = [0.0, 0.0, 0.0, 0.0];
        $area = $widest = 0.0;
        foreach ($open->lines as $line) {
            $off = $line->off;
            $closed = $line->gaps->closed($closing);
            $holes = Stretches::both($line->short, Stretches::without($off[0], $closed));
            $closed = [...$closed, ...self::pinholes($holes, $line->beside, $closing)];
            [$off[0], $off[2]] = [Stretches::without($off[0], $closed), Stretches::without($off[2], $closed)];
            $filled = $through->filled($line->gaps->x, $off[0]);
            [$off[0], $off[2]] = [Stretches::without($off[0], $filled), Stretches::without($off[2], $filled)];
            $worst = array_map(static fn (float $w, array $o): float => max($w, Stretches::longest($o)), $worst, $off);
            $area += $line->width * array_sum(array_map(static fn (Interval $s): float => $s->length(), $closed));
            $widest = max($widest, Stretches::longest($closed));
        }

        return new self($worst[0], $worst[1], $worst[2], $worst[3], $widest > Tolerance::COVER ? [$area, $widest] : null);
    }

    /**
     * What of open stretches, no longer than cards cut square may part, is not open any more so little to one side: where a valley
     * ends at a ridge, or three planes meet over a sharp corner, square cuts leave a pinhole, which glue fills.
     *
     * @param  list<Interval>  $open
     * @param  list<Gaps>  $beside  to either side
     * @return list<Interval>
     */
    private static function pinholes(array $open, array $beside, Closing $closing): array
    {
        $left = $open === [] ? [] : array_map(
            static fn (Gaps $gaps): array => Stretches::without($gaps->missing, $gaps->closed($closing)),
            $beside,
        );

        return array_values(array_filter($open, static function (Interval $stretch) use ($left): bool {
            $wide = [$stretch];
            foreach ($left as $missing) {
                $wide = Stretches::both($wide, $missing);
            }

            return Stretches::longest($wide) <= Tolerance::COVER;
        }));
    }
}
