<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/**
 * Which planes lie on top of which others' card all along, as a dormer's do: those of blocks that stand on a roof, and those whose
 * line with another block's plane begins over a wall well inside that block. docs/formulas.md#envelope
 */
final readonly class Resting
{
    /** Planes that meet nearer to a block's own wall than this meet in a valley, mm. */
    private const LEAST_MM = 0.05;

    /**
     * @param  array<string, true>  $planes  by both planes
     * @param  array<string, true>  $blocks  by both blocks: what holds where nothing is said of two planes
     * @param  array<string, true>  $sharing  whose footprints overlap
     */
    private function __construct(
        private array $planes,
        private array $blocks,
        private array $sharing,
    ) {
    }

    /** @param  list<Solid>  $solids */
    public static function of(array $solids): self
    {
        $planes = $blocks = $sharing = [];
        foreach ($solids as $solid) {
            foreach ($solids as $that) {
                if ($solid->index === $that->index || ! $solid->overlaps($that)) {
                    continue;
                }
                $pair = "$solid->index:$that->index";
                $sharing[$pair] = true;
                if ($solid->standsIn($that)) {
                    $blocks[$pair] = true;
                }
                foreach ($solid->roof->facets as $facet) {
                    foreach ($that->roof->facets as $other) {
                        if (self::beginsInside($solid, $facet, $that, $other)) {
                            $planes[self::pair($facet->id(), $other->id())] = true;
                            $blocks[$pair] = true;
                        }
                    }
                }
            }
        }

        return new self($planes, $blocks, $sharing);
    }

    public function isOn(PlaneId $plane, PlaneId $other): bool
    {
        if (isset($this->planes[self::pair($plane, $other)])) {
            return true;
        }

        return ! isset($this->planes[self::pair($other, $plane)])
            && isset($this->blocks["$plane->block:$other->block"])
            && ! isset($this->blocks["$other->block:$plane->block"]);
    }

    public function shareGround(int $block, int $other): bool
    {
        return isset($this->sharing["$block:$other"]);
    }

    private static function pair(PlaneId $plane, PlaneId $other): string
    {
        return $plane->key().' '.$other->key();
    }

    /** Whether a plane is as high over one of its block's walls as another block's plane there, inside that block. */
    private static function beginsInside(Solid $solid, Facet $facet, Solid $that, Facet $other): bool
    {
        foreach (array_keys($solid->ring->points) as $edge) {
            [$a, $b] = [$solid->ring->point($edge), $solid->ring->point($edge + 1)];
            $off = static fn (Vec2 $at): float => $other->heightAt($at) - $facet->heightAt($at);
            [$from, $to] = [$off($a), $off($b)];
            if (($from > 0.0) === ($to > 0.0) || abs($from - $to) < Tolerance::ROUNDING) {
                continue;
            }
            $at = $a->plus($b->minus($a)->times($from / ($from - $to)));
            if (
                $that->contains($at)
                && $that->ring->distanceTo($at) > self::LEAST_MM
                && self::isOver($facet, $at)
                && self::isOver($other, $at)
            ) {
                return true;
            }
        }

        return false;
    }

    private static function isOver(Facet $facet, Vec2 $at): bool
    {
        return $facet->whole->outline->contains($at) || $facet->whole->outline->distanceTo($at) < Tolerance::SAME;
    }
}
