<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Stock\Stock;

/** A part of a page that is for one stock: parts for several cards share a page of labels, each card's in a frame of its own. */
final readonly class Frame
{
    /** A frame that shares its page has a line of words over it, as high as this, mm. */
    public const TITLE_MM = 4.5;

    /**
     * @param  Box2  $box  on the page, without the line of words
     * @param  non-empty-list<PlacedPart>  $parts
     */
    public function __construct(
        public Stock $stock,
        public Box2 $box,
        public array $parts,
    ) {
    }

    public function isTemplate(): bool
    {
        return $this->stock->takesTemplate();
    }

    public function isMirrored(): bool
    {
        return array_filter($this->parts, static fn (PlacedPart $p): bool => $p->mirrored) !== [];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'stock' => $this->stock->id,
            'template' => $this->isTemplate(),
            'mirrored' => $this->isMirrored(),
            'x' => round($this->box->x0, 4), 'y' => round($this->box->y0, 4),
            'width' => round($this->box->width(), 4), 'height' => round($this->box->height(), 4),
            'parts' => count($this->parts),
        ];
    }
}
