<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Panes;
use Chartula\Core\Form\OpeningShape;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Scale;

/**
 * The panes of a frame in its opening: equal in each direction between stiles and bars, the top row following the head.
 * The opening's frame (left jamb, sill), model millimetres.
 */
final readonly class PaneLayout
{
    private const LEAST_MM = 0.1;

    /** What is left of a pane beside a curve is cut where it is so wide and so high. */
    private const CUT_MM = 0.8;

    public float $stile;

    public float $bar;

    private float $inset;

    /**
     * Widths of the members between rows, from the foot.
     *
     * @var list<float>
     */
    private array $rails;

    public float $paneWidth;

    public float $paneHeight;

    /** @param  float  $clearance between the finished opening and the frame */
    public function __construct(
        private OpeningShape $shape,
        private Panes $panes,
        Scale $scale,
        float $clearance,
    ) {
        $this->stile = $scale->modelMm($panes->stile);
        $this->bar = $scale->modelMm($panes->bar);
        $this->inset = $clearance + $this->stile;
        $this->rails = self::rails($panes, $this->stile, $this->bar);
        $this->paneWidth = ($shape->width - 2.0 * $this->inset - ($panes->columns - 1) * $this->bar) / $panes->columns;
        $this->paneHeight = ($shape->height - 2.0 * $this->inset - array_sum($this->rails)) / $panes->rows;
    }

    /** Whether every pane has an extent, and the head's curve begins over the frame's foot. */
    public function isPossible(): bool
    {
        return $this->paneWidth > self::LEAST_MM && $this->paneHeight > self::LEAST_MM
            && $this->shape->springing(-$this->inset) > $this->inset + self::LEAST_MM;
    }

    /** Whether the head's curve stays within the top row. */
    private function isWithinTop(): bool
    {
        return $this->shape->springing(-$this->inset) > $this->rowFoot($this->panes->rows - 1) + self::LEAST_MM;
    }

    /** @return list<Ring> from the left, row by row from the foot; clockwise, being holes */
    public function holes(): array
    {
        return $this->rows(0, $this->panes->rows);
    }

    /** @return list<Ring> of the card of a deep sash that has its upper half: its panes, and an opening before those of the lower one */
    public function upper(): array
    {
        $rim = $this->inset - $this->stile / 2.0;
        $top = $this->rowFoot($this->lower()) - $this->stile;
        $open = new Ring([
            new Vec2($rim, $rim), new Vec2($this->shape->width - $rim, $rim),
            new Vec2($this->shape->width - $rim, $top), new Vec2($rim, $top),
        ]);

        return [$open, ...$this->rows($this->lower(), $this->panes->rows)];
    }

    /** @return list<Ring> of the card behind it: the panes of the lower half, and an opening behind those of the upper one */
    public function under(): array
    {
        $rim = $this->inset - $this->stile / 2.0;
        $foot = $this->rowFoot($this->lower());

        return [...$this->rows(0, $this->lower()), ...$this->cut([$rim, $this->shape->width - $rim], [$foot, $this->shape->height], $rim)];
    }

    /** How many rows the lower half of a sash has; the upper one has the odd one. */
    private function lower(): int
    {
        return intdiv($this->panes->rows, 2);
    }

    /** @return list<Ring> */
    private function rows(int $from, int $to): array
    {
        $holes = [];
        for ($row = $from; $row < $to; $row++) {
            for ($column = 0; $column < $this->panes->columns; $column++) {
                $x0 = $this->inset + $column * ($this->paneWidth + $this->bar);
                $x1 = $x0 + $this->paneWidth;
                $foot = $this->rowFoot($row);
                if (! $this->isWithinTop()) {
                    array_push($holes, ...$this->cut([$x0, $x1], [$foot, $foot + $this->paneHeight], $this->inset));

                    continue;
                }
                $top = $row === $this->panes->rows - 1
                    ? $this->shape->head($x1, $x0, -$this->inset)
                    : [new Vec2($x1, $foot + $this->paneHeight), new Vec2($x0, $foot + $this->paneHeight)];
                $holes[] = Ring::ofDistinct([new Vec2($x0, $foot), new Vec2($x1, $foot), ...$top]);
            }
        }

        return $holes;
    }

    /**
     * What a head that comes down past the top row leaves of a pane; none where that is too small to be cut.
     *
     * @param  array{float, float}  $run  from where to where
     * @param  array{float, float}  $heights  likewise
     * @param  float  $inset  from the opening's sides
     * @return list<Ring>
     */
    private function cut(array $run, array $heights, float $inset): array
    {
        [[$x0, $x1], [$foot, $top]] = [$run, $heights];
        $below = [new Vec2($x0, $inset), new Vec2($x1, $inset)];
        $hull = Hull::around([...$below, ...$this->shape->head($x1, $x0, -$inset)])
            ->leftOf(new Vec2($x0, $foot), new Vec2(1.0, 0.0))
            ?->leftOf(new Vec2($x0, $top), new Vec2(-1.0, 0.0));
        $box = $hull?->bounds();

        $isCut = $box !== null && min($box->width(), $box->height()) >= self::CUT_MM;

        return $isCut && count($hull->points) > 2 ? [new Ring($hull->points)] : [];
    }

    private function rowFoot(int $row): float
    {
        return $this->inset + $row * $this->paneHeight + array_sum(array_slice($this->rails, 0, $row));
    }

    /** @return list<float> */
    private static function rails(Panes $panes, float $stile, float $bar): array
    {
        $rails = array_fill(0, $panes->rows - 1, $bar);
        if ($panes->sash && $panes->rows > 1) {
            // The meeting rail stands between the halves; the upper sash has the odd row.
            $rails[intdiv($panes->rows, 2) - 1] = $stile;
        }

        return array_values($rails);
    }
}
