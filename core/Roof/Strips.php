<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Patch;
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
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\Ref;
use Chartula\Core\Part\Score;
use Chartula\Core\Part\Shape;
use Chartula\Core\Shell\Walls;

/** Folded strips over ridges, hips and breaks, where square edges leave a V; mitred where they meet. docs/formulas.md#ridge-strip */
final class Strips
{
    /** A strip lies on at least so much of each side. */
    private const LEAST_COVER_MM = 1.0;

    /** A shorter strip cannot be handled. */
    private const SHORTEST_MM = 1.0;

    /** The wing of a ridge tile on the prototype, 6 in. */
    private const WING_MM = 152.4;

    /** @var list<Part> */
    private array $parts = [];

    /** @var list<Joint> */
    private array $joints = [];

    /** @var array<string, ?string> the strip over two panels' line, by both */
    private array $over = [];

    /** @var array<string, int> how many of a name there are */
    private array $names = [];

    private readonly StripRoom $room;

    private readonly StripObstacles $obstacles;

    public function __construct(
        private readonly Building $building,
        private readonly Panels $panels,
        Walls $walls,
    ) {
        $this->room = new StripRoom($building, $panels);
        $stock = $building->methods->strip;
        $this->obstacles = new StripObstacles(
            $panels,
            $walls,
            2.0 * ($stock->thickness_mm + $building->methods->template->addsTo($stock)),
        );
    }

    /** @return list<Part> */
    public function parts(): array
    {
        return $this->parts;
    }

    /** @return list<Joint> */
    public function joints(): array
    {
        return $this->joints;
    }

    /** The strip over the line of two panels, made when it is first asked for. */
    public function over(RoofPanel $one, int $i, RoofPanel $other): ?string
    {
        $key = implode(
            '|',
            [
                $one->facet->block, $one->facet->name, $one->piece, $other->facet->block, $other->facet->name,
                $other->piece, $one->part->outline->edges[$i]->name, self::place($one, $i),
            ],
        );

        return array_key_exists($key, $this->over) ? $this->over[$key] : ($this->over[$key] = $this->make($one, $i, $other));
    }

    private static function place(RoofPanel $panel, int $edge): int
    {
        $count = 0;
        foreach ($panel->part->outline->edges as $i => $e) {
            $count += $i < $edge && $e->name === $panel->part->outline->edges[$edge]->name ? 1 : 0;
        }

        return $count;
    }

    private function make(RoofPanel $one, int $edge, RoofPanel $other): ?string
    {
        $top = $this->panels->stack->thickness_mm;
        $p = $this->panels->shape($one)->at($top);
        $q = $this->panels->shape($other)->at($top);
        $met = $p === null || $q === null ? null : self::shared($one, $edge, $p, $other, $q, $top);
        if ($met === null) {
            return null;
        }
        [$i, $j, $itsEnd, $itsStart] = $met;
        $length = $p->outline->edgeLength($i);
        // It stays clear of the roofs and walls that the line runs into, on either panel.
        $clear = [
            max($this->room->atEnd($one, $p, $i, -1), $itsEnd + $this->room->atEnd($other, $q, $j, 1)),
            max($this->room->atEnd($one, $p, $i, 1), $length - $itsStart + $this->room->atEnd($other, $q, $j, -1)),
        ];
        $clear = [max($clear[0], $this->room->underRoof($one, $p, $i, true)), max($clear[1], $this->room->underRoof($one, $p, $i, false))];
        $half = acos(max(-1.0, min(1.0, $one->facet->frame->normal->dot($other->facet->frame->normal)))) / 2.0;
        $open = $this->panels->stack->layers[0]->thickness_mm * tan($half);
        $cover = max(self::LEAST_COVER_MM, self::WING_MM / $this->building->scale->ratio);
        $cover = min($cover, $this->room->beside($p, $i) - $open, $this->room->beside($q, $j) - $open);
        $leg = max($open, $open + $cover);
        $legs = [$this->leg($one, $p, $i, $leg), $this->leg($other, $q, $j, $leg)];
        // The second runs the other way along the line.
        $sides = [$legs[0], StripHalf::reversed($legs[1], $itsStart)];
        foreach ($sides as $side) {
            [$from, $to] = StripObstacles::foldOf($side) ?? [0.0, 0.0];
            $clear = [max($clear[0], $from), max($clear[1], $length - $to)];
        }
        if (
            $length - array_sum($clear) < self::SHORTEST_MM
            || min(StripHalf::reach($legs[0]), StripHalf::reach($legs[1])) < $open + self::LEAST_COVER_MM / 4.0
        ) {
            return null;
        }

        $first = null;
        foreach ($this->beside([$one, $p, $i], [$other, $q, $j], $leg, new Interval($clear[0], $length - $clear[1])) as $run) {
            $id = $this->part(
                $one,
                $other,
                $p,
                $i,
                array_map(static fn (array $l): array => StripHalf::between($l, $run->from, $run->to), $sides),
                $length,
                $half,
                $open,
                $cover,
                [$run->from, $length - $run->to],
            );
            $first ??= $id;
        }

        return $first;
    }

