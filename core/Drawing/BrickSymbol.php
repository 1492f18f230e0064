<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\LabelledPart;
use Chartula\Core\Part\BrickArt;
use Chartula\Core\Skin\BrickLayout;

/** The brickwork of a paper, shown where the paper is. */
final readonly class BrickSymbol
{
    /** One brick in so many is a little lighter or darker, by its place and never by chance. */
    private const TONES = [0.0, 0.06, -0.05, 0.02, -0.08, 0.04, -0.02];

    /** @param  bool  $whole  as if nothing were cut out of the paper */
    public static function of(LabelledPart $part, BrickArt $art, bool $whole = false): Symbol
    {
        $box = $part->part->outline->ring->bounds();
        $tones = [];
        $wall = $art->receding?->inverse()->ring(Ring::rectangle($box->x0, $box->y0, $box->x1, $box->y1))->bounds() ?? $box;
        foreach ((new BrickLayout($art))->bricks($wall->y0, $wall->y1) as $brick) {
            $tones[self::tone($brick, $art)][] = self::corners($brick, $art->receding);
        }
        ksort($tones);
        $paths = [new Path(Layer::Art, [Ring::rectangle($box->x0, $box->y0, $box->x1, $box->y1)->points], true, null, $art->mortarColour)];
        foreach ($tones as $tone => $bricks) {
            $paths[] = new Path(Layer::Art, $bricks, true, null, self::shade($art->brickColour, self::TONES[$tone]));
        }

        return new Symbol('art-'.substr($part->print, 7, 12).'-'.substr($part->cut, 7, 12), $box->width(), $box->height(),
            $whole ? [Ring::rectangle($box->x0, $box->y0, $box->x1, $box->y1)] : $part->part->region()->rings(), $paths);
    }

    private static function tone(Box2 $brick, BrickArt $art): int
    {
        $column = (int) floor($brick->x0 / $art->brick * 4.0);
        $row = (int) round(($brick->y0 - $art->datum) / $art->course);

        return crc32($column.','.$row) % count(self::TONES);
    }

    /** @return non-empty-list<Vec2> */
    private static function corners(Box2 $box, ?Homography $receding): array
    {
        $ring = Ring::rectangle($box->x0, $box->y0, $box->x1, $box->y1);

        return ($receding?->ring($ring) ?? $ring)->points;
    }

    private static function shade(string $colour, float $by): string
    {
        $shaded = '#';
        foreach ([1, 3, 5] as $at) {
            $value = (int) hexdec(substr($colour, $at, 2));
            $shaded .= sprintf('%02x', max(0, min(255, (int) round($value * (1.0 + $by)))));
        }

        return $shaded;
    }
}
