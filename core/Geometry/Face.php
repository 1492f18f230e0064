<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

/** One of the faces into which lines cut a region. */
final readonly class Face
{
    /**
     * @param  list<array{cut: int, face: int, from: Vec2, to: Vec2}>  $beyond  its sides along cuts, which face lies beyond
     *                                                                          each; the face lies on the left of `from` → `to`
     */
    public function __construct(
        public Region $region,
        public array $beyond,
    ) {
    }
}
