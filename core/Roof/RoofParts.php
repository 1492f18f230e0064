<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Tolerance;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\Meeting;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Shell\WallPiece;
use Chartula\Core\Shell\Walls;

/** Panels in layers, how they meet each other, sit on the walls and end against others, and the strips over their gaps. */
final readonly class RoofParts
{
    /** Square cuts take off so much of a slope's sharp end at most. */
    private const CUT_SHORT_MM = 2.0;

    /** A panel's edge shorter than this needs no strip, mm. */
    private const WORTH_A_STRIP_MM = 0.5;

    private function __construct(
        private Building $building,
        private Panels $panels,
        private Walls $walls,
    ) {
    }

    public static function make(Building $building, Panels $panels, Walls $walls): PartSet
    {
        $self = new self($building, $panels, $walls);
        $parts = array_map(static fn (RoofPanel $p) => $p->part, $panels->all());

        return (new PartSet($parts, $self->laps()))->with($self->lines())->with(new PartSet([], [...$self->ends(), ...$self->seats()]));
    }

    /** @return list<Joint> */
    private function laps(): array
    {
        $joints = [];
        foreach ($this->panels->all() as $panel) {
            foreach ($panel->layer === 0 ? [] : $this->panels->all() as $outer) {
                if ($outer->layer === $panel->layer - 1 && $outer->facet === $panel->facet && $outer->piece === $panel->piece) {
                    $joints[] = new Joint('lap', Ref::inside($outer->part->id), Ref::outside($panel->part->id), $panel->part->corners(), why: 'layers stuck together',
                        contact_mm2: self::shared($panel, $outer));
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

        return Clip::sharedArea($outer->part->face('inside'), new Region($carried($panel->part->outline->ring), array_map($carried, $panel->part->holes)));
    }

    /** Ridges, hips, valleys and breaks, layer by layer, each with the strip that covers it. */
    private function lines(): PartSet
    {
        $set = new PartSet;
        $strips = new Strips($this->building, $this->panels);
        foreach (array_keys($this->panels->stack->layers) as $k) {
            $layer = $this->panels->layer($k);
            foreach ($layer as $i => $one) {
                foreach (array_slice($layer, $i + 1) as $other) {
                    $set = $set->with($this->line($one, $other, $strips));
                }
            }
        }

        return new PartSet($strips->parts(), [...$set->joints, ...$strips->joints()]);
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
                $strip = $side === 'inside' && $hole === null && $itsHole === null && $length > self::WORTH_A_STRIP_MM ? $strips->over($one, $i, $other) : null;
                $why = $side === 'strip' ? 'bevelled at half the fold, '.LengthFormat::trimmed(rad2deg($half), 2).'°' : 'cut square, the '.($side === 'inside' ? 'tops' : 'undersides').' part by '.LengthFormat::millimetres($gap);
                $joints[] = new Joint('mitre', $one->ref($hole, $i), $other->ref($itsHole, $j), $ends, $length, $gap, max(0.0, $one->lengthOf($hole, $i, $side === 'outside' ? 'outside' : 'inside') - $length),
                    $why, $strip, $side === 'inside' ? null : $side);
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
                if (str_starts_with($label, 'over:')) {
                    foreach ($this->panels->of(substr($label, 5), 0) as $below) {
                        $met = Meeting::onFace($panel->part, $edge, $below->part, 'outside');
                        if ($met !== null) {
                            $joints[] = new Joint('seat', Ref::edge($panel->part->id, $edge), Ref::outside($below->part->id), $met->ends, $met->length,
                                free_mm: max(0.0, $panel->part->outline->ring->edgeLength($edge) - $met->length), why: 'the overhang ends on the roof below', touch: $met->touch);
                        }
                    }
                } elseif (str_starts_with($label, 'wall:')) {
                    [, $block, $wall] = explode(':', $label);
                    foreach ($this->walls->facing($this->walls->span((int) $block, (int) $wall), true) as $piece) {
                        $met = Meeting::onFace($panel->part, $edge, $piece->part, 'outside');
                        if ($met !== null) {
                            $free = max(0.0, $panel->part->outline->ring->edgeLength($edge) - $met->length);
                            $joints[] = new Joint('butt', Ref::edge($panel->part->id, $edge), Ref::outside($piece->part->id), $met->ends, $met->length, 0.0, $free,
                                $met->touch === 'line' ? 'cut square against the wall' : '', null, $met->touch === 'strip' ? null : $met->touch);
                        }
                    }
                }
            }
        }

        return $joints;
    }

    /** @return list<Joint> */
    private function seats(): array
    {
        $joints = [];
        foreach ($this->walls->spans() as $span) {
            foreach (array_keys($span->stack->layers) as $k) {
                foreach ($this->walls->pieces($span, $k) as $piece) {
                    array_push($joints, ...$this->seat($piece));
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
            [$kind, $key] = [...explode(':', $label, 2), ''];
            if ($kind === 'plane') {
                array_push($joints, ...$this->resting($piece, $edge, $this->panels->of($key, $carrier), false));
            } elseif ($kind === 'on') {
                array_push($joints, ...$this->resting($piece, $edge, $this->panels->of($key, 0), true));
            } elseif ($label === 'foot') {
                array_push($joints, ...$this->onDeck($piece, $edge));
            } elseif ($label === 'top') {
                array_push($joints, ...$this->underEaves($piece, $edge));
            }
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
                $joints[] = new Joint('seat', Ref::edge($piece->part->id, $edge), $stands ? Ref::outside($panel->part->id) : Ref::inside($panel->part->id), self::outer($piece, $edge), $met->length,
                    free_mm: max(0.0, $piece->part->outline->ring->edgeLength($edge) - $met->length), why: $stands ? 'the wall stands on the slope' : 'the slope rests on the gable', touch: $met->touch);
            }
        }
        if (! $stands && $joints === [] && ($panels === [] || $piece->part->outline->ring->edgeLength($edge) < self::CUT_SHORT_MM)) {
            array_push($joints, ...$this->underNone($piece, $edge));
        }
        if ($stands && $joints === [] && $panels !== [] && $piece->layer > 0) {
            $joints[] = new Joint('clearance', Ref::edge($piece->part->id, $edge), Ref::outside($panels[0]->part->id), self::outer($piece, $edge), why: 'behind where the slope is cut out; the layer before it stands on the slope');
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
            $met = $panel->facet->name === 'deck' && $panel->facet->block !== $piece->span->form->block ? Meeting::onFace($piece->part, $edge, $panel->part, 'outside') : null;
            if ($met !== null) {
                $joints[] = new Joint('seat', Ref::edge($piece->part->id, $edge), Ref::outside($panel->part->id), self::outer($piece, $edge), $met->length,
                    free_mm: max(0.0, $piece->part->outline->ring->edgeLength($edge) - $met->length), why: 'the wall stands on the deck', touch: $met->touch);
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

        return $nearest === null ? [] : [new Joint('clearance', Ref::edge($piece->part->id, $edge), Ref::inside($nearest->id), self::outer($piece, $edge), gap_mm: $least, why: 'the slope over it is too narrow to be cut so far')];
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
        $key = "{$span->form->block}:{$span->form->wall->edge}:0";
        $depth = $span->stack->depthOf($piece->layer);
        foreach ($this->panels->of($key, $this->panels->carrier()) as $panel) {
            $met = Meeting::onFace($piece->part, $edge, $panel->part, 'inside');
            if ($met !== null) {
                $joints[] = new Joint('seat', Ref::edge($piece->part->id, $edge), Ref::inside($panel->part->id), self::outer($piece, $edge), $met->length,
                    free_mm: max(0.0, $piece->part->outline->ring->edgeLength($edge) - $met->length), why: 'the slope rests on the outer arris', touch: $met->touch);
            } elseif ($joints === [] && $depth === 0.0 && array_filter($panel->labels, static fn (string $label): bool => in_array(explode(':', $label)[0], ['wall', 'beside'], true)) !== []) {
                $joints[] = new Joint('clearance', Ref::edge($piece->part->id, $edge), Ref::inside($panel->part->id), self::outer($piece, $edge), why: 'the slope is cut back before the wall beside it');
            } elseif ($depth > 0.0 && $joints === []) {
                $joints[] = new Joint('clearance', Ref::edge($piece->part->id, $edge), Ref::inside($panel->part->id), self::outer($piece, $edge),
                    gap_mm: $depth * self::rise($panel, $span->form->frame) * $panel->facet->pitch->cos(), why: 'cut square below the slope');
            }
        }

        return $joints;
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
