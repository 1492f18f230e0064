<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Feature;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;

/** Where a thing is, as the document says it, with what it names found. */
final readonly class Place
{
    use CopiesWith;

    /**
     * @param  string  $path  of what is said of it
     * @param  ?int  $edge  of the block's footprint
     * @param  list<string>  $openings  of that wall, by their ids; of one that is repeated with its number from 2, as “w1-2”
     * @param  ?int  $corner  of the footprint
     * @param  int  $nth  among the lines of a slope that are alike, from the left, from 0
     * @param  ?RealLength  $from  from the left end
     * @param  ?RealLength  $to  from the left end, too; null: the other end
     * @param  ?RealLength  $up  above the block's base
     * @param  ?RealLength  $upTo  above the block's base; null: the eaves
     * @param  ?Vec2  $at  in the block's axes, real mm: of a floor, or of what lies under a slope; on the ground in the plot's, model mm
     * @param  float  $along  a track, model mm
     * @param  float  $off  to its left, model mm
     */
    public function __construct(
        public Anchor $anchor,
        public string $path,
        public ?int $edge = null,
        public array $openings = [],
        public ?int $corner = null,
        public int $level = 0,
        public ?RoofLineKind $line = null,
        public int $nth = 0,
        public ?string $feature = null,
        public ?string $storey = null,
        public ?string $track = null,
        public ?RealLength $from = null,
        public ?RealLength $to = null,
        public ?RealLength $up = null,
        public ?RealLength $upTo = null,
        public ?Vec2 $at = null,
        public float $turnDeg = 0.0,
        public float $along = 0.0,
        public float $off = 0.0,
    ) {
    }

    /**
     * With its openings under their names of now; null where some of them are gone.
     *
     * @param  array<string, string>  $names  of those that are left, by what they were called
     */
    public function renamed(array $names): ?self
    {
        $now = array_map(static fn (string $id): ?string => $names[$id] ?? null, $this->openings);

        return in_array(null, $now, true) ? null : $this->with(openings: $now);
    }

    /**
     * With its heights moved; null where nothing is left between them.
     *
     * @param  float  $base  of its block above the datum
     * @param  callable(float): float  $up  from heights above the datum to those of now
     */
    public function lifted(float $base, callable $up): ?self
    {
        $above = static function (?RealLength $height) use ($base, $up): ?RealLength {
            $mm = $height === null ? 0.0 : $up($base + $height->mm) - $base;

            return $height === null || abs($mm - $height->mm) < Tolerance::MEET ? $height : RealLength::ofMillimetres($mm);
        };
        $moved = $this->with(up: $above($this->up), upTo: $above($this->upTo));

        return $moved->upTo !== null && $moved->upTo->mm - ($moved->up->mm ?? 0.0) < Tolerance::MEET ? null : $moved;
    }
}
