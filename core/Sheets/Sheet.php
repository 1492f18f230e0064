<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Stock\Stock;

/** One page of parts of one stock. */
final readonly class Sheet
{
    /** @param  list<PlacedPart>  $parts */
    public function __construct(
        public int $number,
        public Stock $stock,
        public Page $page,
        public bool $isTemplate,
        public bool $isMirrored,
        public array $parts,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => (string) $this->number,
            'stock' => $this->stock->id,
            'size' => [$this->page->width, $this->page->height],
            'template' => $this->isTemplate,
            'mirrored' => $this->isMirrored,
            'parts' => array_map(static fn (PlacedPart $p): array => [
                'part' => $p->part->part->id, 'copy' => $p->copy, 'x' => round($p->x, 4), 'y' => round($p->y, 4),
                'turn' => $p->turned ? 90 : 0, 'mirrored' => $p->mirrored,
            ], $this->parts),
            'order' => array_map(static fn (CutStep $s): array => $s->toArray(), CuttingOrder::of($this)),
        ];
    }
}
