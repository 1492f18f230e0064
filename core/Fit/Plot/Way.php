<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Lift;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Vec2;

/** One of the ways by which things come off the layout, and how near others are to all that a thing passes on it. The plot's own axes. */
final readonly class Way
{
    /** @param  value-of<Lift::WAYS>  $name */
    public function __construct(
        public string $name,
        private float $far,
        private float $play,
    ) {
    }

    public function words(): string
    {
        return $this->name === 'up' ? 'lifted up' : "drawn out to the $this->name";
    }

    /**
     * How near one convex thing passes another that stays: negative where it is caught; null where the other is not in its way. What is
     * lifted
     * straight up past something that stands in a hole of it is not caught by that.
     *
     * @param  callable(float, float): list<Hull>  $between  shadows of what of it lies between two heights
     */
    public function past(callable $between, Body $stays): ?float
    {
        return $this->name === 'up' ? $this->upPast($between, $stays) : $this->asidePast($between, $stays);
    }

    /** No more than how near anything in a box passes it, and quickly told. */
    public function gap(Box2 $box, Body $stays): float
    {
        $by = $this->name === 'up' ? new Vec2(0.0, 0.0) : $this->by();
        $swept = new Box2(
            $box->x0 + min(0.0, $by->x),
            $box->y0 + min(0.0, $by->y),
            $box->x1 + max(0.0, $by->x),
            $box->y1 + max(0.0, $by->y),
        );

        return $swept->gapTo($stays->shadow->bounds());
    }

    /** Whether another could be in the way of a piece at all, by their heights and how far apart they are at the least. */
    public function concerns(Body $piece, Body $stays, float $gap): bool
    {
        return $this->name === 'up'
            ? $piece->low < $stays->low || ($gap < $this->play && $piece->isLevelWith($stays->low, $stays->high))
            : $piece->isLevelWith($stays->low - $this->play, $stays->high + $this->play);
    }

    private function by(): Vec2
    {
        return match ($this->name) {
            'front' => new Vec2(0.0, -$this->far),
            'back' => new Vec2(0.0, $this->far),
            'left' => new Vec2(-$this->far, 0.0),
            default => new Vec2($this->far, 0.0),
        };
    }

    /** @param  callable(float, float): list<Hull>  $between */
    private function upPast(callable $between, Body $stays): ?float
    {
        // What is lower than the whole of it comes up past it; what is level with it passes along it.
        $under = self::nearest($between(-INF, $stays->low), $stays->shadow);
        $beside = self::nearest($between($stays->low, $stays->high), $stays->shadow);
        $beside = $beside !== null && ($beside < 0.0 || $beside >= $this->play) ? null : $beside;

        return $under === null || $beside === null ? $under ?? $beside : min($under, $beside);
    }

    /** @param  callable(float, float): list<Hull>  $between */
    private function asidePast(callable $between, Body $stays): ?float
    {
        $by = $this->by();
        // A hole for what stands in it is none for what it is drawn along.
        $hulls = array_map(static fn (Hull $h): Hull => $h->swept($by), $between($stays->low - $this->play, $stays->high + $this->play));

        return self::nearest($hulls, $stays->shadow);
    }

    /** @param  list<Hull>  $hulls */
    private static function nearest(array $hulls, Hull $to): ?float
    {
        return $hulls === [] ? null : min(array_map($to->distanceTo(...), $hulls));
    }
}
