<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Weather;
use Chartula\Core\Skin\Shade;

/** Units and what shows between them, as years have left them. docs/formulas.md#coverings */
final readonly class Weathered
{
    private const SOOT = '#2b2825';

    private const DAMP = '#4a5340';

    /** Each step goes so far towards those. */
    private const SOOT_STEP = 0.16;

    private const DAMP_STEP = 0.14;

    /** What shows between units is darkened in so many strips. */
    private const STRIPS = 24;

    /**
     * What has become of the colour of a unit.
     *
     * @param  non-empty-list<Vec2>  $unit
     */
    public static function unit(Weather $weather, array $unit, string $colour): string
    {
        $at = Box2::around($unit)->centre();

        return self::colour($colour, $weather->at($at, crc32(sprintf('%.2f,%.2f', $at->x, $at->y)) % 1000 / 1000.0));
    }

    /** @return list<Path> */
    public static function ground(Weather $weather, Box2 $box, string $colour): array
    {
        $paths = [];
        $high = $box->height() / self::STRIPS;
        for ($i = 0; $i < self::STRIPS; $i++) {
            $y = $box->y0 + $i * $high;
            $tone = self::colour($colour, $weather->at(new Vec2(0.0, $y + $high / 2.0), 0.5));
            array_push($paths, ...$tone === $colour ? [] : [
                new Path(Layer::Art, [Ring::rectangle($box->x0, $y, $box->x1, $y + $high)->points], true, null, $tone),
            ]);
        }

        return $paths;
    }

    /** @param  array{int, int}  $steps */
    private static function colour(string $colour, array $steps): string
    {
        $sooty = $steps[0] === 0 ? $colour : Shade::mixed($colour, self::SOOT, self::SOOT_STEP * $steps[0]);

        return $steps[1] === 0 ? $sooty : Shade::mixed($sooty, self::DAMP, self::DAMP_STEP * $steps[1]);
    }
}
