<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Profile;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\Meeting;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Shell\Walls;

/** Triangles across the ridges that keep slopes from sagging, as many as their card asks for. docs/formulas.md#supports */
final readonly class FormerParts
{
    /** Between a former's side and the wall, so that it drops in. */
    private const CLEARANCE_MM = 0.1;

    private const SPACING_PER_MM = 60.0;

    private const SPACING_MM = [40.0, 120.0];

    private const LEAST_HEIGHT_MM = 5.0;

    private function __construct(
        private Panels $panels,
        private Walls $walls,
        private BlockForm $block,
    ) {
    }

    public static function make(Building $building, Panels $panels, Walls $walls): PartSet
    {
        $set = new PartSet;
        foreach ($building->methods->supports === 'none' ? [] : $walls->form->blocks as $block) {
            $set = $set->with((new self($panels, $walls, $block))->all());
        }

        return $set;
    }

    private function all(): PartSet
    {
        $set = new PartSet;
        foreach ($this->ridges() as [$from, $to]) {
            foreach ($this->stations($from, $to) as $at) {
                $set = $set->with($this->former($at, $to->minus($from)->times(1.0 / $from->distanceTo($to)), count($set->parts)));
            }
        }

        return $set;
    }

    /** @return list<array{Vec2, Vec2}> level lines between two planes of the block that fold over, in plan */
    private function ridges(): array
    {
        $ridges = [];
        foreach ($this->block->roof->facets as $facet) {
            foreach ($facet->whole->lines() as $line) {
                if ($this->isRidge($facet, $line)) {
                    $key = sprintf('%.3F %.3F', $line->from->x + $line->to->x, $line->from->y + $line->to->y);
                    $ridges[$key] = [$line->from, $line->to];
                }
            }
        }

        return array_values($ridges);
    }

    private function isRidge(Facet $facet, Line $line): bool
    {
        if (! str_starts_with($line->label, 'plane:') || abs($facet->heightAt($line->from) - $facet->heightAt($line->to)) > 1e-6) {
            return false;
        }
        $other = $this->panels->form->plane(substr($line->label, 6));
        $along = $line->to->minus($line->from);

        return $other->edge !== $facet->edge && $facet->foldTo($other, new Vec2($along->y, -$along->x)) > 0.0;
    }

    /** @return list<Vec2> */
    private function stations(Vec2 $from, Vec2 $to): array
    {
        $thickness = $this->panels->stack->layers[$this->panels->carrier()]->thickness_mm;
        $spacing = max(self::SPACING_MM[0], min(self::SPACING_MM[1], self::SPACING_PER_MM * $thickness));
        $n = (int) ceil($from->distanceTo($to) / $spacing);

        // A gable or the hips at its ends hold those.
        return array_map(static fn (int $i): Vec2 => $from->plus($to->minus($from)->times($i / $n)), $n < 2 ? [] : range(1, $n - 1));
    }

    private function former(Vec2 $at, Vec2 $ridge, int $number): PartSet
    {
        $layer = $this->panels->stack->layers[$this->panels->carrier()];
        $across = new Vec2(-$ridge->y, $ridge->x);
        // Its face looks along the ridge; the card lies half on each side of the station.
        $face = $at->plus($ridge->times($layer->thickness_mm / 2.0));
        $profile = new Profile($face, $across, -1000.0, 1000.0);
        $inside = Offset::lines($this->block->ring, array_map(fn ($span): float => -($span->form->isBuilt() ? $span->stack->thickness_mm : 0.0) - self::CLEARANCE_MM, $this->walls->spans($this->block->index)));
        $room = array_values(array_filter($profile->inside($inside), static fn (array $s): bool => $s[0] < 0.0 && $s[1] > 0.0))[0] ?? null;
        if ($room === null || ! $this->isOpen($profile, $room[0], $room[1])) {
            return new PartSet;
        }
        [$low, $high] = [$room[0], $room[1]];
        $top = [];
        foreach ($profile->facets($this->block->roof) as [$a, $b, $facet]) {
            // A slope that falls along the ridge would need a bevelled top.
            if (max($a, $low) < min($b, $high) && abs($facet->gradient()->dot($ridge)) > 1e-9) {
                return new PartSet;
            }
            foreach (max($a, $low) < min($b, $high) ? [max($a, $low), min($b, $high)] : [] as $x) {
                $top[] = new Vec2($x, $facet->heightAt($profile->at($x)) - $this->block->eaves);
            }
        }
        if ($top === [] || max(array_map(static fn (Vec2 $p): float => $p->y, $top)) < self::LEAST_HEIGHT_MM) {
            return new PartSet;
        }

        return $this->part($face, $across, $low, $high, $top, $number);
    }

    /** Whether no other block stands in the way, above or below. */
    private function isOpen(Profile $profile, float $low, float $high): bool
    {
        foreach ($this->panels->form->solids as $solid) {
            if ($solid->index !== $this->block->index && array_filter($profile->inside($solid->ring), static fn (array $s): bool => $s[0] < $high && $s[1] > $low) !== []) {
                return false;
            }
        }
        for ($k = 0; $k <= 8; $k++) {
            $place = $profile->at($low + ($high - $low) * ($k + 0.37) / 8.8);
            foreach ($this->panels->form->facets as $facet) {
                foreach ($facet->block === $this->block->index ? $facet->patches : [] as $patch) {
                    if ($patch->region()->contains($place)) {
                        continue 3;
                    }
                }
            }

            return false;
        }

        return true;
    }

    /** @param  non-empty-list<Vec2>  $top  from one side to the other */
    private function part(Vec2 $face, Vec2 $across, float $low, float $high, array $top, int $number): PartSet
    {
        $layer = $this->panels->stack->layers[$this->panels->carrier()];
        $id = $this->block->block->id.'.former'.($number > 0 ? '-'.($number + 1) : '').'.core';
        $walk = [[new Vec2($low, 0.0), new Edge('foot', 'clearance')], [new Vec2($high, 0.0), new Edge('side', 'clearance')]];
        foreach (array_reverse($top) as $i => $point) {
            $walk[] = [$point, $i === count($top) - 1 ? new Edge('side', 'clearance') : new Edge('under the slope')];
        }
        $frame = new Frame(new Vec3($face->x, $face->y, $this->block->eaves), new Vec3($across->x, $across->y, 0.0), new Vec3(0.0, 0.0, 1.0));
        $height = max(array_map(static fn (Vec2 $p): float => $p->y, $top));
        $part = Part::of($id, 'B', 'Roof former', 'brace', $layer->stock, $layer->thickness_mm, Outline::walk($walk), [$frame], [
            'width' => Figure::given($high - $low, 'between the walls, less 2 × '.self::CLEARANCE_MM),
            'height' => Figure::given($height, 'from the eaves to the underside of the ridge, '.LengthFormat::trimmed($height, 3)),
        ]);
        $joints = [];
        foreach ($part->outline->edgesNamed('under the slope') as $edge) {
            foreach ($this->panels->layer($this->panels->carrier()) as $panel) {
                $met = $panel->facet->block === $this->block->index ? Meeting::onFace($part, $edge, $panel->part, 'inside') : null;
                if ($met !== null) {
                    $joints[] = new Joint('seat', Ref::edge($id, $edge), Ref::inside($panel->part->id), $met->ends, $met->length, free_mm: max(0.0, $part->outline->ring->edgeLength($edge) - $met->length), why: 'the slope rests on the former', touch: $met->touch);
                }
            }
        }

        return new PartSet([$part], $joints);
    }
}
