<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Stock\Stack;
use Chartula\Core\Stock\Stock;

/** How the building is made on the bench. Model millimetres. */
final readonly class Methods
{
    /** A rebate whose kind says nothing of one: it holds by 0.4 and more where paper turns in. */
    public const REBATE_MM = 1.0;

    /**
     * @param  array<string, Stock>  $shelf  all that it may be made from, by id
     * @param  array<string, Stack>  $stacks  by name; `wall` and `roof` always among them
     * @param  CornerMethod  $corner  of walls, where a block does not say otherwise
     * @param  'front-and-back'|'sides'  $through  which walls run full length at the corners
     * @param  bool  $hasSupports  formers and boards under the roofs
     * @param  float  $bury_mm  how far walls go below the lowest ground along them, on the model
     * @param  float  $thin_edge_mm  how far overhangs of the outermost layer of roofs reach beyond those of the card under it, level
     * @param  Holding  $held  what holds that which stands in an opening whose kind says nothing of it
     * @param  bool  $bevelsPanels  at the edges where panels of a roof meet others or a wall
     */
    public function __construct(
        public array $shelf,
        public array $stacks,
        public CornerMethod $corner,
        public string $through,
        public bool $hasFloor,
        public bool $hasBraces,
        public bool $hasSupports,
        public bool $bevelsPanels,
        public float $bury_mm,
        public SkinMethod $skin,
        public Template $template,
        public Stock $frame,
        public Stock $glazing,
        public Stock $paper,
        public Stock $strip,
        public float $thin_edge_mm = 0.0,
        public Holding $held = Holding::Glue,
    ) {
    }

    /** What is to hold that which stands in openings of a kind. */
    public function holding(Style $style): Holding
    {
        return match (true) {
            // What opens outwards cannot lean against anything there.
            ! $style->standsRound() => Holding::Glue,
            $style->held !== null => $style->held,
            $style->rebate !== null => Holding::Rebate,
            default => $this->held,
        };
    }

    /** Whether what stands in openings of a kind is cut in a layer of its wall: that has one for it, and the kind says nothing else. */
    public function isInLayer(Style $style, Stack $stack): bool
    {
        $isOfCards = in_array($style->filling(), [Filling::Frame, Filling::Leaf], true);

        return $stack->frames() !== null && $isOfCards && $style->isShut() && $style->leaf?->hinges === null
            && $style->held === null && $style->rebate === null;
    }

    /** How far what stands in openings of a kind reaches behind what it leans against; 0 where it goes into them. */
    public function rebateMm(Style $style, Scale $scale): float
    {
        return match (true) {
            ! $this->holding($style)->laps() => 0.0,
            $style->rebate !== null => $scale->modelMm($style->rebate),
            default => self::REBATE_MM,
        };
    }

    /** Whether of two walls at a corner those that run so go through: those to the front and back, or those to the sides. */
    public function runsThrough(Vec2 $along): bool
    {
        return (abs($along->x) >= abs($along->y) - Tolerance::ROUNDING) === ($this->through === 'front-and-back');
    }

    public function wall(): Stack
    {
        return $this->stacks['wall'];
    }

    /** @return array<string, Stock> all that it is made from, by id */
    public function stocks(): array
    {
        $stocks = [];
        foreach ($this->stacks as $stack) {
            foreach ($stack->layers as $layer) {
                $stocks[$layer->stock->id] = $layer->stock;
            }
        }
        foreach ([$this->frame, $this->glazing, $this->paper, $this->strip] as $stock) {
            $stocks[$stock->id] = $stock;
        }

        return $stocks;
    }

    public function roof(): Stack
    {
        return $this->stacks['roof'];
    }
}
