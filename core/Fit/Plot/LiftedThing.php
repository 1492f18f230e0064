<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Lift;
use Chartula\Core\Geometry\Hull;

/** Something on the plot beside the building, and the way by which it comes off, where it does. */
final readonly class LiftedThing
{
    /**
     * @param  non-empty-list<Body>  $bodies
     * @param  ?value-of<Lift::WAYS>  $lifts
     */
    public function __construct(
        public string $name,
        public array $bodies,
        public ?string $lifts,
        public string $path,
    ) {
    }

    /** @return list<Hull> what of it lies between two heights, as it looks from above */
    public function shadows(float $low, float $high): array
    {
        return array_values(
            array_map(
                static fn (Body $b): Hull => $b->shadow,
                array_filter($this->bodies, static fn (Body $b): bool => $b->isLevelWith($low, $high)),
            ),
        );
    }
}
