<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\Meeting;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Skin\CoveredFace;
use Chartula\Core\Skin\Coverings;

/**
 * The inside of an opening that looks deeper than it is: floor, sides, top and end, each with its taper, stuck behind the wall.
 * docs/formulas.md#mouth
 */
final readonly class DeepOpeningParts
{
    private function __construct(
        private Building $building,
        private Walls $walls,
        private DeepOpeningPlace $place,
    ) {
    }

    public static function make(Building $building, Walls $walls): PartSet
    {
        return PartSet::joined(array_map(
            static fn (DeepOpeningPlace $place): PartSet => (new self($building, $walls, $place))->parts(),
            DeepOpeningPlace::all($building, $walls),
        ));
    }

    private function parts(): PartSet
    {
        $span = $this->place->span;
        $id = $span->block->id.'.'.$span->name().'.mouth.'.$this->place->opening->id;
        $parts = [];
        foreach ($this->place->shape->faces() as $name => $face) {
            $parts[$name] = $this->part(
                "$id.$name",
                $name === 'end' ? 'End of the inside, black' : ucfirst($name).' of the inside',
                $face,
                $name === 'end' ? [] : $this->place->shape->drawn($name),
            );
        }

        $set = new PartSet(array_values($parts), [...$this->behind($parts), ...$this->among($parts)]);

        return $span->form->isPapered ? $set->with($this->papers($parts)) : $set;
    }

    /**
     * What is seen of it: brick on the sides, courses and all running to the one point, and lines on the floor.
     *
     * @param  array<string, Part>  $parts
     */
    private function papers(array $parts): PartSet
    {
        $set = new PartSet;
        foreach (['left', 'right', 'floor'] as $name) {
            $card = $parts[$name];
            $paper = $this->building->methods->paper;
            $id = $card->id.'.paper';
            $art = null;
            $frame = $card->placements[0];
            if ($name !== 'floor') {
                [$origin, $way, $receding, $length] = $this->place->shape->side($name);
                $frame = new Frame($origin, $way, new Vec3(0.0, 0.0, 1.0));
                $art = $this->artwork($receding, $length);
            }
            $corners = array_map($frame->project(...), $card->corners());
            assert($corners !== []);
            $ring = new Ring($corners);
            $box = $ring->bounds();
            $part = Part::of(
                $this->name($id, 'paper'),
                'P',
                ucfirst($name).' of the inside, paper',
                PartGroup::Skin,
                $paper,
                $paper->thickness_mm,
                new Outline($ring, array_map(static fn (): Edge => new Edge('end', 'clearance'), $ring->points)),
                [$frame->moved(0.0, 0.0, $paper->thickness_mm)],
                [
                    'width' => Figure::given($box->width(), 'as the card it is stuck to'),
                    'height' => Figure::given($box->height(), 'as the card it is stuck to'),
                ],
                marks: $name === 'floor' ? self::marks($this->place->shape->drawn('floor'), $frame) : [],
                mayTurn: false,
                art: $art,
            );
            $set = $set->with(
                new PartSet(
                    [$part],
                    [
                        new Joint(
                            JointKind::Lap,
                            Ref::inside($id),
                            Ref::outside($card->id),
                            $card->corners(),
                            why: 'stuck to the inside',
                            contact_mm2: $ring->area(),
                        ),
                    ],
                ),
            );
        }

        return $set;
    }

    private function artwork(Homography $receding, float $length): ?Artwork
    {
        $span = $this->place->span;

        $wall = $span->form->wall;

        $covering = Coverings::ofLining($this->place->opening->opening->style, $this->building)
            ?? Coverings::of($wall->finish, $this->building, $wall->paper, $wall->palette);

        return $covering?->artwork(new CoveredFace(
            -$this->building->scale->modelMm($span->block->base),
            [0.0, $length],
            receding: $receding,
        ));
    }

    private function name(string $id, string $layer): PartName
    {
        $span = $this->place->span;

        return new PartName($id, $span->block->id, $span->name(), $layer, $this->place->opening->id);
    }

    /**
     * @param  non-empty-list<Vec3>  $corners  the front edge first, counter-clockwise from within
     * @param  list<array{Vec3, Vec3, string}>  $drawn
     */
    private function part(string $id, string $name, array $corners, array $drawn): Part
    {
        $along = $corners[1]->minus($corners[0]);
        $along = $along->times(1.0 / $along->length());
        $normal = $along->cross($corners[3]->minus($corners[0]));
        $normal = $normal->times(1.0 / $normal->length());
        $frame = new Frame($corners[0], $along, $normal->cross($along));
        $ring = new Ring(array_map($frame->project(...), $corners));
        $box = $ring->bounds();
        $style = $this->place->opening->opening->style;
        $sizes = [
            Figure::measured($style->w, $this->building->scale, 'opening'),
            Figure::measured($style->h, $this->building->scale, 'opening'),
        ];
        $depth = Figure::given($this->place->shape->end, 'true depth')->less($this->place->shape->start, 'less the wall');
        $layer = $this->place->layer;

        return Part::of(
            $this->name($id, 'mouth'),
            'M',
            $name,
            PartGroup::Trim,
            $layer->stock,
            $layer->thickness_mm,
            new Outline(
                $ring,
                [
                    new Edge('front', 'clearance'),
                    new Edge('side', 'clearance'),
                    new Edge('back', 'clearance'),
                    new Edge('other side', 'clearance'),
                ],
            ),
            [$frame],
            [
                'width' => $sizes[abs($along->z) > 0.5 ? 1 : 0]->to($box->width(), 'lips, card beside it, and its taper'),
                'height' => (str_ends_with($id, '.end') ? $sizes[1] : $depth)->to($box->height(), 'along its slope'),
            ],
            marks: self::marks($drawn, $frame),
        );
    }

    /**
     * @param  list<array{Vec3, Vec3, string}>  $lines
     * @return list<Mark>
     */
    private static function marks(array $lines, Frame $frame): array
    {
        return array_map(
            static fn (array $line): Mark => new Mark([$frame->project($line[0]), $frame->project($line[1])], $line[2]),
            $lines,
        );
    }

    /**
     * Behind the wall.
     *
     * @param  array<string, Part>  $parts
     * @return list<Joint>
     */
    private function behind(array $parts): array
    {
        $joints = [];
        foreach (['floor', 'left', 'right', 'top'] as $name) {
            foreach ($this->walls->facing($this->place->span, false) as $piece) {
                $met = Meeting::onFace($parts[$name], 0, $piece->part, 'inside');
                if ($met !== null) {
                    $joints[] = new Joint(
                        JointKind::Butt, Ref::edge($parts[$name]->id, 0), Ref::inside($piece->part->id), $met->ends, $met->length,
                        free_mm: max(0.0, $parts[$name]->outline->ring->edgeLength(0) - $met->length),
                        why: 'stuck behind the wall, round the opening', touch: $met->touch === 'strip' ? null : $met->touch,
                    );
                }
            }
        }

        return $joints;
    }

    /**
     * Sides between floor and top, and all before the end.
     *
     * @param  array<string, Part>  $parts
     * @return list<Joint>
     */
    private function among(array $parts): array
    {
        $joints = [];
        foreach ([
            ['left', 1, 'floor'], ['left', 3, 'top'], ['right', 3, 'floor'], ['right', 1, 'top'],
            ['floor', 2, 'end'], ['top', 2, 'end'], ['left', 2, 'end'], ['right', 2, 'end'],
        ] as [$one, $edge, $other]) {
            $met = Meeting::onFace($parts[$one], $edge, $parts[$other], 'outside');
            if ($met !== null) {
                $joints[] = new Joint(
                    JointKind::Butt,
                    Ref::edge($parts[$one]->id, $edge),
                    Ref::outside($parts[$other]->id),
                    $met->ends,
                    $met->length,
                    free_mm: max(0.0, $parts[$one]->outline->ring->edgeLength($edge) - $met->length),
                    touch: $met->touch === 'strip' ? null : $met->touch,
                );
            }
        }

        return $joints;
    }
}
