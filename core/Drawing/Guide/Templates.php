<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Shell\WallSpan;

/**
 * Templates of every opening that is to be cut, at true size and square: smaller than what is traced by half a pencil's line all round,
 * with lines through its middle and along its foot to set it by. docs/formulas.md#templates
 */
final readonly class Templates
{
    /** A pencil's line lies so far off what it is drawn round, to its middle. */
    public const PENCIL_MM = 0.25;

    /** Lines to set it by reach so far beyond it. */
    private const BEYOND_MM = 5.0;

    /** @return list<Picture> one for each opening that is cut unlike, by kind and by layer */
    public static function of(Kit $kit): array
    {
        $pictures = [];
        foreach ($kit->walls->spans() as $span) {
            foreach ($span->isBuilt() ? $span->form->openings : [] as $opening) {
                foreach (self::layers($span, $opening) as $words => $grow) {
                    $cut = $opening->shape->ring($grow, $opening->reachesFoot() ? 0.0 : $grow);
                    $points = array_map(static fn (Vec2 $p): array => $p->toArray(), $cut->points);
                    $key = (string) json_encode([$opening->opening->style->id, $words, $points]);
                    $pictures[$key] ??= self::picture($opening, $words, $grow);
                }
            }
        }

        return array_values($pictures);
    }

    /** @return array<string, float> by how much it is larger than finished, by what is cut so */
    private static function layers(WallSpan $span, OpeningForm $opening): array
    {
        $cut = $span->cut($opening->opening);
        if ($cut->cutBack($span->stack) === []) {
            return ['all layers of its wall' => $cut->grow(0)];
        }
        $last = $span->innermost();

        return [
            $cut->front === 1 ? 'the face' : "the outermost $cut->front layers" => $cut->grow(0),
            $cut->front === $last ? 'the layer behind' : 'the layers behind' => $cut->grow($last),
        ];
    }

    private static function picture(OpeningForm $opening, string $words, float $grow): Picture
    {
        $shape = $opening->shape;
        $ring = static fn (float $by): array => $shape->ring($by, $opening->reachesFoot() ? 0.0 : $by)->points;
        [$wide, $high] = [$shape->width + 2.0 * $grow, $shape->height + ($opening->reachesFoot() ? 1.0 : 2.0) * $grow];
        $figures = LengthFormat::trimmed($wide, 2).' × '.LengthFormat::trimmed($high, 2).' mm';
        $picture = new Picture(ucfirst($opening->opening->style->name), [
            "In $words, $figures: dotted, what is traced.",
            'The line is '.LengthFormat::trimmed(self::PENCIL_MM, 2).' inside it, for the pencil.',
        ], 1.0);
        $picture->ring($ring($grow - self::PENCIL_MM));
        $picture->dotted($ring($grow), true);
        $foot = $opening->reachesFoot() ? 0.0 : -$grow;
        $middle = $shape->width / 2.0;
        $picture->dotted([new Vec2($middle, $foot - self::BEYOND_MM), new Vec2($middle, $shape->height + $grow + self::BEYOND_MM)]);
        $picture->dotted([new Vec2(-$grow - self::BEYOND_MM, $foot), new Vec2($shape->width + $grow + self::BEYOND_MM, $foot)]);

        return $picture;
    }
}
