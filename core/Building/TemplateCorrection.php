<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** How a part is printed otherwise than it is: so much farther out, or in, at one side. The part itself stays as it is. */
final readonly class TemplateCorrection
{
    /** Of the part's drawing, seen from its outside. */
    public const SIDES = ['left', 'right', 'top', 'bottom'];

    /** What has to be corrected by more is another part, mm. */
    public const MOST_MM = 3.0;

    /**
     * @param  string  $part  by its id in the kit
     * @param  value-of<self::SIDES>  $side
     * @param  float  $mm  outwards; less than nothing inwards
     * @param  string  $date  as YYYY-MM-DD
     */
    public function __construct(
        public string $part,
        public string $side,
        public float $mm,
        public string $reason,
        public string $date,
        public string $path,
    ) {
    }
}
