<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry\Skeleton;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** An edge of the moving outline: a line that keeps its direction and moves inwards at a speed that changes at given heights. */
final class Front
{
    public readonly Vec2 $along;

    public readonly Vec2 $inward;

    /** The place of the line at $since, along $inward. */
    private float $offset;

    private float $since;

    public float $speed = 0.0;

    public int $face = -1;

    /**
     * @param  list<array{float, float}>  $schedule  from which height, how far inwards for each unit of height; 0 is a gable
     */
    public function __construct(
        public readonly int $edge,
        Vec2 $from,
        Vec2 $to,
        public readonly array $schedule,
        float $start,
    ) {
        $this->along = $to->minus($from)->times(1.0 / $to->distanceTo($from));
        $this->inward = new Vec2(-$this->along->y, $this->along->x);
        $this->offset = $this->inward->dot($from);
        $this->since = $start;
        $this->speed = $this->speedAt($start);
    }

    public function offset(float $height): float
    {
        return $this->offset + $this->speed * ($height - $this->since);
    }

    /** Changes to the speed that holds from $height on; false where it stays the same. */
    public function turnAt(float $height): bool
    {
        $speed = $this->speedAt($height);
        if ($speed === $this->speed) {
            return false;
        }
        $this->offset = $this->offset($height);
        $this->since = $height;
        $this->speed = $speed;

        return true;
    }

    private function speedAt(float $height): float
    {
        $speed = 0.0;
        foreach ($this->schedule as [$from, $value]) {
            $speed = $from <= $height + Tolerance::ROUNDING ? $value : $speed;
        }

        return $speed;
    }
}
