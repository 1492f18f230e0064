<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Arc;
use Chartula\Core\Geometry\Vec2;

/** A part of a circle over the jambs; grown it keeps its centre. docs/formulas.md#segmental-arch */
final readonly class SegmentalHead implements Head
{
    private Arc $arc;

    /** @param  float  $height  to the crown */
    public function __construct(float $width, float $height, float $rise)
    {
        $this->arc = Arc::over(0.0, $width, $height - $rise, $rise);
    }

    public function heightAt(float $x, float $by): ?float
    {
        return $this->arc->grown($by)->heightAt($x);
    }

    public function points(float $fromX, float $toX, float $by): array
    {
        return $this->arc->grown($by)->points($fromX, $toX);
    }

    public function radius(float $by): float
    {
        return $this->arc->radius + $by;
    }

    public function centre(): Vec2
    {
        return $this->arc->centre;
    }
}
