<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Geometry\Box2;

/** The piece of the finished building that is nearest to something at its own height, and how near. */
final readonly class Nearest
{
    private function __construct(
        public FinishedPiece $piece,
        public float $distance,
    ) {
    }

    /**
     * @param  list<Body>  $bodies
     * @param  float  $within  where it may be nearer than this, openings are looked into
     * @return ?self null where nothing stands at its height
     */
    public static function to(Finished $finished, array $bodies, float $within): ?self
    {
        $nearest = null;
        $boxes = array_map(static fn (Body $b): Box2 => $b->shadow->bounds(), $bodies);
        foreach ($finished->pieces as $piece) {
            foreach ($bodies as $i => $body) {
                if (
                    ! $piece->whole->isLevelWith($body->low, $body->high)
                    || ($nearest !== null && $piece->box->gapTo($boxes[$i]) >= $nearest->distance)
                ) {
                    continue;
                }
                // The whole of it is no farther than any piece of it.
                $distance = $piece->whole->shadow->distanceTo($body->shadow);
                if ($nearest !== null && $distance >= $nearest->distance) {
                    continue;
                }
                if ($distance < $within) {
                    $distance = self::exactly($piece, $body);
                }
                if ($distance !== null && ($nearest === null || $distance < $nearest->distance)) {
                    $nearest = new self($piece, $distance);
                }
            }
        }

        return $nearest;
    }

    private static function exactly(FinishedPiece $piece, Body $other): ?float
    {
        $least = null;
        foreach ($piece->bodies() as $body) {
            if ($body->isLevelWith($other->low, $other->high)) {
                $distance = $body->shadow->distanceTo($other->shadow);
                $least = $least === null ? $distance : min($least, $distance);
            }
        }

        return $least;
    }
}
