<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Relief;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;
use Chartula\Core\Building\Footprint;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\OpeningKind;
use Chartula\Core\Building\Relief;
use Chartula\Core\Building\ReliefBack;
use Chartula\Core\Building\Roof;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Building\Style;
use Chartula\Core\Building\Treatment;
use Chartula\Core\Building\Uncut;
use Chartula\Core\Building\Wall;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;

/** Cuts one block to low relief: none, one or several pieces, each a block of its own. Real millimetres. docs/formulas.md#relief */
final readonly class BlockCut
{
    /** The frame of card that stiffens an open back, model mm. */
    private const STIFFENER_MM = 8.0;

    /**
     * @param  float  $front  the y towards which it is squeezed
     * @param  float  $cut  the y behind which nothing stays
     * @param  bool  $roofsAnew  its roof is made over what is left, not cut
     * @param  float  $least  a piece less deep than this is not made
     */
    public function __construct(
        private Building $building,
        private Block $block,
        private Relief $relief,
        private float $front,
        private float $cut,
        private float $squeeze,
        private bool $roofsAnew,
        private float $least,
        private ReliefBack $back,
    ) {
    }

    /** @return array{list<Block>, list<array{what: 'block'|'opening'|'narrowed', at: string, count: int}>} */
    public function pieces(): array
    {
        $ring = $this->block->standing();
        $box = $ring->bounds();
        if ($box->y0 > $this->cut - $this->least) {
            return [[], [['what' => 'block', 'at' => $this->block->id, 'count' => 1]]];
        }
        $isWhole = $box->y1 <= $this->cut + Tolerance::MEET;
        if ($isWhole && abs($this->squeeze - 1.0) < Tolerance::ROUNDING) {
            return [[$this->block], []];
        }
        $lines = [];
        foreach (array_keys($ring->points) as $i) {
            $lines[] = new Line($ring->point($i), $ring->point($i + 1), (string) $i);
        }
        if (! $isWhole) {
            $lines[] = new Line(new Vec2($box->x0 - 1.0, $this->cut), new Vec2($box->x1 + 1.0, $this->cut), 'cut');
        }
        $pieces = [];
        $lost = [];
        $patches = Overlay::patches($lines, fn (Vec2 $p): bool => $ring->contains($p) && $p->y < $this->cut);
        usort($patches, static fn (Patch $a, Patch $b): int => $a->outline->bounds()->x0 <=> $b->outline->bounds()->x0);
        foreach ($patches as $k => $patch) {
            if ($patch->outline->bounds()->height() * $this->squeeze < $this->least) {
                continue;
            }
            [$pieces[], $gone] = $this->piece(self::begunAt($patch), $k);
            array_push($lost, ...$gone);
        }

        return [$pieces, $lost];
    }

    /** Begins the outline with the first edge of the whole that is left, so that edges keep their order. */
    private static function begunAt(Patch $patch): Patch
    {
        $first = 0;
        foreach ($patch->labels as $i => $label) {
            if ($label !== 'cut' && ($patch->labels[$first] === 'cut' || (int) $label < (int) $patch->labels[$first])) {
                $first = $i;
            }
        }
        // Of an edge in two pieces the one after the cut comes first.
        $n = count($patch->labels);
        while ($patch->labels[($first + $n - 1) % $n] === $patch->labels[$first] && $n > 1) {
            $first = ($first + $n - 1) % $n;
        }

        return $patch->turned($first);
    }

    /** @return array{Block, list<array{what: 'block'|'opening'|'narrowed', at: string, count: int}>} */
    private function piece(Patch $patch, int $number): array
    {
        $block = $this->block;
        $squeezed = fn (Vec2 $p): Vec2 => $this->block->ownAxes(new Vec2($p->x, $this->front + ($p->y - $this->front) * $this->squeeze));
        $points = array_map($squeezed, $patch->outline->points);
        $names = $this->names($patch->labels);
        $walls = [];
        $edges = [];
        $lost = [];
        $called = [];
        foreach ($patch->labels as $i => $label) {
            if ($label === 'cut') {
                $walls[] = $this->back($i, $names[$i], $points[$i]->distanceTo($points[($i + 1) % count($points)]));
                $edges[] = $this->backRoof();
            } else {
                [$walls[], $gone, $called[$i]] = $this->flank(
                    $block->walls[(int) $label],
                    $i,
                    $patch->outline->point($i),
                    $patch->outline->point($i + 1),
                    $points[$i]->distanceTo($points[($i + 1) % count($points)]),
                );
                array_push($lost, ...$gone);
                $edges[] = $block->roof->edges[(int) $label];
            }
        }
        $left = array_flip(
            array_filter(array_map(static fn (string $l): string => $l, $patch->labels), static fn (string $l): bool => $l !== 'cut'),
        );
        $ghost = count($patch->labels);
        $now = [];
        foreach (array_keys($block->walls) as $e) {
            $now[] = $left[$e] ?? $ghost++;
            if (! isset($left[$e])) {
                // What slopes down to where nothing stands any more.
                $edges[] = $block->roof->edges[$e];
            }
        }
        $corners = [];
        foreach ($patch->labels as $i => $label) {
            $before = $patch->labels[($i + count($patch->labels) - 1) % count($patch->labels)];
            if ($label !== 'cut' && $before !== 'cut' && isset($block->corners[(int) $label])) {
                $corners[$i] = $block->corners[(int) $label];
            }
        }
        $roof = $block->roof->with(edges: $this->roofsAnew ? array_slice($edges, 0, count($patch->labels)) : $edges);

        $cut = $block->with(
            id: $block->id.($number > 0 ? '-'.($number + 1) : ''),
            name: $block->name.($number > 0 ? ' '.($number + 1) : ''),
            footprint: $this->footprint($points, $names),
            walls: $walls,
            roof: $roof,
            corners: $corners,
            features: (new FeaturesCut($block, $patch, $squeezed, $called))->left(),
            uncut: $this->roofsAnew ? null : new Uncut($block, $this->front, $this->cut, $this->squeeze, $now),
        );

        return [$cut, $lost];
    }

    /**
     * @param  non-empty-list<string>  $labels
     * @return non-empty-list<string>
     */
    private function names(array $labels): array
    {
        $names = [];
        $used = array_map(fn (string $l): string => $l === 'cut' ? '' : $this->block->footprint->edges[(int) $l], $labels);
        foreach ($used as $i => $name) {
            $base = $name === '' ? (in_array('back', $used, true) ? 'cut' : 'back') : $name;
            $free = $base;
            for ($k = 2; in_array($free, $names, true); $k++) {
                $free = "$base-$k";
            }
            $names[] = $free;
        }

        return $names;
    }

    /**
     * @param  non-empty-list<Vec2>  $points  in the block's own axes
     * @param  non-empty-list<string>  $names
     */
    private function footprint(array $points, array $names): Footprint
    {
        $rect = $this->block->footprint->rect;
        if (
            $rect !== null
            && $names === Footprint::RECT
            && abs($points[0]->x) + abs($points[0]->y) < Tolerance::MEET
            && abs($points[1]->x - $rect[0]->mm) < Tolerance::MEET
        ) {
            return Footprint::rect(
                $rect[0],
                RealLength::entered($points[2]->y, $this->relief->depth->text ?? '', $this->relief->path.'.depth'),
            );
        }

        return Footprint::polygon(
            array_map(static fn (Vec2 $p): array => [RealLength::ofMillimetres($p->x), RealLength::ofMillimetres($p->y)], $points),
            $names,
        );
    }

    private function back(int $edge, string $name, float $length): Wall
    {
        $openings = [];
        if ($this->back === ReliefBack::Stiffener) {
            $margin = self::STIFFENER_MM * $this->building->scale->ratio;
            $height = $this->block->eaves->mm - $this->block->base->mm;
            if ($length > 3.0 * $margin && $height > 3.0 * $margin) {
                $style = new Style(
                    'back-opening', 'opening', OpeningKind::Open,
                    RealLength::ofMillimetres($length - 2.0 * $margin),
                    RealLength::ofMillimetres($height - 2.0 * $margin),
                    null,
                    RealLength::ofMillimetres(0.0),
                    null,
                );
                $openings[] = new Opening(
                    'opening',
                    $style,
                    RealLength::ofMillimetres($margin),
                    RealLength::ofMillimetres($margin),
                    1,
                    null,
                    $this->relief->path,
                );
            }
        }

        return new Wall(
            $edge,
            $name,
            Finish::Bare,
            $this->back === ReliefBack::Open ? Treatment::Omit : Treatment::Plain,
            'wall',
            $openings,
            null,
            $this->relief->path,
        );
    }

    /** Gives the roof over the edge that was cut: upright, or made anew to slope down as the rear did. */
    private function backRoof(): RoofEdge
    {
        $rear = null;
        $least = INF;
        foreach ($this->block->roof->edges as $i => $edge) {
            $ring = $this->block->standing();
            $along = $ring->point($i + 1)->minus($ring->point($i));
            // The one that looks most to the back.
            if ($along->x / $along->length() < $least) {
                [$rear, $least] = [$edge, $along->x / $along->length()];
            }
        }
        $none = RealLength::ofMillimetres(0.0);
        $kind = $this->roofsAnew && $rear !== null && $rear->kind !== RoofEdge::WALL ? $rear->kind : RoofEdge::GABLE;

        return new RoofEdge(
            $kind,
            $rear->pitch ?? $this->block->roof->pitch,
            $none,
            $kind === RoofEdge::HALF_HIP ? $rear?->from : null,
            $this->relief->path,
        );
    }

    /**
     * A wall of which a stretch is left, perhaps squeezed.
     *
     * @param  Vec2  $from  where its left end was, in the building's axes, before it was squeezed
     * @param  float  $length  as it is now
     * @return array{Wall, list<array{what: 'block'|'opening'|'narrowed', at: string, count: int}>, array<string, string>} and what its
     *     openings that are left are called now
     */
    private function flank(Wall $wall, int $edge, Vec2 $from, Vec2 $to, float $length): array
    {
        $ring = $this->block->standing();
        $start = $from->distanceTo($ring->point($wall->edge));
        $end = $to->distanceTo($ring->point($wall->edge));
        $whole = $ring->edgeLength($wall->edge);
        $openings = (
            new OpeningsCut(
                $this->block->id.'.'.$wall->name,
                $this->relief->flank,
                $start,
                $end,
                $length,
                $length / ($end - $start),
                $this->least,
                $whole,
            )
        )->of($wall->openings);
        $ground = $wall->ground === null
            ? null
            : [self::between($wall->ground, $start / $whole), self::between($wall->ground, $end / $whole)];

        return [$wall->with(edge: $edge, openings: $openings[0], ground: $ground), $openings[1], $openings[2]];
    }

    /** @param  array{RealLength, RealLength}  $ends */
    private static function between(array $ends, float $share): RealLength
    {
        return RealLength::ofMillimetres($ends[0]->mm + ($ends[1]->mm - $ends[0]->mm) * $share);
    }
}
