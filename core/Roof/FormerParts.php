<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Form\Profile;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;

/** Triangles across the ridges that keep slopes from sagging, as many as their card asks for. docs/formulas.md#supports */
final readonly class FormerParts
{
    private const LEAST_HEIGHT_MM = 5.0;

    private function __construct(private UnderRoof $room)
    {
    }

    public static function make(UnderRoof $room): PartSet
    {
        $self = new self($room);
        $sets = [];
        $number = 0;
        foreach ($room->lines(true) as [$from, $to]) {
            $along = $to->minus($from)->times(1.0 / $from->distanceTo($to));
            foreach ($room->stations($from, $to) as $at) {
                $former = $self->former($from->plus($along->times($at)), $along, $number);
                $number += count($former->parts);
                $sets[] = $former;
            }
        }

        return PartSet::joined($sets);
    }

    private function former(Vec2 $at, Vec2 $ridge, int $number): PartSet
    {
        $across = new Vec2(-$ridge->y, $ridge->x);
        // Its face looks along the ridge; the card lies half on each side of the station.
        $face = $at->plus($ridge->times($this->room->layer->thickness_mm / 2.0));
        $profile = new Profile($face, $across, -1000.0, 1000.0);
        $room = $this->room->room($profile, 0.0);
        if ($room === null || ! $this->room->isOpen($profile, ...$room)) {
            return new PartSet;
        }
        [$low, $high] = $room;
        $eaves = $this->room->block->eaves;
        $top = [];
        foreach ($profile->facets($this->room->block->roof) as [$a, $b, $facet]) {
            // A slope that falls along the ridge would need a bevelled top.
            if (max($a, $low) < min($b, $high) && abs($facet->gradient()->dot($ridge)) > Tolerance::ROUNDING) {
                return new PartSet;
            }
            foreach (max($a, $low) < min($b, $high) ? [max($a, $low), min($b, $high)] : [] as $x) {
                $top[] = new Vec2($x, $facet->heightAt($profile->at($x)) - $eaves);
            }
        }
        if ($top === [] || max(array_map(static fn (Vec2 $p): float => $p->y, $top)) < self::LEAST_HEIGHT_MM) {
            return new PartSet;
        }

        return $this->part($face, $across, $low, $high, $top, $number);
    }

    /** @param  non-empty-list<Vec2>  $top  from one side to the other */
    private function part(Vec2 $face, Vec2 $across, float $low, float $high, array $top, int $number): PartSet
    {
        $layer = $this->room->layer;
        $walk = [[new Vec2($low, 0.0), new Edge('foot', 'clearance')], [new Vec2($high, 0.0), new Edge('side', 'clearance')]];
        foreach (array_reverse($top) as $i => $point) {
            $walk[] = [$point, $i === count($top) - 1 ? new Edge('side', 'clearance') : new Edge('under the slope')];
        }
        $frame = new Frame(
            new Vec3($face->x, $face->y, $this->room->block->eaves),
            new Vec3($across->x, $across->y, 0.0),
            new Vec3(0.0, 0.0, 1.0),
        );
        $height = max(array_map(static fn (Vec2 $p): float => $p->y, $top));
        $block = $this->room->block->block->id;
        $part = Part::of(
            new PartName("$block.former".($number > 0 ? '-'.($number + 1) : '').'.core', $block, null, 'core'),
            'B',
            'Roof former',
            PartGroup::Brace,
            $layer->stock,
            $layer->thickness_mm,
            Outline::walk($walk),
            [$frame],
            [
                'width' => Figure::given($high - $low, 'between the walls, less 2 × '.UnderRoof::CLEARANCE_MM),
                'height' => Figure::given($height, 'from the eaves to the underside of the ridge, '.LengthFormat::trimmed($height, 3)),
            ],
        );
        $joints = [];
        foreach ($part->outline->edgesNamed('under the slope') as $edge) {
            array_push($joints, ...$this->room->seats($part, $edge, 'the slope rests on the former'));
        }

        return new PartSet([$part], $joints);
    }
}
