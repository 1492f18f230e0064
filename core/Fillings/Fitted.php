<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;
use Chartula\Core\Shell\OpeningCut;

/** One opening, and how large what stands in it is. docs/formulas.md#frame */
final readonly class Fitted
{
    /** Glass is smaller than its frame by this on each side, so that glue can creep. */
    public const GLASS_INSET_MM = 0.5;

    public function __construct(public Building $building, public OpeningForm $opening, public OpeningCut $cut)
    {
    }

    /**
     * A card as large as the opening lets it be.
     *
     * @param  'F'|'D'  $letter
     * @param  list<Ring>  $holes
     */
    public function card(string $layer, string $letter, string $words, array $holes): Sheet
    {
        return new Sheet(
            $layer, $letter, $this->named($words), $this->building->methods->frame, OpeningCut::frameThickness($this->building),
            $this->outline(), $holes, $this->workings(),
        );
    }

    /**
     * What is drawn of an opening as it is, where that comes to lie.
     *
     * @param  list<Ring>  $rings
     * @return list<Ring>
     */
    public function placed(array $rings): array
    {
        return array_map($this->opening->shape->placed(...), $rings);
    }

    /** @param  string  $words  what it is, after the name of its kind */
    public function named(string $words): string
    {
        return ucfirst($this->opening->opening->style->name).' '.$words;
    }

    public function outline(): Outline
    {
        $ring = $this->ring();
        $edges = [new Edge('foot', 'clearance'), new Edge('jamb-right', 'clearance')];
        while (count($edges) < $ring->count() - 1) {
            $edges[] = new Edge('head', 'clearance');
        }
        $edges[] = new Edge('jamb-left', 'clearance');

        return new Outline($ring, $edges);
    }

    /** How much glass is smaller than its card on each side: so that glue can creep, but no more than half of what is solid there. */
    public function glueInset(): float
    {
        $style = $this->opening->opening->style;
        $solid = $style->frame->stile ?? $style->leaf->rail ?? null;

        return $solid === null ? self::GLASS_INSET_MM : min(self::GLASS_INSET_MM, $this->building->scale->modelMm($solid) / 2.0);
    }

    /** @param  float  $from  above the opening's foot, where there is none under that */
    public function glass(string $words, ?Artwork $art, float $from = -INF): Sheet
    {
        [$opening, $cut, $stock] = [$this->opening, $this->cut, $this->building->methods->glazing];
        $least = $cut->besideGlass($this->building, $this->glueInset());
        $inset = FillingParts::CLEARANCE_MM + $least;
        $foot = $opening->reachesFoot() ? $inset : $inset - $cut->lap;
        $ring = $opening->shape->ring($cut->lap - $inset, -max($foot, $from));
        $workings = $this->workings();
        $why = $opening->true === null ? 'in a point' : 'where it recedes';
        $box = $ring->bounds();
        $glue = 2.0 * $least;

        return new Sheet(
            'glazing', 'G', $this->named($words), $stock, $stock->thickness_mm,
            new Outline($ring, array_map(static fn (): Edge => new Edge('edge', 'clearance'), $ring->points)), [],
            [
                'width' => $workings['width']
                    ->less($glue, 'less 2 × '.LengthFormat::trimmed($least, 3).', room for glue')
                    ->to($box->width(), $why),
                'height' => $workings['height']
                    ->less($opening->reachesFoot() ? FillingParts::CLEARANCE_MM + $glue : $glue, 'less room for glue')
                    ->to($box->height(), $why),
            ],
            art: $art, why: 'glass stuck behind the frame', isFitted: false,
        );
    }

    /** @return array<string, Figure> */
    public function workings(): array
    {
        [$opening, $cut, $scale] = [$this->opening, $this->cut, $this->building->scale];
        $style = $opening->opening->style;
        $size = ['width' => Figure::measured($style->w, $scale, 'opening'), 'height' => Figure::measured($style->h, $scale, 'opening')];
        // Where its sides are not square to each other what the insets come to follows from its shape.
        $box = $this->ring()->bounds();
        if ($opening->true !== null) {
            return [
                'width' => $size['width']->to($box->width(), 'where it recedes'),
                'height' => $size['height']->to($box->height(), 'where it recedes'),
            ];
        }
        $sides = $opening->reachesFoot() ? 1.0 : 2.0;
        $size = ['width' => [$size['width'], 2.0, $box->width()], 'height' => [$size['height'], $sides, $box->height()]];

        return array_map(static function (array $side) use ($cut): Figure {
            [$figure, $times, $mm] = $side;
            $words = static fn (float $mm): string => ($times > 1.0 ? '2 × ' : '').LengthFormat::trimmed($mm, 3);
            $figure = $cut->lap > 0.0 ? $figure->plus($times * $cut->lap, 'plus what lies behind the wall, '.$words($cut->lap)) : $figure;

            return $figure
                ->less($times * FillingParts::CLEARANCE_MM, 'less clearance, '.$words(FillingParts::CLEARANCE_MM))
                ->to($mm, 'in a point');
        }, $size);
    }

    /** The opening less so much on each side; what stands on the ground stays there. */
    private function ring(): Ring
    {
        $inset = FillingParts::CLEARANCE_MM - $this->cut->lap;

        return $this->opening->shape->ring(-$inset, $this->opening->reachesFoot() ? 0.0 : -$inset);
    }
}
