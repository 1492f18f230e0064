<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\RoofKind;
use Chartula\Core\Form\Solid;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Meeting;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Stock\Layer;
use LogicException;

/** Level triangles in the outer corners that hold the walls at their angle, clear of every opening. */
final readonly class BraceParts
{
    private const LONGEST_LEG_MM = 12.0;

    private const SHORTEST_LEG_MM = 4.0;

    /** Braces stay so far below the eaves, so that the roof has room. */
    private const BELOW_EAVES_MM = 2.0;

    /** A ledge on which a deck lies is so high; braces stay below it. */
    public const LEDGE_MM = 3.0;

    /** Braces stay so far from openings. */
    private const CLEAR_MM = 0.5;

    /** Corners sharper or blunter than these, degrees, are held by other means. */
    private const ANGLES_DEG = [60.0, 150.0];

    private function __construct(
        private Building $building,
        private Walls $walls,
        private int $block,
    ) {
    }

    public static function make(Building $building, Walls $walls): PartSet
    {
        return PartSet::joined(array_map(
            static fn (int $block): PartSet => (new self($building, $walls, $block))->braces(),
            $building->methods->hasBraces ? array_keys($walls->form->blocks) : [],
        ));
    }

    /**
     * Corners that want a brace and have no room for one.
     *
     * @return list<array{int, int}> block and corner
     */
    public static function withoutRoom(Building $building, Walls $walls): array
    {
        $missing = [];
        foreach ($building->methods->hasBraces ? array_keys($walls->form->blocks) : [] as $block) {
            $self = new self($building, $walls, $block);
            foreach ($self->corners() as $vertex) {
                if ($self->place($vertex) === null) {
                    $missing[] = [$block, $vertex];
                }
            }
        }

        return $missing;
    }

    private function braces(): PartSet
    {
        /** @var array<string, non-empty-list<array{int, Frame, float, float}>> $alike */
        $alike = [];
        foreach ($this->corners() as $vertex) {
            $frame = $this->place($vertex);
            if ($frame !== null) {
                [$leg, $angle] = [$this->leg($vertex), $this->walls->span($this->block, $vertex)->left->angle];
                $alike[round($leg, 3).' '.round($angle, 3)][] = [$vertex, $frame, $leg, $angle];
            }
        }
        $alike = array_values($alike);

        return PartSet::joined(array_map($this->part(...), $alike, array_keys($alike)));
    }

    /** @param  non-empty-list<array{int, Frame, float, float}>  $braces  of one shape */
    private function part(array $braces, int $index): PartSet
    {
        [, , $leg, $angle] = $braces[0];
        $layer = $this->layer();
        $id = $this->walls->form->blocks[$this->block]->block->id.'.brace.corner'.($index > 0 ? '-'.($index + 1) : '');
        $far = new Vec2($leg * cos(deg2rad($angle)), $leg * sin(deg2rad($angle)));
        $far = new Vec2(abs($far->x) < Tolerance::ROUNDING ? 0.0 : $far->x, $far->y);
        $ring = new Ring([new Vec2(0.0, 0.0), new Vec2($leg, 0.0), $far]);
        $size = Figure::given($leg, 'leg: a third of the inside, at most '.self::LONGEST_LEG_MM.' mm');
        $box = $ring->bounds();
        $of = static fn (float $mm): Figure =>
            abs($mm - $leg) < Tolerance::ROUNDING ? $size : Figure::given($mm, 'legs of '.round($leg, 2).' mm at '.round($angle, 1).'°');
        $part = Part::of(
            new PartName($id, $this->walls->form->blocks[$this->block]->block->id, null, 'corner'), 'B', 'Corner brace', PartGroup::Brace,
            $layer->stock, $layer->thickness_mm,
            new Outline($ring, [new Edge('leg'), new Edge('long side', 'clearance'), new Edge('other leg')]),
            array_column($braces, 1), ['width' => $of($box->width()), 'height' => $of($box->height())],
        );
        $joints = [];
        foreach ($braces as $copy => [$vertex, $frame]) {
            $ends = [$frame->point(0.0, 0.0), $frame->point($leg, 0.0), $frame->at($far)];
            foreach ([[0, $vertex, $ends[1], 'left'], [2, $vertex - 1, $ends[2], 'right']] as [$edge, $wall, $end, $side]) {
                $mate = $this->mate($wall, $side);
                // Where the wall's end is cut square at another angle, the leg reaches past it.
                $met = Meeting::onFace($part, $edge, $mate, 'inside', $copy)->length ?? $leg;
                $joints[] = new Joint(
                    JointKind::Butt,
                    Ref::edge($id, $edge, $copy),
                    Ref::inside($mate->id),
                    [$ends[0], $end],
                    $met,
                    free_mm: max(0.0, $leg - $met),
                    why: $leg - $met > 0.01 ? 'past the square end of the wall' : '',
                );
            }
        }

        return new PartSet([$part], $joints);
    }

    private function layer(): Layer
    {
        return $this->building->methods->wall()->layers[count($this->building->methods->wall()->layers) - 1];
    }

    /** @param  'left'|'right'  $side  the wall's end at the corner */
    private function mate(int $edge, string $side): Part
    {
        return $this->mateOrNull($edge, $side) ?? throw new LogicException('A braced wall without a foot');
    }

    /** @param  'left'|'right'  $side  the wall's end at the corner */
    private function mateOrNull(int $edge, string $side): ?Part
    {
        foreach ($this->walls->facing($this->walls->span($this->block, $edge), false) as $piece) {
            if (in_array('foot', $piece->shape->labels, true) && in_array($side, $piece->shape->labels, true)) {
                return $piece->part;
            }
        }

        return null;
    }

    /** @return list<int> outer corners of about a right angle, built on both sides from the ground up */
    private function corners(): array
    {
        $corners = [];
        foreach ($this->walls->spans($this->block) as $vertex => $span) {
            $previous = $this->walls->span($this->block, $vertex - 1);
            if ($span->left->angle > self::ANGLES_DEG[0] && $span->left->angle < self::ANGLES_DEG[1]
                && in_array($span->left->kind, [WallEnd::THROUGH, WallEnd::STOPPED, WallEnd::MITRE], true)
                && self::standsAt($span->form, 'left') && self::standsAt($previous->form, 'right')
                // Cut to a layer's depth it may end before the corner.
                && $this->mateOrNull($vertex, 'left') !== null && $this->mateOrNull($vertex - 1, 'right') !== null) {
                $corners[] = $vertex;
            }
        }

        return $corners;
    }

    /** @param  'left'|'right'  $end */
    private static function standsAt(WallForm $wall, string $end): bool
    {
        foreach ($wall->patches as $patch) {
            if (in_array($end, $patch->labels, true) && in_array('foot', $patch->labels, true)) {
                return true;
            }
        }

        return false;
    }

    private function leg(int $vertex): float
    {
        $least = INF;
        foreach ($this->walls->form->blocks[$this->block]->block->footprint->rect !== null
            ? [0, 1, 2, 3]
            : [$vertex - 1, $vertex] as $edge) {
            $span = $this->walls->span($this->block, $edge);
            foreach ($span->form->patches as $patch) {
                $taken = ($span->left->kind !== WallEnd::OPEN && in_array('left', $patch->labels, true) ? $span->left->thickness() : 0.0)
                    + ($span->right->kind !== WallEnd::OPEN && in_array('right', $patch->labels, true) ? $span->right->thickness() : 0.0);
                $least = min($least, $patch->outline->bounds()->width() - $taken);
            }
        }

        return min(self::LONGEST_LEG_MM, $least / 3.0);
    }

    /** Finds where the brace of a corner has room; its inner corner is the frame's origin. */
    private function place(int $vertex): ?Frame
    {
        $leg = $this->leg($vertex);
        $span = $this->walls->span($this->block, $vertex);
        $previous = $this->walls->span($this->block, $vertex - 1);
        $thickness = $this->layer()->thickness_mm;
        if ($leg < self::SHORTEST_LEG_MM) {
            return null;
        }
        $angle = $span->left->angle;
        // The inner corner of both walls, measured along each.
        $along = CornerCut::start($span->stack->thickness_mm, $previous->stack->thickness_mm, $angle);
        $back = CornerCut::start($previous->stack->thickness_mm, $span->stack->thickness_mm, $angle);
        // Under an eaves that is not level, the lowest over its legs.
        $end = $previous->form->length->mm;
        $height = min(
            $span->form->height->mm,
            $span->form->heightAt(0.0),
            $span->form->heightAt($along + $leg),
            $previous->form->heightAt($end),
            $previous->form->heightAt($end - $back - $leg),
        ) - $this->underDeck();
        foreach ([$height - self::BELOW_EAVES_MM, $height * 0.75, $height * 0.5, $height * 0.3] as $top) {
            $wall = $span->form->frame;
            $frame = new Frame($wall->point($along, $top, -$span->stack->thickness_mm), $wall->x, $wall->normal->times(-1.0));
            if ($top - $thickness > $thickness + 1.0
                && self::isClear($span, 0.0, $along + $leg, $top - $thickness, $top)
                && self::isClear(
                    $previous,
                    $previous->form->length->mm - $back - $leg,
                    $previous->form->length->mm,
                    $top - $thickness,
                    $top,
                )
                && $this->isApart($frame, $leg, $angle)) {
                return $frame;
            }
        }

        return null;
    }

    /** By how much braces stay lower for a deck between parapets and the ledges it lies on. */
    private function underDeck(): float
    {
        $form = $this->walls->form->blocks[$this->block];
        $parapet = $form->block->roof->kind === RoofKind::Flat ? $this->building->scale->modelMm($form->block->roof->parapet) : 0.0;

        return $parapet > 0.0 ? $parapet + self::LEDGE_MM : 0.0;
    }

    private static function isClear(WallSpan $wall, float $x0, float $x1, float $low, float $high): bool
    {
        foreach ($wall->form->openings as $o) {
            $by = self::CLEAR_MM + $wall->cut($o->opening)->reach();
            if ($o->left < $x1 + $by && $o->right() > $x0 - $by && $o->sill < $high + $by && $o->top() > $low - $by) {
                return false;
            }
        }

        return true;
    }

    /** Says whether no other block stands in the brace's place. */
    private function isApart(Frame $frame, float $leg, float $angle): bool
    {
        foreach ($this->walls->form->solids as $solid) {
            // What ends below it is in nobody's way.
            if ($solid->index === $this->block || $solid->peak() < $frame->origin->z - $this->layer()->thickness_mm) {
                continue;
            }
            foreach ([[0.0, 0.0], [$leg, 0.0], [$leg * cos(deg2rad($angle)), $leg * sin(deg2rad($angle))]] as [$x, $y]) {
                $at = $frame->point($x, $y);
                if (self::isIn($solid, new Vec2($at->x, $at->y))) {
                    return false;
                }
            }
        }

        return true;
    }

    private static function isIn(Solid $solid, Vec2 $at): bool
    {
        return $solid->contains($at) || $solid->ring->distanceTo($at) < self::CLEAR_MM;
    }
}
