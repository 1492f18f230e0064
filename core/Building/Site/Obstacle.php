<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Geometry\Vec2;

/** A rod, wire, lamp, screw head or the like that is there already, and may move. The plot's own axes, model millimetres. */
final readonly class Obstacle
{
    public const KINDS = ['rod', 'wire', 'lamp', 'screw', 'motor', 'post', 'tie', 'other'];

    /**
     * @param  Vec2  $at  its middle
     * @param  float  $width  along x, or across where it is round
     * @param  float  $from  its foot against the baseboard; below it where it is negative
     * @param  Vec2  $travel  how far it moves from where it is
     * @param  float  $play  free all round it
     * @param  ?value-of<Lift::WAYS>  $lifts  the way by which it comes off, where it does
     */
    public function __construct(
        public string $id,
        public string $kind,
        public string $name,
        public Vec2 $at,
        public float $width,
        public float $depth,
        public bool $isRound,
        public float $from,
        public float $to,
        public Vec2 $travel,
        public float $play,
        public string $path,
        public ?string $lifts = null,
    ) {
    }
}
