<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Vec2;

/** Level from jamb to jamb. */
final readonly class FlatHead implements Head
{
    public function __construct(private float $height)
    {
    }

    public function heightAt(float $x, float $by): float
    {
        return $this->height + $by;
    }

    public function points(float $fromX, float $toX, float $by): array
    {
        return [new Vec2($fromX, $this->height + $by), new Vec2($toX, $this->height + $by)];
    }

    public function chains(): array
    {
        return [];
    }
}
