<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

/** The way by which the building comes off the layout, and what has to stay free beside it. Model millimetres. */
final readonly class Lift
{
    public const WAYS = ['up', 'front', 'back', 'left', 'right'];

    /** @param  value-of<self::WAYS>  $way */
    public function __construct(
        public string $way,
        public float $play,
    ) {
    }
}
