<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Meeting;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;

/** Panels in layers, how they meet each other and end against walls, and the strips over their gaps. */
final readonly class RoofParts
{
    /** A panel's edge shorter than this needs no strip, mm. */
    private const WORTH_A_STRIP_MM = 0.5;

    /** A side this short may find no card any more where it should meet some. */
    private const SHORT_MM = 8.0;

    private function __construct(
        private Building $building,
        private Panels $panels,
        private Walls $walls,
    ) {
    }

    public static function make(Building $building, Panels $panels, Walls $walls): PartSet
    {
        $self = new self($building, $panels, $walls);
        $ends = $self->ends();
        $met = [];
        foreach ($ends as $joint) {
            $met[$joint->a->part.'#'.$joint->a->edge] = true;
        }
        $parts = array_map(static fn (RoofPanel $p): Part => $self->freed($p, $met)->part, $panels->all());

        return (new PartSet($parts, $self->laps()))
            ->with($self->lines())
            ->with(new PartSet([], [...$ends, ...Seats::of($panels, $walls)]));
    }

    /**
     * A short side that should meet a wall or a roof below, of which card has no more there, stays clear; so does one layer of several
     * where another meets it.
     *
     * @param  array<string, true>  $met  sides that do, by part and edge
     */
    private function freed(RoofPanel $panel, array $met): RoofPanel
    {
        $isMet = fn (string $label): bool => array_filter(
            $this->panels->of($panel->facet->id(), $panel->layer === 0 ? $this->panels->carrier() : 0),
            static fn (RoofPanel $other): bool => array_filter(
                array_keys($other->labels, $label, true),
                static fn (int $i): bool => $other !== $panel && isset($met[$other->part->id.'#'.$i]),
            ) !== [],
        ) !== [];

        return $panel->freed(static fn (int $i, string $label): bool => Side::isOfKind($label, SideKind::Wall, SideKind::Over)
            && ! isset($met[$panel->part->id.'#'.$i])
            && ($panel->part->outline->ring->edgeLength($i) < self::SHORT_MM || $isMet($label)));
    }

    /** @return list<Joint> */
    private function laps(): array
    {
        $joints = [];
        foreach ($this->panels->all() as $panel) {
            foreach ($panel->layer === 0 ? [] : $this->panels->all() as $outer) {
                if ($outer->layer === $panel->layer - 1 && $outer->isOver($panel)) {
                    $joints[] = new Joint(
                        JointKind::Lap, Ref::inside($outer->part->id), Ref::outside($panel->part->id), $panel->part->corners(),
                        why: 'layers stuck together', contact_mm2: self::shared($panel, $outer),
                    );
                }
            }
        }

        return $joints;
    }

    private static function shared(RoofPanel $panel, RoofPanel $outer): float
    {
        $from = $panel->part->placements[0];
        $to = $outer->part->placements[0];
        $carried = static fn (Ring $r): Ring => new Ring(array_map(static fn (Vec2 $p): Vec2 => $to->project($from->at($p)), $r->points));

        return Clip::sharedArea(
            $outer->part->face('inside'),
            new Region($carried($panel->part->outline->ring), array_map($carried, $panel->part->holes)),
        );
    }

    /** Joins ridges, hips, valleys and breaks, layer by layer, each with the strip that covers it. */
    private function lines(): PartSet
    {
        $sets = [];
        $strips = new Strips($this->building, $this->panels, $this->walls);
        foreach (array_keys($this->panels->stack->layers) as $k) {
            $layer = $this->panels->layer($k);
            foreach ($layer as $i => $one) {
                foreach (array_slice($layer, $i + 1) as $other) {
                    $sets[] = $this->line($one, $other, $strips);
                }
            }
        }

        return new PartSet($strips->parts(), [...PartSet::joined($sets)->joints, ...$strips->joints()]);
    }

    private function line(RoofPanel $one, RoofPanel $other, Strips $strips): PartSet
    {
        $joints = [];
        $half = acos(max(-1.0, min(1.0, $one->facet->frame->normal->dot($other->facet->frame->normal)))) / 2.0;
        foreach ($one->meetings($other) as [$hole, $i]) {
            foreach ($other->meetings($one) as [$itsHole, $j]) {
                $met = Meeting::along($one->part, $i, $other->part, $j, $hole, $itsHole);
                if ($met === null) {
                    continue;
                }
                [$side, $length, $ends, $gap] = $met;
                $strip = $side === 'inside' && $hole === null && $itsHole === null && $length > self::WORTH_A_STRIP_MM
                    ? $strips->over($one, $i, $other)
                    : null;
                $why = $side === 'strip'
                    ? 'bevelled at half the fold, '.LengthFormat::trimmed(rad2deg($half), 2).'°'
                    : 'cut square, the '.($side === 'inside' ? 'tops' : 'undersides').' part by '.LengthFormat::millimetres($gap);
                $free = max(0.0, $one->lengthOf($hole, $i, $side === 'outside' ? 'outside' : 'inside') - $length);
                $joints[] = new Joint(
                    JointKind::Mitre, $one->ref($hole, $i), $other->ref($itsHole, $j), $ends, $length, $gap, $free, $why, $strip,
                    $side === 'inside' ? null : $side,
                );
            }
        }

        return new PartSet([], $joints);
    }

    /**
     * Panels that stop at a wall.
     *
     * @return list<Joint>
     */
    private function ends(): array
    {
        $joints = [];
        foreach ($this->panels->all() as $panel) {
            foreach ($panel->labels as $edge => $label) {
                $side = Side::of($label);
                if ($side->kind === SideKind::Over) {
                    array_push($joints, ...$this->onRoofs($panel, $edge, $this->panels->of($side->planeOrFail(), 0)));
                } elseif ($side->kind === SideKind::Wall || $side->kind === SideKind::Beside) {
                    // Of several layers those below may touch the wall beside which the next roof begins.
                    $wall = $side->wallOrFail();
                    array_push($joints, ...$this->atWall($panel, $edge, $this->walls->span($wall->block, $wall->edge)));
                } elseif ($side->kind === SideKind::Open) {
                    $isOther = static fn (RoofPanel $p): bool => $p->facet->block !== $panel->facet->block;
                    array_push($joints, ...$this->onRoofs($panel, $edge, array_filter($this->panels->layer(0), $isOther)));
                    // What leans out of a square eaves ends at the wall beside it.
                    $at = $panel->part->placements[0]->at($panel->part->outline->ring->point($edge));
                    foreach ($this->walls->spans() as $span) {
                        if ($span->form->block !== $panel->facet->block && $span->isNear($at, 2.0 * $panel->part->thickness)) {
                            array_push($joints, ...$this->atWall($panel, $edge, $span));
                        }
                    }
                }
            }
        }

        return $joints;
    }

    /**
     * @param  array<int, RoofPanel>  $others  outermost ones
     * @return list<Joint>
     */
    private function onRoofs(RoofPanel $panel, int $edge, array $others): array
    {
        $joints = [];
        foreach ($others as $below) {
            $met = Meeting::onFace($panel->part, $edge, $below->part, 'outside');
            if ($met !== null) {
                $joints[] = new Joint(
                    JointKind::Seat,
                    Ref::edge($panel->part->id, $edge),
                    Ref::outside($below->part->id),
                    $met->ends,
                    $met->length,
                    free_mm: max(0.0, $panel->part->outline->ring->edgeLength($edge) - $met->length),
                    why: 'the overhang ends on the roof below',
                    touch: $met->touch,
                );
            }
        }

        return $joints;
    }

    /**
     * At a wall's outside, and at the ends of the walls that run through past it in the same plane.
     *
     * @return list<Joint>
     */
    private function atWall(RoofPanel $panel, int $edge, WallSpan $span): array
    {
        $joints = [];
        foreach ($this->walls->facing($span, true) as $piece) {
            $meeting = Meeting::onFace($panel->part, $edge, $piece->part, 'outside');
            $joints[] = self::butt($panel, $edge, $meeting, Ref::outside($piece->part->id));
        }
        foreach ([$span->left->edge, $span->right->edge] as $other) {
            $beside = $this->walls->span($span->form->block, $other);
            foreach (array_keys($beside->stack->layers) as $k) {
                foreach ($this->walls->pieces($beside, $k) as $piece) {
                    foreach ($piece->shape->labels as $end => $label) {
                        $meeting = $label === 'left' || $label === 'right'
                            ? Meeting::onEnd($panel->part, $edge, $piece->part, $end)
                            : null;
                        $joints[] = self::butt($panel, $edge, $meeting, Ref::edge($piece->part->id, $end));
                    }
                }
            }
        }

        return array_values(array_filter($joints, static fn (?Joint $j): bool => $j !== null));
    }

    private static function butt(RoofPanel $panel, int $edge, ?Meeting $met, Ref $mate): ?Joint
    {
        return $met === null ? null : new Joint(
            JointKind::Butt,
            Ref::edge($panel->part->id, $edge),
            $mate,
            $met->ends,
            $met->length,
            free_mm: max(0.0, $panel->part->outline->ring->edgeLength($edge) - $met->length),
            why: $met->touch === 'line' ? 'cut square against the wall' : '',
            touch: $met->touch === 'strip' ? null : $met->touch,
        );
    }
}
