<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Vec2;

/** Lines or closed shapes of one look. Filled by the even-odd rule, so that inner rings are holes. */
final readonly class Path
{
    /** @param  list<non-empty-list<Vec2>>  $lines */
    public function __construct(
        public Layer $layer,
        public array $lines,
        public bool $closed,
        public ?Stroke $stroke,
        public ?string $fill = null,
    ) {
    }
}
