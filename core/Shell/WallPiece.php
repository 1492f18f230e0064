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

    /** Without what is printed on it and said of it, and without what is let into it, but where holes are kept. */
    public function plain(WallSpan $span, bool $keepsHoles): self
    {
        $holes = $keepsHoles ? $this->part->holes : [];

        return new self($span, $this->layer, $this->shape->plain(), $this->part->with(holes: $holes, marks: [], workings: []));
    }
}
