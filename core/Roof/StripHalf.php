<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;

/** The halves of a folded strip, each on its panel, cut so that strips that meet share the room. docs/formulas.md#ridge-strip */
final readonly class StripHalf
{
    /**
     * One half of a strip, lying on its panel: x along the line from its beginning, y into the panel. It keeps to what is
     * nearer to its own line than to the next one that has a strip, and within the panel.
     *
     * @return list<Vec2> counter-clockwise, along the line first
     */
    public static function of(Patch $shape, int $i, float $leg): array
    {
        $ring = $shape->outline;
        $origin = $ring->point($i);
        $along = $ring->point($i + 1)->minus($origin);
        $length = $along->length();
        $along = $along->times(1.0 / $length);
        $in = new Vec2(-$along->y, $along->x);
        $half = [new Vec2(0.0, 0.0), new Vec2($length, 0.0), new Vec2($length, $leg), new Vec2(0.0, $leg)];
        foreach ($shape->labels as $j => $label) {
            $edge = $ring->point($j + 1)->minus($ring->point($j));
            if ($j === $i || $edge->length() < Tolerance::EDGE) {
                continue;
            }
            $edge = $edge->times(1.0 / $edge->length());
            // How far inside edge j a point lies, as a·x + b·y + c in the strip's own axes.
            $normal = new Vec2(-$edge->y, $edge->x);
            [$a, $b, $c] = [$normal->dot($along), $normal->dot($in), $normal->dot($origin->minus($ring->point($j)))];
            if ($c < -Tolerance::EDGE || $a * $length + $c < -Tolerance::EDGE) {
                continue; // an edge round an inner corner, beside which the line lies
            }
            $half = self::clipped($half, $a, Side::isOfKind($label, SideKind::Plane) ? $b - 1.0 : $b, $c);
        }

        return $half;
    }

    /**
     * Cuts a shape to its part where a·x + b·y + c ≥ 0.
     *
     * @param  list<Vec2>  $points
     * @return list<Vec2>
     */
    public static function clipped(array $points, float $a, float $b, float $c): array
    {
        $kept = [];
        $n = count($points);
        foreach ($points as $k => $p) {
            $q = $points[($k + 1) % $n];
            [$at, $next] = [$a * $p->x + $b * $p->y + $c, $a * $q->x + $b * $q->y + $c];
            if ($at >= -Tolerance::ROUNDING) {
                $kept[] = $p;
            }
            if (
                ($at > Tolerance::ROUNDING && $next < -Tolerance::ROUNDING) || ($at < -Tolerance::ROUNDING && $next > Tolerance::ROUNDING)
            ) {
                $kept[] = $p->plus($q->minus($p)->times($at / ($at - $next)));
            }
        }

        return $kept;
    }

    /** @param  list<Vec2>  $leg */
    public static function reach(array $leg): float
    {
        return $leg === [] ? 0.0 : max(array_map(static fn (Vec2 $p): float => $p->y, $leg));
    }

    /**
     * @param  list<Vec2>  $leg
     * @return list<Vec2>
     */
    public static function between(array $leg, float $from, float $to): array
    {
        return array_map(
            static fn (Vec2 $p): Vec2 => new Vec2($p->x - $from, $p->y),
            self::clipped(self::clipped($leg, 1.0, 0.0, -$from), -1.0, 0.0, $to),
        );
    }

    /**
     * @param  list<Vec2>  $leg  along a line that runs the other way
     * @param  float  $start  where that line begins on this one
     * @return list<Vec2>
     */
    public static function reversed(array $leg, float $start): array
    {
        return array_map(static fn (Vec2 $p): Vec2 => new Vec2($start - $p->x, $p->y), array_reverse($leg));
    }

    /**
     * Both halves in one, without the fold between them.
     *
     * @param  list<Vec2>  $below
     * @param  list<Vec2>  $above
     */
    public static function outline(array $below, array $above, float $leg, float $length): Outline
    {
        $walk = [];
        foreach ([[$below, 'front edge'], [$above, 'back edge']] as [$half, $name]) {
            // From the end of the fold round the half and back to the fold's other end.
            $half = self::begunAtFold($half, $leg, $name === 'front edge' ? 0.0 : $length);
            foreach ($half as $i => $point) {
                $next = $half[($i + 1) % count($half)];
                if ($i < count($half) - 1) {
                    $walk[] = [
                        $point,
                        abs($point->y - $next->y) < Tolerance::ROUNDING
                            ? new Edge($name, 'top')
                            : new Edge($next->x > $point->x === ($name === 'front edge') ? 'end' : 'other end', 'verge'),
                    ];
                }
            }
        }
        assert($walk !== []);

        return Outline::walk($walk);
    }

    /**
     * @param  list<Vec2>  $half
     * @return list<Vec2>
     */
    private static function begunAtFold(array $half, float $leg, float $x): array
    {
        if ((new Ring($half === [] ? [new Vec2(0.0, 0.0)] : $half))->signedArea() < 0.0) {
            $half = array_reverse($half);
        }
        $first = 0;
        foreach ($half as $i => $p) {
            $first = abs($p->y - $leg) + abs($p->x - $x) < abs($half[$first]->y - $leg) + abs($half[$first]->x - $x) ? $i : $first;
        }

        return [...array_slice($half, $first), ...array_slice($half, 0, $first)];
    }
}
