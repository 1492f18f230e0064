<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

/** Every layer against the same layer round the corner, each bevelled at half the turn. */
final readonly class MitreEnds implements CornerEnds
{
    public function of(WallCorner $corner): array
    {
        // One paper still comes first.
        return $corner->alike(WallEnd::MITRE, ! $corner->runsThrough);
    }
}
