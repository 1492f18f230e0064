<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
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
use Chartula\Core\Shell\BraceParts;
use Chartula\Core\Shell\WallPiece;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;

/** Strips along the insides of walls, on which a deck between its parapets lies. docs/formulas.md#ledges */
final readonly class LedgeParts
{
    /** A ledge stays so far from the next round a corner, and from where its wall's card ends. */
    private const CLEARANCE_MM = 0.2;

    /** A ledge stays so far from openings, whose frames and glass are let in or stuck behind. */
    private const CLEAR_MM = 2.5;

    /** A shorter one is not worth its glue. */
    private const SHORTEST_MM = 6.0;

    private function __construct(private Panels $panels, private Walls $walls)
    {
    }

    public static function make(Panels $panels, Walls $walls): PartSet
    {
        $self = new self($panels, $walls);
        $sets = [];
        $counts = [];
        foreach ($panels->layer($panels->carrier()) as $panel) {
            foreach ($self->sides($panel) as [$edge, $span]) {
                $wall = $span->block->id.'.'.$span->name();
                foreach ($self->stretches($panel, $edge, $span) as $stretch) {
                    $ledge = $self->ledge($panel, $edge, $span, $stretch, $counts[$wall] ?? 0);
                    $counts[$wall] = ($counts[$wall] ?? 0) + ($ledge === null ? 0 : 1);
                    $sets[] = $ledge ?? new PartSet;
                }
            }
        }

        return PartSet::joined($sets);
    }

    /** @return list<array{int, WallSpan}> the sides of a deck that run along the insides of walls */
    private function sides(RoofPanel $panel): array
    {
        $sides = [];
        foreach ($panel->facet->name === 'deck' ? $panel->labels : [] as $edge => $label) {
            $span = Side::isOfKind($label, SideKind::Deck) ? $this->wallAt($panel, $edge) : null;
            if ($span !== null) {
                $sides[] = [$edge, $span];
            }
        }

        return $sides;
    }

    /** The wall of its block along whose inside a deck's side runs. */
    private function wallAt(RoofPanel $panel, int $edge): ?WallSpan
    {
        [$from, $to] = $this->ends($panel, $edge);
        $solid = $this->panels->form->solids[$panel->facet->block];
        foreach ($this->walls->spans($panel->facet->block) as $span) {
            $thickness = $span->stack->thickness_mm;
            $wall = $span->form->wall->edge;
            $off = array_map(static fn (Vec3 $p): float => $solid->behind($wall, new Vec2($p->x, $p->y)) - $thickness, [$from, $to]);
            if ($span->isBuilt() && min($off) > 0.0 && max($off) < $this->inset($span)) {
                return $span;
            }
        }

        return null;
    }

    /** A deck's side is at most so far from the inside of the wall beside it. */
    private function inset(WallSpan $span): float
    {
        return $span->stack->thickness_mm / 2.0;
    }

    /** @return array{Vec3, Vec3} of a deck's side on its underside, from left to right as its wall is seen from outside */
    private function ends(RoofPanel $panel, int $edge): array
    {
        $part = $panel->part;
        $ring = $part->outline->face('inside');

        return [
            $part->placements[0]->at($ring->point($edge), -$part->thickness),
            $part->placements[0]->at($ring->point($edge + 1), -$part->thickness),
        ];
    }

    /** @return list<Interval> where along its wall there is room for a ledge under a deck's side */
    private function stretches(RoofPanel $panel, int $edge, WallSpan $span): array
    {
        [$from, $to] = array_map(static fn (Vec3 $p): float => $span->form->frame->project($p)->x, $this->ends($panel, $edge));
        $free = [new Interval($from + $this->short($panel, $edge, $span), $to - $this->short($panel, $edge + 1, $span))];
        $top = $this->ends($panel, $edge)[0]->z - $span->form->frame->origin->z;
        foreach ($span->form->openings as $opening) {
            $clear = max(self::CLEAR_MM, $span->cut($opening->opening)->reach() + self::CLEARANCE_MM);
            if ($opening->sill < $top + $clear && $opening->top() > $top - BraceParts::LEDGE_MM - $clear) {
                $taken = new Interval($opening->left - $clear, $opening->right() + $clear);
                $free = array_merge(...array_map(static fn (Interval $i): array => [
                    new Interval($i->from, min($i->to, $taken->from)),
                    new Interval(max($i->from, $taken->to), $i->to),
                ], $free));
            }
        }

        return array_values(array_filter($free, static fn (Interval $i): bool => $i->to - $i->from > self::SHORTEST_MM));
    }

    /** How far short of a deck's corner a ledge stops, so that those of both walls have room: t ÷ tan θ/2, and a little. */
    private function short(RoofPanel $panel, int $corner, WallSpan $span): float
    {
        $ring = $panel->part->outline->ring;
        $in = $ring->point($corner)->minus($ring->point($corner - 1));
        $out = $ring->point($corner + 1)->minus($ring->point($corner));
        $half = (M_PI - atan2($in->cross($out), $in->dot($out))) / 2.0;

        return max(0.0, $this->thickness($span) / tan($half)) + self::CLEARANCE_MM;
    }

    private function thickness(WallSpan $span): float
    {
        return $span->stack->layers[$span->innermost()]->thickness_mm;
    }

    private function ledge(RoofPanel $panel, int $edge, WallSpan $span, Interval $stretch, int $number): ?PartSet
    {
        $layer = $span->stack->layers[$span->innermost()];
        $wall = $span->form->frame;
        $top = $this->ends($panel, $edge)[0]->z;
        $start = $wall->point($stretch->from, $top - BraceParts::LEDGE_MM - $wall->origin->z, -$span->stack->thickness_mm);
        $length = $stretch->to - $stretch->from;
        $block = $span->block->id;
        $id = "$block.{$span->name()}.ledge".($number > 0 ? '-'.($number + 1) : '');
        $part = Part::of(
            new PartName($id, $block, $span->name(), 'ledge'), 'B', 'Deck ledge', PartGroup::Brace, $layer->stock, $layer->thickness_mm,
            Outline::rectangle(
                $length,
                BraceParts::LEDGE_MM,
                new Edge('foot', 'clearance'),
                new Edge('right', 'clearance'),
                new Edge('under the deck'),
                new Edge('left', 'clearance'),
            ),
            [new Frame($start, $wall->x, $wall->y)],
            [
                'width' => Figure::given($length, 'along the inside of the wall, clear of corners and openings'),
                'height' => Figure::given(BraceParts::LEDGE_MM, 'a ledge, '.LengthFormat::trimmed(BraceParts::LEDGE_MM, 1)),
            ],
        );
        $seat = Meeting::onFace($part, 2, $panel->part, 'inside');
        $stuck = array_values(array_filter(array_map(
            fn (WallPiece $piece): ?Joint => $this->stuck($part, $piece),
            $this->walls->facing($span, false),
        )));
        // All of it must be stuck to the wall: where that ends there is nothing behind it.
        $held = array_sum(array_map(static fn (Joint $j): float => $j->contact_mm2 ?? 0.0, $stuck));
        if ($seat === null || $held < $length * BraceParts::LEDGE_MM - Tolerance::OVERLAP) {
            return null;
        }

        return new PartSet([$part], [
            ...$stuck,
            new Joint(
                JointKind::Seat,
                Ref::edge($id, 2),
                Ref::inside($panel->part->id),
                $seat->ends,
                $seat->length,
                free_mm: max(0.0, $length - $seat->length),
                why: 'the deck lies on the ledge',
                touch: $seat->touch === 'strip' ? null : $seat->touch,
            ),
        ]);
    }

    private function stuck(Part $ledge, WallPiece $piece): ?Joint
    {
        $to = $piece->part->placements[0];
        $ring = new Ring(array_map(
            static fn (Vec2 $p): Vec2 => $to->project($ledge->placements[0]->at($p)),
            $ledge->outline->ring->points,
        ));
        $area = Clip::sharedArea(new Region($ring), $piece->part->face('inside'));

        return $area < Tolerance::OVERLAP ? null : new Joint(
            JointKind::Lap,
            Ref::outside($ledge->id),
            Ref::inside($piece->part->id),
            $ledge->corners(),
            why: 'stuck to the inside of the wall',
            contact_mm2: $area,
        );
    }
}
