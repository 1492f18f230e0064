<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Solid;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Stock\Layer;

/** The floors between the walls, which also square them. docs/formulas.md#floor */
final readonly class BaseParts
{
    /** What is left free on each side, so that the floor drops in: 0.2 mm in all each way. */
    public const CLEARANCE_MM = 0.1;

    /** A floor smaller than this, mm², squares nothing. */
    private const LEAST_MM2 = 25.0;

    private function __construct(
        private Building $building,
        private Walls $walls,
        private BlockForm $block,
    ) {
    }

    public static function make(Building $building, Walls $walls): PartSet
    {
        return PartSet::joined(array_map(
            static fn (BlockForm $block): PartSet => (new self($building, $walls, $block))->floors(),
            $building->methods->hasFloor ? $walls->form->blocks : [],
        ));
    }

    /** How high its top lies above a block's base; 0 where none is made. */
    public static function topOf(Building $building): float
    {
        return $building->methods->hasFloor ? self::layer($building)->thickness_mm : 0.0;
    }

    private static function layer(Building $building): Layer
    {
        $layers = $building->methods->wall()->layers;

        return $layers[count($layers) - 1];
    }

    private function floors(): PartSet
    {
        if (! self::standsOnGround($this->block->walls)) {
            return new PartSet;
        }
        $ring = $this->local($this->block->ring);
        $insets = array_map($this->inset(...), $this->walls->spans($this->block->index));
        $inside = Offset::lines($ring, array_map(static fn (float $in): float => -$in, $insets));
        for ($i = 0, $n = $ring->count(); $i < $n; $i++) {
            if (! Offset::keeps($ring, $inside, $i)) {
                return new PartSet;
            }
        }
        $sets = [];
        foreach ($this->clear($inside) as $i => $patch) {
            if ($patch->area() > self::LEAST_MM2) {
                $sets[] = $this->floor($patch->turned(self::first($patch)), $i, $insets);
            }
        }

        return PartSet::joined($sets);
    }

    /** The distance from the wall's outside to the floor's edge. */
    private function inset(WallSpan $span): float
    {
        return $span->form->isBuilt()
            ? $span->stack->thickness_mm + self::CLEARANCE_MM + self::intoRoom($this->building, $span)
            : self::CLEARANCE_MM;
    }

    /** How far what stands in an opening, or behind it, and reaches the floor stands into the room, where the wall is thinner than that. */
    private static function intoRoom(Building $building, WallSpan $span): float
    {
        $most = 0.0;
        foreach ($span->form->openings as $form) {
            $cut = $span->cut($form->opening);
            $isBeside = $form->sill - $cut->reach() < self::topOf($building) + self::CLEARANCE_MM && $cut->reach() > 0.0;
            if ($form->opening->sill->mm <= 0.0 || $isBeside) {
                $deep = $cut->deep($building, $form->opening, $span->stack);
                $most = max($most, $deep - $span->stack->thickness_mm);
            }
        }

        return $most;
    }

    private function local(Ring $ring): Ring
    {
        $ground = $this->block->ground;

        return new Ring(
            array_map(static fn (Vec2 $p): Vec2 => $ground->project(new Vec3($p->x, $p->y, $ground->origin->z)), $ring->points),
        );
    }

    /**
     * Cuts the inside to its part that no other block takes up; where two floors would overlap, the earlier block's stays.
     *
     * @return list<Patch>
     */
    private function clear(Ring $inside): array
    {
        $others = [];
        foreach ($this->walls->form->solids as $solid) {
            if ($this->isFirst($solid) && $this->takesUp($solid)) {
                $others[] = Offset::lines($this->local($solid->ring), array_fill(0, $solid->ring->count(), self::CLEARANCE_MM));
            }
        }
        $lines = [];
        foreach ([$inside, ...$others] as $k => $ring) {
            foreach (array_keys($ring->points) as $i) {
                $lines[] = new Line($ring->point($i), $ring->point($i + 1), $k === 0 ? (string) $i : '');
            }
        }

        return Overlay::patches($lines, static function (Vec2 $at) use ($inside, $others): bool {
            foreach ($others as $other) {
                if ($other->contains($at)) {
                    return false;
                }
            }

            return $inside->contains($at);
        });
    }

    /** Whether a block's floor stays where this one's would lie too: the earlier one's, and of what stands in the other. */
    private function isFirst(Solid $solid): bool
    {
        $own = $this->walls->form->solids[$this->block->index];

        return $solid->index !== $own->index && ($solid->index < $own->index || $solid->standsIn($own)) && ! $own->standsIn($solid);
    }

    /** Whether a block stands on the ground of this one: it does where its walls go down to it. */
    private function takesUp(Solid $solid): bool
    {
        $thickness = $this->building->methods->wall()->thickness_mm;
        if ($solid->base > $this->block->base + $thickness || $solid->eaves < $this->block->base) {
            return false;
        }

        return self::standsOnGround($this->walls->form->blocks[$solid->index]->walls);
    }

    /**
     * What only comes out of another roof has no floor.
     *
     * @param  list<WallForm>  $walls
     */
    private static function standsOnGround(array $walls): bool
    {
        foreach ($walls as $wall) {
            foreach ($wall->patches as $patch) {
                if (in_array('foot', $patch->labels, true)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** The lowest corner, then the one furthest left: the front edge comes first. */
    private static function first(Patch $patch): int
    {
        $best = 0;
        foreach ($patch->outline->points as $i => $p) {
            $least = $patch->outline->points[$best];
            if ([round($p->y, 6), $p->x] < [round($least->y, 6), $least->x]) {
                $best = $i;
            }
        }

        return $best;
    }

    /** @param  list<float>  $insets */
    private function floor(Patch $patch, int $index, array $insets): PartSet
    {
        $layer = self::layer($this->building);
        $names = $this->block->block->footprint->edges;
        $id = $this->block->block->id.'.base'.($index > 0 ? '-'.($index + 1) : '').'.floor';
        $mates = array_map(fn (string $label): ?WallPiece => $label === '' ? null : $this->mate((int) $label), $patch->labels);
        $edges = array_map(
            static fn (string $label, ?WallPiece $mate): Edge =>
                new Edge($label === '' ? 'side' : $names[(int) $label], $mate === null ? 'clearance' : null),
            $patch->labels,
            $mates,
        );
        $part = Part::of(
            new PartName($id, $this->block->block->id, null, 'floor'), 'B', 'Floor', PartGroup::Shell, $layer->stock,
            $layer->thickness_mm, new Outline($patch->outline, $edges),
            [$this->block->ground->moved(0.0, 0.0, $layer->thickness_mm)], $this->workings($patch, $insets), $patch->holes,
        );
        $joints = [];
        foreach ($patch->labels as $edge => $label) {
            if ($mates[$edge] !== null) {
                $gap = $insets[(int) $label] - $mates[$edge]->span->stack->thickness_mm;
                $joints[] = new Joint(
                    JointKind::Clearance,
                    Ref::edge($id, $edge),
                    Ref::inside($mates[$edge]->part->id),
                    $part->corners(),
                    gap_mm: $gap,
                    why: 'so that the floor drops in',
                );
            }
        }

        return new PartSet([$part], $joints);
    }

    /** The wall's card beside the floor. */
    private function mate(int $edge): ?WallPiece
    {
        foreach ($this->walls->facing($this->walls->span($this->block->index, $edge), false) as $piece) {
            if (in_array('foot', $piece->shape->labels, true)) {
                return $piece;
            }
        }

        return null;
    }

    /**
     * @param  list<float>  $insets
     * @return array<string, Figure>
     */
    private function workings(Patch $patch, array $insets): array
    {
        $box = $patch->outline->bounds();
        if ($this->block->block->footprint->rect === null || $patch->outline->count() !== 4) {
            return [
                'width' => Figure::given($box->width(), 'inside the walls, less clearance'),
                'height' => Figure::given($box->height(), 'inside the walls, less clearance'),
            ];
        }
        $inside = function (int $one, int $other) use ($insets): Figure {
            $figure = $this->block->wall(($one + 1) % 4)->length;
            $clearance = 0.0;
            foreach ([$one, $other] as $edge) {
                $span = $this->walls->span($this->block->index, $edge);
                $thickness = $span->form->isBuilt() ? $span->stack->thickness_mm : 0.0;
                $figure = $thickness > 0.0
                    ? $figure->less($thickness, 'less the '.$span->name().' wall, '.LengthFormat::trimmed($thickness, 3))
                    : $figure;
                $clearance += $insets[$edge] - $thickness;
            }

            return $figure->less($clearance, 'less clearance, '.LengthFormat::trimmed($clearance, 3).' in all');
        };
        $figures = ['width' => $inside(3, 1), 'height' => $inside(0, 2)];
        foreach (['width' => $box->width(), 'height' => $box->height()] as $of => $mm) {
            $figures[$of] = abs($figures[$of]->mm - $mm) < Tolerance::FIGURE
                ? $figures[$of]
                : $figures[$of]->less($figures[$of]->mm - $mm, 'less what another block takes up');
        }

        return $figures;
    }
}
