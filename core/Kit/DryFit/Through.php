<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Massing\Surface;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Recall\Recall;

/**
 * What really goes through the card of one surface: placed parts that reach past both of its faces. A hole is excused only where one of
 * them fills it, with no more room about it than this.
 */
final class Through
{
    private const ROOM_MM = 0.3;

    /** Holes are looked at so far apart, mm. */
    private const STEP_MM = 0.1;

    /** In how many places of the card's thickness. */
    private const DEEP = 4;

    /** In so many ways one looks from a place that may lie in a box. */
    private const WAYS = 16;

    private readonly Frame $frame;

    /** @var array<string, list<array{Vec2, Vec2}>> by thing and height */
    private array $cuts = [];

    /** @param  list<list<Piece>>  $things  of each the pieces that are near */
    private function __construct(private readonly Surface $surface, private readonly array $things)
    {
        $this->frame = $surface->frame();
    }

    /** @param  list<Piece>  $pieces  all that are placed */
    public static function of(Surface $surface, array $pieces): self
    {
        $reach = [];
        foreach ($pieces as $piece) {
            if ($piece->part->thing !== null) {
                $reach[$piece->part->thing][] = $piece;
            }
        }
        [$low, $high] = $surface->kind() === 'wall' ? [-$surface->thickness(), 0.0] : [0.0, $surface->thickness()];
        $frame = $surface->frame();
        $through = [];
        foreach ($reach as $some) {
            $heights = [INF, -INF];
            foreach ($some as $piece) {
                $heights = self::heights($piece, $frame, $heights);
            }
            if ($heights[0] < $low + Tolerance::EDGE && $heights[1] > $high - Tolerance::EDGE) {
                $through[] = $some;
            }
        }

        return new self($surface, $through);
    }

    /** All that filled() may depend on, in one word. */
    public function key(): string
    {
        return Recall::question('', array_map(
            static fn (array $some): array => array_map(static fn (Piece $p): string => $p->fingerprint, $some),
            $this->things,
        ));
    }

    /**
     * What of open stretches of a line it fills.
     *
     * @param  list<Interval>  $open
     * @return list<Interval>
     */
    public function filled(float $x, array $open): array
    {
        $filled = [];
        foreach ($this->things === [] ? [] : $open as $stretch) {
            $steps = max(1, (int) ceil($stretch->length() / self::STEP_MM));
            $each = $stretch->length() / $steps;
            for ($k = 0; $k < $steps; $k++) {
                if ($this->isFilledAt(new Vec2($x, $stretch->from + $each * ($k + 0.5)))) {
                    $filled[] = new Interval($stretch->from + $each * $k, $stretch->from + $each * ($k + 1));
                }
            }
        }

        return Interval::joined($filled, Tolerance::ROUNDING);
    }

    /** Whether it is met somewhere in the card, square to that, or of a slope straight up; or lies in a box there. */
    private function isFilledAt(Vec2 $at): bool
    {
        $start = $this->frame->at($at);
        $deep = $this->surface->thickness();
        $ways = $this->surface->kind() === 'wall'
            ? [$this->frame->normal->times(-$deep)]
            : [$this->frame->normal->times($deep), new Vec3(0.0, 0.0, $deep / $this->frame->normal->z)];
        foreach ($ways as $way) {
            for ($k = 0; $k <= self::DEEP; $k++) {
                if ($this->isIn($start->plus($way->times($k / self::DEEP)))) {
                    return true;
                }
            }
        }

        return false;
    }

    private function isIn(Vec3 $place): bool
    {
        foreach ($this->things as $i => $pieces) {
            foreach ($pieces as $piece) {
                if (self::isInPiece($piece, $place)) {
                    return true;
                }
            }
            if ($this->isEnclosed($i, $this->frame->project($place), $this->frame->height($place))) {
                return true;
            }
        }

        return false;
    }

