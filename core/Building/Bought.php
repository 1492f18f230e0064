<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** A fitting that is bought or made by other means: measured outside, model millimetres. */
final readonly class Bought
{
    /** What it may be off the size that its opening lets in. */
    public const OFF_MM = 0.05;

    /**
     * @param  string  $price  of one; '' where nobody says
     * @param  string  $source  where it is from, likewise
     */
    public function __construct(
        public float $w,
        public float $h,
        public float $depth,
        public string $price,
        public string $source,
    ) {
    }
}
