<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\Tolerance;

/** What stands upright on a slope: whatever else lies there keeps clear of it. In plan, the building's axes, model millimetres. */
final readonly class Standing
{
    /** What is thinner between two holes cannot be cut. */
    private const LEAST_WEB_MM = 1.0;

    /**
     * @param  bool  $goesThrough  whether there is a hole for it, and it is in the way of what stands under the slope
     * @param  ?Ring  $room  all that it takes up, however high over the slope; null where that is no more
     */
    public function __construct(public Feature $feature, public Ring $ring, public bool $goesThrough, private ?Ring $room = null)
    {
    }

    /** Whether two would stand in one place, or so near each other that nothing can be cut between. */
    public function isNear(self $other): bool
    {
        $apart = $this->goesThrough && $other->goesThrough ? self::LEAST_WEB_MM : Tolerance::MEET;
        [$own, $its] = [$this->room ?? $this->ring, $other->room ?? $other->ring];

        return Hull::around($this->ring->points)->distanceTo(Hull::around($other->ring->points), $apart) < $apart
            || Hull::around($own->points)->distanceTo(Hull::around($its->points), Tolerance::MEET) < Tolerance::MEET;
    }
}
