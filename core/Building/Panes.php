<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;

/** How a frame is divided. Real sizes. */
final readonly class Panes
{
    /**
     * @param  bool  $sash whether a meeting rail of a stile's width stands between the halves
     * @param  bool  $isDeep  whether the lower half of a sash lies behind the upper one
     */
    public function __construct(
        public int $columns,
        public int $rows,
        public RealLength $stile,
        public RealLength $bar,
        public bool $sash,
        public bool $isDeep = false,
    ) {
    }
}
