<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Form\PlaneId;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Meeting;
use Chartula\Core\Part\Ref;
use Chartula\Core\Shell\WallPiece;
use Chartula\Core\Shell\Walls;

/** Where slopes rest on walls, and walls stand on slopes and decks. */
final readonly class Seats
{
    /** A square cut takes off at most so much of a slope's sharp end. */
    private const CUT_SHORT_MM = 4.0;

    private function __construct(private Panels $panels)
    {
    }

    /** @return list<Joint> */
    public static function of(Panels $panels, Walls $walls): array
    {
        $self = new self($panels);
        $joints = [];
        foreach ($walls->spans() as $span) {
            foreach (array_keys($span->stack->layers) as $k) {
                foreach ($walls->pieces($span, $k) as $piece) {
                    array_push($joints, ...$self->seat($piece));
                }
            }
        }

        return $joints;
    }

    /** @return list<Joint> */
    private function seat(WallPiece $piece): array
    {
        $joints = [];
        $carrier = $this->panels->carrier();
        foreach ($piece->shape->labels as $edge => $label) {
            $side = Side::of($label);
            array_push($joints, ...match ($side->kind) {
                SideKind::Plane => $this->resting($piece, $edge, $this->panels->of($side->planeOrFail(), $carrier), false),
                SideKind::On => $this->resting($piece, $edge, $this->panels->of($side->planeOrFail(), 0), true),
                SideKind::Foot => $this->onDeck($piece, $edge),
                SideKind::Top => $this->underEaves($piece, $edge),
                default => [],
            });
        }

        return $joints;
    }

    /**
     * @param  list<RoofPanel>  $panels
     * @return list<Joint>
     */
    private function resting(WallPiece $piece, int $edge, array $panels, bool $stands): array
    {
        $joints = [];
        foreach ($panels as $panel) {
            $met = Meeting::onFace($piece->part, $edge, $panel->part, $stands ? 'outside' : 'inside');
            if ($met !== null) {
                $joints[] = new Joint(
                    JointKind::Seat,
                    Ref::edge($piece->part->id, $edge),
                    $stands ? Ref::outside($panel->part->id) : Ref::inside($panel->part->id),
                    self::outer($piece, $edge),
                    $met->length,
                    free_mm: max(0.0, $piece->part->outline->ring->edgeLength($edge) - $met->length),
                    why: $stands ? 'the wall stands on the slope' : 'the slope rests on the gable',
                    touch: $met->touch,
                );
            }
        }
        $isShort = $piece->part->outline->ring->edgeLength($edge) < self::CUT_SHORT_MM;
        if (! $stands && $joints === [] && ($panels === [] || $isShort || self::endAtAnother($panels))) {
            array_push($joints, ...$this->underNone($piece, $edge));
        }
        if ($stands && $joints === [] && $panels !== [] && $piece->layer > 0) {
            $joints[] = new Joint(
                JointKind::Clearance,
                Ref::edge($piece->part->id, $edge),
                Ref::outside($panels[0]->part->id),
                self::outer($piece, $edge),
                why: 'behind where the slope is cut out; the layer before it stands on the slope',
            );
        }

        return $joints;
    }

    /**
     * A wall that stands on another block's flat roof.
     *
     * @return list<Joint>
     */
    private function onDeck(WallPiece $piece, int $edge): array
    {
        $joints = [];
        foreach ($this->panels->layer(0) as $panel) {
            $met = $panel->facet->name === 'deck' && $panel->facet->block !== $piece->span->form->block
                ? Meeting::onFace($piece->part, $edge, $panel->part, 'outside')
                : null;
            if ($met !== null) {
                $joints[] = new Joint(
                    JointKind::Seat,
                    Ref::edge($piece->part->id, $edge),
                    Ref::outside($panel->part->id),
                    self::outer($piece, $edge),
                    $met->length,
                    free_mm: max(0.0, $piece->part->outline->ring->edgeLength($edge) - $met->length),
                    why: 'the wall stands on the deck',
                    touch: $met->touch,
                );
            }
        }

        return $joints;
    }

    /**
     * The slope over it is too narrow to be cut, or to be cut so far: it stays clear of the next.
     *
     * @return list<Joint>
     */
    private function underNone(WallPiece $piece, int $edge): array
    {
        $nearest = null;
        $least = INF;
        foreach ($this->panels->layer($this->panels->carrier()) as $panel) {
            $gap = $panel->facet->block === $piece->span->form->block ? Meeting::under($piece->part, $edge, $panel->part) : -INF;
            if ($gap > -Tolerance::MEET && $gap < $least) {
                [$nearest, $least] = [$panel->part, $gap];
            }
        }

        return $nearest === null
            ? []
            : [
                new Joint(
                    JointKind::Clearance,
                    Ref::edge($piece->part->id, $edge),
                    Ref::inside($nearest->id),
                    self::outer($piece, $edge),
                    gap_mm: $least,
                    why: 'the slope over it is too narrow to be cut so far',
                ),
            ];
    }

    /**
     * Wall tops are cut square, so only the outer arris touches the slope.
     *
     * @return list<Joint>
     */
    private function underEaves(WallPiece $piece, int $edge): array
    {
        $joints = [];
        $span = $piece->span;
        $plane = new PlaneId($span->form->block, $span->form->wall->edge);
        $depth = $span->stack->depthOf($piece->layer);
        foreach ($this->panels->of($plane, $this->panels->carrier()) as $panel) {
            $met = Meeting::onFace($piece->part, $edge, $panel->part, 'inside');
            if ($met !== null) {
                $joints[] = new Joint(
                    JointKind::Seat,
                    Ref::edge($piece->part->id, $edge),
                    Ref::inside($panel->part->id),
                    self::outer($piece, $edge),
                    $met->length,
                    free_mm: max(0.0, $piece->part->outline->ring->edgeLength($edge) - $met->length),
                    why: 'the slope rests on the outer arris',
                    touch: $met->touch,
                );
            } elseif (
                $joints === []
                && $depth === 0.0
                && self::endAtAnother([$panel])
            ) {
                $joints[] = new Joint(
                    JointKind::Clearance,
                    Ref::edge($piece->part->id, $edge),
                    Ref::inside($panel->part->id),
                    self::outer($piece, $edge),
                    why: 'the slope is cut back before the block beside it',
                );
            } elseif ($depth > 0.0 && $joints === []) {
                $joints[] = new Joint(
                    JointKind::Clearance,
                    Ref::edge($piece->part->id, $edge),
                    Ref::inside($panel->part->id),
                    self::outer($piece, $edge),
                    gap_mm: $depth * self::rise($panel, $span->form->frame) * $panel->facet->pitch->cos(),
                    why: 'cut square below the slope',
                );
            }
        }

        return $joints;
    }

    /**
     * Whether a side of a slope is where it stops at another block's wall or roof.
     *
     * @param  list<RoofPanel>  $panels
     */
    private static function endAtAnother(array $panels): bool
    {
        foreach ($panels as $panel) {
            foreach ($panel->labels as $label) {
                $side = Side::of($label);
                $isPlane = $side->kind === SideKind::Plane && $side->planeOrFail()->block !== $panel->facet->block;
                if ($isPlane || $side->kind === SideKind::Wall || $side->kind === SideKind::Beside) {
                    return true;
                }
            }
        }

        return false;
    }

    /** How steeply a slope rises square to a wall. */
    private static function rise(RoofPanel $panel, Frame $wall): float
    {
        return -$panel->facet->gradient()->dot(new Vec2($wall->normal->x, $wall->normal->y));
    }

    /**
     * The ends of a wall's edge on its outside, from left to right.
     *
     * @return list<Vec3>
     */
    private static function outer(WallPiece $piece, int $edge): array
    {
        $ring = $piece->part->outline->ring;
        [$a, $b] = [$ring->point($edge), $ring->point($edge + 1)];
        [$p, $q] = $a->y < $b->y || ($a->y === $b->y && $a->x < $b->x) ? [$a, $b] : [$b, $a];

        return [$piece->part->placements[0]->at($p), $piece->part->placements[0]->at($q)];
    }
}
