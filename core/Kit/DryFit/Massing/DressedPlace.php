<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;

/** Where the document has something raised or printed on a wall. */
final readonly class DressedPlace
{
    use CopiesWith;

    /** What overlaps by less than this does not stop a band, mm. */
    private const LEAST_MM = 0.085;

    /**
     * @param  string  $part  what its card is called
     * @param  Frame  $frame  of the face on which it stands
     * @param  string  $wall  what its wall is called
     * @param  string  $of  what of the wall it is, as papers say it: of a row each by itself
     */
    private function __construct(
        public string $part,
        public Frame $frame,
        public Box2 $box,
        public bool $isRaised,
        public string $wall,
        public string $of,
    ) {
    }

    /** @return list<self> of all that may be raised or printed */
    public static function all(Massing $massing): array
    {
        $places = [];
        foreach (Faces::dressed($massing) as $face) {
            $taken = [];
            $round = [];
            foreach ($face->openings as [$opening, $copy, $ring]) {
                $taken[] = $ring->bounds();
                $dress = $face->block->dress($face->edge, $opening, $copy);
                foreach ($dress === [] ? [] : DressedBoxes::of($massing->building, $opening, $dress, $ring) as $box) {
                    $taken[] = $box->box;
                    $round[$opening->copyId($copy)][] = $box->box;
                    // Of a row its card is called by the first that has one.
                    $place = self::at($face, $box, $opening->id, $opening->copyId($copy));
                    $front = self::frontBefore($massing->building, $face, $box->feature);
                    array_push($places, $place, ...$place->underRoofs($massing, $front));
                }
            }
            foreach ($face->features as $feature) {
                foreach (self::onWall($massing->building, $face, $feature, [$taken, $round]) as $box) {
                    $place = self::at($face, $box, $feature->id ?? '', $feature->id ?? '');
                    foreach ($place->closed($massing->building, $face, $feature) as $one) {
                        array_push($places, $one, ...$one->underRoofs($massing, self::frontBefore($massing->building, $face, $feature)));
                    }
                }
            }
        }

        return $places;
    }

    /**
     * Where it runs round a square corner as high on both walls, the one that ends there runs on to the front of the other. Where that has
     * no room to be raised it ends at the corner, as what is printed always does.
     *
     * @return list<self> with it as it is where nothing goes on
     */
    private function closed(Building $building, DressedFace $face, Feature $own): array
    {
        $places = [$this];
        $next = $face->next;
        $isAtEnd = $this->isRaised && abs($this->box->x1 - $face->length) < self::LEAST_MM;
        if ($isAtEnd && $own->kind->name() === 'corner-quoins' && $next !== null) {
            return [$this, $this->runningOn(self::frontOf($building, $building->papers($next), $own))];
        }
        $isAtEnd = $isAtEnd && $own->kind->name() === 'band';
        foreach ($isAtEnd ? $face->block->features : [] as $other) {
            $its = $other->place;
            $goesOn = $other->kind->name() === 'band' && $next !== null && $its?->edge === $next->edge
                && ($its->from->mm ?? 0.0) < Tolerance::MEET
                && abs(($its->up->mm ?? 0.0) - ($own->place->up->mm ?? 0.0)) < Tolerance::MEET
                && abs(($other->said->real('h')->mm ?? 0.0) - ($own->said->real('h')->mm ?? 0.0)) < Tolerance::MEET
                && in_array($other->said->text('as'), ['raised', 'both'], true);
            if ($goesOn) {
                $places[] = $this->runningOn(self::frontOf($building, $building->papers($next), $other));
            }
        }

        return $places;
    }

    /**
     * Where a roof comes down before its wall it ends under that: under whichever is seen there.
     *
     * @param  float  $front  how far it stands before the wall
     * @return list<self>
     */
    private function underRoofs(Massing $massing, float $front): array
    {
        $tops = [];
        $plan = new Ring(array_map(function (array $at): Vec2 {
            $place = $this->frame->point($at[0], 0.0, $at[1]);

            return new Vec2($place->x, $place->y);
        }, [[$this->box->x0, $front], [$this->box->x1, $front], [$this->box->x1, 0.0], [$this->box->x0, 0.0]]));
        foreach ($this->isRaised ? array_merge(...array_map(static fn (Mass $m): array => $m->slopes, $massing->masses)) : [] as $slope) {
            $top = $this->box->y1;
            foreach ($slope->plan->bounds()->gapTo($plan->bounds()) > 0.0 ? [] : Roofs::within($slope->plan, $plan) as $over) {
                $under = min(array_map($slope->height(...), $over->points)) - $this->frame->origin->z;
                $top = $under > $this->box->y0 ? min($top, $under) : $top;
            }
            array_push($tops, ...$top < $this->box->y1 - Tolerance::FIGURE ? [$top] : []);
        }

        return array_map(
            fn (float $top): self => $this->with(of: '', box: new Box2($this->box->x0, $this->box->y0, $this->box->x1, $top)),
            $tops,
        );
    }

    /** Its card so much longer to the right. */
    private function runningOn(float $by): self
    {
        return $this->with(of: '', box: new Box2($this->box->x0, $this->box->y0, $this->box->x1 + $by, $this->box->y1));
    }

    /** How far the front of a thing on a face stands before that. */
    private static function frontBefore(Building $building, DressedFace $face, ?Feature $feature): float
    {
        return $feature === null ? 0.0 : self::frontOf($building, $building->papers($face->block->walls[$face->edge]), $feature);
    }

    /** How far the front of what is raised stands before its wall: as many layers as come nearest to what is said. */
    private static function frontOf(Building $building, bool $isPapered, Feature $feature): float
    {
        $paper = $building->methods->paper->thickness_mm;
        $card = $building->methods->frame->thickness_mm + $building->methods->template->addsTo($building->methods->frame);
        $proud = $feature->said->real('proud');
        $layers = max(1, (int) round((($proud === null ? 0.0 : $building->scale->modelMm($proud)) - $paper) / $card));

        return ($isPapered ? $paper : 0.0) + $layers * $card + $paper;
    }

    private static function at(DressedFace $face, DressedBox $box, string $first, string $own): self
    {
        return new self("$face->name.$box->layer.$first", $face->frame, $box->box, $box->isRaised, $face->name, "$box->layer.$own");
    }

    /**
     * @param  array{list<Box2>, array<string, list<Box2>>}  $there  openings and what stands round them, and that by openings
     * @return list<DressedBox>
     */
    private static function onWall(Building $building, DressedFace $face, Feature $feature, array $there): array
    {
        return match (true) {
            $feature->place?->anchor === Anchor::Openings => self::overSeveral($building, $face, $feature, $there[1]),
            $feature->kind->name() === 'band' => self::bands($building, $face, $feature, $there[0]),
            $feature->kind->name() === 'corner-quoins' => self::cornerQuoins($building, $face, $feature),
            $feature->kind->name() === 'facing' => [new DressedBox('facing', self::facing($building, $face, $feature), false)],
            default => [],
        };
    }

    /**
     * On the wall that ends at the corner, or on the one that begins there.
     *
     * @return list<DressedBox>
     */
    private static function cornerQuoins(Building $building, DressedFace $face, Feature $feature): array
    {
        $mm = static fn (?RealLength $length): float => $length === null ? 0.0 : $building->scale->modelMm($length);
        [$said, $place, $block] = [$feature->said, $feature->place, $face->block];
        $out = max($mm($said->real('long')), $mm($said->real('short')));
        $foot = $face->base + $mm($place?->up);
        $top = $place?->upTo === null ? $building->scale->modelMm($block->eaves) : $face->base + $mm($place->upTo);
        $begins = $place?->corner === $face->edge;

        return [new DressedBox(
            $begins ? 'quoins-right' : 'quoins-left',
            $begins ? new Box2(0.0, $foot, $out, $top) : new Box2($face->length - $out, $foot, $face->length, $top),
            in_array($said->text('as'), ['raised', 'both'], true),
        )];
    }

    /** What is covered otherwise, openings or not. */
    private static function facing(Building $building, DressedFace $face, Feature $feature): Box2
    {
        $mm = static fn (?RealLength $length): float => $length === null ? 0.0 : $building->scale->modelMm($length);
        $place = $feature->place;
        $foot = $face->base + $mm($place?->up);

        return new Box2(
            $mm($place?->from), $foot, $place?->to === null ? $face->length : $mm($place->to), $foot + $mm($feature->said->real('h')),
        );
    }

    /**
     * @param  array<string, list<Box2>>  $round  what stands round openings
     * @return list<DressedBox>
     */
    private static function overSeveral(Building $building, DressedFace $face, Feature $feature, array $round): array
    {
        $boxes = [];
        $there = [];
        foreach ($face->openings as [$opening, $copy, $ring]) {
            if (in_array($opening->copyId($copy), $feature->place->openings ?? [], true)) {
                $boxes[] = $ring->bounds();
                array_push($there, ...$round[$opening->copyId($copy)] ?? []);
            }
        }

        return $boxes === [] ? [] : DressedBoxes::over($building, $feature, new Box2(
            min(array_map(static fn (Box2 $b): float => $b->x0, $boxes)),
            min(array_map(static fn (Box2 $b): float => $b->y0, $boxes)),
            max(array_map(static fn (Box2 $b): float => $b->x1, $boxes)),
            max(array_map(static fn (Box2 $b): float => $b->y1, $boxes)),
        ), $there);
    }

    /**
     * Stretches between whatever stands in the way.
     *
     * @param  list<Box2>  $taken
     * @return list<DressedBox>
     */
    private static function bands(Building $building, DressedFace $face, Feature $feature, array $taken): array
    {
        $mm = static fn (?RealLength $length): float => $length === null ? 0.0 : $building->scale->modelMm($length);
        $place = $feature->place;
        $heights = Interval::of($face->base + $mm($place?->up), $mm($feature->said->real('h')));
        $run = new Interval($mm($place?->from), $place?->to === null ? $face->length : $mm($place->to));
        $isLevel = static fn (Box2 $box): bool => Interval::between($box->y0, $box->y1)->overlaps($heights, self::LEAST_MM);
        $stretches = $run->without(array_map(
            static fn (Box2 $box): Interval => new Interval($box->x0, $box->x1),
            array_values(array_filter($taken, $isLevel)),
        ));
        $isRaised = in_array($feature->said->text('as'), ['raised', 'both'], true);
        $bands = [];
        foreach ($stretches as $i => $stretch) {
            $box = new Box2($stretch->from, $heights->from, $stretch->to, $heights->to);
            $bands[] = new DressedBox('band'.($i === 0 ? '' : '-'.($i + 1)), $box, $isRaised);
        }

        return $bands;
    }
}
