<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Block;
use Chartula\Core\Geometry\Vec2;
use stdClass;

/** A block put down nearly against, flush with or centred on another is taken to be meant so. Real millimetres. */
final readonly class Snapping
{
    /** A hand that pulls a block so near, 6 in, means it. */
    private const NEAR_MM = 152.4;

    private const PARALLEL = 0.001;

    /** @param  list<Block>  $others  that do not stand by this one */
    private function __construct(
        private Block $block,
        private array $others,
    ) {
    }

    /**
     * Relations that hold it where it nearly stands: as many as `place` needs, or none.
     *
     * @param  list<Block>  $others
     * @return list<stdClass>
     */
    public static function relations(Block $block, array $others): array
    {
        $found = (new self($block, $others))->near();
        usort($found, static fn (array $p, array $q): int => [$p[3], abs($p[2])] <=> [$q[3], abs($q[2])]);
        $held = [];
        foreach ($found as [$relation, $way]) {
            if ($held === [] || (count($held) === 1 && abs($held[0][1]->cross($way)) > 0.5)) {
                $held[] = [$relation, $way];
            }
        }

        return count($held) === 2 ? array_column($held, 0) : [];
    }

    /** Whether a figure is so small that none is meant. */
    public static function isNothing(float $mm): bool
    {
        return abs($mm) <= self::NEAR_MM;
    }

    /** @return list<array{stdClass, Vec2, float, int}> the relation, the way it holds, how far off it is, and its rank */
    private function near(): array
    {
        $found = [];
        $ring = $this->block->standing();
        foreach ($this->others as $other) {
            $its = $other->standing();
            foreach ($this->block->footprint->edges as $e => $name) {
                [$p, $q] = [$ring->point($e), $ring->point($e + 1)];
                foreach ($other->footprint->edges as $f => $target) {
                    [$a, $b] = [$its->point($f), $its->point($f + 1)];
                    $along = $b->minus($a)->times(1.0 / $a->distanceTo($b));
                    $mine = $q->minus($p)->times(1.0 / $p->distanceTo($q));
                    if (abs($mine->cross($along)) > self::PARALLEL) {
                        continue;
                    }
                    $out = new Vec2($along->y, -$along->x);
                    $off = $p->minus($a)->dot($out);
                    $faces = $mine->dot($along) < 0.0;
                    $beside = min(
                        max($p->minus($a)->dot($along), $q->minus($a)->dot($along)),
                        $a->distanceTo($b),
                    ) > max(0.0, min($p->minus($a)->dot($along), $q->minus($a)->dot($along)));
                    if (abs($off) > self::NEAR_MM || ($faces && ! $beside)) {
                        continue;
                    }
                    $with = "$other->id.$target";
                    $found[] = [(object) [$faces ? 'against' : 'flush' => $name, 'with' => $with], $out, $off, $faces ? 0 : 2];
                    $middle = $p->plus($q)->minus($a)->minus($b)->times(0.5)->dot($along);
                    if ($faces && abs($middle) <= self::NEAR_MM) {
                        $found[] = [(object) ['centre' => $name, 'with' => $with], $along, $middle, 1];
                    }
                }
            }
        }

        return $found;
    }
}
