<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Arc;
use Chartula\Core\Geometry\ArcChain;
use Chartula\Core\Geometry\Vec2;

/** Of a round light, all of its edge: over each place its upper half. docs/formulas.md#heads */
final readonly class CircleHead implements Head
{
    public function __construct(private Vec2 $centre, private float $radius)
    {
    }

    public function heightAt(float $x, float $by): ?float
    {
        return (new Arc($this->centre, $this->radius + $by))->heightAt($x);
    }

    public function points(float $fromX, float $toX, float $by): array
    {
        $points = (new Arc($this->centre, $this->radius + $by))->points(max($fromX, $toX), min($fromX, $toX));

        return $fromX >= $toX ? $points : array_reverse($points);
    }

    public function chains(): array
    {
        return [ArcChain::circle($this->centre, $this->radius)];
    }

    /**
     * All round it, from the right end of a foot that is one chord to its left end.
     *
     * @return non-empty-list<Vec2>
     */
    public function round(float $by): array
    {
        return ArcChain::circle($this->centre, $this->radius)->run(0.0, 1.0, $by);
    }
}
