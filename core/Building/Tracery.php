<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;

/** What divides the head of a window of several lights. Real sizes. docs/formulas.md#tracery */
final readonly class Tracery
{
    /**
     * @param  'pointed'|'round'  $heads  of its lights
     * @param  int  $foils  of its circles; 0 for plain ones
     * @param  RealLength  $bar  how wide what stands round each circle is
     */
    public function __construct(public string $heads, public int $foils, public RealLength $bar)
    {
    }
}
