<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;

/** How the leaf of a door, or what closes a window without glass, is made. Real sizes. docs/formulas.md#leaves */
final readonly class Leaf
{
    public const PLANKS = 'planks';

    public const PANELLED = 'panelled';

    /** Framed, ledged and braced, over planks. */
    public const BRACED = 'braced';

    public const LOUVRED = 'louvred';

    public const ROLLER = 'roller';

    public const PLAIN = 'plain';

    /** Those with a card over the leaf that is open over each panel. */
    public const FACED = [self::PANELLED, self::BRACED, self::LOUVRED];

    /**
     * @param  self::PLANKS|self::PANELLED|self::BRACED|self::LOUVRED|self::ROLLER|self::PLAIN  $kind
     * @param  RealLength  $board  how wide a plank or a slat is, as near as they come out equal
     * @param  array{int, int}  $panels  columns and rows
     * @param  RealLength  $rail  how wide it is round its panels and between them
     * @param  bool  $isDouble  two leaves that meet in the middle
     * @param  ?UpperPanes  $glazed  what of it is glass, over a rail
     * @param  ?RealLength  $split  up to where a stable door's lower leaf goes
     * @param  'left'|'right'  $hinge  on which side a single leaf hangs, as seen from outside
     * @param  string  $handle  none, knob, lever or ring
     * @param  bool  $hasLetterPlate  a slot for letters
     * @param  float  $angle  by how much it stands open outwards, degrees; 0 where it is shut
     * @param  'left'|'right'|'apart'|null  $slides  where it goes before its wall, or both halves of it; null where it is hung
     * @param  ?Hinges  $hinges  on which it turns in a frame of its own; null where it is fixed
     * @param  float  $slid  how far it has gone, from 0 to 1
     */
    public function __construct(
        public string $kind,
        public RealLength $board,
        public array $panels,
        public RealLength $rail,
        public bool $isDouble,
        public ?UpperPanes $glazed = null,
        public ?RealLength $split = null,
        public string $hinge = 'left',
        public string $handle = 'none',
        public bool $hasLetterPlate = false,
        public float $angle = 0.0,
        public ?string $slides = null,
        public float $slid = 0.0,
        public ?Hinges $hinges = null,
    ) {
    }

    /** Whether something of it stands along all sides of its opening. */
    public function standsRound(): bool
    {
        return $this->isShut() || $this->hinges !== null;
    }

    /** Whether it closes its opening, within that. */
    public function isShut(): bool
    {
        return $this->angle <= 0.0 && $this->slides === null;
    }

    /**
     * One of two halves.
     *
     * @param  'left'|'right'  $side
     */
    public function half(string $side): self
    {
        return new self(
            $this->kind, $this->board, $this->panels, $this->rail, false, $this->glazed, $this->split, $side, $this->handle,
            $this->hasLetterPlate && $side === 'right', $this->angle, $this->slides, $this->slid, $this->hinges,
        );
    }

    /** As a frame would be divided, a light for each leaf. */
    public function divided(): Panes
    {
        $leaves = $this->isDouble ? 2 : 1;
        [$columns, $rows] = match ($this->kind) {
            self::PANELLED => $this->panels,
            // Three ledges have two fields between them; over a lock rail one is left.
            self::BRACED => [1, $this->glazed === null ? 2 : 1],
            default => [1, 1],
        };

        return new Panes($columns, $rows, $this->rail, $this->rail, false, lights: $leaves, mullion: $this->rail, above: $this->glazed);
    }

    public function isFaced(): bool
    {
        return in_array($this->kind, self::FACED, true);
    }
}
