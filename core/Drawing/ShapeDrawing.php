<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Part\PrintedArt;
use Chartula\Core\Part\PrintedShape;
use Chartula\Core\Skin\Shade;

/** Things that are printed, on the paper of a wall or on their own. */
final readonly class ShapeDrawing
{
    /** Units side by side differ a little, so that each is seen where no joint can be printed. */
    private const TONES = [0.0, -0.07, 0.05];

    /** @return list<Path> */
    public static function own(PrintedArt $art, Ring $all): array
    {
        return [new Path(Layer::Art, [$all->points], true, null, $art->shape->tone->unit), ...self::paths($art->shape)];
    }

    /** @return list<Path> */
    public static function paths(PrintedShape $shape): array
    {
        if ($shape->units === []) {
            return [new Path(Layer::Art, [$shape->ring->points], true, null, $shape->tone->unit)];
        }
        $byColour = [];
        foreach ($shape->units as $i => $unit) {
            $colour = $shape->accents[$i] ?? Shade::of($shape->tone->unit, self::TONES[$i % count(self::TONES)]);
            $byColour[$colour][] = $unit->points;
        }
        $paths = [new Path(Layer::Art, [$shape->ring->points], true, null, $shape->tone->joint)];
        foreach ($byColour as $colour => $units) {
            $paths[] = new Path(Layer::Art, $units, true, null, $colour);
        }

        return $paths;
    }
}
