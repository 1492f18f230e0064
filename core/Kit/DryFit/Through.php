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

    private readonly Frame $frame;

    /** @param  list<Piece>  $pieces */
    private function __construct(private readonly Surface $surface, private readonly array $pieces)
    {
        $this->frame = $surface->frame();
    }

    /** @param  list<Piece>  $pieces  all that are placed */
    public static function of(Surface $surface, array $pieces): self
    {
        $reach = [];
        foreach ($pieces as $piece) {
            if ($piece->part->group === 'trim') {
                $reach[$piece->part->id][] = $piece;
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
                array_push($through, ...$some);
            }
        }

        return new self($surface, $through);
    }

    /** All that filled() may depend on, in one word. */
    public function key(): string
    {
        return Recall::question('', array_map(static fn (Piece $p): string => $p->fingerprint, $this->pieces));
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
        foreach ($this->pieces === [] ? [] : $open as $stretch) {
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

    /** Whether it is met somewhere in the card, square to that, or of a slope straight up. */
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
        foreach ($this->pieces as $piece) {
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
