<?php

declare(strict_types=1);

namespace Chartula\Core\Kit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Recall\Recall;
use Chartula\Core\Roof\Panels;
use Chartula\Core\Roof\RoofPanel;
use Chartula\Core\Shell\WallEnd;
use Chartula\Core\Shell\WallPiece;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallShape;
use Chartula\Core\Shell\WallSpan;
use LogicException;

/** A surface of the finished building that card must fill exactly: the outside of a wall, the underside of a slope. */
final readonly class Surface
{
    private const HIGH_MM = 10_000.0;

    /**
     * @param  'wall'|'slope'  $kind
     * @param  list<Ring>  $gaps  places that card does not fill and something else covers
     * @param  list<Ring>  $hidden  where it stands against another block, and card is not looked for
     * @param  array{float, float}|null  $real_mm  what the prototype measures, width and height, where it was entered
     */
    private function __construct(
        public string $name,
        public string $kind,
        public Frame $frame,
        public Region $region,
        public array $gaps,
        public ?array $real_mm,
        public array $hidden = [],
    ) {
    }

    /** @return list<self> */
    public static function of(Walls $walls, Panels $panels, Recall $recall = new Recall): array
    {
        $surfaces = [];
        foreach ($walls->spans() as $span) {
            array_push($surfaces, ...self::wall($walls, $span, $recall));
        }
        foreach ($panels->byPatch($panels->carrier()) as $pieces) {
            $surfaces[] = self::slope($panels, $pieces, $recall);
        }

        return $surfaces;
    }

    /** @return list<self> */
    private static function wall(Walls $walls, WallSpan $span, Recall $recall): array
    {
        $surfaces = [];
        $wall = $span->form;
        $footprint = $span->block->footprint;
        $isWhole = ! $wall->isGable()
            && count($wall->patches) === 1
            && abs($wall->patches[0]->area() - $wall->length->mm * $wall->height->mm) < 0.001;
        $real = $isWhole ? [$footprint->length($wall->wall->edge)->mm, $span->block->eaves->mm - $span->block->base->mm] : null;
        foreach ($wall->patches as $i => $patch) {
            $holes = [];
            foreach (WallShape::openingsIn($patch, $wall->openings) as $opening) {
                $holes[] = $opening->ring($wall->turnIn);
            }
            $surfaces[] = new self(
                $span->block->id.'.'.$span->name().($i > 0 ? '-'.($i + 1) : ''),
                'wall',
                $wall->frame,
                new Region(self::fromFoot($patch), $holes),
                // A step too short to be cut is the end of the board beside it.
                $span->isBuilt() ? self::open($walls, $span, new Region(self::fromFoot($patch), $holes), $recall) : [],
                $real,
                self::hidden($walls, $span),
            );
        }

        return $surfaces;
    }

    /**
     * Where another block's wall stands in its place, where it runs past an inner corner behind the wall round that, and
     * where the wall round a corner goes deeper into the ground.
     *
     * @return list<Ring>
     */
    private static function hidden(Walls $walls, WallSpan $span): array
    {
        $hidden = array_map(
            static fn (array $p): Ring => Ring::rectangle($p[0], $span->form->foot, $p[1], self::HIGH_MM),
            $span->form->section->party(),
        );
        $length = $span->form->length->mm;
        foreach ([[$span->left, 0.0], [$span->right, $length]] as [$end, $corner]) {
            $foot = $walls->span($span->form->block, $end->edge)->form->foot;
            if ($foot < $span->form->foot) {
                $hidden[] = Ring::rectangle($corner - $end->thickness(), $foot, $corner + $end->thickness(), $span->form->foot);
            }
        }
        foreach (array_keys($span->stack->layers) as $k) {
            foreach ([[$span->start($k), 0.0], [$length, $span->end($k)]] as [$from, $to]) {
                if ($to - $from > Tolerance::FIGURE) {
                    $hidden[] = Ring::rectangle($from, $span->form->foot, $to, self::HIGH_MM);
                }
            }
        }

        return $hidden;
    }

    /** Begins the ring at the left end of the foot. */
    private static function fromFoot(Patch $patch): Ring
    {
        $first = 0;
        foreach ($patch->outline->points as $i => $p) {
            $first = [$p->y, $p->x] < [$patch->outline->points[$first]->y, $patch->outline->points[$first]->x] ? $i : $first;
        }

        return $patch->turned($first)->outline;
    }

    /**
     * What card leaves open of a wall: cards that meet at other than right angles are cut square. docs/formulas.md#corner
     *
     * @return list<Ring>
     */
    private static function open(Walls $walls, WallSpan $span, Region $wanted, Recall $recall): array
    {
        $filled = array_map(static fn (WallPiece $piece): Ring => $piece->shape->outline->face('outside'), $walls->pieces($span, 0));
        $length = $span->form->length->mm;
        foreach ([[$span->left, 'right', 0.0, 1.0], [$span->right, 'left', $length, -1.0]] as [$end, $far, $corner, $way]) {
            // The boards round the corner fill it with their ends, as far up and down as those go.
            array_push($filled, ...($end->kind === WallEnd::STOPPED
                ? self::endsOf($walls, $walls->span($span->form->block, $end->edge), $far, $corner, $way, $end->angle)
                : []));
        }
        // Where nothing is left open of a wall without its openings, nothing is of the wall.
        $rings = $recall->of(
            Recall::question('open', $wanted->outline, $filled),
            static fn (): array => self::unfilled(new Region($wanted->outline), $filled),
        );

        return $rings === [] || $wanted->holes === []
            ? $rings
            : $recall->of(Recall::question('open', $wanted->rings(), $filled), static fn (): array => self::unfilled($wanted, $filled));
    }

    /**
     * @param  list<Ring>  $filled
     * @return list<Ring>
     */
    private static function unfilled(Region $wanted, array $filled): array
    {
        $lines = [];
        foreach ([...$wanted->rings(), ...$filled] as $ring) {
            foreach (array_keys($ring->points) as $i) {
                $lines[] = new Line($ring->point($i), $ring->point($i + 1), '');
            }
        }
        $open = Overlay::patches(
            $lines,
            static fn (Vec2 $at): bool =>
                $wanted->contains($at) && array_filter($filled, static fn (Ring $r): bool => $r->contains($at)) === [],
        );

        return array_map(static fn (Patch $gap): Ring => $gap->outline, $open);
    }

    /**
     * The ends of a wall's boards as they show on the wall round the corner: those that lie in its plane.
     *
     * @param  'left'|'right'  $end
     * @return list<Ring>
     */
    private static function endsOf(Walls $walls, WallSpan $mate, string $end, float $corner, float $way, float $angle): array
    {
        $rings = [];
        $other = $end === 'left' ? $mate->left : $mate->right;
        foreach ($mate->stack->layers as $k => $layer) {
            $isInPlane = $other->isBevelled(...$mate->depths($k)) || $layer->thickness_mm * abs(cos(deg2rad($angle))) <= Tolerance::MEET;
            if (! $isInPlane) {
                continue;
            }
            $x0 = $corner + $way * $mate->stack->depthOf($k) / sin(deg2rad($angle));
            $x1 = $x0 + $way * $layer->thickness_mm / sin(deg2rad($angle));
            foreach ($walls->pieces($mate, $k) as $piece) {
                foreach ($piece->shape->labels as $i => $label) {
                    if ($label === $end) {
                        [$outer, $inner] = [$piece->shape->outline->ring, $piece->shape->outline->face('inside')];
                        $rings[] = new Ring([
                            new Vec2($x0, $outer->point($i)->y),
                            new Vec2($x0, $outer->point($i + 1)->y),
                            new Vec2($x1, $inner->point($i + 1)->y),
                            new Vec2($x1, $inner->point($i)->y),
                        ]);
                    }
                }
            }
        }

        return $rings;
    }

    /** @param  non-empty-list<RoofPanel>  $pieces  of one patch */
    private static function slope(Panels $panels, array $pieces, Recall $recall): self
    {
        $form = $panels->form;
        $panel = $pieces[0];
        $true = $panels->shape($panel)->at(0.0) ?? throw new LogicException('A panel without a plane');
        $cards = array_map(static function (RoofPanel $p): Region {
            $flat = static fn (Ring $r): Ring => new Ring(array_map(
                static fn (Vec2 $at): Vec2 => $p->facet->frame->project($p->part->placements[0]->at($at)),
                $r->points,
            ));

            return new Region($flat($p->part->outline->face('inside')), array_map($flat, $p->part->holes));
        }, $pieces);
        $whole = $true->region();
        $lines = $true->lines();
        $rings = array_merge(...array_map(static fn (Region $card): array => $card->rings(), $cards));
        foreach ($rings as $ring) {
            foreach (array_keys($ring->points) as $i) {
                $lines[] = new Line($ring->point($i), $ring->point($i + 1), '');
            }
        }
        $isCard = static fn (Vec2 $p): bool => array_filter($cards, static fn (Region $card): bool => $card->contains($p)) !== [];
        $open = $recall->of(
            Recall::question('slope', $lines, $whole->rings(), $rings),
            static fn (): array => Overlay::patches($lines, static fn (Vec2 $p): bool => $whole->contains($p) && ! $isCard($p)),
        );
        $gaps = array_map(static fn (Patch $gap): Ring => $gap->outline, $open);
        $name = $form->blocks[$panel->facet->block]->block->id.'.'.$panel->facet->name
            .($panel->facet->name === 'deck' ? '' : '-slope').($panel->piece > 0 ? '-'.($panel->piece + 1) : '');

        return new self($name, 'slope', $panel->facet->frame, $true->region(), $gaps, null);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name, 'kind' => $this->kind, 'origin' => $this->frame->origin->toArray(),
            'x' => $this->frame->x->toDirection(), 'y' => $this->frame->y->toDirection(),
            'outline' => $this->region->outline->toArray(),
            'holes' => array_map(static fn (Ring $r): array => $r->toArray(), $this->region->holes),
            'gaps' => array_map(
                fn (Ring $r): array => [
                    'outline' => $r->toArray(),
                    'why' => $this->kind === 'wall'
                        ? 'cut square at a corner that is not square'
                        : 'cut square, so that the card clears its neighbour',
                ],
                $this->gaps,
            ),
            'real_mm' => $this->real_mm,
        ] + ($this->hidden === [] ? [] : ['hidden' => array_map(static fn (Ring $r): array => $r->toArray(), $this->hidden)]);
    }
}
