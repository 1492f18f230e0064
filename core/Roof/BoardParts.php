<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Profile;
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
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;

/** Boards on edge under ridges, between what holds those, and under hips from the walls up. docs/formulas.md#supports */
final readonly class BoardParts
{
    /** How deep a ridge board is. */
    private const DEPTH_MM = 6.0;

    /** A shorter board holds nothing. */
    private const SHORTEST_MM = 8.0;

    /** Boards stop so many thicknesses short of where lines meet, so that those from all sides have room. */
    private const SHORT_OF_MEETING = 1.5;

    private float $thickness;

    private function __construct(private UnderRoof $room)
    {
        $this->thickness = $room->layer->thickness_mm;
    }

    /** @param  PartSet  $formers  which the boards keep clear of */
    public static function make(UnderRoof $room, PartSet $formers): PartSet
    {
        $self = new self($room);
        $boards = new PartSet;
        foreach ([true, false] as $isLevel) {
            $number = 0;
            foreach ($room->lines($isLevel) as [$from, $to, $one, $other]) {
                foreach ($isLevel
                    ? $self->ridge($from, $to, $one, $other, $number)
                    : $self->hip($from, $to, $one, $other, $number) as $board) {
                    if (! self::isInTheWay($board->parts[0], [...$formers->parts, ...$boards->parts])) {
                        $boards = $boards->with($board);
                        $number++;
                    }
                }
            }
        }

        return $boards;
    }

    /**
     * Lines that meet at a sharp angle leave room for one board only.
     *
     * @param  list<Part>  $others
     */
    private static function isInTheWay(Part $board, array $others): bool
    {
        $own = self::plan($board);
        foreach ($others as $other) {
            if (Clip::sharedArea(new Region($own), new Region(self::plan($other))) > Tolerance::EDGE) {
                return true;
            }
        }

        return false;
    }

    /** Gives the outline in plan of a card on edge. */
    private static function plan(Part $part): Ring
    {
        $frame = $part->placements[0];

        return new Ring(array_map(static function (array $at) use ($frame): Vec2 {
            $p = $frame->point($at[0], 0.0, $at[1]);

            return new Vec2($p->x, $p->y);
        }, [[0.0, -$part->thickness], [$part->width(), -$part->thickness], [$part->width(), 0.0], [0.0, 0.0]]));
    }

    /**
     * Between the formers, the walls and where hips come.
     *
     * @return list<PartSet> a board each
     */
    private function ridge(Vec2 $from, Vec2 $to, Facet $one, Facet $other, int $number): array
    {
        $boards = [];
        $length = $from->distanceTo($to);
        $along = $to->minus($from)->times(1.0 / $length);
        $room = $this->clear($from, $along, 0.0, $length);
        $drop = $this->drop($along, $one, $other);
        if ($room === null || $one->heightAt($from) - $drop - $this->room->block->eaves < self::DEPTH_MM) {
            return [];
        }
        $held = $this->thickness / 2.0 + UnderRoof::CLEARANCE_MM;
        $places = [$room[0] - $held, ...$this->room->stations($from, $to), $room[1] + $held];
        $runs = [];
        foreach (array_slice($places, 1) as $i => $end) {
            $whole = new Interval(max($room[0], $places[$i] + $held), min($room[1], $end - $held));
            array_push($runs, ...$whole->without($this->room->through($from, $along, 0.0, $held)));
        }
        foreach ($runs as $run) {
            [$start, $end] = [$run->from, $run->to];
            if ($end - $start >= self::SHORTEST_MM && $this->isOpen($from, $along, $start, $end)) {
                array_push($boards, ...$this->part('ridge-board', $number + count($boards), 'Ridge board', $from, $along, [
                    [$start, -self::DEPTH_MM], [$end, -self::DEPTH_MM], [$end, 0.0], [$start, 0.0],
                ], $one->heightAt($from) - $drop, [
                    'width' => Figure::given($end - $start, 'between what holds the ridge, less 2 × '.UnderRoof::CLEARANCE_MM),
                    'height' => Figure::given(self::DEPTH_MM, 'as deep as a ridge board is'),
                ]));
            }
        }

        return $boards;
    }

    /** @return list<PartSet> */
    private function hip(Vec2 $from, Vec2 $to, Facet $one, Facet $other, int $number): array
    {
        $length = $from->distanceTo($to);
        $along = $to->minus($from)->times(1.0 / $length);
        $room = $this->clear($from, $along, 0.0, $length);
        // It goes up from the walls as far as nothing goes through the roof.
        if ($room === null) {
            return [];
        }
        foreach ($this->room->through($from, $along, 0.0, $this->thickness / 2.0 + UnderRoof::CLEARANCE_MM) as $taken) {
            $room = [$room[0], max($room[0], min($room[1], $taken->from))];
        }
        if ($room[1] - $room[0] < self::SHORTEST_MM || ! $this->isOpen($from, $along, ...$room)) {
            return [];
        }
        $eaves = $this->room->block->eaves;
        $drop = $this->drop($along, $one, $other);
        $rise = ($one->heightAt($to) - $one->heightAt($from)) / $length;
        $top = static fn (float $x): float => $one->heightAt($from) + $rise * $x - $drop - $eaves;
        [$low, $high] = [max($room[0], $room[0] - $top($room[0]) / $rise), $room[1]];
        if ($high - $low < self::SHORTEST_MM) {
            return [];
        }
        $height = $top($high);

        return $this->part(
            'hip-board',
            $number,
            'Hip board',
            $from,
            $along,
            [[$low, 0.0], [$high, 0.0], [$high, $height], [$low, $top($low)]],
            $eaves,
            [
                'width' => Figure::given($high - $low, 'from the inside of the walls to short of where the hip ends'),
                'height' => Figure::given($height, 'from the eaves to under the hip, '.LengthFormat::trimmed($height, 3)),
            ],
        );
    }

    /**
     * The part of a line that both faces of a board have clear between the walls, short of where other lines meet it.
     *
     * @return ?array{float, float}
     */
    private function clear(Vec2 $from, Vec2 $along, float $start, float $end): ?array
    {
        $short = self::SHORT_OF_MEETING * $this->thickness + UnderRoof::CLEARANCE_MM;
        [$low, $high] = [$start + $short, $end - $short];
        $middle = ($start + $end) / 2.0;
        foreach ($this->sides($from, $along) as $profile) {
            $room = $this->room->room($profile, $middle);
            if ($room === null) {
                return null;
            }
            [$low, $high] = [max($low, $room[0]), min($high, $room[1])];
        }

        return $high > $low ? [$low, $high] : null;
    }

    private function isOpen(Vec2 $from, Vec2 $along, float $low, float $high): bool
    {
        foreach ($this->sides($from, $along) as $profile) {
            if (! $this->room->isOpen($profile, $low, $high)) {
                return false;
            }
        }

        return true;
    }

    /** @return list<Profile> along both faces of a board under the line */
    private function sides(Vec2 $from, Vec2 $along): array
    {
        $side = (new Vec2(-$along->y, $along->x))->times($this->thickness / 2.0);

        return [new Profile($from->plus($side), $along, -1000.0, 1000.0), new Profile($from->minus($side), $along, -1000.0, 1000.0, -1.0)];
    }

    /** How far under the line the square top of a board stays, so that its arrises touch the slopes: of unlike ones the steeper. */
    private function drop(Vec2 $along, Facet $one, Facet $other): float
    {
        $across = new Vec2(-$along->y, $along->x);

        return $this->thickness / 2.0 * max(abs($one->gradient()->dot($across)), abs($other->gradient()->dot($across)));
    }

    /**
     * @param  non-empty-list<array{float, float}>  $corners  along the line, and above $level; the top from the third to the fourth
     * @param  array<string, Figure>  $workings
     * @return list<PartSet>
     */
    private function part(
        string $kind,
        int $number,
        string $name,
        Vec2 $from,
        Vec2 $along,
        array $corners,
        float $level,
        array $workings,
    ): array {
        $face = $from->plus((new Vec2($along->y, -$along->x))->times($this->thickness / 2.0));
        $edges = [
            new Edge('foot', 'clearance'),
            new Edge('end', 'clearance'),
            new Edge('under the '.strtok($kind, '-')),
            new Edge('end', 'clearance'),
        ];
        $walk = array_map(static fn (array $c, Edge $edge): array => [new Vec2($c[0], $c[1]), $edge], $corners, $edges);
        $frame = new Frame(new Vec3($face->x, $face->y, $level), new Vec3($along->x, $along->y, 0.0), new Vec3(0.0, 0.0, 1.0));
        $block = $this->room->block->block->id;
        $part = Part::of(
            new PartName("$block.$kind".($number > 0 ? '-'.($number + 1) : '').'.core', $block, null, 'core'),
            'B',
            $name,
            PartGroup::Brace,
            $this->room->layer->stock,
            $this->thickness,
            Outline::walk($walk),
            [$frame],
            $workings,
        );
        $joints = [];
        foreach ($part->outline->edgesNamed('under the '.strtok($kind, '-')) as $edge) {
            array_push($joints, ...$this->room->seats($part, $edge, 'the slope rests on an arris of the board'));
        }

        return $joints === [] ? [] : [new PartSet([$part], $joints)];
    }
}
