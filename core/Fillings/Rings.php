<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;
use Chartula\Core\Shell\OpeningCut;
use Chartula\Core\Stock\Layer;

/** Rings of card on the back of a wall round an opening, which make its reveal deeper than the wall is thick. docs/formulas.md#behind */
final readonly class Rings
{
    /**
     * @param  float  $paper  that turns in between them
     * @return list<Sheet> one behind the other
     */
    public static function of(OpeningForm $opening, OpeningCut $cut, Layer $card, float $paper): array
    {
        $sheets = [];
        for ($i = 0; $i < $cut->rings; $i++) {
            $sheets[] = new Sheet(
                $i === 0 ? 'ring' : 'ring-'.($i + 1), 'F', ucfirst($opening->opening->style->name).' reveal, ring', $card->stock,
                $card->thickness_mm, self::outline($opening, $cut->band, $paper),
                $opening->reachesFoot() ? [] : [$opening->shape->ring($paper)], self::workings($opening, $cut->band),
                why: $i === 0 ? 'stuck on the back of the wall' : 'rings stuck together', isFitted: false,
            );
        }

        return $sheets;
    }

    private static function outline(OpeningForm $opening, float $band, float $paper): Outline
    {
        $outer = $opening->shape->ring($band, $opening->reachesFoot() ? 0.0 : $band);
        if (! $opening->reachesFoot()) {
            return new Outline($outer, array_map(static fn (): Edge => new Edge('edge', 'clearance'), $outer->points));
        }
        $inner = $opening->shape->ring($paper, 0.0)->points;
        $head = array_reverse(array_slice($inner, 2));
        $points = [$outer->points[0], $inner[0], ...$head, $inner[1], ...array_slice($outer->points, 1)];
        $feet = [0, count($head) + 2];

        return new Outline(new Ring($points), array_map(
            static fn (int $i): Edge => new Edge(in_array($i, $feet, true) ? 'foot' : 'edge', 'clearance'),
            array_keys($points),
        ));
    }

    /** @return array<string, Figure> */
    private static function workings(OpeningForm $opening, float $band): array
    {
        [$shape, $words] = [$opening->shape, 'plus 2 × '.LengthFormat::trimmed($band, 3).', the ring'];
        $box = $shape->ring($band, $opening->reachesFoot() ? 0.0 : $band)->bounds();
        $high = Figure::given($shape->height, 'the opening');

        return [
            'width' => Figure::given($shape->width, 'the opening')->plus(2.0 * $band, $words)->to($box->width(), 'in a point'),
            'height' => ($opening->reachesFoot()
                ? $high->plus($band, 'plus the ring, '.LengthFormat::trimmed($band, 3))
                : $high->plus(2.0 * $band, $words))->to($box->height(), 'in a point'),
        ];
    }
}
