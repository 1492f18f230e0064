<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

/** All layers as one board: those of one wall run through, those of the other end against it. */
final readonly class ButtEnds implements CornerEnds
{
    public function of(WallCorner $corner): array
    {
        return $corner->runsThrough ? $corner->alike(WallEnd::THROUGH) : $corner->alike(WallEnd::STOPPED, true);
    }
}
