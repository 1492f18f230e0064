<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Panes;
use Chartula\Core\Form\OpeningShape;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Scale;

/**
 * The panes of a frame in its opening: lights side by side between its stiles and mullions, over each other where there is a transom,
 * and in each equal panes between bars; the top row follows the head. The opening's frame (left jamb, sill), model millimetres.
 * docs/formulas.md#frame
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
     * From where to where each goes.
     *
     * @var non-empty-list<array{float, float}>
     */
    private array $lights;

    /** @var non-empty-list<LightRow> from the foot */
    private array $rows;

    /** Whether the head's curve stays within the top row of panes. */
    private bool $isWithinTop;

    /** What divides its head; null where nothing does. */
    public ?HeadTracery $tracery;

    public float $paneWidth;

    public float $paneHeight;

    /**
     * @param  float  $leastBar  as fine as bars may be
     */
    public function __construct(
        private OpeningShape $shape,
        private Panes $panes,
        private Scale $scale,
        private float $leastBar = 0.0,
    ) {
        $this->stile = $scale->modelMm($panes->stile);
        $this->bar = max($scale->modelMm($panes->bar), $leastBar);
        $this->inset = FillingParts::CLEARANCE_MM + $this->stile;
        $this->lights = $this->lights();
        $this->rows = $this->lightRows();
        $this->isWithinTop = $this->isWithinTop();
        $this->tracery = $panes->tracery === null ? null : new HeadTracery(
            $shape, $this->lights, [$this->inset, $this->rows[0]->foot], $panes->tracery, $scale->modelMm($panes->tracery->bar),
        );
        $leaf = $this->leaf();
        [$x0, $x1] = $this->lights[0];
        $this->paneWidth = min(array_map(static fn (LightRow $r): float => $r->paneWidth($x1 - $x0 - 2.0 * $leaf), $this->rows));
        $this->paneHeight = min(array_map(static fn (LightRow $r): float => $r->paneHeight(), $this->rows));
    }

    /** Whether every pane has an extent, and the head's curve begins over the frame's foot. */
    public function isPossible(): bool
    {
        return $this->hasPanes() && $this->tracery?->isPossible() !== false;
    }

    /** The same without what divides its head. */
    public function hasPanes(): bool
    {
        $leaf = $this->leaf();

        return $this->paneWidth > self::LEAST_MM && $this->paneHeight > self::LEAST_MM
            && $this->shape->springing(-$this->inset - $leaf) > $this->rows[0]->foot + self::LEAST_MM;
    }

    /** @return list<Ring> from the left, row by row from the foot; clockwise, being holes */
    public function holes(): array
    {
        return array_merge(...array_map($this->holesOf(...), array_keys($this->rows)));
    }

    /**
     * Those of one row of lights.
     *
     * @param  int  $row  from the foot
     * @return list<Ring>
     */
    public function holesOf(int $row): array
    {
        return isset($this->rows[$row]) ? $this->panesOf($row, 0, $this->rows[$row]->count) : [];
    }

    /** @return list<Ring> lights, without what divides them: what is open of the frame before casements, or round bars that are not cut */
    public function whole(): array
    {
        return (new self($this->shape, $this->panes->undivided(), $this->scale))->holes();
    }

    /** @return list<Ring> what is seen through before anything divides it: lights, within their own leaves where they have some */
    public function casements(): array
    {
        return (new self($this->shape, $this->panes->undivided($this->panes->opens), $this->scale))->holes();
    }

    /** @return list<Ring> what is seen through of one row of lights, before anything divides it */
    public function casementsOf(int $row): array
    {
        return (new self($this->shape, $this->panes->undivided($this->panes->opens), $this->scale))->holesOf($row);
    }

    /** @return list<Ring> what is open of a frame whose bars are not of card: a sash has its meeting rail all the same */
    public function withoutBars(): array
    {
        if (! $this->hasMeetingRail()) {
            return $this->casements();
        }
        [$row, $rail] = [$this->rows[0], $this->rows[0]->paneFoot($this->lower())];
        $open = [];
        foreach ([[$row->foot, $rail - $this->stile], [$rail, $row->top]] as $heights) {
            foreach ($this->lights as [$x0, $x1]) {
                array_push($open, ...$this->within(0, [$x0 + $this->leaf(), $x1 - $this->leaf()], $heights));
            }
        }

        return [...$open, ...$this->casementsOf(1)];
    }

    /** @return list<Ring> bars as they are to be seen, row by row of lights: upright ones, then those that lie; a meeting rail is none */
    public function bars(): array
    {
        $bars = [];
        foreach ($this->rows as $i => $row) {
            foreach ($this->lights as [$x0, $x1]) {
                [$from, $to] = [$x0 + $this->leaf(), $x1 - $this->leaf()];
                $wide = $row->paneWidth($to - $from);
                for ($n = 1; $n < $row->columns; $n++) {
                    $x = $from + $n * $wide + ($n - 1) * $row->bar;
                    array_push($bars, ...$this->within($i, [$x, $x + $row->bar], [$row->foot, $row->top]));
                }
                for ($n = 1; $n < $row->count; $n++) {
                    if ($i === 0 && $n === $this->lower() && $this->hasMeetingRail()) {
                        continue;
                    }
                    $foot = $row->paneFoot($n);
                    array_push($bars, ...$this->within($i, [$from, $to], [$foot - $row->rails[$n - 1], $foot]));
                }
            }
        }

        return $bars;
    }

    /** Of a sash in two cards; null where it is none. */
    public function halves(): ?SashHalves
    {
        if (! $this->panes->isDeep) {
            return null;
        }
        $up = $this->panes->raised === null ? 0.0 : $this->scale->modelMm($this->panes->raised);

        return new SashHalves(
            $this->shape, $this->inset, $this->stile, $this->rows[0]->paneFoot($this->lower()),
            [$this->panesOf(0, 0, $this->lower()), $this->panesOf(0, $this->lower(), $this->rows[0]->count)],
            $up < self::LEAST_MM ? 0.0 : $up, $this->cut(...),
        );
    }

    /** @return list<Ring> what is open of the card that has its panes */
    public function glazed(): array
    {
        return $this->panes->areBarsCut() ? $this->holes() : $this->withoutBars();
    }

    private function hasMeetingRail(): bool
    {
        return $this->panes->sash && $this->panes->rows > 1;
    }

    /** How many rows the lower half of a sash has; the upper one has the odd one. */
    private function lower(): int
    {
        return intdiv($this->panes->rows, 2);
    }

    /** How wide the stiles of each light's own leaf are. */
    private function leaf(): float
    {
        return $this->panes->opens ? $this->stile : 0.0;
    }

    /** @return non-empty-list<array{float, float}> */
    private function lights(): array
    {
        $mullion = $this->panes->mullion === null ? $this->stile : $this->scale->modelMm($this->panes->mullion);
        $n = max(1, $this->panes->lights);
        $wide = ($this->shape->width - 2.0 * $this->inset - ($n - 1) * $mullion) / $n;
        $lights = [[$this->inset, $this->inset + $wide]];
        for ($i = 1; $i < $n; $i++) {
            $from = $this->inset + $i * ($wide + $mullion);
            $lights[] = [$from, $from + $wide];
        }

        return $lights;
    }

    /** @return non-empty-list<LightRow> */
    private function lightRows(): array
    {
        [$panes, $leaf] = [$this->panes, $this->leaf()];
        $foot = $panes->riser === null ? $this->inset : max($this->inset, $this->scale->modelMm($panes->riser));
        $top = $this->shape->height - $this->inset;
        $rails = array_fill(0, $panes->rows - 1, $this->bar);
        if ($this->hasMeetingRail()) {
            // The meeting rail stands between the halves; the upper sash has the odd row.
            $rails[$this->lower() - 1] = $this->stile;
        }
        $rails = array_values($rails);
        $above = $panes->above;
        if ($above === null) {
            return [new LightRow($foot + $leaf, $top - $leaf, $panes->columns, $panes->rows, $this->bar, $rails)];
        }
        $rail = $this->scale->modelMm($above->rail) / 2.0;
        $from = $this->scale->modelMm($above->from);
        $bar = max($this->scale->modelMm($above->bar), $this->leastBar);

        return [
            new LightRow($foot + $leaf, $from - $rail - $leaf, $panes->columns, $panes->rows, $this->bar, $rails),
            new LightRow($from + $rail + $leaf, $top - $leaf, $above->columns, $above->rows, $bar, array_fill(0, $above->rows - 1, $bar)),
        ];
    }

    private function isWithinTop(): bool
    {
        if ($this->shape->isRound()) {
            return false;
        }
        $top = $this->rows[count($this->rows) - 1];

        return $this->shape->springing(-$this->inset - $this->leaf()) > $top->paneFoot($top->count - 1) + self::LEAST_MM;
    }

    /**
     * @param  int  $at  which row of lights
     * @param  int  $from  its row of panes
     * @return list<Ring>
     */
    private function panesOf(int $at, int $from, int $to): array
    {
        $row = $this->rows[$at];
        $holes = [];
        $leaf = $this->leaf();
        $isTop = $at === count($this->rows) - 1;
        for ($n = $from; $n < $to; $n++) {
            [$foot, $top] = [$row->paneFoot($n), $row->paneFoot($n) + $row->paneHeight()];
            foreach ($this->lights as [$x0, $x1]) {
                $wide = $row->paneWidth($x1 - $x0 - 2.0 * $leaf);
                for ($column = 0; $column < $row->columns; $column++) {
                    $left = $x0 + $leaf + $column * ($wide + $row->bar);
                    $run = [$left, $left + $wide];
                    array_push($holes, ...match (true) {
                        ! $this->isWithinTop => $this->cut($run, [$foot, $top], $this->inset + $leaf),
                        $isTop && $n === $row->count - 1 => [$this->underHead($run, $foot, $this->inset + $leaf)],
                        default => [new Ring([
                            new Vec2($run[0], $foot), new Vec2($run[1], $foot), new Vec2($run[1], $top), new Vec2($run[0], $top),
                        ])],
                    });
                }
            }
        }

        return $holes;
    }

    /**
     * What of a stretch of a row of lights lies under the head.
     *
     * @param  array{float, float}  $run
     * @param  array{float, float}  $heights
     * @return list<Ring>
     */
    private function within(int $at, array $run, array $heights): array
    {
        $leaf = $this->leaf();
        $isTop = $at === count($this->rows) - 1;
        if (! $isTop && $this->isWithinTop) {
            return [Ring::rectangle($run[0], $heights[0], $run[1], $heights[1])];
        }
        $hull = $this->open($run, $heights[0], $this->inset + $leaf)?->leftOf(new Vec2($run[0], $heights[0]), new Vec2(1.0, 0.0));
        $hull = $heights[1] < $this->rows[$at]->top ? $hull?->leftOf(new Vec2($run[0], $heights[1]), new Vec2(-1.0, 0.0)) : $hull;

        return $hull === null || count($hull->points) < 3 ? [] : [new Ring($hull->points)];
    }

    /** @param  array{float, float}  $run */
    private function underHead(array $run, float $foot, float $inset): Ring
    {
        [$x0, $x1] = $run;

        return Ring::ofDistinct([new Vec2($x0, $foot), new Vec2($x1, $foot), ...$this->shape->head($x1, $x0, -$inset)]);
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
        $hull = $this->open($run, $inset, $inset)
            ?->leftOf(new Vec2($x0, $foot), new Vec2(1.0, 0.0))
            ?->leftOf(new Vec2($x0, $top), new Vec2(-1.0, 0.0));
        $box = $hull?->bounds();

        $isCut = $box !== null && min($box->width(), $box->height()) >= self::CUT_MM;

        return $isCut && count($hull->points) > 2 ? [new Ring($hull->points)] : [];
    }

    /**
     * What of the opening lies over a stretch, so far within its sides, from a foot up.
     *
     * @param  array{float, float}  $run
     */
    private function open(array $run, float $foot, float $inset): ?Hull
    {
        [$x0, $x1] = $run;

        return $this->shape->isRound()
            ? Hull::around($this->shape->ring(-$inset)->points)
                ->leftOf(new Vec2($x0, 0.0), new Vec2(0.0, -1.0))
                ?->leftOf(new Vec2($x1, 0.0), new Vec2(0.0, 1.0))
            : Hull::around([new Vec2($x0, $foot), new Vec2($x1, $foot), ...$this->shape->head($x1, $x0, -$inset)]);
    }
}
