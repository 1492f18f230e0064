<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\PlaneId;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Part\Pattern\Pattern;
use Chartula\Core\Part\Pattern\Rows;

/**
 * A wall that stands on a roof and is hung in rows, as a dormer's cheek is: they lie at the levels of that roof's own.
 * docs/formulas.md#coverings
 */
final readonly class CheekCourses
{
    private function __construct(public Rows $pattern, public float $datum)
    {
    }

    /** Null where it stands on no roof in rows, or is not hung in any. */
    public static function of(Building $building, Form $form, WallForm $wall, ?Pattern $pattern): ?self
    {
        $slope = self::isHung($pattern) && $wall->wall->finish->isForRoofs() ? self::slope($form, $wall) : null;
        $roof = $slope === null ? null : Coverings::ofRoof($form->blocks[$slope->block]->block->roof, $building)?->pattern;
        if ($slope === null || ! self::isHung($roof) || ! self::isHung($pattern)) {
            return null;
        }
        $above = $building->methods->roof()->thickness_mm;
        $courses = SlopeCourses::of(SlopeCourses::alike($slope, $form->facets), $roof, $above);
        $rows = $courses->on($roof);
        assert($rows instanceof Rows);
        $steep = $slope->frame->y->z;

        return new self(
            $pattern->with(rows: array_map(static fn (float $row): float => $row * $steep, $rows->rows)),
            $courses->foot - $wall->frame->origin->z,
        );
    }

    /** @phpstan-assert-if-true Rows $pattern */
    private static function isHung(?Pattern $pattern): bool
    {
        return $pattern instanceof Rows && ! $pattern->isUpright && $pattern->long > 0.0;
    }

    /** That on which most of its foot stands. */
    private static function slope(Form $form, WallForm $wall): ?Facet
    {
        $lengths = $planes = [];
        foreach ($wall->patches as $patch) {
            foreach ($patch->labels as $i => $label) {
                if (Side::isOfKind($label, SideKind::On)) {
                    $plane = Side::of($label)->planeOrFail();
                    $planes[$plane->key()] = $plane;
                    $lengths[$plane->key()] = ($lengths[$plane->key()] ?? 0.0) + $patch->outline->edgeLength($i);
                }
            }
        }
        arsort($lengths);
        $plane = $planes[array_key_first($lengths) ?? ''] ?? null;

        return $plane instanceof PlaneId ? $form->plane($plane) : null;
    }
}
