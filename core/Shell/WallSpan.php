<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\CornerMethod;
use Chartula\Core\Building\Holding;
use Chartula\Core\Building\Opening;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\CardSlice;
use Chartula\Core\Form\CornerCard;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Form\WallId;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Stock\Stack;

/** Works out where a wall's card begins and ends, layer by layer, and how it is cut. Model millimetres. */
final class WallSpan
{
    /** A wall must be longer than this after its corners, mm. */
    public const LEAST_MM = 0.05;

    /** A corner nearer to a straight line than this, degrees, is a bend of one wall. */
    private const STRAIGHT_DEG = 3.0;

    /** @var array<int, list<Patch>> */
    private array $patches = [];

    /** @var array<int, list<Patch>> */
    private array $square = [];

    /** @var ?list<int> */
    private ?array $unlike = null;

    /** A stretch of wall that is no longer than so many thicknesses is not mitred. */
    private const LEAST_THICKNESSES = 1.5;

    /** As its outermost layer ends. */
    public readonly WallEnd $left;

    public readonly WallEnd $right;

    /**
     * @param  array{left: non-empty-list<WallEnd>, right: non-empty-list<WallEnd>}  $ends  layer by layer, from the outermost inwards
     * @param  array<string, OpeningCut>  $cuts  by the opening's id
     */
    private function __construct(
        public readonly Block $block,
        public readonly WallForm $form,
        public readonly Stack $stack,
        public readonly array $ends,
        private readonly bool $isCut,
        private readonly array $cuts = [],
    ) {
        [$this->left, $this->right] = [$ends['left'][0], $ends['right'][0]];
    }

    /** How its layers are cut round one of its openings. */
    public function cut(Opening $opening): OpeningCut
    {
        return $this->cuts[$opening->id];
    }

    /** Whether what stands in it is cut in a layer of the wall. */
    public function isInLayer(Opening $opening): bool
    {
        return $this->cut($opening)->held === Holding::Layer;
    }

    /**
     * How a layer ends.
     *
     * @param  'left'|'right'  $side
     */
    public function at(string $side, int $layer): WallEnd
    {
        return $this->ends[$side][$layer];
    }

    /** @param  list<int>  $jogs  edges of the block so short that nothing is cut for them */
    public static function of(Building $building, Form $form, WallId $id, array $jogs = []): self
    {
        [$block, $edge] = [$form->blocks[$id->block], $id->edge];
        $wall = $block->wall($edge);
        $stack = $building->methods->stacks[$wall->wall->stack];
        $cuts = [];
        $room = new OpeningRoom($building, $form, $wall);
        foreach ($wall->openings as $opening) {
            $cuts[$opening->opening->id] ??= OpeningCut::of($building, $wall, $opening->opening, $room);
        }

        return new self(
            $block->block,
            $wall,
            $stack,
            [
                'left' => self::ends($building, $block, [$edge, 'left'], $jogs),
                'right' => self::ends($building, $block, [$edge, 'right'], $jogs),
            ],
            ! in_array($edge, $jogs, true),
            $cuts,
        );
    }

    /**
     * How the layers of a wall end at one of its corners.
     *
     * @param  array{int, 'left'|'right'}  $end  of which edge, and at which side
     * @param  list<int>  $jogs
     * @return non-empty-list<WallEnd>
     */
    private static function ends(Building $building, BlockForm $block, array $end, array $jogs): array
    {
        [$edge, $side] = $end;
        $n = count($block->walls);
        [$other, $corner, $far] = $side === 'left' ? [($edge + $n - 1) % $n, $edge, 'right'] : [($edge + 1) % $n, ($edge + 1) % $n, 'left'];
        [$wall, $neighbour] = [$block->wall($edge), $block->wall($other)];
        [$stack, $its] = [$building->methods->stacks[$wall->wall->stack], $building->methods->stacks[$neighbour->wall->stack]];
        // Too little of a wall is left beside a neighbour to be mitred: the one round the corner runs past it.
        $isShort = self::isShort($wall, $side, $stack);
        $isItsShort = self::isShort($neighbour, $far, $its);
        $runsThrough = $isShort === $isItsShort ? self::runsThrough($building, $block->block, $corner, $edge, $other) : $isItsShort;
        $angle = $block->block->footprint->angle($corner);
        $at = new WallCorner(
            $other, $angle, max(1, count($stack->layers)), $its->thickness_mm, $runsThrough, self::levelTop($neighbour, $far),
        );

        return match (true) {
            in_array($other, $jogs, true) || ! $neighbour->reaches($far) => $at->alike(WallEnd::OPEN),
            abs($angle - 180.0) < self::STRAIGHT_DEG => $at->alike(WallEnd::STRAIGHT),
            $isShort || $isItsShort => self::method(CornerMethod::Butt)->of($at),
            default => self::method(self::methodAt($building, $block->block, $corner, [$wall, $neighbour]))->of($at),
        };
    }

    /** The same of a block's form without openings. */
    public function plain(BlockForm $block): self
    {
        return new self($block->block, $block->wall($this->form->wall->edge), $this->stack, $this->ends, $this->isCut);
    }

