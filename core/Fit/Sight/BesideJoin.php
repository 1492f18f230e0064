<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Sight;

use Chartula\Core\Building\Site\Neighbour;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** A neighbour beside the end of a cut building, and how much of where that ends it hides. docs/formulas.md#sight */
final readonly class BesideJoin
{
    /**
     * @param  float  $away  from the flank to it
     * @param  float  $front  how far its front lies behind the building's
     * @param  float  $from  the angle from which it stands before the join, degrees
     * @param  float  $to  and up to which it does
     * @param  float  $hiddenTo  the height up to which it hides the join from the highest eye at the widest angle
     */
    private function __construct(
        public Neighbour $neighbour,
        public float $away,
        public float $front,
        public float $from,
        public float $to,
        public float $hiddenTo,
    ) {
    }

    /**
     * @param  array{join: Join, end: 'left'|'right', from: EyePlace, hidden: float, place: Vec2}  $end
     * @return ?self null where it does not stand beside that end
     */
    public static function of(Neighbour $neighbour, Plot $plot, SightLines $sight, array $end): ?self
    {
        $sign = $end['end'] === 'left' ? -1.0 : 1.0;
        $place = $end['place'];
        $points = array_map($plot->inBuilding(...), $neighbour->outline->points);
        $offs = array_map(static fn (Vec2 $p): float => $sign * ($p->x - $place->x), $points);
        $isBefore = array_filter($points, static fn (Vec2 $p): bool => $p->y < $place->y - Tolerance::MEET) !== [];
        if (min($offs) <= 0.0 || ! $isBefore) {
            return null;
        }
        $angles = array_map(static fn (Vec2 $p, float $off): float => rad2deg(atan2($off, $place->y - $p->y)), $points, $offs);
        // The corner past which the eye looks is that seen at the least angle.
        $near = $points[(int) array_search(min($angles), $angles, true)];
        $share = $near->distanceTo($place) / max(Tolerance::MEET, $end['from']->at->distanceTo($place));
        // A line from the eye to the join at a height z passes that corner at z + (h − z)·share.
        $hidden = $share >= 1.0 ? INF : ($neighbour->to - $sight->eye->highest * $share) / (1.0 - $share);

        return new self(
            $neighbour,
            min($offs),
            max(0.0, min(array_map(static fn (Vec2 $p): float => $p->y, $points)) - $sight->front),
            min($angles),
            max($angles),
            $hidden,
        );
    }

    public function isTallEnough(float $top): bool
    {
        return $this->neighbour->from <= Tolerance::MEET && $this->hiddenTo >= $top - Tolerance::TOLD;
    }
}