    /**
     * What of a line a strip may lie over beside whatever stands on either slope.
     *
     * @param  array{RoofPanel, Patch, int}  $one  along whose side the line runs
     * @param  array{RoofPanel, Patch, int}  $other
     * @return list<Interval>
     */
    private function beside(array $one, array $other, float $leg, Interval $run): array
    {
        $line = $this->line(...$one);
        $taken = [];
        foreach ([[$one, 1.0], [$other, -1.0]] as [[$panel], $way]) {
            $along = $line->x->times($way);
            $own = new Frame($line->origin, $along, $panel->facet->frame->normal->cross($along));
            foreach ($panel->facet->standing as $standing) {
                $interval = $this->obstacles->standing($standing, $panel->facet, $own, $leg);
                array_push($taken, ...$interval === null ? [] : [$way > 0.0 ? $interval : new Interval(-$interval->to, -$interval->from)]);
            }
        }

        return array_values(array_filter(
            $run->without($taken),
            static fn (Interval $free): bool => $free->length() >= self::SHORTEST_MM,
        ));
    }

    /** @return list<Vec2> one half of a strip, clear of what stands on its panel */
    private function leg(RoofPanel $panel, Patch $shape, int $edge, float $leg): array
    {
        return $this->obstacles->clear($panel->facet->block, $this->line($panel, $shape, $edge), StripHalf::of($shape, $edge, $leg));
    }

    /** Along a side of a panel's top: x along it, y into the panel. */
    private function line(RoofPanel $panel, Patch $shape, int $edge): Frame
    {
        $top = $this->panels->stack->thickness_mm;
        $frame = $panel->facet->frame;
        [$a, $b] = [$frame->at($shape->outline->point($edge), $top), $frame->at($shape->outline->point($edge + 1), $top)];
        $along = $b->minus($a)->times(1.0 / $a->distanceTo($b));

        return new Frame($a, $along, $panel->facet->frame->normal->cross($along));
    }

    /**
     * The sides of both shapes that run along each other where the first panel's edge lies: a line that something stands on comes in
     * pieces, and what is let into one panel may cut its side shorter than the other's.
     *
     * @return ?array{int, int, float, float} both sides, and where along the first one the second ends and begins
     */
    private static function shared(RoofPanel $one, int $edge, Patch $p, RoofPanel $other, Patch $q, float $top): ?array
    {
        $ring = $one->part->outline->ring;
        $middle = $one->part->placements[0]->at($ring->point($edge)->plus($ring->point($edge + 1))->times(0.5));
        $found = null;
        $nearest = INF;
        foreach (array_keys($p->labels) as $i) {
            $a = $one->facet->frame->at($p->outline->point($i), $top);
            $b = $one->facet->frame->at($p->outline->point($i + 1), $top);
            $length = $a->distanceTo($b);
            $off = $a->plus($b)->times(0.5)->distanceTo($middle);
            if ($length < self::SHORTEST_MM || $off >= $nearest) {
                continue;
            }
            $along = $b->minus($a)->times(1.0 / $length);
            foreach (array_keys($q->labels) as $j) {
                $start = $other->facet->frame->at($q->outline->point($j), $top)->minus($a);
                $end = $other->facet->frame->at($q->outline->point($j + 1), $top)->minus($a);
                [$from, $to] = [$end->dot($along), $start->dot($along)];
                $aside = max($start->minus($along->times($to))->length(), $end->minus($along->times($from))->length());
                if ($aside < Tolerance::MEET && min($to, $length) - max($from, 0.0) > $length / 2.0) {
                    [$found, $nearest] = [[$i, $j, $from, $to], $off];
                }
            }
        }

        return $found;
    }

