<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Ordinal;
use Chartula\Core\Measure\RealLength;

/** One block: walls on a footprint, and a roof. Real sizes; its own axes are turned about (0,0), which `at` then moves. */
final readonly class Block
{
    use CopiesWith;

    /**
     * @param  list<Wall>  $walls  one for each edge of the footprint
     * @param  array<int, Corner>  $corners  those that are made in a way of their own, by corner
     * @param  list<Storey>  $storeys
     * @param  ?RealLength  $plinth  its top above the datum
     * @param  ?Uncut  $uncut  the whole block, where this is what low relief has left of it
     * @param  list<Feature>  $features  what stands on it
     * @param  ?Receding  $receding  the block as it is, where this is what it looks like in forced perspective
     */
    public function __construct(
        public string $id,
        public string $name,
        public Footprint $footprint,
        public Vec2 $at,
        public float $turnDeg,
        public RealLength $base,
        public RealLength $eaves,
        public array $walls,
        public Roof $roof,
        public array $corners,
        public array $storeys,
        public ?RealLength $plinth,
        public string $path,
        public ?Uncut $uncut = null,
        public ?Receding $receding = null,
        public array $features = [],
    ) {
    }

    /**
     * What stands round an opening: of a kind that stands over it and others as if they were one, not one of its own.
     *
     * @param  int  $copy  of a row, from 0
     * @return list<Feature>
     */
    public function dress(int $edge, Opening $opening, int $copy): array
    {
        $joint = [];
        foreach ($opening->dress() === [] ? [] : $this->features as $feature) {
            if ($feature->place?->edge === $edge && in_array($opening->copyId($copy), $feature->place->openings, true)) {
                $joint[] = $feature->kind->name();
            }
        }

        return array_values(array_filter(
            $opening->dress(),
            static fn (Feature $f): bool => ! in_array($f->kind->name(), $joint, true),
        ));
    }

    /** What a person calls one of its things: “second band”. */
    public function called(Feature $feature): string
    {
        $alike = array_values(array_filter($this->features, static fn (Feature $f): bool => $f->kind->name() === $feature->kind->name()));

        return Ordinal::among((int) array_search($feature, $alike, true), count($alike), lcfirst($feature->kind->title()));
    }

    /** A place of the building's plan in the block's own axes. */
    public function ownAxes(Vec2 $at): Vec2
    {
        $turn = deg2rad($this->turnDeg);
        $off = $at->minus($this->at);

        return new Vec2($off->x * cos($turn) + $off->y * sin($turn), $off->y * cos($turn) - $off->x * sin($turn));
    }

    /** A place of the block's own axes in the building's plan. */
    public function inPlan(Vec2 $at): Vec2
    {
        $turn = deg2rad($this->turnDeg);
        [$cos, $sin] = [cos($turn), sin($turn)];

        return new Vec2($at->x * $cos - $at->y * $sin + $this->at->x, $at->x * $sin + $at->y * $cos + $this->at->y);
    }

    /** The footprint where it stands, real millimetres. */
    public function standing(): Ring
    {
        return new Ring(array_map($this->inPlan(...), $this->footprint->ring()->points));
    }
}
