<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

/** Pitches of the brickwork, joint included, and the joint itself; real millimetres, above zero. */
final readonly class Gauge
{
    public function __construct(
        public float $brick_mm,
        public float $course_mm,
        public float $joint_mm,
    ) {
    }

    /** 9in, 3in, 3/8in. */
    public static function imperial(): self
    {
        return new self(228.6, 76.2, 9.525);
    }
}
