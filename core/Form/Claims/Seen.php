<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Building\Finish;
use Chartula\Core\Geometry\Vec3;

/** One face of a thing as it is seen from far off. Model millimetres, the building's axes. */
final readonly class Seen
{
    /**
     * @param  non-empty-list<Vec3>  $ring  counter-clockwise as seen from outside
     * @param  Vec3  $normal  of length 1, outwards
     */
    public function __construct(public array $ring, public Vec3 $normal, public Finish $finish)
    {
    }
}
