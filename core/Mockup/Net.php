<?php

declare(strict_types=1);

namespace Chartula\Core\Mockup;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** Faces unfolded into one flat piece, with its folds and tabs. Millimetres on the paper, its outside up. */
final readonly class Net
{
    /**
     * @param  list<array{name: string, ring: Ring, drawn: list<Ring>}>  $faces
     * @param  list<array{from: Vec2, to: Vec2, fold: 'away'|'toward', degrees: float}>  $folds
     * @param  list<array{ring: Ring, from: Vec2, to: Vec2, name: string}>  $tabs  each hinged at from–to, folded away
     * @param  list<array{from: Vec2, to: Vec2, name: string}>  $mates  edges that a tab of that name is stuck behind
     */
    public function __construct(
        public string $name,
        public array $faces,
        public array $folds,
        public array $tabs,
        public array $mates,
    ) {
    }

    public function bounds(): Box2
    {
        return Box2::around(
            array_merge(...array_map(static fn (array $f): array => $f['ring']->points, [...$this->faces, ...$this->tabs])),
        );
    }
}
