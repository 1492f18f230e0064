<?php

declare(strict_types=1);

namespace Tests\Support\House;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Treatment;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;

/**
 * Judges a kit by its building's document and its placed boards alone: on the outside of every wall and under every slope, as
 * the document describes them, there must be card. It knows neither the kit's own surfaces nor its joints.
 */
final readonly class Outside
{
    /** Places are looked at so far from an end or an edge, and further in at every so many millimetres. */
    private const NEAR_MM = [0.31, 0.83, 1.37, 2.09, 3.1];

    private const STEP_MM = 6.7;

    private const SLOPE_STEP_MM = 1.9;

    /** Square cuts leave the lines in which slopes meet open for less than this to either side. */
    private const LINE_MM = 2.0;

    /** A place this near to an opening, a corner's arris or another block's surface is left out. */
    private const CLEAR_MM = 0.25;

    /** Slopes nearer to another block than this are not judged: overhangs and square cuts meet there. */
    private const BESIDE_MM = 6.0;

    /** No corner takes more of a wall than this. */
    private const CORNER_MM = 8.0;

    /** Boards meet to within this. */
    private const WITHIN_MM = 0.06;

    private ?Cut $cut;

    /** @param  list<Volume>  $volumes */
    private function __construct(
        private Building $building,
        private array $volumes,
    ) {
        $this->cut = Cut::of($building, $volumes);
    }

    /**
     * @param  array<string, mixed>  $kit  the decoded kit document
     * @return list<string> places without card
     */
    public static function open(Building $building, array $kit): array
    {
        $scale = $building->scale->ratio;
        $roof = $building->methods->stacks['roof']->thickness_mm;
        $self = new self($building, array_map(static fn (Block $block): Volume => new Volume($block, $scale, $roof), $building->blocks));
        $shell = Card::all($kit, ['shell']);
        $panels = Card::all($kit, ['roof']);
        $open = [];
        foreach ($self->volumes as $volume) {
            if ($self->cut?->leaves($volume) === false) {
                continue;
            }
            foreach (array_keys($volume->ring->points) as $edge) {
                array_push($open, ...$self->wall($volume, $edge, $shell));
            }
            array_push($open, ...($self->cut?->isRoofedAnew === true ? [] : $self->slopes($volume, $panels)));
        }

        return $open;
    }

    /**
     * @param  list<Card>  $shell
     * @return list<string>
     */
    private function wall(Volume $volume, int $edge, array $shell): array
    {
        $wall = $volume->block->walls[$edge];
        if ($wall->treat === Treatment::Omit || $volume->runsOn($edge)) {
            return [];
        }
        $from = $volume->ring->point($edge);
        $length = $volume->ring->edgeLength($edge);
        $along = $volume->ring->point($edge + 1)->minus($from)->times(1.0 / $length);
        $in = new Vec2(-$along->y, $along->x);
        $open = [];
        foreach (self::places($length) as $x) {
            $at = $from->plus($along->times($x));
            if ($this->cut?->keeps($at) === false) {
                continue;
            }
            $top = $this->cut?->isRoofedAnew === true ? $volume->eaves : $volume->top($at->plus($in->times(0.01)));
            foreach (self::places($top - $volume->base) as $up) {
                $z = $volume->base + $up;
                if ($this->isSeen($volume, $at, $in->times(-1.0), $z) && ! $this->isInOpening($volume, $edge, $x, $up)) {
                    $place = $at->plus($in->times(0.02));
                    if (! self::isCard($shell, $this->placed(new Vec3($place->x, $place->y, $z)), self::wedge($volume, $edge, $x))) {
                        $open[] = sprintf('%s.%s at %.2f, %.2f', $volume->block->id, $wall->name, $x, $up);
                    }
                }
            }
        }

        return $open;
    }

    /**
     * @param  list<Card>  $roof
     * @return list<string>
     */
    private function slopes(Volume $volume, array $roof): array
    {
        $open = [];
        foreach ($volume->slopes as $i => [$plan, $a, $b, $c]) {
            $box = $plan->bounds();
            $steep = sqrt(1.0 + $b * $b + $c * $c);
            for ($u = 0.5; $u < $box->width(); $u += self::SLOPE_STEP_MM) {
                for ($v = 0.5; $v < $box->height(); $v += self::SLOPE_STEP_MM) {
                    $at = new Vec2($box->x0 + $u, $box->y0 + $v);
                    $z = $a + $b * $at->x + $c * $at->y;
                    if (! $plan->contains($at) || $plan->distanceTo($at) < self::LINE_MM || ! $this->isByItself($volume, $at)) {
                        continue;
                    }
                    if ($this->cut?->keeps($at) === false) {
                        continue;
                    }
                    $place = $this->placed(new Vec3($at->x - 0.1 * $b / $steep, $at->y - 0.1 * $c / $steep, $z + 0.1 / $steep));
                    if (! self::isCard($roof, $place, 0.0)) {
                        $open[] = sprintf('slope %d of %s at %.2f, %.2f', $i, $volume->block->id, $at->x, $at->y);
                    }
                }
            }
        }

        return $open;
    }

    private function placed(Vec3 $at): Vec3
    {
        return $this->cut?->place($at) ?? $at;
    }

    /** How far a board's square end lies behind a wall's outside at a corner within 20° of square: it closes it all the same. */
    private static function wedge(Volume $volume, int $edge, float $x): float
    {
        $n = $volume->ring->count();
        $wedge = 0.0;
        foreach ([[$edge, $x], [($edge + 1) % $n, $volume->ring->edgeLength($edge) - $x]] as [$corner, $off]) {
            $lean = abs(abs($volume->block->footprint->angle($corner) - 180.0) - 90.0);
            $wedge = max($wedge, $lean <= 20.0 && $off < self::CORNER_MM ? $off * sin(deg2rad($lean)) : 0.0);
        }

        return $wedge;
    }

    /** @param  list<Card>  $cards */
    private static function isCard(array $cards, Vec3 $at, float $wedge): bool
    {
        foreach ($cards as $card) {
            if ($card->holds($at, self::WITHIN_MM + $wedge)) {
                return true;
            }
        }

        return false;
    }

    /** Whether nothing of another block stands before a place of a wall, or so near that it cannot be told. */
    private function isSeen(Volume $own, Vec2 $at, Vec2 $out, float $z): bool
    {
        foreach ($this->volumes as $other) {
            foreach ($other === $own ? [] : [-self::CLEAR_MM, 0.0, self::CLEAR_MM] as $up) {
                foreach ([0.0, self::CLEAR_MM] as $far) {
                    $place = $at->plus($out->times(0.02 + $far));
                    $behind = $at->minus($out->times(0.02));
                    if (
                        $other->holds(new Vec3($place->x, $place->y, $z + $up)) || $other->holds(new Vec3($behind->x, $behind->y, $z + $up))
                    ) {
                        return false;
                    }
                }
            }
        }

        return true;
    }

    /** Whether no other block, nor what its roof runs on over, is near in plan. */
    private function isByItself(Volume $own, Vec2 $at): bool
    {
        foreach ($this->volumes as $other) {
            if ($other !== $own && ($other->reach->contains($at) || $other->reach->distanceTo($at) < self::BESIDE_MM)) {
                return false;
            }
        }

        return true;
    }

    private function isInOpening(Volume $volume, int $edge, float $x, float $up): bool
    {
        $scale = $this->building->scale->ratio;
        $flank = $volume->ring->point($edge + 1)->y - $volume->ring->point($edge)->y;
        // Low relief may have moved what is in a flank along it.
        $most = $this->cut === null || abs($flank) < self::CLEAR_MM ? 0.0 : INF;
        foreach ($volume->block->walls[$edge]->openings as $opening) {
            for ($i = 0; $i < $opening->count; $i++) {
                $across = $opening->extent($i);
                $sill = $opening->sill->mm / $scale;
                if (
                    $x > $across->from / $scale - self::CLEAR_MM - $most && $x < $across->to / $scale + self::CLEAR_MM + $most
                    && $up > $sill - self::CLEAR_MM && $up < $sill + $opening->style->h->mm / $scale + self::CLEAR_MM
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<float> along a length, close together near its ends */
    private static function places(float $length): array
    {
        $places = [];
        foreach (self::NEAR_MM as $near) {
            array_push($places, $near, $length - $near);
        }
        for ($at = self::STEP_MM; $at < $length - 3.0; $at += self::STEP_MM) {
            $places[] = $at;
        }
        $within = array_filter($places, static fn (float $p): bool => $p > 0.0 && $p < $length);
        sort($within);

        return $within;
    }
}
