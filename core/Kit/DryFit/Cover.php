<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Massing\Surface;
use Chartula\Core\Measure\Tolerance;

/** How card fills one surface: the longest stretches over which it does not, along lines in the surface. Millimetres. */
final readonly class Cover
{
    /** A difference must be there as far to either side of a line as this, mm: two edges may cross at a sharp angle. */
    private const ASIDE_MM = Tolerance::COVER / 2.0;

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

    /**
     * @param  list<Surface>  $flush  those in its plane, itself among them
     * @param  list<array{KitShape, Frame, non-empty-list<Vec3>}>  $said  what the kit says of the outside in that plane
     * @param  array{list<Piece>, list<Piece>}  $pieces  that may lie in it, and all that come near it
     */
    public static function of(Surface $surface, array $flush, array $said, array $pieces): self
    {
        $lines = new CoverLines($surface, $flush, $said, $pieces);
        $worst = [0.0, 0.0, 0.0, 0.0];
        $area = $widest = 0.0;
        foreach ($lines->places as $i => $x) {
            $off = $lines->at($i);
            if (max(array_map(self::longest(...), $off)) <= Tolerance::COVER) {
                continue;
            }
            // What is there on this line only is where two edges cross at a sharp angle, or one runs along it.
            $off = array_map(
                Stretches::both(...),
                array_map(Stretches::both(...), $off, $lines->beside($x - self::ASIDE_MM)),
                $lines->beside($x + self::ASIDE_MM),
            );
            $closed = $lines->closed($x, $off[0]);
            $closed = [...$closed, ...$lines->pinholes($x, Stretches::without($off[0], $closed))];
            [$off[0], $off[2]] = [Stretches::without($off[0], $closed), Stretches::without($off[2], $closed)];
            $worst = array_map(static fn (float $w, array $o): float => max($w, self::longest($o)), $worst, $off);
            $width = (($lines->places[$i + 1] ?? $x) - ($lines->places[$i - 1] ?? $x)) / 2.0;
            $area += $width * array_sum(array_map(static fn (Interval $s): float => $s->length(), $closed));
            $widest = max($widest, self::longest($closed));
        }

        return new self($worst[0], $worst[1], $worst[2], $worst[3], $widest > Tolerance::COVER ? [$area, $widest] : null);
    }

    /** @param  list<Interval>  $stretches */
    private static function longest(array $stretches): float
    {
        return $stretches === [] ? 0.0 : max(array_map(static fn (Interval $s): float => $s->length(), $stretches));
    }
}
