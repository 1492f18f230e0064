<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Filling;
use Chartula\Core\Building\HeadShape;
use Chartula\Core\Building\Holding;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\SkinMethod;
use Chartula\Core\Building\Style;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Stock\Stack;
use Chartula\Core\Stock\Stock;

/**
 * How each layer of a wall is cut round one opening, how deep what stands in it stands, and what holds that. Model millimetres.
 * docs/formulas.md#frame
 */
final readonly class OpeningCut
{
    /** More rings behind a wall than these are a wall of their own. */
    private const MOST_RINGS = 6;

    /** Glass keeps so far from strips beside it. */
    private const BESIDE_MM = 0.1;

    /**
     * @param  int  $front  so many layers, from the outermost, end at the finished opening
     * @param  float  $rebate  how far those behind are cut back; 0 where there are none
     * @param  float  $lap  how far what stands in it reaches beyond the finished opening; 0 where it goes into that
     * @param  float  $depth  of the outside of a frame or a leaf, behind the outside of the wall
     * @param  float  $round  how thick the card is round which paper turns in
     * @param  float  $paper  that turns in
     * @param  Holding  $held  what holds it indeed, whatever was wanted
     * @param  int  $rings  of card behind the wall
     * @param  float  $band  how wide they are, beyond the finished opening
     * @param  ?float  $stop  how wide the strips behind it are
     * @param  ?Stock  $strip  of what
     */
    public function __construct(
        public int $front,
        public float $rebate = 0.0,
        public float $lap = 0.0,
        public float $depth = 0.0,
        public float $round = 0.0,
        private float $paper = 0.0,
        public Holding $held = Holding::Glue,
        public int $rings = 0,
        public float $band = 0.0,
        public ?float $stop = null,
        public ?Stock $strip = null,
    ) {
    }

    /** As its kind wants it held, where that can be; where there is no room for that, in another way; else by glue. */
    public static function of(Building $building, WallForm $wall, Opening $opening, OpeningRoom $room): self
    {
        $stack = $building->methods->stacks[$wall->wall->stack];
        $layered = $building->methods->isInLayer($opening->style, $stack) && $wall->receding === null
            ? self::layered($building, $wall, $opening, $room)
            : null;
        if ($layered !== null) {
            return $layered;
        }
        $wanted = $building->methods->holding($opening->style);
        $ways = match ($wanted) {
            Holding::Glue => [],
            Holding::Rebate, Holding::Layer => [Holding::Rebate, Holding::Behind, Holding::Stops],
            Holding::Behind => [Holding::Behind, Holding::Rebate, Holding::Stops],
            Holding::Stops => [Holding::Stops, Holding::Rebate, Holding::Behind],
        };
        // What is bought fits one opening alone.
        $ways = array_filter($ways, static fn (Holding $way): bool => $opening->style->bought === null || $way->laps() === $wanted->laps());
        foreach ($ways as $way) {
            $cut = match ($way) {
                Holding::Behind => self::behind($building, $wall, $opening, $room->behind($opening)),
                Holding::Stops => self::stopped($building, $wall, $stack, $opening),
                default => self::rebated($building, $wall, $opening, $room),
            };
            if ($cut !== null) {
                return $cut;
            }
        }

        return self::glued($building, $wall, $stack, $opening);
    }

    /** Of no wall: what stands in it by itself. */
    public static function none(): self
    {
        return new self(1);
    }

    private static function glued(Building $building, WallForm $wall, Stack $stack, Opening $opening): self
    {
        $room = $stack->thickness_mm - self::takes($building, $opening);
        $depth = max(0.0, min($building->scale->modelMm($opening->style->reveal), $room));

        return new self(count($stack->layers), depth: $depth, round: $stack->thickness_mm, paper: $wall->turnIn);
    }

    /** Behind as many layers as the reveal is deep, one at the least; null where it has no room behind one. */
    private static function rebated(Building $building, WallForm $wall, Opening $opening, OpeningRoom $free): ?self
    {
        $stack = $building->methods->stacks[$wall->wall->stack];
        $reveal = $building->scale->modelMm($opening->style->reveal);
        $room = $stack->thickness_mm - self::takes($building, $opening) - $wall->turnIn;
        $front = null;
        for ($n = 1; $n < count($stack->layers); $n++) {
            $depth = $stack->depthOf($n);
            if ($depth <= $room + Tolerance::ROUNDING && ($n === 1 || $depth <= $reveal + Tolerance::FIGURE)) {
                $front = $n;
            }
        }

        $rebate = $front === null ? 0.0 : $free->rebate($opening);

        return $front === null || $rebate <= 0.0 ? null : new self(
            $front, $rebate, $rebate, $stack->depthOf($front) + $wall->turnIn, $stack->depthOf($front), $wall->turnIn, Holding::Rebate,
        );
    }

    /** In a layer of the wall; what lies behind that, as glass does, in a rebate or on the wall's back; null without room there. */
    private static function layered(Building $building, WallForm $wall, Opening $opening, OpeningRoom $room): ?self
    {
        $stack = $building->methods->stacks[$wall->wall->stack];
        $at = (int) $stack->frames();
        $hasMore = $opening->style->isGlazed() || $opening->style->cards() > 1;
        $isLast = $at === count($stack->layers) - 1;
        $lap = match (true) {
            ! $hasMore => 0.0,
            $isLast => $room->behind($opening)[0],
            default => $room->rebate($opening),
        };

        return $hasMore && $lap <= 0.0 ? null : new self(
            $at + 1, $isLast ? 0.0 : $lap, $lap, $stack->depthOf($at), $stack->depthOf($at), $wall->turnIn, Holding::Layer,
        );
    }

    /** How deep all that stands in it reaches, from the wall's outside. */
    public function deep(Building $building, Opening $opening, Stack $stack): float
    {
        $layer = $this->held === Holding::Layer
            ? $stack->layers[$this->front - 1]->thickness_mm - self::frameThickness($building)
            : 0.0;

        return $this->depth + $layer + self::takes($building, $opening);
    }

    /** @param  array{float, float}  $free  how far it may lap, and how wide rings may be */
    private static function behind(Building $building, WallForm $wall, Opening $opening, array $free): ?self
    {
        $stack = $building->methods->stacks[$wall->wall->stack];
        [$lap, $band] = $free;
        $rings = self::ringsBehind($building, $stack, $opening->style, $wall->turnIn);
        $deep = $stack->thickness_mm + $rings * $stack->innermost()->thickness_mm;

        return $lap <= 0.0 ? null : new self(
            count($stack->layers), 0.0, $lap, $deep + $wall->turnIn, $deep, $wall->turnIn, Holding::Behind, $rings, $band,
        );
    }

    /** As many as come nearest to the reveal that is wanted. */
    public static function ringsBehind(Building $building, Stack $stack, Style $style, float $paper): int
    {
        $left = $building->scale->modelMm($style->reveal) - $stack->thickness_mm - $paper;

        return max(0, min(self::MOST_RINGS, (int) round($left / $stack->innermost()->thickness_mm)));
    }

    /** How deep all of what would be stuck behind a wall reaches, from the wall's outside. */
    public static function deepBehind(Building $building, Stack $stack, Opening $opening, float $paper): float
    {
        return $stack->thickness_mm + $paper + self::takes($building, $opening)
            + self::ringsBehind($building, $stack, $opening->style, $paper) * $stack->innermost()->thickness_mm;
    }

    /** As deep as wanted, where what is left of the wall behind its cards is as wide as a strip must be; null where nothing is. */
    private static function stopped(Building $building, WallForm $wall, Stack $stack, Opening $opening): ?self
    {
        $cards = self::takes($building, $opening) - ($opening->style->isGlazed() ? $building->methods->glazing->thickness_mm : 0.0);
        $room = $stack->thickness_mm - max($cards + $building->methods->frame->leastWebMm(), self::takes($building, $opening));
        $strip = self::strip($building, $opening->style);
        if ($room < 0.0 || $strip === null || $wall->receding !== null || $opening->style->head === HeadShape::Circle) {
            return null;
        }
        $depth = min($building->scale->modelMm($opening->style->reveal), $room);

        return new self(
            count($stack->layers), depth: $depth, round: $stack->thickness_mm, paper: $wall->turnIn, held: Holding::Stops,
            stop: $stack->thickness_mm - $depth - $cards, strip: $strip,
        );
    }

    /** The card of frames or, where that would be seen beside a fine one, that of strips; null where both would be. */
    private static function strip(Building $building, Style $style): ?Stock
    {
        $solid = $style->frame->stile ?? $style->leaf->rail ?? null;
        $border = $solid === null ? INF : Filling::PLAY_MM + $building->scale->modelMm($solid);
        foreach ([$building->methods->frame, $building->methods->strip] as $stock) {
            if (self::card($building, $stock) + self::BESIDE_MM <= $border) {
                return $stock;
            }
        }

        return null;
    }

    /** How thick a card is with what is stuck on it. */
    private static function card(Building $building, Stock $stock): float
    {
        return $stock->thickness_mm + $building->methods->template->addsTo($stock);
    }

    /** How thick the strips behind it are. */
    public function stripThickness(Building $building): float
    {
        return $this->strip === null ? 0.0 : self::card($building, $this->strip);
    }

    /** How much larger than finished the opening is in a layer. */
    public function grow(int $layer): float
    {
        return $this->paper + ($layer < $this->front ? 0.0 : $this->rebate);
    }

    /** @return list<int> the layers that are cut back */
    public function cutBack(Stack $stack): array
    {
        return $this->rebate > 0.0 && $this->front < count($stack->layers) ? range($this->front, count($stack->layers) - 1) : [];
    }

    /** How deep paper turns in: in a rebate no farther than to its side. */
    public function flap(SkinMethod $skin): float
    {
        $flap = $skin->flap($this->round);
        if ($this->held === Holding::Layer) {
            return min($flap, $this->round);
        }

        return $this->lap > 0.0 ? min($flap, $this->round + $this->lap) : $flap;
    }

    /** How far beyond the finished opening anything is stuck on the back of the wall. */
    public function reach(): float
    {
        return match (true) {
            $this->held === Holding::Behind => max($this->lap, $this->rings > 0 ? $this->band : 0.0),
            // What lies behind its layer may be thicker than the wall there.
            $this->held === Holding::Layer => $this->lap,
            default => 0.0,
        };
    }

    /** How much smaller glass is than the cards before it, each side: so that glue can creep, and clear of strips. */
    public function besideGlass(Building $building, float $least): float
    {
        return $this->strip === null ? $least : max($least, $this->stripThickness($building) + self::BESIDE_MM - Filling::PLAY_MM);
    }

    /** How thick all that stands in it is: cards, the glass behind them, the paper before what it is filled up with. */
    public static function takes(Building $building, Opening $opening): float
    {
        $style = $opening->style;
        if (! $style->isFilled()) {
            return 0.0;
        }

        return ($style->bought->depth ?? 0.0) + $style->cards() * self::frameThickness($building)
            + ($style->isGlazed() ? $building->methods->glazing->thickness_mm : 0.0)
            + ($style->filling() === Filling::Blind ? $building->methods->paper->thickness_mm : 0.0);
    }

    public static function frameThickness(Building $building): float
    {
        return self::card($building, $building->methods->frame);
    }
}
