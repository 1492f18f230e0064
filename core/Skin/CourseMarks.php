<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\MarkKind;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Pattern\Rows;
use Chartula\Core\Roof\Panels;
use Chartula\Core\Roof\RoofPanel;

/** Where rows of slates or tiles begin, on the thin layer that makes the edge of a roof. docs/formulas.md#thin-edges */
final readonly class CourseMarks
{
    /** A shorter line tells nobody anything, mm. */
    private const SHORTEST_MM = 1.0;

    /** The parts of roofs, with those lines on their outermost layer where that makes the edge. */
    public static function on(PartSet $roofs, Building $building, Panels $panels): PartSet
    {
        $marks = [];
        foreach ($building->methods->thin_edge_mm > 0.0 && $panels->stack->texture() === null ? $panels->layer(0) : [] as $panel) {
            $marks[$panel->part->id] = self::of($panel, $building, $panels);
        }

        return new PartSet(
            array_map(static fn (Part $p): Part => $p->with(marks: [...$p->marks, ...$marks[$p->id] ?? []]), $roofs->parts),
            $roofs->joints,
        );
    }

    /** @return list<Mark> */
    private static function of(RoofPanel $panel, Building $building, Panels $panels): array
    {
        $pattern = Coverings::ofRoof($panels->form->blocks[$panel->facet->block]->block->roof, $building)?->pattern;
        if (! $pattern instanceof Rows || $pattern->isUpright) {
            return [];
        }
        $above = $panels->stack->thickness_mm;
        $courses = SlopeCourses::of(SlopeCourses::alike($panel->facet, $panels->form->facets), $pattern, $above);
        $rows = $courses->on($pattern);
        assert($rows instanceof Rows);
        $card = $panel->part->region();
        $box = $card->outline->bounds();
        $line = $courses->datumOn($panel->facet, $above) - $panel->facet->frame->project($panel->part->placements[0]->origin)->y;
        $marks = [];
        for ($k = 0; $k < $courses->count; $k++) {
            $ends = [new Vec2($box->x0, $line), new Vec2($box->x1, $line)];
            foreach ($line > $box->y0 + Tolerance::MEET ? Clip::inside($ends[0], $ends[1], $card) : [] as [$a, $b]) {
                array_push($marks, ...$a->distanceTo($b) > self::SHORTEST_MM ? [new Mark([$a, $b], '', MarkKind::Course)] : []);
            }
            $line += $rows->rows[$k % count($rows->rows)];
        }

        return $marks;
    }
}
