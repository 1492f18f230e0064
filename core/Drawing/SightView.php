<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Site\Neighbour;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Fit\Sight\SightLines;
use Chartula\Core\Fit\Sight\SightReport;
use Chartula\Core\Geometry\OnePoint;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\Tolerance;

/**
 * What an eye before the layout sees, drawn: in plan in the plot's own axes, and in section from the eye to the
 * backscene, depth and height. Each line carries the key of the sentence it belongs to. Model millimetres.
 *
 * @phpstan-type Line array{key: string, from: array{float, float}, to: array{float, float}, limit: bool, text: string}
 * @phpstan-type Shape array{kind: string, ring: list<array{float, float}>}
 * @phpstan-type Picture array{shapes: list<Shape>, lines: list<Line>, eyes: list<array{at: array{float, float}, text: string}>}
 */
final readonly class SightView
{
    /** A height from which something would show is drawn up to so many times the eye's. */
    private const HIGHEST = 1.5;

    /** A block is cut at this share of its width. */
    private const CUT_AT = 0.43;

    private function __construct(
        private Plot $plot,
        private Kit $kit,
        private ?SightLines $sight,
        private float $distance,
        private float $height,
        private float $travel,
    ) {
    }

    /** @return ?array{plan: Picture, section: Picture} null where nobody says from where it is looked at */
    public static function of(Plot $plot, Kit $kit, SightReport $report): ?array
    {
        if ($plot->eye === null) {
            return null;
        }
        $self = new self($plot, $kit, $report->sight, $plot->eye->distance, $plot->eye->height, $plot->eye->travel);

        return ['plan' => $self->plan(), 'section' => $self->section()];
    }

    /** @return Picture */
    private function plan(): array
    {
        $box = $this->plot->outline->bounds();
        $shapes = [['kind' => 'board', 'ring' => self::rounded($this->plot->outline->points)]];
        foreach ($this->plot->neighbours as $neighbour) {
            $shapes[] = ['kind' => 'neighbour', 'ring' => self::rounded($neighbour->outline->points)];
        }
        $corners = [];
        foreach ($this->kit->form->blocks as $block) {
            $ring = array_map($this->plot->inPlot(...), $block->ring->points);
            $shapes[] = ['kind' => 'wall', 'ring' => self::rounded($ring)];
            array_push($corners, ...$ring);
        }
        assert($corners !== []);
        $back = $box->y1;
        if ($this->hasBackscene()) {
            $shapes[] = ['kind' => 'backscene', 'ring' => self::rounded([new Vec2($box->x0, $back), new Vec2($box->x1, $back)])];
        }
        $y = $box->y0 - $this->distance;
        $middle = $box->centre()->x;
        $eyes = $lines = [];
        foreach ($this->travel > 0.0 ? [-1.0, 0.0, 1.0] : [0.0] as $side) {
            $eye = new Vec2($middle + $side * $this->travel, $y);
            $eyes[] = ['at' => self::point($eye), 'text' => $side === 0.0 ? 'eye' : sprintf('%.0f aside', $this->travel)];
            foreach ([-1.0, 1.0] as $end) {
                $lines = [...$lines, ...$this->past($eye, $corners, $end, $back)];
            }
        }
        foreach ($this->receding() as $receding) {
            $shapes[] = ['kind' => 'ghost', 'ring' => self::rounded(array_map($this->plot->inPlot(...), $receding['ring']->points))];
            $lines = [...$lines, ...$this->aimed($receding['ring'], $receding['view'])];
        }

        return ['shapes' => $shapes, 'lines' => $lines, 'eyes' => $eyes];
    }

    /**
     * Every line of a block that runs back goes to one point.
     *
     * @param  Ring  $ring  the block as it is
     * @return list<Line>
     */
    private function aimed(Ring $ring, OnePoint $view): array
    {
        $at = $this->plot->inPlot(new Vec2($view->eye->x, $view->front + $view->vanishing()));
        $box = $ring->bounds();

        return array_map(
            fn (float $x): array => self::line('vanish', $this->plot->inPlot($view->plan(new Vec2($x, $box->y0))), $at, true, ''),
            [$box->x0, $box->x1],
        );
    }

    /**
     * From one place of the eye to one end of the building, and past it to the backscene; past a neighbour that stands before that.
     *
     * @param  non-empty-list<Vec2>  $corners  of the building
     * @param  float  $end  -1 the left one, 1 the right one
     * @return list<Line>
     */
    private function past(Vec2 $eye, array $corners, float $end, float $back): array
    {
        $most = max(array_map(static fn (Vec2 $p): float => $end * $p->x, $corners));
        $flank = array_values(array_filter($corners, static fn (Vec2 $p): bool => $end * $p->x > $most - 0.01));
        usort($flank, static fn (Vec2 $p, Vec2 $q): int => $p->y <=> $q->y);
        [$front, $rear] = [$flank[0], $flank[count($flank) - 1]];
        if ($end * $eye->x <= $most) {
            // From here that end's flank is not seen: the front's corner closes the view.
            return [self::line('view', $eye, $front, false, '')];
        }
        $behind = self::carried($eye, $rear, $back);
        $lines = [self::line('flank', $eye, $rear, false, ''), self::line('slot', $rear, $behind, true, 'the backscene shows from here')];
        foreach ($this->plot->neighbours as $neighbour) {
            $near = $this->cornerOf($neighbour, $end, $most);
            if ($near !== null && $near->y > $eye->y) {
                $lines[] = self::line(
                    'neighbour',
                    $eye,
                    self::carriedTo($eye, $near, $end * $most),
                    true,
                    'hidden behind '.$neighbour->name.' from here',
                );
            }
        }

        return $lines;
    }

    /** The corner of a neighbour beside that end past which the eye looks. */
    private function cornerOf(Neighbour $neighbour, float $end, float $most): ?Vec2
    {
        $beside = array_values(array_filter($neighbour->outline->points, static fn (Vec2 $p): bool => $end * $p->x > $most));
        if (count($beside) < $neighbour->outline->count()) {
            return null;
        }
        usort($beside, static fn (Vec2 $p, Vec2 $q): int => [$p->y, $end * $p->x] <=> [$q->y, $end * $q->x]);

        return $beside[0];
    }

    /** @return Picture */
    private function section(): array
    {
        $box = $this->plot->outline->bounds();
        $x = $this->highest();
        $at = $this->plot->inBuilding(new Vec2($x, 0.0));
        $deep = $this->plot->inBuilding(new Vec2($x, 1.0))->minus($at);
        $cut = SectionView::cut($this->kit, new Vec3($at->x, $at->y, 0.0), new Vec3($deep->y, -$deep->x, 0.0));
        $shapes = [];
        foreach ($cut['rings'] as $ring) {
            $shapes[] = ['kind' => $ring['name'] === 'roof' ? 'roof' : 'wall', 'ring' => $ring['ring']];
        }
        $y = $box->y0 - $this->distance;
        $eye = new Vec2($y, $this->height);
        array_unshift($shapes, ['kind' => 'ground', 'ring' => self::rounded([new Vec2($y, 0.0), new Vec2($box->y1, 0.0)])]);
        $top = max([0.0, ...array_map(static fn (array $p): float => $p[1], array_merge(...array_column($cut['rings'], 'ring')))]);
        if ($this->hasBackscene()) {
            $shapes[] = [
                'kind' => 'backscene',
                'ring' => self::rounded([new Vec2($box->y1, 0.0), new Vec2($box->y1, max($this->height, $top))]),
            ];
        }
        // Turned, the section lies aslant in the building, and its lines of sight are not those of the sentences.
        $lines = $this->sight === null || abs($deep->x) > Tolerance::UNIT || $deep->y < 0.0
            ? $this->overWhole($eye, $cut['rings'], $box->y1)
            : $this->overCut($eye, $this->sight, $at, $cut['rings']);
        foreach (array_slice($this->receding(), 0, 1) as ['view' => $view]) {
            $front = $this->plot->inPlot(new Vec2($view->eye->x, $view->front))->y;
            $lines[] = self::line(
                'vanish',
                new Vec2($y, $view->axis),
                new Vec2($front + $view->vanishing(), $view->axis),
                true,
                sprintf('the eye’s axis, %.0f up', $view->axis),
            );
        }

        return [
            'shapes' => $shapes,
            'lines' => $lines,
            'eyes' => [['at' => self::point($eye), 'text' => sprintf('eye, %.0f up', $this->height)]],
        ];
    }

    /**
     * A building that is not cut: what the eye sees over its highest point.
     *
     * @param  list<array{name: string, part: string, ring: list<array{float, float}>}>  $rings
     * @return list<Line>
     */
    private function overWhole(Vec2 $eye, array $rings, float $back): array
    {
        $points = array_map(static fn (array $p): Vec2 => new Vec2($p[0], $p[1]), array_merge(...array_column($rings, 'ring')));
        if ($points === []) {
            return [];
        }
        // The point over which nothing of the building is seen any more.
        usort(
            $points,
            static fn (Vec2 $p, Vec2 $q): int => ($q->y - $eye->y) / ($q->x - $eye->x) <=> ($p->y - $eye->y) / ($p->x - $eye->x),
        );
        $lines = [self::line('over', $eye, $points[0], false, '')];
        if ($this->hasBackscene()) {
            $there = self::carried(new Vec2($eye->y, $eye->x), new Vec2($points[0]->y, $points[0]->x), $back);
            $lines[] = self::line(
                'backscene',
                $points[0],
                new Vec2($there->y, $there->x),
                true,
                sprintf('the backscene shows down to %.0f', $there->x),
            );
        }

        return $lines;
    }

    /**
     * A building that is cut: its back edge, and the backscene behind it, where it is drawn.
     *
     * @param  Vec2  $at  where the section lies, in the building's axes
     * @param  list<array{name: string, part: string, ring: list<array{float, float}>}>  $rings
     * @return list<Line>
     */
    private function overCut(Vec2 $eye, SightLines $s, Vec2 $at, array $rings): array
    {
        $place = $this->plot->inBuilding(new Vec2($this->plot->inPlot($at)->x, $eye->x));
        $back = $s->front + $s->depth;
        $edge = SightLines::straightOn($this->kit->form, $place, $back);
        if ($edge->height() === -INF) {
            return $this->overWhole($eye, $rings, $this->plot->outline->bounds()->y1);
        }
        $front = $this->plot->inPlot(new Vec2($at->x, $s->front))->y;
        $top = new Vec2($front + $s->depth, $edge->height());
        $isSeen = $eye->y > $edge->shownFrom();
        $lines = $isSeen ? [self::line('top', $eye, $top, false, '')] : [];
        if ($s->gap > 0.0) {
            $away = $back - $place->y;
            $down = $edge->seenDownTo($eye->y, ($away + $s->gap) / $away);
            $behind = new Vec2($front + $s->depth + $s->gap, $down);
            $lines[] = self::line(
                'backscene',
                $isSeen ? $top : $eye,
                $behind,
                true,
                sprintf('here the backscene shows down to %.1f', $down),
            );
        }
        $limits = [
            ...$s->frontSlope === null ? [] : [
                'front-slope' => [
                    new Vec2($front, $s->frontSlope[0]->heightAt(new Vec2(0.0, $s->front))), $s->frontSlope[1],
                    'the front slope shows from %.0f up',
                ],
            ],
            ...$isSeen ? [] : ['top' => [$top, $edge->shownFrom(), 'the back edge shows from %.0f up']],
            ...$s->missingRear === null ? [] : [
                'rear' => [new Vec2($front + $s->ridge[1], $s->ridge[0]), $s->missingRear[0], 'the missing rear is noticed from %.0f up'],
            ],
        ];
        foreach ($limits as $key => [$from, $height, $text]) {
            if ($height >= 0.0 && $height <= self::HIGHEST * max($eye->y, $top->y)) {
                $lines[] = self::line($key, $from, new Vec2($eye->x, $height), true, sprintf($text, $height));
            }
        }

        return $lines;
    }

    /**
     * Blocks that recede, as they are, and how; the building's axes.
     *
     * @return list<array{ring: Ring, view: OnePoint}>
     */
    private function receding(): array
    {
        $ratio = $this->kit->modelled->building->scale->ratio;
        $found = [];
        foreach ($this->kit->modelled->building->blocks as $block) {
            if ($block->receding !== null) {
                $found[] = [
                    'ring' => $block->receding->block->standing()->scaled(1.0 / $ratio),
                    'view' => $block->receding->view->over($ratio),
                ];
            }
        }

        return $found;
    }

    /** Finds where to cut the highest block along the plot's front: off its middle, where doors and windows like to stand. */
    private function highest(): float
    {
        $most = -INF;
        $x = 0.0;
        foreach ($this->kit->form->blocks as $block) {
            if ($block->top() > $most) {
                $xs = array_map(fn (Vec2 $p): float => $this->plot->inPlot($p)->x, $block->ring->points);
                [$most, $x] = [$block->top(), min($xs) + (max($xs) - min($xs)) * self::CUT_AT];
            }
        }

        return $x;
    }

    private function hasBackscene(): bool
    {
        return $this->plot->backscene !== [];
    }

    /** Follows a line of sight from the eye past a place to a line across. */
    private static function carried(Vec2 $eye, Vec2 $past, float $y): Vec2
    {
        return $eye->plus($past->minus($eye)->times(($y - $eye->y) / ($past->y - $eye->y)));
    }

    private static function carriedTo(Vec2 $eye, Vec2 $past, float $x): Vec2
    {
        return $eye->plus($past->minus($eye)->times(($x - $eye->x) / ($past->x - $eye->x)));
    }

    /** @return Line */
    private static function line(string $key, Vec2 $from, Vec2 $to, bool $limit, string $text): array
    {
        return ['key' => $key, 'from' => self::point($from), 'to' => self::point($to), 'limit' => $limit, 'text' => $text];
    }

    /** @return array{float, float} */
    private static function point(Vec2 $p): array
    {
        return [round($p->x, 3) + 0.0, round($p->y, 3) + 0.0];
    }

    /**
     * @param  list<Vec2>  $points
     * @return list<array{float, float}>
     */
    private static function rounded(array $points): array
    {
        return array_map(self::point(...), $points);
    }
}
