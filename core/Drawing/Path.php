<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Vec2;

/** Lines or closed shapes of one look. Filled by the even-odd rule, so that inner rings are holes. */
final readonly class Path
{
    use CopiesWith;

    /**
     * @param  list<non-empty-list<Vec2>>  $lines
     * @param  ?Tiles  $tiles  with which it is filled, over its colour
     */
    public function __construct(
        public Layer $layer,
        public array $lines,
        public bool $closed,
        public ?Stroke $stroke,
        public ?string $fill = null,
        public ?Tiles $tiles = null,
    ) {
    }

    public function box(): Box2
    {
        return Box2::around(array_merge(...$this->lines));
    }
}
