<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

/** How a wall ends at a corner, layer by layer: one of these for every CornerMethod. docs/formulas.md#corner */
interface CornerEnds
{
    /** @return non-empty-list<WallEnd> from the outermost layer inwards */
    public function of(WallCorner $corner): array;
}
