<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/** Outlines with every edge moved along its own normal. docs/formulas.md#offset */
final readonly class Offset
{
    /** Lines that turn by less than this, as a sine, are one: where they cross says nothing. */
    private const PARALLEL = 0.001;

    /** Two edges that run back on each other and part by less than this, as a sine, are a spike. */
    private const SPIKE = 0.02;

    /**
     * Edges meet where their lines do; an edge may come out turned round, which the caller must look for.
     *
     * @param  list<float>  $out  of each edge, outwards; negative inwards
     */
    public static function lines(Ring $ring, array $out): Ring
    {
        $n = $ring->count();
        $points = [];
        for ($i = 0; $i < $n; $i++) {
            [$p, $d] = self::line($ring, ($i + $n - 1) % $n, $out[($i + $n - 1) % $n]);
            [$q, $e] = self::line($ring, $i, $out[$i]);
            $cross = $d->cross($e);
            $points[] = abs($cross) < self::PARALLEL ? $q : $p->plus($d->times($q->minus($p)->cross($e) / $cross));
        }
        assert($points !== []);

        return new Ring($points);
    }

    /** Whether an edge still runs its way after it was moved. */
    public static function keeps(Ring $before, Ring $after, int $edge): bool
    {
        $along = $before->point($edge + 1)->minus($before->point($edge));

        return $after->point($edge + 1)->minus($after->point($edge))->dot($along) / $along->length() >= Tolerance::EDGE;
    }

    /**
     * A patch with its sides moved; sides that vanish are left out. Null where nothing is left.
     *
     * @param  callable(string): float  $out  by label
     */
    public static function patch(Patch $patch, callable $out): ?Patch
    {
        [$outline, $labels] = self::shrunk($patch->outline, $patch->labels, $out);
        if ($outline === null || $labels === [] || $outline->signedArea() <= Tolerance::EDGE) {
            return null;
        }
        $holes = [];
        $holeLabels = [];
        foreach ($patch->holes as $i => $hole) {
            [$ring, $sides] = self::shrunk($hole, $patch->holeLabels[$i], $out);
            if ($ring !== null && $sides !== []) {
                $holes[] = $ring;
                $holeLabels[] = $sides;
            }
        }

        return new Patch($outline, $labels, $holes, $holeLabels);
    }

    /**
     * @param  non-empty-list<string>  $labels
     * @param  callable(string): float  $out
     * @return array{?Ring, list<string>}
     */
    private static function shrunk(Ring $ring, array $labels, callable $out): array
    {
        $points = $ring->points;
        while (count($points) > 2) {
            $before = new Ring($points);
            $outs = array_map($out, $labels);
            // Where each edge now begins and ends; edges in one line that move differently leave a step between them.
            $begins = $ends = [];
            foreach (array_keys($points) as $i) {
                $last = ($i + count($points) - 1) % count($points);
                [$p, $d] = self::line($before, $last, $outs[$last]);
                [$q, $e] = self::line($before, $i, $outs[$i]);
                $cross = $d->cross($e);
                $meeting = abs($cross) < self::PARALLEL ? null : $p->plus($d->times($q->minus($p)->cross($e) / $cross));
                $ends[$last] = $meeting ?? $p->plus($d->times($before->edgeLength($last)));
                $begins[$i] = $meeting ?? $q;
            }
            $worst = null;
            $least = Tolerance::EDGE;
            foreach (array_keys($points) as $i) {
                $along = $before->point($i + 1)->minus($before->point($i));
                $left = $ends[$i]->minus($begins[$i])->dot($along) / max(Tolerance::NOTHING, $along->length());
                if ($left < $least) {
                    [$worst, $least] = [$i, $left];
                }
            }
            if ($worst === null) {
                return self::stepped($begins, $ends, $labels);
            }
            // The vanished edge's neighbours meet where their own lines do.
            [$points, $labels] = self::without($before, $labels, $worst);
        }

        return [null, []];
    }

    /**
     * @param  array<int, Vec2>  $begins
     * @param  array<int, Vec2>  $ends
     * @param  list<string>  $labels
     * @return array{Ring, list<string>}
     */
    private static function stepped(array $begins, array $ends, array $labels): array
    {
        $points = [];
        $sides = [];
        $n = count($labels);
        foreach ($labels as $i => $label) {
            $points[] = $begins[$i];
            $sides[] = $label;
            if ($ends[$i]->distanceTo($begins[($i + 1) % $n]) > Tolerance::SAME) {
                $points[] = $ends[$i];
                $sides[] = 'open';
            }
        }
        assert($points !== []);

        return [new Ring($points), $sides];
    }

    /**
     * @param  list<string>  $labels
     * @return array{list<Vec2>, list<string>}
     */
    private static function without(Ring $ring, array $labels, int $edge): array
    {
        $n = $ring->count();
        [$p, $q] = [$ring->point($edge - 1), $ring->point($edge)];
        [$r, $s] = [$ring->point($edge + 1), $ring->point($edge + 2)];
        $d = $q->minus($p);
        $e = $s->minus($r);
        $cross = $d->cross($e);
        // Neighbours that run back on each other meet at the end of the spike, wherever their lines do.
        $isSpike = $d->dot($e) < 0.0 && abs($cross) < self::SPIKE * $d->length() * $e->length();
        $meeting = $isSpike || abs($cross) < Tolerance::ROUNDING
            ? $q->plus($r)->times(0.5)
            : $p->plus($d->times($r->minus($p)->cross($e) / $cross));
        $points = $ring->points;
        $points[($edge + 1) % $n] = $meeting;
        array_splice($points, $edge, 1);
        array_splice($labels, $edge, 1);

        return [array_values($points), array_values($labels)];
    }

    /** @return array{Vec2, Vec2} a point and the direction of an edge, moved */
    private static function line(Ring $ring, int $edge, float $out): array
    {
        $along = $ring->point($edge + 1)->minus($ring->point($edge));
        $along = $along->times(1.0 / max(Tolerance::NOTHING, $along->length()));

        return [$ring->point($edge)->plus((new Vec2($along->y, -$along->x))->times($out)), $along];
    }
}
