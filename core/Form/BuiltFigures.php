<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\AsBuilt;
use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Wall;
use Chartula\Core\Compression\BuiltPlace;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Problems;

/** Figures that were measured on what was built: how they read, and that the form has them. docs/formulas.md#as-built */
final readonly class BuiltFigures
{
    /** What was measured of a wall's length, or the figure that the plan gives. */
    public static function length(Wall $wall, Figure $planned): Figure
    {
        return self::figure($wall->built[AsBuilt::LENGTH] ?? null, $planned);
    }

    /** What was measured of the height of any of a block's walls, which share it. */
    public static function height(Block $block, Figure $planned): Figure
    {
        $built = array_filter(array_map(static fn (Wall $w): ?AsBuilt => $w->built[AsBuilt::HEIGHT] ?? null, $block->walls));

        return self::figure(array_values($built)[0] ?? null, $planned);
    }

    /** Every figure that was measured is what the form has there; low relief, perspective and other blocks may leave something else. */
    public static function collectFaults(Form $form, Problems $problems): void
    {
        foreach ($form->blocks as $block) {
            foreach ($block->walls as $wall) {
                $built = $wall->wall->built + $block->block->roof->edges[$wall->wall->edge]->built;
                self::compare($problems, $built, $built === [] ? [] : self::has($form, $block, $wall));
            }
        }
    }

    /**
     * What can be measured of a block's walls and of the panels over them: what nothing but the plan made so.
     *
     * @param  Building  $whole  of which the form is what relief and perspective have left
     * @return array<int, array<value-of<AsBuilt::OF_WALLS>|value-of<AsBuilt::OF_PANELS>, float>> by edge
     */
    public static function measurable(Building $whole, Form $form, BlockForm $block): array
    {
        $measurable = [];
        foreach ($whole->blocks as $index => $before) {
            foreach ($before->id === $block->block->id ? $block->walls : [] as $wall) {
                $edge = array_search($wall->wall->name, $before->footprint->edges, true);
                foreach ($edge === false ? [] : self::has($form, $block, $wall) as $figure => $mm) {
                    $place = new BuiltPlace($index, (int) $edge, $figure);
                    $planned = $figure === AsBuilt::UP ? self::rises($form, $block, $wall) : $place->planned($whole);
                    if ($planned !== null && $mm !== null && abs($planned - $mm) < Tolerance::MEET) {
                        $measurable[$wall->wall->edge][$figure] = $mm;
                    }
                }
            }
        }

        return $measurable;
    }

    /** How far the panel over a wall would rise if nothing but its own roof ended it; null where none rises to a ridge. */
    private static function rises(Form $form, BlockForm $block, WallForm $wall): ?float
    {
        $own = $block->block;
        if ($own->uncut !== null || $own->receding !== null || ! $own->roof->risesFrom($wall->wall->edge)) {
            return null;
        }
        foreach ($form->facets as $facet) {
            if ($facet->block === $block->index && $facet->edge === $wall->wall->edge) {
                return Box2::around(self::flat($facet, $facet->whole))->height();
            }
        }

        return null;
    }

    /** @return array<value-of<AsBuilt::OF_WALLS>|value-of<AsBuilt::OF_PANELS>, ?float> */
    private static function has(Form $form, BlockForm $block, WallForm $wall): array
    {
        $points = self::points($form, $block->index, $wall->wall->edge);
        $box = $points === [] ? null : Box2::around($points);

        return [
            AsBuilt::LENGTH => $wall->length->mm, AsBuilt::HEIGHT => $wall->height->mm, AsBuilt::APEX => $wall->apex?->mm,
            AsBuilt::UP => $box?->height(), AsBuilt::ALONG => $box?->width(),
        ];
    }

    private static function figure(?AsBuilt $built, Figure $planned): Figure
    {
        return $built === null || abs($built->mm - $planned->mm) > Tolerance::FIGURE
            ? $planned
            : Figure::given($built->mm, $built->words());
    }

    /** @return list<Vec2> of a roof's plane over an edge, what is seen of it, in its own axes */
    private static function points(Form $form, int $block, int $edge): array
    {
        $points = [];
        foreach ($form->facets as $facet) {
            foreach ($facet->block === $block && $facet->edge === $edge ? $facet->patches : [] as $patch) {
                array_push($points, ...self::flat($facet, $patch));
            }
        }

        return $points;
    }

    /** @return list<Vec2> */
    private static function flat(Facet $facet, Patch $patch): array
    {
        return array_values(array_map($facet->flat(...), $patch->outline->points));
    }

    /**
     * @param  array<string, AsBuilt>  $built
     * @param  array<string, ?float>  $has
     */
    private static function compare(Problems $problems, array $built, array $has): void
    {
        foreach ($built as $figure => $fact) {
            if (abs(($has[$figure] ?? INF) - $fact->mm) > Tolerance::MEET) {
                $left = $has[$figure] ?? null;
                $problems->add($fact->path, $left === null ? 'built.gone' : 'built.not-taken', ['given' => round($fact->mm, 2)]
                    + ($left === null ? [] : ['plan' => round($left, 2)]));
            }
        }
    }
}
