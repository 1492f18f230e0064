<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Problems;

/**
 * Roofs that cannot die into what they run into: over an edge that stands against another block, a roof that would come out over it or
 * beside it, or that has nothing to run into somewhere, ends in a gable. docs/formulas.md#envelope
 */
final readonly class EndedRoofs
{
    /** What begins beyond an edge is looked for so far beyond it, mm. */
    private const BEYOND_MM = 0.02;

    /** A roof is followed into what is beyond an edge at so many places, and wherever it changes. */
    private const LOOKED_AT = 16;

    /** A building in which each of those edges is a gable without an overhang; as it was where its roofs cannot be made. */
    public static function of(Building $building): Building
    {
        $hasAny = array_filter($building->blocks, static fn (Block $b): bool => self::edges($b) !== []) !== [];
        $problems = new Problems;
        $solids = $hasAny && count($building->blocks) > 1 ? Surfaces::solids($building, $problems) : [];
        if ($solids === [] || ! $problems->areNone()) {
            return $building;
        }

        return $building->with(blocks: array_map(
            static fn (Block $block, Solid $solid): Block => self::ended($block, $solid, $solids),
            $building->blocks,
            $solids,
        ));
    }

    /** @return list<int> those over which a block's roof runs on */
    private static function edges(Block $block): array
    {
        return array_keys(array_filter($block->roof->edges, $block->roof->runsOn(...)));
    }

    /** @param  list<Solid>  $solids */
    private static function ended(Block $block, Solid $solid, array $solids): Block
    {
        $edges = $block->roof->edges;
        foreach (self::edges($block) as $i) {
            if (self::ends($solid, $i, $solids)) {
                $edge = $edges[$i];
                $edges[$i] = new RoofEdge(RoofEdge::GABLE, $edge->pitch, RealLength::ofMillimetres(0.0), null, $edge->path);
            }
        }

        return $block->with(roof: $block->roof->with(edges: array_values($edges)));
    }

    /** @param  list<Solid>  $solids */
    private static function ends(Solid $own, int $edge, array $solids): bool
    {
        $length = $own->ring->edgeLength($edge);
        $from = $own->ring->point($edge);
        $along = $own->ring->point($edge + 1)->minus($from)->times(1.0 / $length);
        $out = new Vec2($along->y, -$along->x);
        $roof = self::over(new Profile($from, $along, -INF, INF), $own, $length);
        $beyond = new Profile($from->plus($out->times(self::BEYOND_MM)), $along, -INF, INF);
        $hosts = array_values(array_filter(
            $solids,
            static fn (Solid $s): bool => $s->index !== $own->index && $beyond->inside($s->ring) !== [],
        ));
        $covered = [];
        foreach ($hosts as $host) {
            foreach ($beyond->inside($host->ring) as [$a, $b]) {
                $covered[] = new Interval($a, $b);
            }
        }
        $covered = Interval::joined($covered, Tolerance::PLANE);
        $along = array_filter($covered, static fn (Interval $i): bool => $i->overlaps(new Interval(0.0, $length), Tolerance::PLANE));

        return $along === []
            || self::runsBeside($roof, $hosts, $beyond, $covered)
            || self::runsOver($roof, $hosts, $beyond, $out, array_values($along));
    }

    /** @return list<array{float, float, float, float}> from where to where a roof lies over an edge, and how high at both */
    private static function over(Profile $line, Solid $own, float $length): array
    {
        return $own->hasParapet || $own->roof->facets === [] ? [[0.0, $length, $own->eaves, $own->eaves]] : array_map(
            static fn (array $s): array => [$s[0], $s[1], $s[2]->heightAt($line->at($s[0])), $s[2]->heightAt($line->at($s[1]))],
            $line->facets($own->roof),
        );
    }

    /**
     * Whether it is higher than the others where they end, and would go on beside them.
     *
     * @param  list<array{float, float, float, float}>  $roof
     * @param  list<Solid>  $hosts
     * @param  list<Interval>  $covered
     */
    private static function runsBeside(array $roof, array $hosts, Profile $beyond, array $covered): bool
    {
        foreach ($covered as $stretch) {
            foreach ([$stretch->from, $stretch->to] as $x) {
                $high = RoofLine::height($roof, $x);
                $inside = $beyond->at($x + ($x === $stretch->from ? self::BEYOND_MM : -self::BEYOND_MM));
                $tops = array_map(static fn (Solid $s): float => $s->contains($inside) ? $s->top($inside) : -INF, $hosts);
                if ($high > max([-INF, ...$tops]) + Tolerance::MEET) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * Whether somewhere nothing is as high as it is, however far it goes on.
     *
     * @param  list<array{float, float, float, float}>  $roof
     * @param  list<Solid>  $hosts
     * @param  list<Interval>  $covered
     */
    private static function runsOver(array $roof, array $hosts, Profile $beyond, Vec2 $out, array $covered): bool
    {
        foreach (self::places($roof, $covered) as $x) {
            $high = -INF;
            $way = new Profile($beyond->at($x), $out, 0.0, INF);
            foreach ($hosts as $host) {
                $isShut = $host->hasParapet || $host->roof->facets === [];
                $high = $isShut && $way->inside($host->ring) !== [] ? max($high, $host->eaves) : $high;
                foreach ($isShut ? [] : $way->facets($host->roof) as [$from, $to, $facet]) {
                    $high = max($high, $facet->heightAt($way->at(max(0.0, $from))), $facet->heightAt($way->at($to)));
                }
            }
            if (RoofLine::height($roof, $x) > $high + Tolerance::MEET) {
                return true;
            }
        }

        return false;
    }

    /**
     * Where it is asked how high the others are: in each stretch over which some begin.
     *
     * @param  list<array{float, float, float, float}>  $roof
     * @param  list<Interval>  $covered
     * @return list<float>
     */
    private static function places(array $roof, array $covered): array
    {
        $places = [];
        foreach ($covered as $stretch) {
            for ($k = 0.5; $k < self::LOOKED_AT; $k++) {
                $places[] = $stretch->from + $stretch->length() * $k / self::LOOKED_AT;
            }
            foreach ($roof as [$a, $b]) {
                array_push($places, ...array_filter([$a, $b], static fn (float $x): bool => $stretch->contains($x)));
            }
        }

        return $places;
    }
}
