<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;

/** That a leaf hangs on pins in a frame of its own. docs/formulas.md#hinges */
final readonly class Hinges
{
    /**
     * @param  int  $count  of each leaf
     * @param  RealLength  $post  how wide the frame is that they are in
     * @param  float  $pin  how thick what they turn on is, model millimetres
     */
    public function __construct(public int $count, public RealLength $post, public float $pin)
    {
    }
}
