<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Building\RoofKind;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Form;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;

/** How the sizes of a roof's panels are worked out. docs/formulas.md#panel */
final readonly class PanelFigures
{
    public function __construct(private Building $building, private Form $form)
    {
    }

    /**
     * @param  int  $k  of which layer
     * @param  Patch  $cut  its card, in the facet's own axes
     * @return array<string, Figure>
     */
    public function of(Facet $facet, int $k, Patch $cut): array
    {
        $box = $cut->outline->bounds();
        $block = $this->form->blocks[$facet->block];
        if ($facet->edge >= $block->ring->count()) {
            return [
                'width' => Figure::given($box->width(), 'what the cut has left of it'),
                'height' => Figure::given(
                    $box->height(),
                    'what the cut has left of it, '.LengthFormat::trimmed($box->height() * $facet->pitch->cos(), 3).' ÷ cos '
                        .$facet->pitch->text(),
                ),
            ];
        }
        $roof = $block->block->roof;
        $n = $block->block->footprint->count();
        $ends = [$roof->edges[($facet->edge + $n - 1) % $n], $roof->edges[($facet->edge + 1) % $n]];
        $along = $block->wall($facet->edge)->length;
        $less = $this->less($k);
        $verges = array_map(fn (RoofEdge $edge): float => $edge->slopesFromEaves() ? 0.0 : $this->overhang($edge, $k), $ends);
        if ($verges[0] === $verges[1]) {
            $along = $along->plus(2.0 * $verges[0], "plus 2 × the verge$less, ".LengthFormat::trimmed($verges[0], 3));
        } else {
            foreach ($verges as $verge) {
                $along = $along->plus($verge, "plus the verge$less, ".LengthFormat::trimmed($verge, 3));
            }
        }

        return [
            'width' => self::corrected($along, $box->width(), 'cut to the lines it meets'),
            'height' => self::corrected($this->slope($facet, $k), $box->height(), 'cut to the lines it meets'),
        ];
    }

    /**
     * Works out the length up the slope: the run and the overhang over the cosine of the pitch; a layer that lies higher reaches
     * further at a ridge.
     */
    private function slope(Facet $facet, int $k): Figure
    {
        $above = $this->building->methods->roof()->below($k);
        $block = $this->form->blocks[$facet->block];
        $roof = $block->block->roof;
        $pitch = $facet->pitch;
        $out = $this->overhang($roof->edges[$facet->edge], $k);
        $wall = $block->wall($facet->edge);
        $top = -INF;
        foreach ($facet->whole->outline->points as $p) {
            $top = max($top, $wall->frame->normal->dot(new Vec3($wall->frame->origin->x - $p->x, $wall->frame->origin->y - $p->y, 0.0)));
        }
        $rect = $block->block->footprint->rect;
        $isPlain = $rect !== null
            && $roof->kind === RoofKind::Gable
            && abs($top * 2.0 - $this->building->scale->modelMm($rect[$facet->edge % 2 === 0 ? 1 : 0])) < Tolerance::FIGURE;
        $figure = $isPlain
            ? Figure::measured($rect[$facet->edge % 2 === 0 ? 1 : 0], $this->building->scale, 'span')->over(2.0, '÷ 2, the run')
            : Figure::given($top, 'run '.LengthFormat::trimmed($top, 3).', from the wall to the highest line');
        $figure = $figure->plus($out, 'plus the overhang'.$this->less($k).', '.LengthFormat::trimmed($out, 3))->over($pitch->cos(), '÷ cos '.$pitch->text());

        return $above === 0.0
            ? $figure
            : $figure->plus($above * $pitch->tan(), 'plus '.LengthFormat::trimmed($above, 3).' × tan '.$pitch->text().', lying higher');
    }

    private function less(int $k): string
    {
        return $k > 0 && $this->building->methods->thin_edge_mm > 0.0 ? ' less the thin edge' : '';
    }

    /** The card under the outermost layer ends before a thin edge, at its wall at the least. */
    private function overhang(RoofEdge $edge, int $k): float
    {
        return max(0.0, $this->building->scale->modelMm($edge->overhang) - ($k === 0 ? 0.0 : $this->building->methods->thin_edge_mm));
    }

    private static function corrected(Figure $figure, float $mm, string $why): Figure
    {
        $off = $figure->mm - $mm;

        return abs($off) < Tolerance::FIGURE
            ? $figure
            : (
                $off > 0.0
                ? $figure->less($off, "$why, ".LengthFormat::trimmed($off, 3))
                : $figure->plus(-$off, "$why, ".LengthFormat::trimmed(-$off, 3))
            );
    }
}