    private static function isInPiece(Piece $piece, Vec3 $place): bool
    {
        foreach ($piece->isNearTo($place, self::ROOM_MM) ? $piece->facets : [] as $facet) {
            $height = $facet->frame->height($place);
            $flat = $facet->frame->project($place);
            if (
                $height < self::ROOM_MM && $height > -$facet->thickness - self::ROOM_MM
                && ($facet->region->contains($flat) || $facet->region->outline->distanceTo($flat) < self::ROOM_MM)
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether card or paper of one thing stands round a place on all sides, as the walls of a box do: whichever way one looks from it along
     * the surface, there is some.
     *
     * @param  int  $thing  by its place among those that go through
     * @param  float  $height  over the surface's plane
     */
    private function isEnclosed(int $thing, Vec2 $at, float $height): bool
    {
        $cuts = $this->cutsAt($thing, $height);
        for ($k = 0; $k < self::WAYS; $k++) {
            $way = new Vec2(cos(2.0 * M_PI * ($k + 0.5) / self::WAYS), sin(2.0 * M_PI * ($k + 0.5) / self::WAYS));
            if (! self::isStopped($cuts, $at, $way)) {
                return false;
            }
        }

        return $cuts !== [];
    }

    /**
     * Places are looked at in a few heights, over all of a hole.
     *
     * @return list<array{Vec2, Vec2}>
     */
    private function cutsAt(int $thing, float $height): array
    {
        $key = sprintf('%d %.6F', $thing, $height);
        if (! isset($this->cuts[$key])) {
            $this->cuts[$key] = [];
            foreach ($this->things[$thing] as $piece) {
                foreach ($piece->facets as $facet) {
                    array_push($this->cuts[$key], ...$this->cuts($facet, $height));
                }
            }
        }

        return $this->cuts[$key];
    }

    /** @return list<array{Vec2, Vec2}> where both faces of a card pass a height over the plane, in that */
    private function cuts(Facet $facet, float $height): array
    {
        $along = $facet->frame->normal->cross($this->frame->normal);
        if ($along->length() < Tolerance::UNIT) {
            return [];
        }
        $cuts = [];
        foreach ([0.0, -$facet->thickness] as $out) {
            $met = [];
            $points = array_map(static fn (Vec2 $p): Vec3 => $facet->frame->at($p, $out), $facet->region->outline->points);
            foreach ($points as $i => $p) {
                $q = $points[($i + 1) % count($points)];
                [$from, $to] = [$this->frame->height($p) - $height, $this->frame->height($q) - $height];
                if (($from > 0.0) !== ($to > 0.0)) {
                    $met[] = $p->plus($q->minus($p)->times($from / ($from - $to)));
                }
            }
            usort($met, static fn (Vec3 $p, Vec3 $q): int => $p->dot($along) <=> $q->dot($along));
            foreach (array_chunk(array_map(fn (Vec3 $p): Vec2 => $this->frame->project($p), $met), 2) as $pair) {
                array_push($cuts, ...count($pair) === 2 ? [[$pair[0], $pair[1]]] : []);
            }
        }

        return $cuts;
    }

    /** @param  list<array{Vec2, Vec2}>  $cuts */
    private static function isStopped(array $cuts, Vec2 $at, Vec2 $way): bool
    {
        foreach ($cuts as [$from, $to]) {
            [$a, $along] = [$from->minus($at), $to->minus($from)];
            $turn = $way->cross($along);
            if (abs($turn) > Tolerance::ROUNDING) {
                [$far, $share] = [$a->cross($along) / $turn, $a->cross($way) / $turn];
                // Cards that meet at a corner may do so a little way off.
                $off = Tolerance::COVER / max(Tolerance::COVER, $along->length());
                if ($far > 0.0 && $share >= -$off && $share <= 1.0 + $off) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param  array{float, float}  $so  least and greatest of others
     * @return array{float, float} with those of its corners over a plane
     */
    private static function heights(Piece $piece, Frame $plane, array $so): array
    {
        foreach ($piece->facets as $facet) {
            foreach ($facet->region->outline->points as $point) {
                foreach ([0.0, -$facet->thickness] as $out) {
                    $height = $plane->height($facet->frame->at($point, $out));
                    $so = [min($so[0], $height), max($so[1], $height)];
                }
            }
        }

        return $so;
    }
}
