<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Geometry\Convex;
use Chartula\Core\Recall\Recall;

/** The piece of the finished building that is nearest to something, and how near: from solid to solid, in whatever direction. */
final readonly class Nearest
{
    private function __construct(
        public FinishedPiece $piece,
        public float $distance,
    ) {
    }

    /** @param  non-empty-list<Body>  $bodies */
    public static function to(Plot $plot, Finished $finished, array $bodies): ?self
    {
        $order = [];
        foreach ($finished->pieces as $i => $piece) {
            foreach ($bodies as $k => $body) {
                // The whole of it is no farther than any piece of it.
                $aside = max(0.0, $piece->box->gapTo($body->shadow->bounds()));
                $order[] = [hypot($aside, $piece->whole->above($body)), $i, $k];
            }
        }
        sort($order);
        $solids = array_map(static fn (Body $b): Convex => $b->solid($plot), $bodies);
        $questions = array_map(static fn (Body $b): string => Recall::question('near', $b), $bodies);
        $nearest = null;
        foreach ($order as [$least, $i, $k]) {
            if ($nearest !== null && $least > max(0.0, $nearest->distance)) {
                break;
            }
            $piece = $finished->pieces[$i];
            $distance = $finished->recalled($piece, $questions[$k], static fn (): float => self::apart($piece, $solids[$k]));
            if ($distance < ($nearest->distance ?? INF)) {
                $nearest = new self($piece, $distance);
            }
        }

        return $nearest;
    }

    private static function apart(FinishedPiece $piece, Convex $body): float
    {
        $least = INF;
        foreach ($piece->solids() as $solid) {
            if ($solid->gapTo($body) <= max(0.0, $least)) {
                $least = min($least, $solid->distanceTo($body));
            }
        }

        return $least;
    }
}
