<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;

/** A kind of opening, described once. Real sizes; `w` and `h` are the finished structural opening, `h` to the crown. */
final readonly class Style
{
    public const KINDS = ['window', 'door', 'open'];

    /**
     * @param  value-of<self::KINDS>  $kind  open: nothing stands in it, as in an archway
     * @param  ?RealLength  $rise  of a segmental head; null for a flat one
     */
    public function __construct(
        public string $id,
        public string $kind,
        public RealLength $w,
        public RealLength $h,
        public ?RealLength $rise,
        public RealLength $reveal,
        public ?Sill $sill,
        public ?Panes $frame,
    ) {
    }
}
