<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Form\WallId;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Meeting;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;

/** The card of the walls, layer by layer, and how it meets at the corners and against other blocks. docs/formulas.md#corner */
final readonly class WallParts
{
    private function __construct(private Walls $walls)
    {
    }

    public static function make(Walls $walls): PartSet
    {
        $self = new self($walls);
        $sets = [];
        foreach ($walls->spans() as $span) {
            foreach (array_keys($span->stack->layers) as $k) {
                foreach ($walls->pieces($span, $k) as $piece) {
                    $sets[] = new PartSet([$piece->part], [...$self->laps($piece), ...$self->ends($piece)]);
                }
            }
        }

        return PartSet::joined($sets);
    }

    /** @return list<Joint> */
    private function laps(WallPiece $piece): array
    {
        $joints = [];
        $area = $piece->part->region()->area();
        foreach ($piece->layer === 0 ? [] : $this->walls->pieces($piece->span, $piece->layer - 1) as $outer) {
            // What is cut of frames in a layer lies in openings of the one before it.
            $shared = $piece->layer !== $piece->span->stack->frames() && self::isAlike($piece, $outer)
                ? $area
                : Clip::sharedArea(self::inWall($piece, 'outside'), self::inWall($outer, 'inside'));
            if ($shared > 0.01) {
                $joints[] = new Joint(
                    JointKind::Lap,
                    Ref::inside($outer->part->id),
                    Ref::outside($piece->part->id),
                    $piece->part->corners(),
                    why: 'layers stuck together',
                    contact_mm2: $shared,
                );
            }
        }

        return $joints;
    }

    private static function isAlike(WallPiece $a, WallPiece $b): bool
    {
        return $a->shape->outline->face('outside')->toArray() === $b->shape->outline->face('inside')->toArray();
    }

    private static function inWall(WallPiece $piece, string $face): Region
    {
        return new Region($piece->shape->outline->face($face), $piece->shape->holes);
    }

    /** @return list<Joint> */
    private function ends(WallPiece $piece): array
    {
        $joints = [];
        foreach ($piece->shape->labels as $edge => $label) {
            if ($label === 'left' || $label === 'right') {
                array_push($joints, ...$this->corner($piece, $edge, $label));
            } elseif (Side::isOfKind($label, SideKind::Atop)) {
                array_push($joints, ...$this->atop($piece, $edge, Side::of($label)->wallOrFail()));
            } elseif (Side::isOfKind($label, SideKind::Wall, SideKind::Party)) {
                $wall = Side::of($label)->wallOrFail();
                array_push($joints, ...$this->against($piece, $edge, $wall->block, $wall->edge));
            }
        }

        return $joints;
    }

    /**
     * A gable's foot on the top of the wall that stops it.
     *
     * @return list<Joint>
     */
    private function atop(WallPiece $piece, int $edge, WallId $wall): array
    {
        $joints = [];
        $mate = $this->walls->span($wall->block, $wall->edge);
        foreach (array_keys($mate->stack->layers) as $k) {
            foreach ($this->walls->pieces($mate, $k) as $under) {
                foreach ($under->shape->labels as $top => $label) {
                    $isTop = Side::isOfKind($label, SideKind::Top, SideKind::Rim, SideKind::Plane);
                    $meeting = $isTop ? Meeting::onEnd($piece->part, $edge, $under->part, $top) : null;
                    if ($meeting !== null) {
                        $joints[] = new Joint(
                            JointKind::Seat,
                            Ref::edge($piece->part->id, $edge),
                            Ref::edge($under->part->id, $top),
                            $meeting->ends,
                            $meeting->length,
                            free_mm: max(0.0, $piece->part->outline->ring->edgeLength($edge) - $meeting->length),
                            why: 'the gable stands on the wall round the corner',
                            touch: $meeting->touch === 'strip' ? null : $meeting->touch,
                        );
                    }
                }
            }
        }

        return $joints;
    }

    /**
     * The stopped wall's end against the wall that runs through: inside it at an outer corner, outside it at an inner one.
     *
     * @param  'left'|'right'  $side
     * @return list<Joint>
     */
    private function corner(WallPiece $piece, int $edge, string $side): array
    {
        $span = $piece->span;
        $end = $span->at($side, $piece->layer);
        if ($end->kind === WallEnd::MITRE) {
            return $side === 'right' ? $this->mitres($piece, $edge, $end) : [];
        }
        if ($end->kind !== WallEnd::STOPPED) {
            return $this->againstAny($piece, $edge, $end->kind === WallEnd::OPEN);
        }
        $mate = $this->walls->span($span->form->block, $end->edge);
        $depth = $span->stack->depthOf($piece->layer);
        $gap = $end->gap($depth, $depth + $piece->part->thickness);

        $mates = $this->walls->facing($mate, ! $end->isConvex());
        $joints = $this->butts($piece, $edge, $mates, ! $end->isConvex(), $gap);
        if ($joints === [] && $mates !== []) {
            // At a blunt corner square ends keep clear of each other all the way.
            $face = $end->isConvex() ? Ref::inside($mates[0]->part->id) : Ref::outside($mates[0]->part->id);
            $joints[] = new Joint(
                JointKind::Clearance,
                Ref::edge($piece->part->id, $edge),
                $face,
                $this->ordered($piece, $edge, INF),
                why: 'cut square, open by '.LengthFormat::millimetres($gap).'; paper covers it',
            );
        }

        return $joints;
    }

    /**
     * Layer by layer against the same layer round the corner, bevel on bevel.
     *
     * @return list<Joint>
     */
    private function mitres(WallPiece $piece, int $edge, WallEnd $end): array
    {
        $joints = [];
        foreach ($this->walls->pieces($this->walls->span($piece->span->form->block, $end->edge), $piece->layer) as $mate) {
            foreach (array_keys($mate->shape->labels, 'left', true) as $other) {
                $met = Meeting::along($piece->part, $edge, $mate->part, $other);
                if ($met !== null) {
                    $free = $piece->part->outline->face('inside')->edgeLength($edge) - $met[1];
                    $joints[] = new Joint(
                        JointKind::Mitre,
                        Ref::edge($piece->part->id, $edge),
                        Ref::edge($mate->part->id, $other),
                        $met[2],
                        $met[1],
                        0.0,
                        max(0.0, $free),
                        'bevelled at half the turn, '.LengthFormat::trimmed(abs(180.0 - $end->angle) / 2.0, 1).'°'
                            .($free > 0.005 ? ', '.LengthFormat::millimetres($free).' rises behind the eaves' : ''),
                        touch: $met[0] === 'inside' ? null : $met[0],
                    );
                }
            }
        }

        return $joints;
    }

    /**
     * @param  list<WallPiece>  $mates
     * @return list<Joint>
     */
    private function butts(WallPiece $piece, int $edge, array $mates, bool $outside, float $gap): array
    {
        $joints = [];
        $length = $piece->part->outline->ring->edgeLength($edge);
        foreach ($mates as $mate) {
            $meeting = Meeting::onFace($piece->part, $edge, $mate->part, $outside ? 'outside' : 'inside');
            if ($meeting !== null) {
                $free = max(0.0, $length - $meeting->length);
                $why = $free > 0.005
                    ? ($piece->span->form->isGable() ? 'the gable rises behind the eaves, ' : 'stands free, ')
                        .LengthFormat::millimetres($free)
                    : ($gap > 0.0 ? 'cut square, open by '.LengthFormat::millimetres($gap) : '');
                $joints[] = new Joint(
                    JointKind::Butt,
                    Ref::edge($piece->part->id, $edge),
                    $outside ? Ref::outside($mate->part->id) : Ref::inside($mate->part->id),
                    $this->ordered($piece, $edge, $meeting->length),
                    $meeting->length,
                    gap_mm: $gap,
                    free_mm: $free,
                    why: $why,
                    touch: $meeting->touch === 'strip' ? null : $meeting->touch,
                );
            }
        }

        return $joints;
    }

    /**
     * From the foot up, on the outside face.
     *
     * @return list<Vec3>
     */
    private function ordered(WallPiece $piece, int $edge, float $length): array
    {
        $ring = $piece->part->outline->ring;
        [$a, $b] = [$ring->point($edge), $ring->point($edge + 1)];
        [$low, $high] = $a->y <= $b->y ? [$a, $b] : [$b, $a];
        $top = $low->plus($high->minus($low)->times(min(1.0, $length / $low->distanceTo($high))));

        return [$piece->part->placements[0]->at($low), $piece->part->placements[0]->at($top)];
    }

    /**
     * What stands at an end that no wall round its corner stops: of other blocks, or across a jog.
     *
     * @return list<Joint>
     */
    private function againstAny(WallPiece $piece, int $edge, bool $isOpen): array
    {
        $joints = [];
        $ring = $piece->part->outline->ring;
        $end = $piece->part->placements[0]->at($ring->point($edge)->plus($ring->point($edge + 1))->times(0.5));
        foreach ($this->walls->spans() as $span) {
            if (
                $span->form !== $piece->span->form
                && ($isOpen || $span->form->block !== $piece->span->form->block)
                && $span->isNear($end, 2.0 * $piece->span->stack->thickness_mm)
            ) {
                array_push($joints, ...$this->butts($piece, $edge, $this->walls->facing($span, true), true, 0.0));
                foreach (array_keys($span->stack->layers) as $k) {
                    array_push($joints, ...$this->onEnds($piece, $edge, $this->walls->pieces($span, $k)));
                }
            }
        }

        return $joints;
    }

    /**
     * Against another block's wall: on its face, and on the ends of boards that run through beside it.
     *
     * @return list<Joint>
     */
    private function against(WallPiece $piece, int $edge, int $block, int $wall): array
    {
        $mate = $this->walls->span($block, $wall);
        $joints = $this->butts($piece, $edge, $this->walls->facing($mate, true), true, 0.0);
        foreach ([$mate->left->edge, $mate->right->edge] as $other) {
            $beside = $this->walls->span($block, $other);
            foreach (array_keys($beside->stack->layers) as $k) {
                array_push($joints, ...$this->onEnds($piece, $edge, $this->walls->pieces($beside, $k)));
            }
        }

        return $joints === [] && $this->walls->facing($mate, true) === [] ? $this->besideStep($piece, $edge, $mate) : $joints;
    }

    /**
     * A step that is shorter than its card is thick is not cut: the end of the wall round it is its outside, before which a wall stops.
     *
     * @return list<Joint>
     */
    private function besideStep(WallPiece $piece, int $edge, WallSpan $step): array
    {
        $nearest = null;
        $least = INF;
        foreach ([$step->left->edge, $step->right->edge] as $other) {
            foreach ($this->walls->facing($this->walls->span($step->form->block, $other), false) as $board) {
                $gap = Meeting::under($piece->part, $edge, $board->part);
                if (abs($gap) < abs($least)) {
                    [$nearest, $least] = [$board->part, $gap];
                }
            }
        }

        return $nearest === null ? [] : [
            new Joint(
                JointKind::Clearance,
                Ref::edge($piece->part->id, $edge),
                Ref::inside($nearest->id),
                $this->ordered($piece, $edge, $piece->part->outline->ring->edgeLength($edge)),
                gap_mm: $least,
                why: 'before a step that is shorter than its card is thick',
            ),
        ];
    }

    /**
     * @param  list<WallPiece>  $boards
     * @return list<Joint>
     */
    private function onEnds(WallPiece $piece, int $edge, array $boards): array
    {
        $joints = [];
        foreach ($boards as $board) {
            foreach ($board->shape->labels as $end => $label) {
                $meeting = $label === 'left' || $label === 'right' ? Meeting::onEnd($piece->part, $edge, $board->part, $end) : null;
                if ($meeting !== null) {
                    $joints[] = new Joint(
                        JointKind::Butt,
                        Ref::edge($piece->part->id, $edge),
                        Ref::edge($board->part->id, $end),
                        $this->ordered($piece, $edge, $meeting->length),
                        $meeting->length,
                        free_mm: max(0.0, $piece->part->outline->ring->edgeLength($edge) - $meeting->length),
                        why: 'against the end of the board that runs through',
                        touch: $meeting->touch === 'strip' ? null : $meeting->touch,
                    );
                }
            }
        }

        return $joints;
    }
}
