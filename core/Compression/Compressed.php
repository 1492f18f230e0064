<?php

declare(strict_types=1);

namespace Chartula\Core\Compression;

use Chartula\Core\Building\Building;

/** A building as it is modelled after its compromises, and what they were. */
final readonly class Compressed
{
    /**
     * @param  list<array{path: string, text: string, gains_mm: float}>  $taken  what each step did, in words, and how much shorter or lower
     *     it made the building, real millimetres
     */
    public function __construct(
        public Building $building,
        public array $taken,
    ) {
    }
}
