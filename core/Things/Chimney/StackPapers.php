<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\FoldedArt;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Score;
use Chartula\Core\Part\Shape;
use Chartula\Core\Skin\CoveredFace;

/** A paper that goes round a chimney in one, folded at its corners, with a lap at the one farthest back. docs/formulas.md#chimneys */
final readonly class StackPapers
{
    /** A lap is no longer than so much of the side that it goes under, and stays so far inside its foot and its head, mm. */
    private const LAP_SHARE = 0.6;

    private const LAP_IN_MM = 0.3;

    /** @var list<int> the sides as they follow on each other */
    private array $order;

    /** @var array{float, float, float, float, float} where each begins, and the last ends */
    private array $starts;

    private float $thickness;

    public function __construct(private Stack $stack, private Building $building, private Round $round)
    {
        $this->thickness = $building->methods->paper->thickness_mm;
        $first = $stack->firstSide();
        $this->order = array_map(static fn (int $i): int => ($first + $i) % 4, [0, 1, 2, 3]);
        // A crease turns about the paper's middle: from one to the next the paper is so much longer than what it goes round.
        $at = array_map(fn (int $side): float => $this->length($side) + $this->thickness, $this->order);
        $first = $at[0] - $this->thickness / 2.0;
        $this->starts = [0.0, $first, $first + $at[1], $first + $at[1] + $at[2], $first + $at[1] + $at[2] + $at[3]];
    }

    /** @param  list<Part>  $cards  on which it is stuck */
    public function make(array $cards): PartSet
    {
        $part = $this->part();
        $joints = [];
        foreach ($this->order as $i => $side) {
            $own = $this->spread($i);
            $ring = new Ring([...$own, new Vec2($own[count($own) - 1]->x, $this->round->head), new Vec2($own[0]->x, $this->round->head)]);
            $plane = StackFrames::side($this->stack, $side, $this->round->out)->moved(-$this->round->out, 0.0);
            array_push($joints, ...Stuck::on($part, $plane, $ring, $cards));
        }

        return new PartSet([$part], $joints);
    }

    private function part(): Part
    {
        $paper = $this->building->methods->paper;
        [$out, $head] = [$this->round->out, $this->round->head];
        $folds = array_map(fn (int $i): Score => new Score(
            new Vec2($this->starts[$i], $this->foot($i)), new Vec2($this->starts[$i], $head), 'away', 90.0, 'back',
        ), [1, 2, 3, 4]);
        $outline = Outline::walk($this->walk());

        return Part::of(
            $this->stack->name($this->round->layer), 'P', "Chimney, {$this->round->words}", PartGroup::Skin,
            $paper, $this->thickness, $outline,
            [StackFrames::side($this->stack, $this->order[0], $out + $this->thickness)->moved(-$out, 0.0)],
            [
                'width' => $this->girth(),
                'height' => Figure::given($outline->ring->bounds()->height(), 'from its lowest foot up'),
            ],
            holes: $this->windows(), scores: $folds, mayTurn: false,
            shape: Shape::folded(new Vec2($this->starts[1] / 2.0, $head - 10.0 * Tolerance::EDGE)),
            art: $this->art(),
        );
    }

    private function girth(): Figure
    {
        $words = static fn (float $mm): string => LengthFormat::trimmed($mm, 3);
        $out = $this->round->out;
        $girth = Figure::given(2.0 * ($this->stack->w + $this->stack->d), '2 × both sides');
        $girth = $out > 0.0 ? $girth->plus(8.0 * $out, "plus 8 × what stands out, {$words($out)}") : $girth;

        return $girth->plus(3.5 * $this->thickness, "plus for its folds 3.5 × the paper, {$words($this->thickness)}")
            ->plus($this->lap(), "plus the lap, {$words($this->lap())}");
    }

    /**
     * The feet of a side, by its place in the row, from crease to crease, which lie half the paper's thickness beyond it.
     *
     * @return non-empty-list<Vec2>
     */
    private function spread(int $at): array
    {
        $feet = $this->round->feet[$this->order[$at]];
        $by = $this->thickness / 2.0;

        return FootLine::carriedOn($feet, $at === 0 ? 0.0 : $by, $by);
    }

    private function length(int $side): float
    {
        return $this->stack->length($side) + 2.0 * $this->round->out;
    }

    private function lap(): float
    {
        $lap = min($this->building->methods->skin->overlap_mm, self::LAP_SHARE * $this->length($this->order[0]));

        // It shows in no window.
        return array_filter($this->round->windows) === [] ? $lap : min($lap, self::LAP_SHARE * $this->stack->site->masonry->halfOfReal);
    }

    /** @return list<Ring> what is cut out of it */
    private function windows(): array
    {
        $windows = [];
        foreach ($this->order as $i => $side) {
            $by = $this->starts[$i] + $this->round->out + ($i === 0 ? 0.0 : $this->thickness / 2.0);
            array_push($windows, ...array_map(static fn (Ring $r): Ring => $r->moved($by, 0.0), $this->round->windows[$side] ?? []));
        }

        return $windows;
    }

    /** Where one of its creases begins: at the higher of both sides there. */
    private function foot(int $crease): float
    {
        $before = $this->spread($crease - 1);
        $end = $before[count($before) - 1]->y;

        return $crease < 4 ? max($end, $this->spread($crease)[0]->y) : $end;
    }

    /** @return non-empty-list<array{Vec2, Edge}> round it */
    private function walk(): array
    {
        $walk = [];
        foreach (array_keys($this->order) as $i) {
            $own = $this->spread($i);
            foreach ($own as $k => $p) {
                $name = $i === 3 && $k === count($own) - 1 ? 'lap' : 'foot';
                $walk[] = [new Vec2($this->starts[$i] + $p->x - $own[0]->x, $p->y), new Edge($name, 'clearance')];
            }
        }
        [$lap, $head, $end] = [$this->lap(), $this->round->head, $this->starts[4]];
        $under = array_map(static fn (Vec2 $p): float => $p->x <= $lap ? $p->y : -INF, $this->round->feet[$this->order[0]]);
        $over = max([-INF, ...$under]) + self::LAP_IN_MM;
        $walk[] = [new Vec2($end + $lap, min($over + $lap / 4.0, $head - self::LAP_IN_MM)), new Edge('lap', 'clearance')];
        $walk[] = [new Vec2($end + $lap, $head - self::LAP_IN_MM), new Edge('lap', 'clearance')];
        $walk[] = [new Vec2($end, $head), new Edge('head', 'clearance')];
        $walk[] = [new Vec2(0.0, $head), new Edge('end', 'clearance')];

        return $walk;
    }

    private function art(): ?Artwork
    {
        $covering = StackCovering::of($this->stack->said, $this->building, $this->round->finish);

        // Sides that meet at a corner begin their courses by turns.
        return $covering === null ? null : new FoldedArt(array_map(fn (int $i): Artwork => $covering->artwork(
            new CoveredFace(0.0, [$this->starts[$i], $this->starts[$i + 1]], $this->order[$i] % 2 === 1),
        ), [0, 1, 2, 3]));
    }
}
