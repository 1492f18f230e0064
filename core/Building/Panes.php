<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;

/** How a frame is divided. Real sizes. docs/formulas.md#frame */
final readonly class Panes
{
    public const CUT = 'cut';

    public const WIDENED = 'widened';

    public const PRINTED = 'printed';

    public const DROPPED = 'dropped';

    /**
     * @param  int  $columns  of panes, in each of its lights
     * @param  int  $rows  likewise, up to a transom where there is one
     * @param  bool  $sash  whether a meeting rail of a stile's width stands between the halves
     * @param  bool  $isDeep  whether the lower half of a sash lies behind the upper one
     * @param  int  $lights  side by side under one head
     * @param  ?RealLength  $mullion  how wide what stands between two lights is; as wide as its stiles where it is not said
     * @param  ?UpperPanes  $above  what lies over a transom
     * @param  ?RealLength  $riser  up to where it is solid
     * @param  bool  $opens  whether each light has a leaf of its own
     * @param  ?RealLength  $raised  how far the lower half of a sash that lies behind the other is pushed up
     * @param  float  $ajar  by how many degrees one of its casements stands open; 0 where all are shut
     * @param  int  $ajarLight  which of them, from the left
     * @param  ?Tracery  $tracery  what divides its head, over lights with heads of their own
     * @param  string  $bars  what becomes of its bars: cut, cut wider where they are too fine, printed on the glass, or dropped
     */
    public function __construct(
        public int $columns,
        public int $rows,
        public RealLength $stile,
        public RealLength $bar,
        public bool $sash,
        public bool $isDeep = false,
        public int $lights = 1,
        public ?RealLength $mullion = null,
        public ?UpperPanes $above = null,
        public ?RealLength $riser = null,
        public bool $opens = false,
        public string $bars = self::CUT,
        public ?Tracery $tracery = null,
        public ?RealLength $raised = null,
        public float $ajar = 0.0,
        public int $ajarLight = 1,
    ) {
    }

    /** Its lights as they are before anything divides them: one under tracery. */
    public function undivided(bool $opens = false): self
    {
        $above = $this->above;

        return new self(
            1, 1, $this->stile, $this->bar, false,
            lights: $this->tracery === null ? $this->lights : 1,
            mullion: $this->mullion,
            above: $above === null ? null : new UpperPanes($above->from, $above->rail, 1, 1, $above->bar),
            riser: $this->riser,
            opens: $opens,
        );
    }

    /** Whether its bars are of card. */
    public function areBarsCut(): bool
    {
        return $this->bars === self::CUT || $this->bars === self::WIDENED;
    }

    public function hasBars(): bool
    {
        // What lies between two rows of a sash is its meeting rail.
        return max($this->columns, $this->above->columns ?? 1, $this->above->rows ?? 1) > 1 || $this->rows > ($this->sash ? 2 : 1);
    }
}
