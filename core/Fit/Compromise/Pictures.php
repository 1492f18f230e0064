<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Compromise;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Compression\Compression;
use Chartula\Core\Form\EndedRoofs;
use Chartula\Core\Form\Surfaces;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Shell\Walls;

/**
 * A building as it is and as it would be modelled, to be drawn over each other; model millimetres, each at its own scale.
 *
 * @phpstan-type Shapes list<array{kind: 'wall'|'opening', ring: list<array{float, float}>}>
 */
final readonly class Pictures
{
    /**
     * Its footprints.
     *
     * @return Shapes
     */
    public static function plan(Building $building): array
    {
        return array_map(
            static fn (Block $b): array =>
                ['kind' => 'wall', 'ring' => self::ring($b->standing()->scaled(1.0 / $building->scale->ratio)->points)],
            $building->blocks,
        );
    }

    /** The walls of the real building, to be drawn behind what comes of them. */
    public static function asItIs(Building $real): Walls
    {
        $whole = EndedRoofs::of($real->with(compression: Compression::none(), relief: null, perspective: null));

        return Walls::of($whole, Surfaces::of($whole, new Problems));
    }

    /**
     * The wall and its openings as they look from outside, real size over scale.
     *
     * @return Shapes
     */
    public static function elevation(Walls $walls, string $wall): array
    {
        $shapes = [];
        foreach ($walls->spans() as $span) {
            if ($span->block->id.'.'.$span->name() !== $wall) {
                continue;
            }
            foreach ($span->form->patches as $patch) {
                $shapes[] = ['kind' => 'wall', 'ring' => self::ring($patch->outline->points)];
            }
            foreach ($span->form->openings as $opening) {
                $shapes[] = ['kind' => 'opening', 'ring' => self::ring($opening->ring(0.0)->points)];
            }
        }

        return $shapes;
    }

    /**
     * @param  list<Vec2>  $points
     * @return list<array{float, float}>
     */
    private static function ring(array $points): array
    {
        return array_map(static fn (Vec2 $p): array => [round($p->x, 3) + 0.0, round($p->y, 3) + 0.0], $points);
    }
}
