<?php

declare(strict_types=1);

namespace Chartula\Core\Compression;

use Chartula\Core\Building\AsBuilt;
use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Storey;
use Chartula\Core\Building\Wall;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Problems;

/**
 * Takes what was measured on the built model as the truth: walls first, then their heights, gables, and panels of roofs, which reach
 * out over walls as these stand. A building that is so already stays as it is. docs/formulas.md#as-built
 */
final readonly class BuiltSizes
{
    /** A slip of the knife is smaller, mm; what is farther off belongs into the plan. */
    private const SLIP_MM = 3.0;

    /** And as a share of the figure. */
    private const SLIP_SHARE = 0.1;

    /** A roof of which no more is left than such a share of its rise is another roof. */
    private const LEAST_SHARE = 0.1;

    private function __construct(private Problems $problems)
    {
    }

    /** Adds what contradicts the plan or another figure to the problems. */
    public static function of(Building $building, Problems $problems): Building
    {
        $self = new self($problems);
        $taken = [];
        foreach ([...AsBuilt::OF_WALLS, ...AsBuilt::OF_PANELS] as $figure) {
            foreach ($building->blocks as $i => $block) {
                foreach (array_keys($block->walls) as $edge) {
                    $fact = self::fact($block, $edge, $figure);
                    if ($fact === null) {
                        continue;
                    }
                    $place = new BuiltPlace($i, $edge, $figure);
                    $next = $self->take($building, $place, $fact);
                    if ($next === null || ! $self->holds($building, $next, [$place, $fact], $taken)) {
                        return $building;
                    }
                    $building = $next;
                    $taken[] = [$place, $fact];
                }
            }
        }

        return $building;
    }

    /** @param  value-of<AsBuilt::OF_WALLS>|value-of<AsBuilt::OF_PANELS>  $figure */
    private static function fact(Block $block, int $edge, string $figure): ?AsBuilt
    {
        return in_array($figure, AsBuilt::OF_PANELS, true)
            ? $block->roof->edges[$edge]->built[$figure] ?? null
            : $block->walls[$edge]->built[$figure] ?? null;
    }

    /**
     * Whether all that was taken before is as it was measured.
     *
     * @param  array{BuiltPlace, AsBuilt}  $one  what is taken
     * @param  list<array{BuiltPlace, AsBuilt}>  $taken
     */
    private function holds(Building $before, Building $after, array $one, array $taken): bool
    {
        foreach ($taken as [$place, $fact]) {
            if (abs(($place->planned($after) ?? INF) - $fact->mm) > Tolerance::MEET) {
                $this->problems->add($one[1]->path, 'built.contradicts', [
                    'given' => round($one[1]->mm, 2), 'plan' => round($one[0]->planned($before) ?? 0.0, 2),
                    'other' => $place->words($before), 'others' => round($fact->mm, 2),
                ]);

                return false;
            }
        }

        return true;
    }

    private function take(Building $building, BuiltPlace $place, AsBuilt $fact): ?Building
    {
        $planned = $place->planned($building);
        if ($planned === null) {
            $this->problems->add($fact->path, "built.no-$place->figure");

            return null;
        }
        $by = $fact->mm - $planned;
        if (abs($by) < Tolerance::SAME) {
            return $building;
        }
        $most = max(self::SLIP_MM, self::SLIP_SHARE * $planned);
        if (abs($by) > $most) {
            $isCut = $building->relief !== null || $building->perspective !== null;
            $this->problems->add($fact->path, $isCut ? 'built.cut' : 'built.far', [
                'given' => round($fact->mm, 2), 'plan' => round($planned, 2), 'most' => round($most, 2),
            ]);

            return null;
        }
        $made = match ($place->figure) {
            AsBuilt::LENGTH => self::longer($building, $place, $by * $building->scale->ratio),
            AsBuilt::HEIGHT => self::higher($building, $place, $by * $building->scale->ratio),
            AsBuilt::APEX => self::steeper($building, $place, $by / ($planned - self::eaves($building, $place))),
            AsBuilt::UP => self::reaching($building, $place, [$place->edge], $by),
            AsBuilt::ALONG => self::reaching($building, $place, $place->gables($building), $by),
        };
        if ($made === null) {
            $code = match ($place->figure) {
                AsBuilt::LENGTH, AsBuilt::HEIGHT => 'built.no-room',
                AsBuilt::APEX => 'built.no-rise',
                AsBuilt::UP, AsBuilt::ALONG => 'built.no-reach',
            };
            $this->problems->add($fact->path, $code, ['given' => round($fact->mm, 2), 'plan' => round($planned, 2)]);
        }

        return $made;
    }

    /** A wall that is cut off elsewhere, or reaches farther, at its right end: all that lies beyond moves along. */
    private static function longer(Building $building, BuiltPlace $place, float $by): ?Building
    {
        $own = $building->blocks[$place->block];
        $along = $own->standing()->point($place->edge + 1)->minus($own->standing()->point($place->edge));
        $turn = rad2deg(atan2($along->y, $along->x));
        $turned = self::turned($building, -$turn);
        $lengths = Lengths::along($turned, $turned->blocks[$place->block], $place->edge);
        $map = $lengths?->nearEnd($by);
        if ($map === null) {
            return null;
        }
        $made = self::turned((new Remaker($map, null, []))->building($turned), $turn);

        return $building->with(blocks: array_map(
            static fn (Block $was, Block $is): Block => self::isWhereItWas($was, $is) ? $was : $is->with(turnDeg: $was->turnDeg),
            $building->blocks,
            $made->blocks,
        ));
    }

    private static function turned(Building $building, float $degrees): Building
    {
        return $building->with(blocks: array_map(static fn (Block $block): Block => $block->with(
            at: $block->at->turned($degrees),
            turnDeg: $block->turnDeg + $degrees,
        ), $building->blocks));
    }

    private static function isWhereItWas(Block $was, Block $is): bool
    {
        foreach ($was->standing()->points as $i => $point) {
            if ($point->distanceTo($is->standing()->point($i)) > Tolerance::MEET) {
                return false;
            }
        }

        return true;
    }

    /** Between the uppermost opening and the eaves; what stands upon it, or upon its roof, goes along. */
    private static function higher(Building $building, BuiltPlace $place, float $by): ?Building
    {
        $own = $building->blocks[$place->block];
        $map = (new Heights($building, $own))->atTop($by);
        if ($map === null) {
            return null;
        }
        $area = Box2::around($own->standing()->points);
        $made = (new Remaker(null, null, [$own->id => $map]))->building($building);

        return $made->with(blocks: array_map(
            static fn (Block $b): Block => $b->id !== $own->id && $b->base->mm > $own->eaves->mm - Tolerance::REAL_PLACE
                && Box2::around($b->standing()->points)->gapTo($area) < -Tolerance::REAL_PLACE ? self::raised($b, $by) : $b,
            $made->blocks,
        ));
    }

    private static function raised(Block $block, float $by): Block
    {
        $up = static fn (RealLength $z): RealLength => Remaker::length($z, $z->mm + $by);
        $wall = static fn (Wall $w): Wall => $w->ground === null ? $w : $w->with(ground: array_map($up, $w->ground));

        return $block->with(
            base: $up($block->base),
            eaves: $up($block->eaves),
            plinth: $block->plinth === null ? null : $up($block->plinth),
            storeys: array_map(static fn (Storey $s): Storey => new Storey($s->id, $s->name, $up($s->floor), $s->height), $block->storeys),
            walls: array_map($wall, $block->walls),
        );
    }

    /** Every plane of the roof by so much steeper: over the plan nothing moves. Null where none would rise any more. */
    private static function steeper(Building $building, BuiltPlace $place, float $by): ?Building
    {
        if ($by < self::LEAST_SHARE - 1.0) {
            return null;
        }
        $block = $building->blocks[$place->block];

        return self::with($building, $place->block, $block->with(roof: $block->roof->steeperBy(1.0 + $by)));
    }

    private static function eaves(Building $building, BuiltPlace $place): float
    {
        return (new BuiltPlace($place->block, $place->edge, AsBuilt::HEIGHT))->planned($building) ?? 0.0;
    }

    /**
     * A roof that reaches farther out over some edges; null where it would end within its walls.
     *
     * @param  list<int>  $edges  that share what is more
     */
    private static function reaching(Building $building, BuiltPlace $place, array $edges, float $by): ?Building
    {
        $block = $building->blocks[$place->block];
        $roofEdges = $block->roof->edges;
        foreach ($edges as $edge) {
            $was = $roofEdges[$edge];
            $level = $place->figure === AsBuilt::UP ? $by * $was->pitch->cos() : $by / count($edges);
            $mm = $was->overhang->mm + $level * $building->scale->ratio;
            if ($mm < -Tolerance::MEET) {
                return null;
            }
            $roofEdges[$edge] = $was->with(overhang: Remaker::length($was->overhang, max(0.0, $mm)));
        }

        return self::with($building, $place->block, $block->with(roof: $block->roof->with(edges: array_values($roofEdges))));
    }

    private static function with(Building $building, int $index, Block $block): Building
    {
        $blocks = $building->blocks;
        $blocks[$index] = $block;

        return $building->with(blocks: $blocks);
    }
}
