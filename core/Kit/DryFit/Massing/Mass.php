<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/** The space that a block takes up, by the document: footprint, base, walls' tops, roof. Model millimetres, the building's axes. */
final readonly class Mass
{
    /** An edge is looked at in so many places. */
    private const LOOKED_AT = 16;

    /**
     * @param  Ring  $ring  its footprint where it stands
     * @param  list<?int>  $edges  which of the block's walls stands on each edge of it; null where low relief has cut it
     * @param  list<int>  $runsOn  edges over which its roof runs on into another block
     * @param  list<Ring>  $tails  where it may do so
     * @param  float  $top  of its walls where no slope lies on them
     * @param  bool  $isShut  it has no roof, or a parapet round it: it takes up all that its walls enclose
     * @param  list<Slope>  $slopes
     * @param  list<float>  $feet  how high its walls begin at each corner
     * @param  list<int>  $changed  edges whose walls relief has made shorter
     * @param  list<callable(Vec3): Vec3>  $moves  what relief and perspective did to every place of it, in order
     */
    public function __construct(
        public Block $block,
        public Ring $ring,
        public array $edges,
        public array $runsOn,
        public array $tails,
        public float $base,
        public float $top,
        public bool $isShut,
        public array $slopes,
        public array $feet,
        public array $changed = [],
        public array $moves = [],
    ) {
    }

    /**
     * With walls on other edges said to be shorter than they are described.
     *
     * @param  list<int>  $changed
     */
    public function shortened(array $changed): self
    {
        return new self($this->block, $this->ring, $this->edges, $this->runsOn, $this->tails, $this->base, $this->top, $this->isShut,
            $this->slopes, $this->feet, $changed, $this->moves);
    }

    /** With nothing wanted of walls that stand in the line at which it is cut: the backscene is there. */
    public function openBeyond(float $y): self
    {
        $edges = [];
        foreach ($this->edges as $edge => $wall) {
            $isAtBack = min($this->ring->point($edge)->y, $this->ring->point($edge + 1)->y) > $y - Tolerance::MEET;
            $edges[] = $isAtBack ? null : $wall;
        }

        return new self($this->block, $this->ring, $edges, $this->runsOn, $this->tails, $this->base, $this->top, $this->isShut,
            $this->slopes, $this->feet, $this->changed, $this->moves);
    }

    /** Where a place of the block as it is described has come to lie. */
    public function place(Vec3 $at): Vec3
    {
        foreach ($this->moves as $move) {
            $at = $move($at);
        }

        return $at;
    }

    /**
     * With every place of it moved; planes must stay planes.
     *
     * @param  callable(Vec3): Vec3  $move
     */
    public function moved(callable $move): self
    {
        $points = array_map(
            static fn (Vec2 $p, float $foot): Vec3 => $move(new Vec3($p->x, $p->y, $foot)),
            $this->ring->points,
            $this->feet,
        );
        $feet = array_map(static fn (Vec3 $p): float => $p->z, $points);

        return new self(
            $this->block,
            new Ring(array_map(static fn (Vec3 $p): Vec2 => new Vec2($p->x, $p->y), $points)),
            $this->edges,
            $this->runsOn,
            array_map(fn (Ring $tail): Ring => self::flat($tail, $this->base, $move), $this->tails),
            min($feet),
            $this->top,
            $this->isShut,
            array_map(static fn (Slope $s): Slope => $s->moved($move), $this->slopes),
            $feet,
            $this->changed,
            [...$this->moves, $move],
        );
    }

    /** @param  callable(Vec3): Vec3  $move */
    private static function flat(Ring $ring, float $z, callable $move): Ring
    {
        return new Ring(array_map(static function (Vec2 $p) use ($z, $move): Vec2 {
            $at = $move(new Vec3($p->x, $p->y, $z));

            return new Vec2($at->x, $at->y);
        }, $ring->points));
    }

    /** Outlines where a roof runs on beyond an edge, between the lines of the neighbouring edges carried on. */
    public static function tail(Ring $ring, int $edge, float $reach): Ring
    {
        [$a, $b] = [$ring->point($edge), $ring->point($edge + 1)];
        $left = $a->minus($ring->point($edge - 1));
        $right = $b->minus($ring->point($edge + 2));

        return new Ring([$a, $a->plus($left->times($reach / $left->length())), $b->plus($right->times($reach / $right->length())), $b]);
    }

    /** Whether its roof may run on over a place beyond its footprint. */
    public function mayReach(Vec2 $at): bool
    {
        foreach ($this->tails as $tail) {
            if ($tail->contains($at)) {
                return true;
            }
        }

        return false;
    }

    /** Whether another begins right beyond an edge over which its roof runs on. */
    public function runsInto(self $other): bool
    {
        foreach ($this->runsOn as $edge) {
            $from = $this->ring->point($edge);
            $along = $this->ring->point($edge + 1)->minus($from);
            $out = (new Vec2($along->y, -$along->x))->times(Tolerance::COVER / $along->length());
            for ($k = 0.5; $k < self::LOOKED_AT; $k++) {
                if ($other->ring->contains($from->plus($along->times($k / self::LOOKED_AT))->plus($out))) {
                    return true;
                }
            }
        }

        return false;
    }

    /** The plane over a place; null where none is. */
    public function slopeOver(Vec2 $at): ?Slope
    {
        foreach ($this->slopes as $slope) {
            if ($slope->plan->contains($at)) {
                return $slope;
            }
        }

        return null;
    }

    /**
     * How high it fills a place of its footprint.
     *
     * @param  Vec2  $beside  a place beside that one, on the side of it that is meant
     */
    public function height(Vec2 $at, Vec2 $beside): float
    {
        return $this->isShut ? $this->top : ($this->slopeOver($beside)?->height($at) ?? $this->top);
    }

    /** How thick, upright, the card of its roof is over a place. */
    public function over(Vec2 $at, float $thickness): float
    {
        return $this->isShut ? 0.0 : ($this->slopeOver($at)?->over($thickness) ?? 0.0);
    }

    /** What it, and what hangs out of its roof, lies over; not where that runs on. */
    public function box(float $scale): Box2
    {
        $out = max([0.0, ...array_map(static fn (RoofEdge $e): float => $e->overhang->mm, $this->block->roof->edges)]) / $scale;

        // A roof let down to its lowest eaves hangs out further over the others, but no further than they are cut.
        return $this->ring->bounds()->grown(2.0 * $out + 1.0);
    }
}
