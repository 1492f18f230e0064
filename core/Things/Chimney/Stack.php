<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Methods;
use Chartula\Core\Field\Said;
use Chartula\Core\Form\Claims\RoofUnder;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Form\Facet;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\PartName;
use Chartula\Core\Stock\Layer;
use Chartula\Core\Stock\Stock;

/**
 * One chimney where it stands: its plan, from where to where it goes up, of what card. Its sides are counted from that towards the foot of
 * the slope on, counter-clockwise as seen from above. Model millimetres, the building's axes. docs/formulas.md#chimneys
 */
final readonly class Stack
{
    use CopiesWith;

    public const SIDES = ['front', 'right', 'back', 'left'];

    /** A box whose card leaves less than so many thicknesses between is made of layers. */
    private const LEAST_BOX = 2.0;

    /** What goes through a roof is held so far under it. */
    private const HELD_MM = 6.0;

    /** It stays so far above the eaves, where other things stand. */
    private const CLEAR_MM = 0.5;

    /**
     * @param  Vec2  $along  the way of its width, of length 1
     * @param  float  $top  of its cap
     * @param  list<?FootLine>  $tops  the roof's card along each side; null where some of it has no roof under it
     * @param  list<?FootLine>  $undersides  the same of its underside
     * @param  Vec2  $whole  its middle before low relief cut it
     * @param  ?Breast  $breast  what of it stands on the outside of a wall; null where it stands on a roof
     */
    private function __construct(
        public Said $said,
        public Site $site,
        public RoofUnder $roof,
        public Vec2 $middle,
        public Vec2 $along,
        public float $w,
        public float $d,
        public float $top,
        public array $tops,
        public array $undersides,
        public Vec2 $whole,
        public ?Breast $breast = null,
    ) {
    }

    /** Null where its place is on no roof. */
    public static function of(Site $site): ?self
    {
        $roof = $site->roof;
        if ($roof === null) {
            return null;
        }
        if ($site->place->anchor === Anchor::Wall) {
            return self::onWall($site, $roof);
        }
        $said = $site->feature->said;
        $turn = deg2rad($said->number('turn') ?? 0.0);
        $way = new Vec2($site->frame->x->x, $site->frame->x->y);
        $way = $way->times(1.0 / $way->length());
        $along = new Vec2($way->x * cos($turn) - $way->y * sin($turn), $way->x * sin($turn) + $way->y * cos($turn));
        $whole = new Vec2($site->frame->origin->x, $site->frame->origin->y);
        $size = [$site->masonry->mm($said->real('w')), $site->masonry->mm($said->real('d'))];
        [$middle, $w, $d] = BeforeCut::of($roof, [$whole, $along], $size, BeforeCut::farthest($site, $roof));

        return self::at($site, [$middle, $along, $whole], [$w, $d]);
    }

    /** Of one outside a wall: what of it is over its breast. */
    private static function onWall(Site $site, RoofUnder $roof): ?self
    {
        $breast = Breast::of($site, $roof);
        if ($breast === null) {
            return null;
        }
        $lower = $breast->isPlain() ? self::onLowerRoof($site, $roof) : null;
        if ($lower !== null) {
            return $lower;
        }
        $along = $breast->along();

        return self::at(
            $site, [$breast->middle($breast->narrow), $along, $breast->middle($breast->asSaid)],
            [$breast->narrow->length(), $breast->deep], $breast,
        );
    }

    /** Of one that stands on the roof of a lower block, against its wall; null where no such roof lies under all of it. */
    private static function onLowerRoof(Site $site, RoofUnder $roof): ?self
    {
        $facets = array_values(array_filter($roof->facets, static fn (Facet $f): bool => $f->block !== $roof->block->index));
        $lower = $site->with(roof: new RoofUnder($facets, $roof->methods, $roof->inside, $roof->block, $roof->cut, $roof->others));
        $against = $facets === [] || $lower->roof === null ? null : Breast::of($site, $lower->roof, true);
        $self = $against === null ? null : self::at(
            $lower, [$against->middle($against->narrow), $against->along(), $against->middle($against->asSaid)],
            [$against->narrow->length(), $against->deep],
        );

        return $self === null || in_array(null, $self->tops, true) || in_array(null, $self->undersides, true) ? null : $self;
    }

    /**
     * @param  array{Vec2, Vec2, Vec2}  $place  its middle, the way of its width, its middle before low relief cut it
     * @param  array{float, float}  $size
     */
    private static function at(Site $site, array $place, array $size, ?Breast $breast = null): self
    {
        $roof = $site->roof;
        assert($roof !== null);
        $said = $site->feature->said;
        [$middle, $along, $whole] = $place;
        [$w, $d] = $size;
        $plan = self::plan($middle, $along, $w / 2.0, $d / 2.0);
        $lines = static fn (bool $isTop): array => array_map(
            static fn (int $i): ?FootLine => FootLine::along($roof, $plan->point($i), $plan->point($i + 1), $isTop),
            [0, 1, 2, 3],
        );
        $tops = $lines(true);
        $from = match ($said->text('above')) {
            'base' => $roof->block->base,
            'roof' => max([-INF, ...array_map(static fn (?FootLine $l): float => $l?->highest() ?? $roof->block->eaves, $tops)]),
            default => $roof->ridge(),
        };

        $top = $from + $site->masonry->mm($said->real('h'));

        return new self($said, $site, $roof, $middle, $along, $w, $d, $top, $tops, $lines(false), $whole, $breast);
    }

    /** Whether low relief leaves less of it than is described. */
    public function isCut(): bool
    {
        return $this->breast->isCut ?? $this->whole->distanceTo($this->middle) > Tolerance::MEET;
    }

    /** Its plan, or what lies so far beyond each side of it. */
    public function ring(float $beyond = 0.0): Ring
    {
        return self::plan($this->middle, $this->along, $this->w / 2.0 + $beyond, $this->d / 2.0 + $beyond);
    }

    private static function plan(Vec2 $middle, Vec2 $along, float $w, float $d): Ring
    {
        $across = new Vec2(-$along->y, $along->x);
        $at = static fn (float $x, float $y): Vec2 => $middle->plus($along->times($x))->plus($across->times($y));

        return new Ring([$at(-$w, -$d), $at($w, -$d), $at($w, $d), $at(-$w, $d)]);
    }

    /** How long a side is. */
    public function length(int $side): float
    {
        return $side % 2 === 0 ? $this->w : $this->d;
    }

    /** The side with which its papers begin: which has, at its left, the corner that is farthest back. */
    public function firstSide(): int
    {
        $first = 0;
        $ring = $this->ring();
        foreach ($ring->points as $i => $p) {
            $first = $p->y > $ring->points[$first]->y + Tolerance::MEET ? $i : $first;
        }

        return $first;
    }

    /** The same over its breast's width: what its sides and what stands out of them are measured by. */
    public function overBreast(): self
    {
        assert($this->breast !== null);
        $wide = $this->breast->wide;

        return $this->with(middle: $this->breast->middle($wide), w: $wide->length());
    }

    /** The card that it is cut from. */
    public static function stockOf(Said $said, Methods $methods): Stock
    {
        $chosen = $said->stock('card');
        if ($chosen !== null) {
            return $chosen;
        }
        $layers = $methods->wall()->layers;
        usort($layers, static fn (Layer $a, Layer $b): int => $b->thickness_mm <=> $a->thickness_mm);

        return $layers[0]->stock;
    }

    /** How thick that is, with what a template adds. */
    public static function cardOf(Said $said, Methods $methods): float
    {
        $stock = self::stockOf($said, $methods);

        return $stock->thickness_mm + $methods->template->addsTo($stock);
    }

    public function stock(): Stock
    {
        return self::stockOf($this->said, $this->roof->methods);
    }

    public function card(): float
    {
        return self::cardOf($this->said, $this->roof->methods);
    }

    /**
     * Where the paper of a side begins: on the roof, or under that where it goes through; over the breast, and at its back on the wall.
     *
     * @return list<Vec2> from its left end to its right, y above the datum; none where no roof lies under it
     */
    public function paperFeet(int $side): array
    {
        if ($this->breast !== null) {
            return $this->breast->paperFeet($side);
        }

        return ($this->school() === 'through' ? $this->undersides : $this->tops)[$side]?->points() ?? [];
    }

    public function paper(): float
    {
        return $this->roof->methods->paper->thickness_mm;
    }

    /** Whether it goes through a hole, stands on a peg that does, or sits on the slope. */
    public function school(): string
    {
        return $this->said->text('made') ?? 'through';
    }

    public function isSolid(): bool
    {
        if ($this->breast !== null) {
            return $this->breast->layers > 0;
        }
        $of = $this->said->text('of');

        return $of === 'solid' || ($of !== 'box' && ! $this->hasRoomForBox() && $this->school() === 'through' && $this->isInside());
    }

    public function hasRoomForBox(): bool
    {
        return min($this->w, $this->d) >= (2.0 + self::LEAST_BOX) * $this->card();
    }

    /** Whether all that goes through the roof goes down between the walls of its block. */
    public function isInside(): bool
    {
        foreach (($this->hole() ?? $this->ring())->points as $corner) {
            if (! $this->roof->inside->contains($corner)) {
                return false;
            }
        }

        return $this->deep() !== null;
    }

    /** What goes through the roof, in plan; null where nothing does. */
    public function hole(): ?Ring
    {
        return match ($this->school()) {
            'through' => $this->ring($this->paper()),
            'inside' => $this->ring(-$this->card()),
            default => null,
        };
    }

    /** How far down under the roof it goes between the walls; null where there is no room. */
    public function deep(): ?float
    {
        $lowest = min([INF, ...array_map(static fn (?FootLine $l): float => $l?->lowest() ?? INF, $this->undersides)]);
        $deep = max($lowest - self::HELD_MM, $this->roof->block->eaves + self::CLEAR_MM);

        return $deep < $lowest - self::CLEAR_MM ? $deep : null;
    }

    /** What of its height is its cap: as many cards as come nearest to what is said, one at least. */
    public function capLayers(): int
    {
        return max(1, (int) round($this->mm('cap_h') / $this->card()));
    }

    /** The highest of the roof so far beyond its sides; the lowest there is where some of that has none. */
    public function highest(float $beyond): float
    {
        $ring = $this->ring($beyond);

        return max(array_map(
            fn (int $i): float => FootLine::along($this->roof, $ring->point($i), $ring->point($i + 1), true)?->highest() ?? -INF,
            [0, 1, 2, 3],
        ));
    }

    /** @return list<Course> what stands out of its sides all round, from below */
    public function courses(): array
    {
        return Course::of($this);
    }

    /** How far out of its sides anything stands on the roof. */
    public function reach(): float
    {
        $plinth = array_filter($this->courses(), static fn (Course $c): bool => $c->isOnRoof());

        return max([$this->paper(), ...array_map(fn (Course $c): float => $c->out() + $this->paper(), $plinth)]);
    }

    /** All that it takes up in plan, however high over the roof. */
    public function extent(): Ring
    {
        $outs = array_map(fn (Course $c): float => $c->out() + $this->paper(), $this->courses());

        return $this->ring(max([$this->paper(), $this->mm('cap_out') + $this->paper(), ...$outs]));
    }

    /** How far its walls go up. */
    public function head(): float
    {
        return $this->top - $this->capLayers() * $this->card();
    }

    /** How high its courses may go. */
    public function underCornice(): float
    {
        return $this->head() - $this->mm('cornice');
    }

    /** What one of its parts is called. */
    public function name(string $layer): PartName
    {
        [$block, $feature] = [$this->roof->block->block->id, $this->site->feature->id ?? ''];

        return new PartName("$block.stack-$layer.$feature", $block, null, "stack-$layer", null, $feature);
    }

    public function mm(string $key): float
    {
        return $this->site->masonry->mm($this->said->real($key));
    }

    /** A course, model mm. */
    public function course(): float
    {
        return $this->site->masonry->unit;
    }
}
