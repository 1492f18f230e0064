<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** How walls are papered. Model millimetres; colours as #rrggbb. */
final readonly class SkinMethod
{
    /** @param  'folded'|'cut'  $opening whether paper turns into openings */
    public function __construct(
        public float $overlap_mm,
        public string $opening,
        public float $flap_mm,
        public string $brick,
        public string $mortar,
    ) {
    }
}
