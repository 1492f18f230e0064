<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Holding;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\Ref;
use Chartula\Core\Shell\WallPiece;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;

/** How a frame or a leaf meets its wall: clear of those round it, and against what holds it. docs/formulas.md#frame */
final readonly class FillingJoints
{
    private const LEAST_MM2 = 0.5;

    public function __construct(private Walls $walls, private WallSpan $span, private Part $panel)
    {
    }

    /**
     * @param  non-empty-list<OpeningForm>  $forms
     * @return list<Joint>
     */
    public function clearances(array $forms): array
    {
        $gap = FillingParts::CLEARANCE_MM + $this->span->form->turnIn;
        $joints = [];
        foreach ($forms as $copy => $opening) {
            foreach ($this->layersRound($opening) as $k) {
                foreach ($this->walls->pieces($this->span, $k) as $piece) {
                    if (in_array($opening, $piece->shape->openings, true)) {
                        array_push($joints, ...$this->clearance($copy, $opening, $piece, $gap));
                    }
                }
            }
        }

        return $joints;
    }

    /** @return list<int> the layers of the wall that the panel stands within: all, or those behind what it leans against */
    private function layersRound(OpeningForm $opening): array
    {
        $cut = $this->span->cut($opening->opening);

        return $cut->lap > 0.0 ? $cut->cutBack($this->span->stack) : range(0, $this->span->innermost());
    }

    /**
     * How a panel leans against what stands before it, with the paper that turns in between: a layer of the wall, or all of it.
     *
     * @param  non-empty-list<OpeningForm>  $forms
     * @return list<Joint>
     */
    public function stops(array $forms): array
    {
        $cut = $this->span->cut($forms[0]->opening);

        $why = match ($cut->held) {
            Holding::Rebate => 'leans against its rebate',
            Holding::Layer => 'stuck behind the layer of frames',
            default => 'stuck on the back of the wall',
        };
        // No paper goes round the layer of frames.
        $paper = $cut->held === Holding::Layer ? 0.0 : $this->span->form->turnIn;

        return $cut->lap > 0.0 ? $this->on($cut->front - 1, $forms, $paper, $why) : [];
    }

    /**
     * How it lies on the back of the wall.
     *
     * @param  non-empty-list<OpeningForm>  $forms
     * @return list<Joint>
     */
    public function onBack(array $forms, float $gap, string $why): array
    {
        return $this->on($this->span->innermost(), $forms, $gap, $why);
    }

    /**
     * @param  non-empty-list<OpeningForm>  $forms
     * @return list<Joint>
     */
    private function on(int $layer, array $forms, float $gap, string $why): array
    {
        $joints = [];
        foreach ($forms as $copy => $opening) {
            foreach ($this->walls->pieces($this->span, $layer) as $piece) {
                if (in_array($opening, $piece->shape->openings, true)) {
                    $joints[] = new Joint(
                        JointKind::Lap, Ref::inside($piece->part->id), Ref::outside($this->panel->id, $copy), $this->panel->corners($copy),
                        gap_mm: $gap, why: $why, contact_mm2: $this->shared($copy, $piece->part, self::round($piece, $opening)),
                    );
                }
            }
        }

        return $joints;
    }

    /**
     * How what slides lies before its wall, wherever that is.
     *
     * @param  non-empty-list<OpeningForm>  $forms
     * @param  float  $off  the paper between
     * @return list<Joint>
     */
    public function before(array $forms, float $off): array
    {
        $joints = [];
        foreach (array_keys($forms) as $copy) {
            foreach ($this->walls->pieces($this->span, 0) as $piece) {
                $shared = $this->shared($copy, $piece->part, $piece->part->face('outside'));
                array_push($joints, ...$shared < self::LEAST_MM2 ? [] : [new Joint(
                    JointKind::Lap, Ref::inside($this->panel->id, $copy), Ref::outside($piece->part->id), $this->panel->corners($copy),
                    gap_mm: $off, why: 'slides before the wall', contact_mm2: $shared,
                )]);
            }
        }

        return $joints;
    }

    /** The inside of a wall as it is round one of its openings: what is cut for others lies farther off than anything laps. */
    private static function round(WallPiece $piece, OpeningForm $opening): Region
    {
        $face = $piece->part->face('inside');
        $own = $piece->shape->holeOf[$opening->id] ?? null;
        if ($own === null && ! $opening->reachesFoot()) {
            return $face;
        }
        $more = array_slice($face->holes, count($piece->shape->holeOf));

        return new Region($face->outline, $own === null ? $more : [$face->holes[$own], ...$more]);
    }

    private function shared(int $copy, Part $wall, Region $face): float
    {
        [$from, $to] = [$this->panel->placements[$copy], $wall->placements[0]];
        $there = static fn (Vec2 $p): Vec2 => $to->project($from->at($p));
        $drawn = static fn (Ring $ring): Ring => new Ring(array_map($there, $ring->points));
        $its = new Region($drawn($this->panel->outline->ring), array_map($drawn, $this->panel->holes));

        return Clip::sharedArea($its, $face);
    }

    /** @return list<Joint> */
    private function clearance(int $copy, OpeningForm $opening, WallPiece $piece, float $gap): array
    {
        $why = 'stands in the opening';
        $wall = $piece->part->id;
        if (! $opening->reachesFoot()) {
            return [
                new Joint(
                    JointKind::Clearance,
                    Ref::outline($this->panel->id, $copy),
                    Ref::hole($wall, $piece->shape->holeOf[$opening->id]),
                    $this->panel->corners($copy),
                    gap_mm: $gap,
                    why: $why,
                ),
            ];
        }
        $joints = [];
        foreach (['-jamb-left', '-head', '-jamb-right'] as $name) {
            foreach ($piece->shape->outline->edgesNamed($opening->id.$name) as $edge) {
                $joints[] = new Joint(
                    JointKind::Clearance,
                    Ref::edge($wall, $edge),
                    Ref::outline($this->panel->id, $copy),
                    $this->panel->corners($copy),
                    gap_mm: $gap,
                    why: $why,
                );
            }
        }

        return $joints;
    }
}
