<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;

/** What lies over a transom or a lock rail. Real sizes. */
final readonly class UpperPanes
{
    /**
     * @param  RealLength  $from  up to the middle of what they stand on
     * @param  RealLength  $rail  how high that is
     * @param  int  $columns  in each light
     */
    public function __construct(
        public RealLength $from,
        public RealLength $rail,
        public int $columns,
        public int $rows,
        public RealLength $bar,
    ) {
    }
}
