<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Stock\Stock;

/** One page of parts: of one stock, or of several in frames. */
final readonly class Sheet
{
    /** @var non-empty-list<PlacedPart> frame by frame */
    public array $parts;

    /**
     * @param  non-empty-list<Frame>  $frames  from the top down
     * @param  bool  $isPrinted  whether it has been, so that its pieces lie where they lie
     */
    public function __construct(
        public int $number,
        public Page $page,
        public array $frames,
        public bool $isPrinted = false,
    ) {
        $this->parts = array_merge(...array_map(static fn (Frame $f): array => $f->parts, $frames));
    }

    /** @return list<PlacedPart> all but spares */
    public function wanted(): array
    {
        return array_values(array_filter($this->parts, static fn (PlacedPart $p): bool => ! $p->isSpare()));
    }

    /** Whether parts of more than one stock lie on it. */
    public function isShared(): bool
    {
        return count($this->frames) > 1;
    }

    /** How often the stock that lies at a place is cut until the knife is through. */
    public function passesAt(Vec2 $at): int
    {
        foreach ($this->frames as $frame) {
            if ($at->y >= $frame->box->y0 - Tolerance::MEET && $at->y <= $frame->box->y1 + Tolerance::MEET) {
                return $frame->stock->cutPasses();
            }
        }

        return $this->stock()->cutPasses();
    }

    /** The stock that all of it, or its uppermost frame, is for. */
    public function stock(): Stock
    {
        return $this->frames[0]->stock;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => (string) $this->number,
            'stock' => $this->stock()->id,
            'size' => [$this->page->width, $this->page->height],
            'template' => $this->frames[0]->isTemplate(),
            'mirrored' => $this->frames[0]->isMirrored(),
            'printed' => $this->isPrinted,
            'frames' => array_map(static fn (Frame $f): array => $f->toArray(), $this->frames),
            'parts' => array_map(static fn (PlacedPart $p): array => [
                'part' => $p->part->part->id, 'copy' => $p->copy, 'x' => round($p->x, 4), 'y' => round($p->y, 4),
                'turn' => $p->turn, 'mirrored' => $p->mirrored, ...$p->isSpare() ? ['spare' => true] : [],
            ], $this->parts),
            'order' => array_map(static fn (CutStep $s): array => $s->toArray(), CuttingOrder::of($this)),
        ];
    }
}
