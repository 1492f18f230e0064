<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Recall\Recall;

/**
 * The outside of the building is filled with card exactly: along a grid of lines a millimetre apart, both ways, card
 * begins and ends where the surface does, openings and stated gaps left out.
 */
final readonly class CoverCheck
{
    private const GRID_MM = 1.0;

    private const ASIDE_MM = 0.0041;

    /** Gives the groups of parts that fill each kind of surface. */
    private const GROUP_OF = ['wall' => 'shell', 'slope' => 'roof'];

    /** @return list<Finding> */
    public static function all(Assembly $assembly, Recall $recall): array
    {
        $findings = [];
        $surfaces = array_map(static fn (KitShape $s): array => [$s, $s->frame(), self::wanted($s)], $assembly->kit->children('outside'));
        foreach ($surfaces as $surface) {
            [$shape, $frame, $wanted] = $surface;
            $kind = self::kind($shape);
            $flush = array_values(
                array_filter(
                    $surfaces,
                    static fn (array $other): bool =>
                        $other !== $surface && self::kind($other[0]) === $kind && self::isFlush($frame, $other[1], $other[2]),
                ),
            );
            $pieces = array_values(
                array_filter(
                    $assembly->structure(),
                    static fn (Piece $p): bool => $p->part->group === self::GROUP_OF[$kind] && $p->mayReach($frame, Tolerance::COVER),
                ),
            );
            $question = Recall::question(
                'cover',
                $shape->values,
                array_map(static fn (array $other): array => $other[0]->values, $flush),
                array_map(static fn (Piece $p): string => $p->fingerprint, $pieces),
            );
            $worst = $recall->of($question, static fn (): float => self::off($surface, $flush, $pieces, $kind));
            $name = $shape->text('name');
            if ($worst > Tolerance::COVER) {
                $findings[] = new Finding(
                    'outside.cover',
                    $name,
                    sprintf('On the outside of %s card is missing or stands out over %.2f mm', $name, $worst),
                    $worst,
                );
            }
            self::checkSize($assembly, $shape, $wanted, $findings);
        }

        return $findings;
    }

    /**
     * The most by which card and a surface differ.
     *
     * @param  array{KitShape, Frame, Region}  $surface
     * @param  list<array{KitShape, Frame, Region}>  $beside  surfaces that lie flush are filled together: a board may run on from one to
     *     the next
     * @param  list<Piece>  $pieces
     * @param  key-of<self::GROUP_OF>  $kind
     */
    private static function off(array $surface, array $beside, array $pieces, string $kind): float
    {
        [$shape, $frame, $wanted] = $surface;
        $flush = [$wanted];
        $hidden = self::hidden($shape);
        foreach ($beside as [$other, $plane, $region]) {
            array_push(
                $hidden,
                ...array_map(
                    static fn (Region $r): Region => new Region(self::drawn($r->outline, $plane, 0.0, $frame)),
                    self::hidden($other),
                ),
            );
            $flush[] = new Region(
                self::drawn($region->outline, $plane, 0.0, $frame),
                array_map(static fn (Ring $r): Ring => self::drawn($r, $plane, 0.0, $frame), $region->holes),
            );
        }
        $plates = self::platesIn($frame, $pieces, $kind);

        return max(self::worst($wanted, $flush, $plates, $hidden, false), self::worst($wanted, $flush, $plates, $hidden, true));
    }

    private static function wanted(KitShape $surface): Region
    {
        $gaps = array_map(static fn (KitShape $gap): Ring => $gap->ring('outline'), $surface->children('gaps'));

        return new Region($surface->ring('outline'), [...$surface->rings('holes'), ...$gaps]);
    }

    /** @return list<Region> where nothing is looked for */
    private static function hidden(KitShape $surface): array
    {
        return array_map(static fn (Ring $r): Region => new Region($r), $surface->has('hidden') ? $surface->rings('hidden') : []);
    }

    /** Says whether another surface is flush with this one: its card counts as filling this one, so it counts as wanted. */
    private static function isFlush(Frame $a, Frame $b, Region $other): bool
    {
        return $a->normal->dot($b->normal) > 0.0
            && self::isIn($a, array_map(static fn (Vec2 $p): Vec3 => $b->at($p), $other->outline->points));
    }

    /** @param  list<Finding>  $findings */
    private static function checkSize(Assembly $assembly, KitShape $surface, Region $wanted, array &$findings): void
    {
        if (! $surface->has('real_mm')) {
            return;
        }
        $real = $surface->child('real_mm');
        $scale = $assembly->kit->number('scale');
        $box = $wanted->outline->bounds();
        foreach ([[$box->width(), $real->number('0')], [$box->height(), $real->number('1')]] as [$found, $size]) {
            if (abs($found - $size / $scale) > Tolerance::MEET) {
                $name = $surface->text('name');
                $findings[] = new Finding(
                    'outside.size',
                    $name,
                    sprintf('The outside of %s measures %.3f mm; the scale says %.3f mm', $name, $found, $size / $scale),
                    abs($found - $size / $scale),
                );
            }
        }
    }

    /** @return key-of<self::GROUP_OF> */
    private static function kind(KitShape $surface): string
    {
        return $surface->text('kind') === 'slope' ? 'slope' : 'wall';
    }

    /**
     * What lies in the plane, in the plane's own axes: faces of card, and at walls the ends of the boards that run
     * through. (At 45 degrees the edge of one slope lies in the plane of the other, beyond the ridge.)
     *
     * @param  list<Piece>  $pieces  that may reach it
     * @param  key-of<self::GROUP_OF>  $kind
     * @return list<Region>
     */
    private static function platesIn(Frame $plane, array $pieces, string $kind): array
    {
        $plates = [];
        foreach ($pieces as $piece) {
            foreach ($piece->facets as $facet) {
                // Card that fills a surface lies behind it; what only touches it from outside is another wall's.
                $faces = $facet->frame->normal->dot($plane->normal);
                foreach (['outside' => 0.0, 'inside' => -$facet->thickness] as $face => $out) {
                    $card = $facet->face($face);
                    if (
                        ($kind === 'slope' || $faces * ($out === 0.0 ? 1.0 : -1.0) > 0.0)
                        && self::isIn($plane, array_map(static fn (Vec2 $p): Vec3 => $facet->frame->at($p, $out), $card->outline->points))
                    ) {
                        $plates[] = new Region(
                            self::drawn($card->outline, $facet->frame, $out, $plane),
                            array_map(static fn (Ring $r): Ring => self::drawn($r, $facet->frame, $out, $plane), $card->holes),
                        );
                    }
                }
            }
            foreach ($kind === 'wall' ? array_keys($piece->part->region->outline->points) : [] as $edge) {
                [$a, $b, $c, $d] = $piece->strip($edge);
                if (
                    self::isIn($plane, [$a, $b, $c, $d], Tolerance::MEET)
                    && $b->minus($a)->cross($piece->frame->normal)->dot($plane->normal) > 0.0
                ) {
                    $plates[] = new Region(new Ring([$plane->project($a), $plane->project($b), $plane->project($d), $plane->project($c)]));
                }
            }
        }

        return $plates;
    }

    /** @param  list<Vec3>  $points */
    private static function isIn(Frame $plane, array $points, float $within = Tolerance::COVER): bool
    {
        foreach ($points as $point) {
            if (abs($plane->height($point)) > $within) {
                return false;
            }
        }

        return true;
    }

    private static function drawn(Ring $ring, Frame $from, float $out, Frame $plane): Ring
    {
        return new Ring(array_map(static fn (Vec2 $p): Vec2 => $plane->project($from->at($p, $out)), $ring->points));
    }

    /**
     * The longest stretch along a grid line over the surface on which card and surfaces differ.
     *
     * @param  list<Region>  $flush  it and those that lie flush with it
     * @param  list<Region>  $plates
     * @param  list<Region>  $hidden  where nothing is looked for
     */
    private static function worst(Region $wanted, array $flush, array $plates, array $hidden, bool $upright): float
    {
        $box = $wanted->outline->bounds();
        [$low, $high] = $upright ? [$box->x0, $box->x1] : [$box->y0, $box->y1];
        // Half a grid inside the edge, and off round numbers, where outlines have their corners.
        $first = $low + self::GRID_MM * 0.4987;
        $lines = (int) ceil(($high - $first) / self::GRID_MM);
        $should = self::crossings($flush, $first, $lines, $upright);
        $is = self::crossings($plates, $first, $lines, $upright);
        $out = self::crossings($hidden, $first, $lines, $upright);
        $worst = 0.0;
        for ($k = 0; $k < $lines; $k++) {
            $off = Stretches::difference($should[$k] ?? [], Stretches::touching($is[$k] ?? [], $should[$k] ?? []), $out[$k] ?? []);
            // A line that happens to run along an edge sees it on either side of itself; its neighbour does not.
            if ($off > Tolerance::COVER) {
                $beside = $first + $k * self::GRID_MM + self::ASIDE_MM;
                $off = min(
                    $off,
                    self::besides($flush, $plates, $beside, $upright, self::crossings($hidden, $beside, 1, $upright)[0] ?? []),
                );
            }
            // Nor does one that crosses an edge at a sharp angle say how wide the difference is.
            if ($off > Tolerance::COVER) {
                $middle = Stretches::worst($should[$k] ?? [], Stretches::touching($is[$k] ?? [], $should[$k] ?? []), $out[$k] ?? [])[1];
                $at = $first + $k * self::GRID_MM;
                $off = min($off, 2.0 * self::nearest([...$flush, ...$plates], $upright ? new Vec2($at, $middle) : new Vec2($middle, $at)));
            }
            $worst = max($worst, $off);
        }

        return $worst;
    }

    /** @param  list<Region>  $regions */
    private static function nearest(array $regions, Vec2 $at): float
    {
        $least = INF;
        foreach ($regions as $region) {
            foreach ($region->rings() as $ring) {
                $least = min($least, $ring->distanceTo($at));
            }
        }

        return $least;
    }

    /**
     * @param  list<Region>  $flush
     * @param  list<Region>  $plates
     * @param  list<Interval>  $without
     */
    private static function besides(array $flush, array $plates, float $beside, bool $upright, array $without): float
    {
        $should = self::crossings($flush, $beside, 1, $upright)[0] ?? [];

        return Stretches::difference(
            $should,
            Stretches::touching(self::crossings($plates, $beside, 1, $upright)[0] ?? [], $should),
            $without,
        );
    }

    /**
     * Where grid lines run inside the regions, line by line: each edge is asked once which lines it crosses.
     *
     * @param  list<Region>  $regions
     * @return array<int, list<Interval>> stretches by line
     */
    private static function crossings(array $regions, float $first, int $lines, bool $upright): array
    {
        $stretches = [];
        foreach ($regions as $region) {
            /** @var array<int, list<float>> $cuts */
            $cuts = [];
            foreach ($region->rings() as $ring) {
                $p = $ring->points[count($ring->points) - 1];
                foreach ($ring->points as $q) {
                    [$pu, $pv, $qu, $qv] = $upright ? [$p->y, $p->x, $q->y, $q->x] : [$p->x, $p->y, $q->x, $q->y];
                    $from = max(0, (int) ceil((min($pv, $qv) - $first) / self::GRID_MM));
                    $to = min($lines - 1, (int) floor((max($pv, $qv) - $first) / self::GRID_MM));
                    for ($k = $from; $k <= $to; $k++) {
                        $at = $first + $k * self::GRID_MM;
                        if (($pv > $at) !== ($qv > $at)) {
                            $cuts[$k][] = $pu + ($qu - $pu) * ($at - $pv) / ($qv - $pv);
                        }
                    }
                    $p = $q;
                }
            }
            foreach ($cuts as $k => $places) {
                sort($places);
                for ($i = 1, $n = count($places); $i < $n; $i += 2) {
                    $stretches[$k][] = new Interval($places[$i - 1], $places[$i]);
                }
            }
        }

        return $stretches;
    }
}
