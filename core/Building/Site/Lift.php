<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

/**
 * The way by which the building comes off the layout, what has to stay free beside it, how long a piece is still handy, and what a joint
 * between two such pieces leaves open. Model millimetres.
 */
final readonly class Lift
{
    public const HANDY_MM = 300.0;

    public const JOINT_MM = 0.5;

    public const WAYS = ['up', 'front', 'back', 'left', 'right'];

    /** @param  value-of<self::WAYS>  $way */
    public function __construct(
        public string $way,
        public float $play,
        public float $handy = self::HANDY_MM,
        public float $joint = self::JOINT_MM,
    ) {
    }
}