    /**
     * Whether a wall ends so soon after a corner, at another block, that its card is hardly longer there than it is thick.
     *
     * @param  string  $end  where the corner is
     */
    private static function isShort(WallForm $wall, string $end, Stack $stack): bool
    {
        $least = self::LEAST_THICKNESSES * $stack->thickness_mm;
        foreach ($wall->patches as $patch) {
            $isBesideOther = array_filter(
                $patch->labels,
                static fn (string $label): bool => Side::isOfKind($label, SideKind::Wall, SideKind::Party),
            ) !== [];
            if ($isBesideOther && in_array($end, $patch->labels, true) && $patch->outline->bounds()->width() < $least) {
                return $wall->length->mm > $least;
            }
        }

        return false;
    }

    /**
     * The level top of a wall at one of its ends, and how much it rises away from it; null where it is cut to a slope, or is
     * not built so high.
     *
     * @return ?array{float, float}
     */
    private static function levelTop(WallForm $wall, string $end): ?array
    {
        $eaves = $wall->section->eaves();
        if ($eaves === null) {
            return null;
        }
        $rise = ($eaves[1] - $eaves[0]) / $wall->length->mm;
        [$top, $away] = $end === 'left' ? [$eaves[0], $rise] : [$eaves[1], -$rise];
        foreach ($wall->patches as $patch) {
            foreach (array_keys($patch->labels, $end, true) as $side) {
                if (max($patch->outline->point($side)->y, $patch->outline->point($side + 1)->y) > $top - Tolerance::FIGURE) {
                    return [$top, $away];
                }
            }
        }

        return null;
    }

    /**
     * How a corner is made: as it says itself; else as the methods say of corners near square, and mitred wherever a butt of square
     * cards would stand open, if both walls have the same layers.
     *
     * @param  array{WallForm, WallForm}  $walls  on both sides of it
     */
    private static function methodAt(Building $building, Block $block, int $corner, array $walls): CornerMethod
    {
        $said = ($block->corners[$corner] ?? null)?->method;
        if ($said !== null || $building->methods->corner !== CornerMethod::Butt) {
            return $said ?? $building->methods->corner;
        }
        $angle = $block->footprint->angle($corner);
        [$one, $other] = array_map(static fn (WallForm $w): Stack => $building->methods->stacks[$w->wall->stack], $walls);

        return ! WallEnd::isSquare($angle) && $one->thicknesses() === $other->thicknesses() ? CornerMethod::Mitre : CornerMethod::Butt;
    }

    private static function method(CornerMethod $method): CornerEnds
    {
        return match ($method) {
            CornerMethod::Butt => new ButtEnds,
            CornerMethod::Mitre => new MitreEnds,
        };
    }

    /**
     * Decides which wall runs through: as the corner says; else the wall that faces front or back (or the one that faces a side); of
     * equals the first.
     */
    private static function runsThrough(Building $building, Block $block, int $corner, int $edge, int $other): bool
    {
        $said = ($block->corners[$corner] ?? null)?->through;
        if ($said !== null) {
            return ($said === 'after') === ($edge === $corner);
        }
        $ring = $block->footprint->ring();
        [$own, $its] = array_map(
            static fn (int $e): bool => $building->methods->runsThrough($ring->point($e + 1)->minus($ring->point($e))),
            [$edge, $other],
        );

        return $own === $its ? $edge < $other : $own;
    }

    /** Whether card is cut for it. */
    public function isBuilt(): bool
    {
        return $this->isCut && $this->form->isBuilt();
    }

    /** A step in a wall shorter than the card is thick, at one outer and one inner corner: the walls beside it meet across it. */
    public function isJog(): bool
    {
        [$start, $end] = $this->extent();

        return $end - $start <= self::LEAST_MM && ($this->left->angle < 180.0) !== ($this->right->angle < 180.0);
    }

    /** Whether a place is no further than that, in plan, from any of its card. */
    public function isNear(Vec3 $place, float $within): bool
    {
        $at = $this->form->frame->project($place)->x;
        $reach = $within + 2.0 * $this->stack->thickness_mm;

        return abs($this->form->frame->height($place)) < $reach && $at > -$reach && $at < $this->form->length->mm + $reach;
    }

    public function name(): string
    {
        return $this->form->wall->name;
    }

    /** The place where the outside face of a layer begins. */
    public function start(int $layer): float
    {
        return $this->at('left', $layer)->outerCut(...$this->depths($layer));
    }

    public function end(int $layer): float
    {
        return $this->form->length->mm - $this->at('right', $layer)->outerCut(...$this->depths($layer));
    }

    /** @return array{float, float} of a layer's faces behind the wall's outside */
    public function depths(int $layer): array
    {
        $depth = $this->stack->depthOf($layer);

        return [$depth, $depth + $this->stack->layers[$layer]->thickness_mm];
    }

