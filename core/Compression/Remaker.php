<?php

declare(strict_types=1);

namespace Chartula\Core\Compression;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Feature\Place;
use Chartula\Core\Building\Footprint;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\OpeningRow;
use Chartula\Core\Building\Storey;
use Chartula\Core\Building\Wall;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;

/** Makes a building anew whose places have moved along its axes; what is protected was not moved within itself. Real millimetres. */
final readonly class Remaker
{
    /**
     * @param  array<string, AxisMap>  $heights  by block
     */
    public function __construct(
        private ?AxisMap $across,
        private ?AxisMap $deep,
        private array $heights,
    ) {
    }

    public function building(Building $building): Building
    {
        $blocks = array_map($this->block(...), $building->blocks);

        return $building->with(blocks: $blocks);
    }

    private function moved(Vec2 $at): Vec2
    {
        return new Vec2($this->across?->at($at->x) ?? $at->x, $this->deep?->at($at->y) ?? $at->y);
    }

    private function block(Block $block): Block
    {
        $ring = $block->standing();
        $points = array_map($this->moved(...), $ring->points);
        $at = $block->at->plus($points[0]->minus($ring->points[0]));
        $own = array_map($block->with(at: $at)->ownAxes(...), $points);
        $map = $this->heights[$block->id] ?? null;
        $up = static fn (RealLength $z): RealLength =>
            $map === null || abs($map->at($z->mm) - $z->mm) < Tolerance::MEET ? $z : self::length($z, $map->at($z->mm));
        $walls = array_map(
            fn (Wall $wall): Wall => $this->wall($block, $wall, $ring->point($wall->edge), $ring->point($wall->edge + 1), $map),
            $block->walls,
        );

        $raised = static fn (float $z): float => $map?->at($z) ?? $z;

        return $block->with(
            footprint: self::footprint($block->footprint, $own),
            at: $at,
            features: $this->features($block, $block->with(at: $at), $map, $raised),
            eaves: $up($block->eaves),
            walls: $walls,
            storeys: self::storeys($block, $map, $up),
            plinth: $block->plinth === null ? null : $up($block->plinth),
        );
    }

    /**
     * @param  callable(RealLength): RealLength  $up
     * @return list<Storey> those that are left
     */
    private static function storeys(Block $block, ?AxisMap $map, callable $up): array
    {
        $left = array_filter($block->storeys, static fn (Storey $s): bool => $map === null || ! $map->begins($s->floor->mm));

        return array_map(
            static fn (Storey $s): Storey => new Storey($s->id, $s->name, $up($s->floor), $s->height),
            array_values($left),
        );
    }

    /** Gives a length as it is modelled, written as it was measured. */
    public static function length(RealLength $was, float $mm): RealLength
    {
        return RealLength::entered($mm, LengthFormat::like($was->text ?? '', round($mm, 4)).' as modelled', $was->path ?? '');
    }

    /** @param  non-empty-list<Vec2>  $own  corners in the block's own axes */
    private static function footprint(Footprint $was, array $own): Footprint
    {
        $before = $was->ring()->points;
        $isSame = true;
        foreach ($own as $i => $p) {
            $isSame = $isSame && $p->distanceTo($before[$i]) < Tolerance::MEET;
        }
        if ($isSame) {
            return $was;
        }
        if ($was->rect !== null) {
            $size = [$own[2]->x, $own[2]->y];

            return Footprint::rect(
                ...array_map(
                    static fn (RealLength $l, float $mm): RealLength => abs($l->mm - $mm) < Tolerance::MEET ? $l : self::length($l, $mm),
                    $was->rect,
                    $size,
                ),
            );
        }

        return Footprint::polygon(
            array_map(static fn (Vec2 $p): array => [RealLength::ofMillimetres($p->x), RealLength::ofMillimetres($p->y)], $own),
            $was->edges,
        );
    }

    private function wall(Block $block, Wall $wall, Vec2 $from, Vec2 $to, ?AxisMap $map): Wall
    {
        $along = $to->minus($from)->times(1.0 / $from->distanceTo($to));
        $start = $this->moved($from);
        $openings = [];
        foreach ($wall->openings as $opening) {
            $places = [];
            foreach ($this->kept($block, $opening, [$from, $along], $map) as $i) {
                $left = $this->moved($from->plus($along->times($opening->extent($i)->from)));
                $right = $this->moved($from->plus($along->times($opening->extent($i)->to)));
                $places[] = new Interval($left->distanceTo($start), $right->distanceTo($start));
            }
            $sill = $map === null
                ? $opening->sill
                : RealLength::ofMillimetres($map->at($block->base->mm + $opening->sill->mm) - $block->base->mm);
            array_push(
                $openings,
                ...OpeningRow::of($opening, $places, abs($sill->mm - $opening->sill->mm) < Tolerance::MEET ? null : $sill),
            );
        }
        $ground = $wall->ground === null || $map === null
            ? $wall->ground
            : array_map(static fn (RealLength $z): RealLength => RealLength::ofMillimetres($map->at($z->mm)), $wall->ground);

        return $wall->with(openings: $openings, ground: $ground);
    }

    /**
     * Which of a row are left.
     *
     * @param  array{Vec2, Vec2}  $wall  where it begins, and which way it runs
     * @return list<int> from 0
     */
    private function kept(Block $block, Opening $opening, array $wall, ?AxisMap $map): array
    {
        if ($map?->swallows(Interval::of($block->base->mm + $opening->sill->mm, $opening->style->h->mm)) === true) {
            return [];
        }
        [$from, $along] = $wall;
        $isKept = fn (int $i): bool => ! $this->isSwallowed(
            $from->plus($along->times($opening->extent($i)->from)),
            $from->plus($along->times($opening->extent($i)->to)),
        );

        return array_values(array_filter(range(0, $opening->count - 1), $isKept));
    }

    /**
     * Things where they come to be; those go whose place does.
     *
     * @param  callable(float): float  $up  heights above the datum
     * @return list<Feature>
     */
    private function features(Block $block, Block $after, ?AxisMap $map, callable $up): array
    {
        $ring = $block->standing();
        $left = [];
        $lift = static fn (RealLength $above): RealLength => self::changed($above, $up($block->base->mm + $above->mm) - $block->base->mm);
        foreach ($block->features as $feature) {
            $place = $feature->place;
            [$from, $to] = [$ring->point($place->edge ?? 0), $ring->point(($place->edge ?? 0) + 1)];
            $moved = match ($place?->anchor) {
                null => null,
                Anchor::Wall, Anchor::RoofLine => $this->run($place, [$from, $to], $block->base->mm, $up),
                Anchor::Openings => $place->renamed($this->names($block, $block->walls[$place->edge ?? 0], [$from, $to], $map)),
                Anchor::Corner => $place->lifted($block->base->mm, $up),
                Anchor::Slope, Anchor::Floor => $place->with(
                    at: $after->ownAxes($this->moved($block->inPlan($place->at ?? new Vec2(0.0, 0.0)))),
                ),
                default => $place,
            };
            array_push($left, ...$moved === null ? [] : [$feature->with(place: $moved)->lifted($lift)]);
        }

        return $left;
    }

    /**
     * @param  array{Vec2, Vec2}  $wall  its ends
     * @param  callable(float): float  $up
     */
    private function run(Place $place, array $wall, float $base, callable $up): ?Place
    {
        [$from, $to] = $wall;
        $along = $to->minus($from)->times(1.0 / $from->distanceTo($to));
        $at = fn (RealLength $l): RealLength => self::changed(
            $l,
            $this->moved($from->plus($along->times($l->mm)))->distanceTo($this->moved($from)),
        );
        [$begins, $ends] = [$place->from === null ? null : $at($place->from), $place->to === null ? null : $at($place->to)];
        $length = ($ends->mm ?? $this->moved($to)->distanceTo($this->moved($from))) - ($begins->mm ?? 0.0);

        return $length < Tolerance::MEET ? null : $place->with(from: $begins, to: $ends)->lifted($base, $up);
    }

    /**
     * @param  array{Vec2, Vec2}  $ends
     * @return array<string, string> what openings of a wall that are left are called now
     */
    private function names(Block $block, Wall $wall, array $ends, ?AxisMap $map): array
    {
        [$from, $to] = $ends;
        $along = $to->minus($from)->times(1.0 / $from->distanceTo($to));
        $names = [];
        foreach ($wall->openings as $opening) {
            foreach ($this->kept($block, $opening, [$from, $along], $map) as $now => $i) {
                $names[$opening->copyId($i)] = $opening->copyId($now);
            }
        }

        return $names;
    }

    private static function changed(RealLength $was, float $mm): RealLength
    {
        return abs($was->mm - $mm) < Tolerance::MEET ? $was : self::length($was, $mm);
    }

    private function isSwallowed(Vec2 $a, Vec2 $b): bool
    {
        return (
            $this->across !== null && abs($a->x - $b->x) > Tolerance::MEET && $this->across->swallows(Interval::between($a->x, $b->x))
        )
            || (
                $this->deep !== null && abs($a->y - $b->y) > Tolerance::MEET && $this->deep->swallows(Interval::between($a->y, $b->y))
            );
    }
}
