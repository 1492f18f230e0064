<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\RealLength;

/**
 * An opening, or a row of equal ones; `row` is the id of the row in bays that it is one of. Real sizes; `from` is from the wall's left end
 * to the left jamb.
 */
final readonly class Opening
{
    use CopiesWith;

    /** @param  ?list<Feature>  $dress  null where its kind says it */
    public function __construct(
        public string $id,
        public Style $style,
        public RealLength $from,
        public RealLength $sill,
        public int $count,
        public ?RealLength $pitch,
        public string $path,
        public ?string $row = null,
        private ?array $dress = null,
    ) {
    }

    /** @return list<Feature> what stands round it: what it says itself, or else its kind */
    public function dress(): array
    {
        return $this->dress ?? $this->style->dress;
    }

    /** Real millimetres from the wall's left end to the left jamb of number $i, counted from 0. */
    public function leftMm(int $i): float
    {
        return $this->from->mm + $i * ($this->pitch->mm ?? 0.0);
    }

    /** Gives the stretch of the wall from jamb to jamb that number $i takes, real millimetres. */
    public function extent(int $i): Interval
    {
        return Interval::of($this->leftMm($i), $this->style->w->mm);
    }

    /** What one of a row is called: of the first the id alone. */
    public function copyId(int $copy): string
    {
        return $this->id.($copy === 0 ? '' : '-'.($copy + 1));
    }
}
