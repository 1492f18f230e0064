<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry\Skeleton;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** A corner of the moving outline, between the front before it and the front after it. */
final class Corner
{
    public bool $isAlive = true;

    public self $previous;

    public self $next;

    /** @param  bool  $mayHit  it does not point outwards, so that it may run into another edge */
    public function __construct(
        public readonly Front $before,
        public readonly Front $after,
        public readonly int $node,
        private readonly Vec2 $place,
        private readonly float $since,
        private readonly Vec2 $motion,
        public readonly bool $mayHit,
    ) {
    }

    public function at(float $height): Vec2
    {
        $by = $height - $this->since;

        return new Vec2($this->place->x + $this->motion->x * $by, $this->place->y + $this->motion->y * $by);
    }

    public function motion(): Vec2
    {
        return $this->motion;
    }

    /** Whether its fronts lie in one line now and have different speeds. */
    public function partsInLine(): bool
    {
        return abs($this->before->along->cross($this->after->along)) <= Tolerance::ROUNDING
            && $this->before->along->dot($this->after->along) > 0.0
            && abs($this->before->speed - $this->after->speed) > Tolerance::ROUNDING;
    }
}
