<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Geometry\Vec2;

/** One thing to do with the knife. */
final readonly class CutStep
{
    /** @param  'score'|'slit'|'opening'|'outline'  $what */
    public function __construct(
        public string $what,
        public PlacedPart $placed,
        public ?int $index,
    ) {
    }

    /**
     * The line to follow, in the part's own frame; round and closed for openings and outlines.
     *
     * @return non-empty-list<Vec2>
     */
    public function points(): array
    {
        $part = $this->placed->part->part;
        $i = $this->index ?? 0;
        if ($this->what === 'score') {
            return [$part->scores[$i]->from, $part->scores[$i]->to];
        }
        if ($this->what === 'slit') {
            return $part->slits[$i];
        }
        $ring = $this->what === 'opening' ? $part->holes[$i] : $part->outline->blank();

        return [...$ring->points, $ring->points[0]];
    }

    /** Whether this is a score that belongs on the side of the sheet that lies down. */
    public function isOnOtherSide(): bool
    {
        return $this->what === 'score'
            && $this->placed->part->part->scores[$this->index ?? 0]->scoreOn !== ($this->placed->mirrored ? 'back' : 'face');
    }

    /** @return array{what: string, part: string, copy: int, index: ?int} */
    public function toArray(): array
    {
        return ['what' => $this->what, 'part' => $this->placed->part->part->id, 'copy' => $this->placed->copy, 'index' => $this->index];
    }
}
