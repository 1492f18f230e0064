<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

/** An angle; constructed in degrees, used in either. */
final readonly class Angle
{
    private function __construct(public float $degrees)
    {
    }

    public static function ofDegrees(float $degrees): self
    {
        return new self($degrees);
    }

    public function radians(): float
    {
        return deg2rad($this->degrees);
    }

    public function sin(): float
    {
        return sin($this->radians());
    }

    public function cos(): float
    {
        return cos($this->radians());
    }

    public function tan(): float
    {
        return tan($this->radians());
    }

    /** `40°`, `37.5°` */
    public function text(): string
    {
        return LengthFormat::trimmed($this->degrees, 3).'°';
    }
}
