<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Site\Course;
use Chartula\Core\Building\Site\Neighbour;
use Chartula\Core\Building\Site\Obstacle;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Building\Site\Road;
use Chartula\Core\Building\Site\Track;
use Chartula\Core\Fit\Plot\Bodies;
use Chartula\Core\Fit\Plot\DrivenVehicle;
use Chartula\Core\Fit\Plot\FinishedPiece;
use Chartula\Core\Fit\Plot\Fit;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Recall\Recall;

/** The plot in plan, with the finished building on it and all that is round it: in the plot's own axes, model millimetres. */
final readonly class PlotView
{
    /** A track is drawn from place to place so far on. */
    private const TRACK_STEP_MM = 10.0;

    /** @return ?array<string, mixed> */
    public static function of(?Fit $fit, Recall $recall = new Recall): ?array
    {
        if ($fit === null) {
            return null;
        }

        return $fit->toArray()
            + ['walls' => self::shadows($fit, PartGroup::Shell), 'roofs' => self::roofs($fit)]
            + self::round($fit->plot, $recall);
    }

    /**
     * The plot of a building with something wrong with it: its outlines as they are described, in their place, and nothing said of what is
     * left beside them.
     *
     * @return ?array<string, mixed>
     */
    public static function sketched(Building $building): ?array
    {
        $plot = $building->plot;
        if ($plot === null) {
            return null;
        }
        $ratio = $building->scale->ratio;
        $on = static fn (Vec2 $p): Vec2 => $plot->inPlot($p->times(1.0 / $ratio));
        $rings = array_map(static fn (Block $b): array => array_map($on, $b->standing()->points), $building->blocks);
        $box = Box2::around(array_merge(...$rings));

        return [
            'fits' => false, 'clearances' => [], 'move' => null, 'off' => [], 'split' => null,
            'extents' => ['x0' => $box->x0, 'x1' => $box->x1, 'y0' => $box->y0, 'y1' => $box->y1, 'high' => 0.0],
            'walls' => array_map(self::ring(...), $rings), 'roofs' => [],
        ] + self::round($plot, new Recall);
    }

    /** @return array<string, mixed> the place itself, and all that is round it */
    private static function round(Plot $plot, Recall $recall): array
    {
        return [
            'outline' => self::ring($plot->outline->points),
            'edges' => array_map(static fn (string $name, int $i): array => [
                'name' => $name, 'middle' => $plot->outline->point($i)->plus($plot->outline->point($i + 1))->times(0.5)->toArray(),
                'wanted' => $plot->wanted($i), 'backscene' => in_array($i, $plot->backscene, true),
                'line' => self::ring([$plot->outline->point($i), $plot->outline->point($i + 1)]),
            ], $plot->edges, array_keys($plot->edges)),
            'neighbours' => array_map(
                static fn (Neighbour $n): array => ['id' => $n->id, 'name' => $n->name, 'ring' => self::ring($n->outline->points)],
                $plot->neighbours,
            ),
            'roads' => array_map(
                static fn (Road $r): array => ['id' => $r->id, 'name' => $r->name, 'rings' => self::road($r)],
                $plot->roads,
            ),
            'tracks' => array_map(static fn (Track $t): array => ['id' => $t->id, 'name' => $t->name]
                + $recall->of(Recall::question('track drawn', $t), static fn (): array => self::track($t)), $plot->tracks),
            'obstacles' => array_map(
                static fn (Obstacle $o): array => [
                    'id' => $o->id,
                    'name' => $o->name,
                    'rings' => array_map(static fn ($b): array => self::ring($b->shadow->points), Bodies::obstacle($o)),
                ],
                $plot->obstacles,
            ),
            'eye' => self::eye($plot),
        ];
    }

    /** @return list<list<array{float, float}>> */
    private static function roofs(Fit $fit): array
    {
        $pieces = array_filter($fit->finished->pieces, static fn (FinishedPiece $p): bool => $p->group === PartGroup::Roof);

        return array_map(
            self::ring(...),
            array_merge(...array_map(static fn (FinishedPiece $p): array => $p->outlines(), array_values($pieces))),
        );
    }

    /**
     * @return list<list<array{float, float}>>
     */
    private static function shadows(Fit $fit, PartGroup $group): array
    {
        $pieces = array_filter($fit->finished->pieces, static fn (FinishedPiece $p): bool => $p->group === $group);

        return array_values(array_map(static fn (FinishedPiece $p): array => self::ring($p->whole->shadow->points), $pieces));
    }

    /** @return list<list<array{float, float}>> */
    private static function road(Road $road): array
    {
        $rings = [];
        foreach (array_slice($road->line, 1) as $i => $to) {
            $from = $road->line[$i];
            $along = $to->minus($from);
            $aside = (new Vec2(-$along->y, $along->x))->times($road->width / 2.0 / max($along->length(), 0.001));
            $rings[] = self::ring(Hull::around([$from->plus($aside), $from->minus($aside), $to->plus($aside), $to->minus($aside)])->points);
        }

        return $rings;
    }

    /**
     * @return array{middle: list<array{float, float}>, left: list<list<array{float, float}>>, right: list<list<array{float, float}>>} its
     *     middle, and how far vehicles and what is to stay free beside them reach on either side
     */
    private static function track(Track $track): array
    {
        $course = Course::of($track);
        $driven = DrivenVehicle::all($track);
        $drawn = ['middle' => [], 'left' => [[]], 'right' => [[]]];
        $steps = max(1, (int) ceil($course->length / self::TRACK_STEP_MM));
        for ($i = 0; $i <= $steps; $i++) {
            $along = $course->length * $i / $steps;
            $heading = $course->heading($along);
            $aside = new Vec2(-sin($heading), cos($heading));
            $at = $course->at($along);
            $reach = array_map(static fn (DrivenVehicle $d): array => $d->reach($along), $driven);
            $drawn['middle'][] = $at->toArray();
            $drawn['left'][0][] = $at->plus(
                $aside->times(max(array_map(static fn (array $r): float => $r[0], $reach)) + $track->beside),
            )->toArray();
            $drawn['right'][0][] = $at->minus(
                $aside->times(max(array_map(static fn (array $r): float => $r[1], $reach)) + $track->beside),
            )->toArray();
        }

        return $drawn;
    }

    /**
     * @return ?array{left: array{float, float}, right: array{float, float}, height: float} from where it looks at the one end of its way
     *     and at the other
     */
    private static function eye(Plot $plot): ?array
    {
        if ($plot->eye === null) {
            return null;
        }
        $place = $plot->outline->bounds();
        [$x, $y] = [$place->centre()->x, $place->y0 - $plot->eye->distance];

        return [
            'left' => (new Vec2($x - $plot->eye->travel, $y))->toArray(),
            'right' => (new Vec2($x + $plot->eye->travel, $y))->toArray(),
            'height' => $plot->eye->height,
        ];
    }

    /**
     * @param  list<Vec2>  $points
     * @return list<array{float, float}>
     */
    private static function ring(array $points): array
    {
        return array_map(static fn (Vec2 $p): array => $p->toArray(), $points);
    }
}
