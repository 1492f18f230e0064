<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\BrickArt;
use Chartula\Core\Part\BrickReveal;
use Chartula\Core\Part\TurnedEdge;
use Chartula\Core\Skin\BrickLayout;
use Chartula\Core\Skin\RevealLayout;

/** Brickwork, drawn from its rule. */
final readonly class BrickDrawing
{
    /** One brick in so many is a little lighter or darker, by its place and never by chance. */
    private const TONES = [0.0, 0.06, -0.05, 0.02, -0.08, 0.04, -0.02];

    /**
     * @param  Ring  $all  a box round what is to be covered
     * @param  ?float  $beyond  how much farther than it is turned in paper is covered in openings; null where they are not cut out
     * @return list<Path>
     */
    public static function paths(BrickArt $art, Ring $all, ?float $beyond): array
    {
        $wall = ($art->receding()?->inverse()->ring($all) ?? $all)->bounds();
        $layout = new BrickLayout($art);
        $heights = new Interval($wall->y0, $wall->y1);
        $bricks = [
            ...$layout->bricks($wall->y0, $wall->y1),
            ...$layout->turned($art->quoins[0], min(0.0, $wall->x0 - $art->quoins[0]), $heights),
            ...$layout->turned($art->quoins[1], max(0.0, $wall->x1 - $art->quoins[1]), $heights),
        ];
        $paths = [
            new Path(Layer::Art, [$all->points], true, null, $art->mortarColour),
            ...self::toned(array_map(static fn (Box2 $b): array => self::corners($b, $art->receding()), $bricks), $art),
        ];
        foreach ($art->dressings as $shape) {
            // A joint runs round it too.
            $bed = Offset::lines($shape->ring, array_fill(0, $shape->ring->count(), $art->joint));
            $paths[] = new Path(Layer::Art, [($art->receding()?->ring($bed) ?? $bed)->points], true, null, $art->mortarColour);
            array_push($paths, ...ShapeDrawing::paths($shape->receding($art->receding())));
        }
        if ($beyond === null) {
            return $paths;
        }
        foreach ($art->reveals as $reveal) {
            array_push($paths, ...self::reveal($art, $reveal, $beyond));
        }

        return $paths;
    }

    /** @return list<Path> */
    private static function reveal(BrickArt $art, BrickReveal $reveal, float $beyond): array
    {
        $turned = new RevealLayout($art, $reveal, $beyond);
        $paths = [new Path(Layer::Art, [$reveal->ring->points], true, null, $art->mortarColour)];
        foreach (['foot', 'head'] as $edge) {
            array_push($paths, ...self::turned(self::outlines($turned->onEdge($edge)), $art, $reveal->finishes[$edge] ?? null));
        }
        $paths[] = new Path(Layer::Art, self::outlines($turned->jambs()), true, null, $art->mortarColour);
        foreach (['left', 'right'] as $edge) {
            array_push($paths, ...self::turned(self::outlines($turned->courses($edge)), $art, $reveal->finishes[$edge] ?? null));
        }

        return $paths;
    }

    /**
     * @param  list<non-empty-list<Vec2>>  $units
     * @return list<Path> in the tones of the brickwork, or in that of whatever finishes an edge
     */
    private static function turned(array $units, BrickArt $art, ?TurnedEdge $finish): array
    {
        return $finish === null || $finish->tone->unit === $art->brickColour
            ? self::toned($units, $art)
            : [new Path(Layer::Art, $units, true, null, $finish->tone->unit)];
    }

    /**
     * @param  list<Hull>  $hulls
     * @return list<non-empty-list<Vec2>>
     */
    private static function outlines(array $hulls): array
    {
        return array_map(static fn (Hull $h): array => $h->points, $hulls);
    }

    /**
     * Bricks in their tones, a path for each.
     *
     * @param  list<non-empty-list<Vec2>>  $bricks
     * @return list<Path>
     */
    private static function toned(array $bricks, BrickArt $art): array
    {
        $count = count(self::TONES);
        $tones = array_fill(0, $count, []);
        [$left, $brickLength, $datum, $course] = [$art->quoins[0], $art->brick, $art->datum, $art->course];
        foreach ($bricks as $brick) {
            // The first corner is the lowest on the left.
            $column = (int) floor(($brick[0]->x - $left) / $brickLength * 4.0 + 0.5);
            $row = (int) round(($brick[0]->y - $datum) / $course);
            $tones[crc32("$column,$row") % $count][] = $brick;
        }
        $paths = [];
        foreach (self::TONES as $tone => $by) {
            $paths[] = new Path(Layer::Art, $tones[$tone], true, null, Shade::of($art->brickColour, $by));
        }

        return array_values(array_filter($paths, static fn (Path $p): bool => $p->lines !== []));
    }

    /** @return non-empty-list<Vec2> */
    private static function corners(Box2 $box, ?Homography $receding): array
    {
        $corners = [new Vec2($box->x0, $box->y0), new Vec2($box->x1, $box->y0), new Vec2($box->x1, $box->y1), new Vec2($box->x0, $box->y1)];

        return $receding?->ring(new Ring($corners))->points ?? $corners;
    }
}
