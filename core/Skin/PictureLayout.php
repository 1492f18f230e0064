<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Part\Pattern\Picture;

/** A picture has no units: it is laid as a whole, round corners and into openings as it comes. */
final readonly class PictureLayout implements Layout
{
    public function __construct(private Picture $picture)
    {
    }

    public function units(Box2 $box): array
    {
        return [];
    }

    public function turned(float $from, float $far, Interval $heights): array
    {
        return [];
    }

    public function onEdge(): float
    {
        return 0.0;
    }

    public function tones(): array
    {
        return $this->picture->palette()->all();
    }

    public function toneOf(array $unit): int
    {
        return 0;
    }
}
