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

    /** More than there are steps. */
    private const BASE = 16;

    /** What shows between units is darkened in so many strips. */
    private const STRIPS = 24;

    /**
     * How many steps of soot and of damp a unit has, as one number.
     *
     * @param  non-empty-list<Vec2>  $unit
     */
    public static function steps(Weather $weather, array $unit): int
    {
        $at = Box2::around($unit)->centre();
        [$soot, $damp] = $weather->at($at, crc32(sprintf('%.2f,%.2f', $at->x, $at->y)) % 1000 / 1000.0);

        return $soot * self::BASE + $damp;
    }

    /** What has become of a colour after so many of them. */
    public static function worn(string $colour, int $steps): string
    {
        return self::colour($colour, [intdiv($steps, self::BASE), $steps % self::BASE]);
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
