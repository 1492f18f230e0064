<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** Finds walls of two blocks that stand in one plane; only one of each pair is built. docs/formulas.md#form */
final readonly class PartyWalls
{
    /**
     * Finds the stretches of a wall where another block's wall, back to back with it, is built instead: the higher one, the
     * earlier one where both are as high, and any wall that this one is said to stand against.
     *
     * @param  list<Solid>  $solids
     * @return list<array{float, float, string}>
     */
    public static function of(Building $building, int $i, int $edge, array $solids): array
    {
        $roofEdge = $building->blocks[$i]->roof->edges[$edge];
        $ring = $solids[$i]->ring;
        $a = $ring->point($edge);
        $length = $ring->edgeLength($edge);
        $along = $ring->point($edge + 1)->minus($a)->times(1.0 / $length);
        $party = [];
        foreach ($solids as $solid) {
            foreach ($solid->index === $i ? [] : array_keys($solid->ring->points) as $j) {
                $p = $solid->ring->point($j)->minus($a);
                $q = $solid->ring->point($j + 1)->minus($a);
                if (max(abs($along->cross($p)), abs($along->cross($q))) > Tolerance::PLANE || $along->dot($q) > $along->dot($p)) {
                    continue;
                }
                [$from, $to] = [max(0.0, $along->dot($q)), min($length, $along->dot($p))];
                if (
                    $to - $from > Tolerance::PLANE
                    && ! $building->blocks[$solid->index]->walls[$j]->isLeftOut()
                    && (
                        $roofEdge->kind === RoofEdge::WALL
                        || self::isLower($building, [$i, $edge], [$solid->index, $j], $solids, $from, $to)
                    )
                ) {
                    $party[] = [$from, $to, Side::party($solid->index, $j)];
                }
            }
        }

        return $party;
    }

    /**
     * @param  array{int, int}  $one  block and edge
     * @param  array{int, int}  $that
     * @param  list<Solid>  $solids
     */
    private static function isLower(Building $building, array $one, array $that, array $solids, float $from, float $to): bool
    {
        [$i, $edge] = $one;
        [$other] = $that;
        $tops = [];
        foreach ([$one, $that] as [$block, $e]) {
            $roofEdge = $building->blocks[$block]->roof->edges[$e];
            if ($roofEdge->kind === RoofEdge::WALL && $block === $other) {
                return false;
            }
            $tops[] = $roofEdge->slopesFromEaves() && $building->blocks[$block]->receding === null ? null : $solids[$block]->roof;
        }
        $ring = $solids[$i]->ring;
        $along = $ring->point($edge + 1)->minus($ring->point($edge))->times(1.0 / $ring->edgeLength($edge));
        $in = new Vec2(-$along->y, $along->x);
        $isLower = $i > $other;
        for ($k = 0; $k <= 16; $k++) {
            $at = $ring->point($edge)->plus($along->times($from + ($to - $from) * ($k + 0.01) / 16.02));
            $own = ($tops[0]?->heightAt($at->plus($in->times(0.001)))) ?? $solids[$i]->eaves;
            $its = ($tops[1]?->heightAt($at->minus($in->times(0.001)))) ?? $solids[$other]->eaves;
            if ($own > $its + 0.01) {
                return false;
            }
            $isLower = $isLower || $own < $its - 0.01;
        }

        return $isLower;
    }
}
