<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Panes;
use Chartula\Core\Form\OpeningShape;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Scale;

/**
 * The panes of a frame in its opening: equal in each direction between stiles and bars, the top row following the head.
 * The opening's frame (left jamb, sill), model millimetres.
 */
final readonly class PaneLayout
{
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

    /** Whether every pane has an extent, and the head's curve stays within the top row. */
    public function isPossible(): bool
    {
        return $this->paneWidth > 0.1 && $this->paneHeight > 0.1
            && $this->shape->springing(-$this->inset) > $this->rowFoot($this->panes->rows - 1) + 0.1;
    }

    /** @return list<Ring> from the left, row by row from the foot; clockwise, being holes */
    public function holes(): array
    {
        $holes = [];
        for ($row = 0; $row < $this->panes->rows; $row++) {
            for ($column = 0; $column < $this->panes->columns; $column++) {
                $x0 = $this->inset + $column * ($this->paneWidth + $this->bar);
                $x1 = $x0 + $this->paneWidth;
                $foot = $this->rowFoot($row);
                $top = $row === $this->panes->rows - 1
                    ? $this->shape->head($x1, $x0, -$this->inset)
                    : [new Vec2($x1, $foot + $this->paneHeight), new Vec2($x0, $foot + $this->paneHeight)];
                $holes[] = Ring::ofDistinct([new Vec2($x0, $foot), new Vec2($x1, $foot), ...$top]);
            }
        }

        return $holes;
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
