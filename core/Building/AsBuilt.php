<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\LengthFormat;

/** A figure as it was measured on what has been built, which is the truth from then on. Model millimetres. */
final readonly class AsBuilt
{
    public const LENGTH = 'length';

    public const HEIGHT = 'height';

    public const APEX = 'apex';

    public const UP = 'up';

    public const ALONG = 'along';

    /** What can be measured of a wall. */
    public const OF_WALLS = [self::LENGTH, self::HEIGHT, self::APEX];

    /** What can be measured of the panel of a roof over a wall: from its lower side up to the ridge, and along its eaves. */
    public const OF_PANELS = [self::UP, self::ALONG];

    /** @param  string  $date  as YYYY-MM-DD */
    public function __construct(
        public float $mm,
        public string $reason,
        public string $date,
        public string $path,
    ) {
    }

    /** `as built 158.4 mm (2026-11-30: cut a hair short)` */
    public function words(): string
    {
        return 'as built '.LengthFormat::trimmed($this->mm, 3)." mm ($this->date: $this->reason)";
    }
}
