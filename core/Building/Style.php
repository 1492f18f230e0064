<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Measure\RealLength;
use stdClass;

/** A kind of opening, described once. Real sizes; `w` and `h` are the finished structural opening, `h` to the crown. */
final readonly class Style
{
    use CopiesWith;

    public const LONGEST_NAME = 60;

    /**
     * @param  string  $name  what a person calls it
     * @param  ?RealLength  $rise  of its head, where that is said
     * @param  list<Feature>  $dress  what stands round each of them
     * @param  ?RealLength  $rebate  by which what stands in it reaches behind what it leans against; null where that is as usual
     * @param  ?Holding  $held  what holds that; null where it is held as all are
     * @param  ?Finish  $lining  what its sides are of; null where that is what the wall is of
     * @param  ?Leaf  $leaf  where it has no frame
     * @param  ?Glass  $glass  what is to be seen on its glass; null where it is clear
     * @param  ?Blind  $blind  what it is filled up with
     * @param  ?Bought  $bought  what is bought to stand in it
     * @param  ?string  $lining_colour  as #rrggbb; null where it is as usual
     */
    public function __construct(
        public string $id,
        public string $name,
        public OpeningKind $kind,
        public RealLength $w,
        public RealLength $h,
        public ?RealLength $rise,
        public RealLength $reveal,
        public ?Panes $frame,
        public array $dress = [],
        public ?RealLength $rebate = null,
        public ?Finish $lining = null,
        public ?string $lining_colour = null,
        public HeadShape $head = HeadShape::Flat,
        public ?Leaf $leaf = null,
        public ?Glass $glass = null,
        public ?Blind $blind = null,
        public ?Bought $bought = null,
        public ?Holding $held = null,
    ) {
    }

    /** How far its head rises, as wide as it is now; null where it is level. */
    public function riseMm(): ?float
    {
        return $this->head->rise($this->w->mm, $this->rise?->mm);
    }

    public function filling(): Filling
    {
        return match (true) {
            $this->kind === OpeningKind::Open => Filling::Nothing,
            $this->bought !== null => Filling::Bought,
            $this->blind !== null => Filling::Blind,
            $this->frame === null => Filling::Leaf,
            default => Filling::Frame,
        };
    }

    /** Whether anything stands in it: what slides before its wall does not. */
    public function isFilled(): bool
    {
        return $this->filling() !== Filling::Nothing && $this->leaf?->slides === null;
    }

    /** Whether it is closed, so that something stands in all of it. */
    public function isShut(): bool
    {
        return $this->isFilled() && $this->leaf?->isShut() !== false;
    }

    /** Whether something stands along all its sides: what closes it, or the frame of a leaf that is hung. */
    public function standsRound(): bool
    {
        return $this->isFilled() && $this->leaf?->standsRound() !== false;
    }

    /** How many cards lie behind each other in it. */
    public function cards(): int
    {
        return match ($this->filling()) {
            Filling::Frame => $this->frame?->isDeep === true || $this->frame?->opens === true || $this->frame?->tracery !== null ? 2 : 1,
            Filling::Leaf => $this->leaf?->isFaced() === true ? 2 : 1,
            Filling::Blind => 1,
            Filling::Bought, Filling::Nothing => 0,
        };
    }

    public function isGlazed(): bool
    {
        return match ($this->filling()) {
            Filling::Frame => true,
            Filling::Leaf => $this->leaf?->glazed !== null,
            Filling::Blind, Filling::Bought, Filling::Nothing => false,
        };
    }

    /** What a person calls a kind: its name, or the word that it was begun with. */
    public static function wordsOf(string $id, mixed $described): string
    {
        $name = $described instanceof stdClass && is_string($described->name ?? null) ? trim($described->name) : '';

        return $name !== '' ? $name : str_replace('-', ' ', $id);
    }
}
