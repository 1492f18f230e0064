<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Kit\DryFit\Stretches;

/** Openings in a wall, looked up by where an upright line crosses them: a long wall may have a hundred. */
final readonly class Holes
{
    /** @var array<int, list<Ring>> those that begin before a whole millimetre along the wall, and end after it */
    private array $at;

    /** @param  list<Ring>  $rings */
    public function __construct(public array $rings)
    {
        $at = [];
        foreach ($rings as $ring) {
            $box = $ring->bounds();
            for ($mm = (int) floor($box->x0); $mm <= (int) floor($box->x1); $mm++) {
                $at[$mm][] = $ring;
            }
        }
        $this->at = $at;
    }

    /** @return list<Interval> */
    public function at(float $x): array
    {
        return Stretches::at($x, $this->at[(int) floor($x)] ?? []);
    }
}
