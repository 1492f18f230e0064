<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Part\Part;

/** One piece of card of a wall, with what its edges meet. */
final readonly class WallPiece
{
    public function __construct(
        public WallSpan $span,
        public int $layer,
        public WallShape $shape,
        public Part $part,
    ) {
    }
}
