<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Neighbour;
use Chartula\Core\Building\Site\Obstacle;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;

/** The convex bodies of what stands on the plot beside the building. */
final readonly class Bodies
{
    /** @return non-empty-list<Body> */
    public static function neighbour(Neighbour $neighbour): array
    {
        $tiles = (new Region($neighbour->outline))->trapezoids();
        // An outline so thin that nothing tiles it still stands where it is.
        $rings = $tiles === [] ? [$neighbour->outline] : $tiles;

        return array_map(static fn (Ring $r): Body => new Body(Hull::around($r->points), $neighbour->from, $neighbour->to), $rings);
    }

    /** @return non-empty-list<Body> wherever it moves */
    public static function obstacle(Obstacle $o): array
    {
        $still = $o->isRound ? Hull::circle($o->at, $o->width / 2.0)
            : Hull::rectangle(
                $o->at->x - $o->width / 2.0,
                $o->at->y - $o->depth / 2.0,
                $o->at->x + $o->width / 2.0,
                $o->at->y + $o->depth / 2.0,
            );

        return [new Body($o->travel->length() > 0.0 ? $still->swept($o->travel) : $still, $o->from, $o->to)];
    }
}