    /** @return array{float, float} between where a layer is as deep as it is thick; at a bevelled butt, anywhere */
    public function behind(int $layer): array
    {
        [$outer, $inner] = $this->depths($layer);
        $cut = static fn (WallEnd $end): float => $end->kind !== WallEnd::MITRE && $end->isBevelled($outer, $inner)
            ? $end->blankCut($outer, $inner)
            : $end->cut($inner);

        return [$cut($this->at('left', $layer)), $this->form->length->mm - $cut($this->at('right', $layer))];
    }

    /**
     * What all layers have.
     *
     * @return array{float, float} from and to
     */
    public function extent(): array
    {
        $most = fn (string $side): float => max(array_map(
            fn (int $k): float => ($side === 'left' ? $this->at('left', $k) : $this->at('right', $k))->squareCut(...$this->depths($k)),
            array_keys($this->stack->layers),
        ));

        return [$most('left'), $this->form->length->mm - $most('right')];
    }

    /** @return list<Patch> what of a layer is cut, before it is bevelled, in the wall's frame, openings left out */
    public function patches(int $layer): array
    {
        return $this->patches[$layer] ??= $this->isBuilt() ? $this->form->section->patches($this->slice($layer, false)) : [];
    }

    /** @return list<Patch> the same, of card that is cut square wherever it need not be mitred: what both of its faces have */
    public function squarePatches(int $layer): array
    {
        return $this->square[$layer] ??= $this->isBuilt() ? $this->form->section->patches($this->slice($layer, true)) : [];
    }

    /** @return list<int> the layers whose card, cut square, is another than that of the one before it */
    public function unlikeLayers(): array
    {
        $cut = fn (int $k): string => serialize(array_map(static fn (Patch $p): Ring => $p->outline, $this->squarePatches($k)));
        $unlike = fn (int $k): bool => $k === 0 || $cut($k) !== $cut($k - 1);

        return $this->unlike ??= array_values(array_filter(array_keys($this->stack->layers), $unlike));
    }

    /**
     * How far out of its blank a bevelled end lies at a depth (below 0: inside it).
     *
     * @param  bool  $isSquare  whether only mitres are bevelled
     */
    public function endBevel(string $label, int $layer, float $depth, bool $isSquare): float
    {
        $end = match ($label) {
            'left', 'right' => $this->at($label, $layer),
            default => null,
        };
        $depths = $this->depths($layer);

        return $end !== null && ($isSquare ? $end->kind === WallEnd::MITRE : $end->isBevelled(...$depths))
            ? $end->blankCut(...$depths) - $end->cut($depth)
            : 0.0;
    }

    /** How far out of its blank a foot on the wall round a corner lies for each millimetre behind the card's outside (below 0: in). */
    public function foot(WallId $wall, int $layer): float
    {
        [$outer, $inner] = $this->depths($layer);
        foreach ($this->slice($layer, false)->corners as $corner) {
            if ($corner->wall->edge === $wall->edge) {
                return -$corner->behind / ($inner - $outer) / sqrt(1.0 + $corner->rise() ** 2);
            }
        }

        return 0.0;
    }

    /** @return list<WallEnd> ends past whose walls' tops it rises, as a gable does */
    public function risesPast(): array
    {
        return $this->form->section->eaves() !== null ? [] : array_values(array_filter(
            [$this->left, $this->right],
            fn (WallEnd $end): bool => $end->filled($this->depths(0), false) !== null,
        ));
    }

    /** The card of a layer. A gable rises past the walls that stop it, and stands on their tops as far as the corner. */
    private function slice(int $layer, bool $isSquare): CardSlice
    {
        $depths = $this->depths($layer);
        $length = $this->form->length->mm;
        $cut = static fn (WallEnd $end): float =>
            $isSquare && $end->kind !== WallEnd::MITRE ? $end->squareCut(...$depths) : $end->blankCut(...$depths);
        [$left, $right] = [$this->at('left', $layer), $this->at('right', $layer)];
        $ends = [$cut($left), $length - $cut($right)];
        $corners = [];
        foreach ($this->form->section->eaves() === null ? [[$left, true], [$right, false]] : [] as [$end, $isLeft]) {
            $filled = $end->filled($depths, $isSquare);
            if ($filled !== null) {
                [$near, $far, $atNear, $atFar, $behind] = $filled;
                $wall = new WallId($this->form->block, $end->edge);
                $corners[] = $isLeft
                    ? new CornerCard($wall, true, $near, $far, [$atNear, $atFar], $behind)
                    : new CornerCard($wall, false, $length - $far, $length - $near, [$atFar, $atNear], $behind);
                $ends[$isLeft ? 0 : 1] = $isLeft ? $near : $length - $near;
            }
        }

        return new CardSlice($depths[0], $depths[1], $ends, $this->behind($layer), $corners, ! $isSquare);
    }

    /** `main.front.core`, and `main.front-2.core` for what stands apart from it. */
    public function partId(int $layer, int $piece = 0): string
    {
        return $this->block->id.'.'.$this->name().($piece > 0 ? '-'.($piece + 1) : '').'.'.$this->stack->layers[$layer]->id;
    }

    public function innermost(): int
    {
        return count($this->stack->layers) - 1;
    }
}
