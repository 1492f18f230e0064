<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** A line in plan, and what roofs and footprints lie over it; x counts along it. */
final readonly class Profile
{
    /** A line is looked at this far to its left, so that what only touches it is not taken for what it crosses, mm. */
    private const ASIDE = 0.0005;

    private Vec2 $aside;

    /** @param  Vec2  $along  of length 1 */
    public function __construct(
        private Vec2 $from,
        private Vec2 $along,
        private float $start,
        private float $end,
        float $side = 1.0,
    ) {
        $this->aside = (new Vec2(-$along->y, $along->x))->times(self::ASIDE * $side);
    }

    public function at(float $x): Vec2
    {
        return $this->from->plus($this->along->times($x));
    }

    /**
     * Which planes lie over it, from left to right.
     *
     * @return list<array{float, float, Facet}>
     */
    public function facets(RoofForm $roof): array
    {
        $stretches = [];
        foreach ($roof->facets as $facet) {
            foreach ($this->inside($facet->whole->outline) as [$a, $b]) {
                $stretches[] = [$a, $b, $facet];
            }
        }
        usort($stretches, static fn (array $p, array $q): int => $p[0] <=> $q[0]);
        // It was looked for a little to the side: on the line itself neighbours change where they are equally high.
        $from = $to = [];
        foreach ($stretches as $i => [$a, $b, $facet]) {
            $from[$i] = $i === 0 ? $a : $this->crossing($stretches[$i - 1][2], $facet, $a);
            $to[$i] = isset($stretches[$i + 1]) ? $this->crossing($facet, $stretches[$i + 1][2], $stretches[$i + 1][0]) : $b;
        }

        return array_map(static fn (int $i): array => [$from[$i], $to[$i], $stretches[$i][2]], array_keys($stretches));
    }

    private function crossing(Facet $one, Facet $other, float $near): float
    {
        $off = $one->heightAt($this->at($near)) - $other->heightAt($this->at($near));
        $change = $one->heightAt($this->at($near + 1.0)) - $other->heightAt($this->at($near + 1.0)) - $off;
        $by = abs($change) < Tolerance::FIGURE ? 0.0 : -$off / $change;

        return abs($by) < 40.0 * self::ASIDE ? $near + $by : $near;
    }

    /**
     * Where it runs inside an outline.
     *
     * @return list<array{float, float, ?int, ?int}> from, to, and the edges that it crosses there
     */
    public function inside(Ring $ring): array
    {
        $cuts = [];
        $o = $this->from->plus($this->aside);
        foreach ($ring->points as $i => $a) {
            $b = $ring->point($i + 1);
            $da = $this->along->cross($a->minus($o));
            $db = $this->along->cross($b->minus($o));
            if (($da > 0.0) !== ($db > 0.0)) {
                $cuts[] = [$this->along->dot($a->plus($b->minus($a)->times($da / ($da - $db)))->minus($o)), $i];
            }
        }
        usort($cuts, static fn (array $p, array $q): int => $p[0] <=> $q[0]);
        $stretches = [];
        for ($k = 1, $n = count($cuts); $k < $n; $k += 2) {
            [[$a, $i], [$b, $j]] = [$cuts[$k - 1], $cuts[$k]];
            if ($b > $this->start && $a < $this->end && $b - $a > Tolerance::ROUNDING) {
                $stretches[] = [max($a, $this->start), min($b, $this->end), $a >= $this->start ? $i : null, $b <= $this->end ? $j : null];
            }
        }

        return $stretches;
    }
}