    /**
     * @param  list<list<Vec2>>  $legs  both halves, x along the first panel's line, y into the panel
     * @param  array{float, float}  $clear
     */
    private function part(
        RoofPanel $one,
        RoofPanel $other,
        Patch $p,
        int $i,
        array $legs,
        float $length,
        float $half,
        float $open,
        float $cover,
        array $clear,
    ): string {
        $length -= $clear[0] + $clear[1];
        $stock = $this->building->methods->strip;
        $thickness = $stock->thickness_mm + $this->building->methods->template->addsTo($stock);
        $leg = $open + $cover;
        $kind = $this->kind($one, $p, $i);
        $own = $this->panels->form->blocks[$one->facet->block]->block;
        [$block, $roof] = [$own->id, $own->roof];
        $this->names["$block.$kind"] = $n = ($this->names["$block.$kind"] ?? 0) + 1;
        $id = "$block.$kind".($n > 1 ? "-$n" : '').'.strip';
        // From the far end of the line back, so that the strip's y runs out over it.
        [$start, $end] = [$p->outline->point($i + 1), $p->outline->point($i)];
        $x = $end->minus($start)->times(1.0 / $start->distanceTo($end));
        $start = $start->plus($x->times($clear[1]));
        $y = new Vec2(-$x->y, $x->x);
        $frame = $one->facet->frame;
        $inSpace = static fn (Vec2 $v): Vec3 => $frame->x->times($v->x)->plus($frame->y->times($v->y));
        $top = $this->panels->stack->thickness_mm;
        $placed = new Frame($frame->at($start->minus($y->times($leg)), $top + $thickness), $inSpace($x), $inSpace($y));
        // It is drawn from the line's far end: the first half below the fold, the second above it.
        $below = array_map(static fn (Vec2 $v): Vec2 => new Vec2($length - $v->x, $leg - $v->y), $legs[0]);
        $above = array_map(static fn (Vec2 $v): Vec2 => new Vec2($length - $v->x, $leg + $v->y), $legs[1]);
        $isPlain = count($below) === 4 && count($above) === 4
            && abs((new Ring($below))->area() - $length * $leg) < Tolerance::EDGE
            && abs((new Ring($above))->area() - $length * $leg) < Tolerance::EDGE;
        $edges = [new Edge('front edge', 'top'), new Edge('end', 'verge'), new Edge('back edge', 'top'), new Edge('other end', 'verge')];
        $outline = $isPlain ? Outline::rectangle($length, 2.0 * $leg, ...$edges) : StripHalf::outline($below, $above, $leg, $length);
        $fold = 2.0 * $half;
        $what = abs(rad2deg($half) - $one->facet->pitch->degrees) < Tolerance::FIGURE
            ? 'tan '.$one->facet->pitch->text()
            : 'tan of half the fold, '.LengthFormat::trimmed(rad2deg($half), 3).'°';
        $workings = [
            'width' => $isPlain ? $one->part->workings['width'] : Figure::given($length, "along the $kind, where the tops meet"),
            'height' => Figure::given($open, "half the gap at the $kind, ".LengthFormat::trimmed($this->panels->stack->layers[0]->thickness_mm, 3).' × '.$what)
                ->plus($cover, 'plus what lies on the panel, '.LengthFormat::trimmed($cover, 3))->times(2.0, '× 2, both sides'),
        ];
        if (abs($workings['width']->mm - $length) > Tolerance::FIGURE) {
            $workings['width'] = Figure::given($length, "along the $kind, where the tops meet");
        }
        foreach (['width' => $outline->ring->bounds()->width(), 'height' => $outline->ring->bounds()->height()] as $of => $mm) {
            $off = $workings[$of]->mm - $mm;
            $workings[$of] = abs($off) < Tolerance::FIGURE
                ? $workings[$of]
                : $workings[$of]->less($off, 'cut to where the next strip comes, '.LengthFormat::trimmed($off, 3));
        }
        $part = Part::of(
            new PartName($id, $block, null, 'strip'), 'R', ucfirst($kind).' strip', PartGroup::Roof, $stock, $thickness,
            $outline, [$placed], $workings,
            scores: [new Score(new Vec2(0.0, $leg), new Vec2($length, $leg), 'away', rad2deg($fold), 'face')],
            shape: Shape::folded($isPlain
                ? new Vec2($length / 2.0, $leg / 2.0)
                : (new Ring($below === [] ? [new Vec2(0.0, 0.0)] : $below))->middle()),
            art: RidgeTiles::art($roof, $this->building, [$length, 2.0 * $leg]),
        );
        $this->parts[] = $part;
        foreach ([$one, $other] as $k => $panel) {
            // What lies on the panel: the half strip, less what bridges the gap.
            // The half's corners, from where it folds.
            $line = new Frame(
                $frame->at($end->minus($x->times($clear[0])), $top),
                $inSpace($x)->times(-1.0),
                $panel->facet->frame->normal->cross($inSpace($x)->times($k === 0 ? -1.0 : 1.0)),
            );
            $this->joints[] = new Joint(
                JointKind::Lap,
                Ref::inside($id),
                Ref::outside($this->outermost($panel)->id),
                array_map(static fn (Vec2 $v): Vec3 => $line->at($v), $legs[$k]),
                why: "the strip covers the $kind",
                contact_mm2: $this->lying($panel, $line, $legs[$k]),
            );
        }

        return $id;
    }

    private function outermost(RoofPanel $panel): Part
    {
        foreach ($this->panels->layer(0) as $outer) {
            if ($outer->isOver($panel)) {
                return $outer->part;
            }
        }

        return $panel->part;
    }

    /**
     * How much of a half lies on its panel.
     *
     * @param  list<Vec2>  $half
     */
    private function lying(RoofPanel $panel, Frame $line, array $half): float
    {
        $card = $this->outermost($panel);

        return count($half) < 3
            ? 0.0
            : Clip::sharedArea(
                new Region(new Ring(array_map(static fn (Vec2 $v): Vec2 => $card->placements[0]->project($line->at($v)), $half))),
                $card->region(),
            );
    }

    private function kind(RoofPanel $panel, Patch $shape, int $edge): string
    {
        [$a, $b] = [$panel->facet->frame->at($shape->outline->point($edge)), $panel->facet->frame->at($shape->outline->point($edge + 1))];
        $key = substr($shape->labels[$edge], 6);
        $isBreak = str_starts_with($key, $panel->facet->block.':'.$panel->facet->edge.':');

        return $isBreak ? 'break' : (abs($a->z - $b->z) < Tolerance::FIGURE ? 'ridge' : 'hip');
    }
}
