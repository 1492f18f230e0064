<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\Stretches;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;

/** Masses whose roofs cannot die into what begins beyond an edge: they end there, in a gable. docs/formulas.md#dry-fit */
final readonly class EndedMasses
{
    /** What is beyond an edge is looked at so far beyond it, mm, and its own roof so far inside. */
    private const BEYOND_MM = 0.02;

    private const INSIDE_MM = 0.0005;

    private const LOOKED_AT = 16;

    private Vec2 $from;

    /** Of length 1. */
    private Vec2 $along;

    /** @var list<Mass> what begins beyond the edge */
    private array $hosts;

    /** @var list<Interval> where */
    private array $covered;

    /** @param  list<Mass>  $others */
    private function __construct(private Mass $mass, int $edge, array $others)
    {
        $this->from = $mass->ring->point($edge);
        $this->along = $mass->ring->point($edge + 1)->minus($this->from)->times(1.0 / $mass->ring->edgeLength($edge));
        $line = [$this->place(0.0, self::BEYOND_MM), $this->along];
        $hosts = array_filter($others, static fn (Mass $m): bool => Stretches::line($m->ring, ...$line) !== []);
        $this->hosts = array_values($hosts);
        $this->covered = Interval::joined(
            array_merge(...array_map(static fn (Mass $m): array => Stretches::line($m->ring, ...$line), $this->hosts), ...[[]]),
            Tolerance::PLANE,
        );
    }

    /**
     * @param  list<Mass>  $masses
     * @param  float  $reach  how far a roof may run on over others
     * @return list<Mass>
     */
    public static function of(Building $building, array $masses, float $reach): array
    {
        $ended = [];
        foreach ($masses as $m => $mass) {
            $edges = $mass->block->roof->edges;
            $others = $masses;
            unset($others[$m]);
            foreach ($mass->runsOn as $edge) {
                if ((new self($mass, $edge, array_values($others)))->ends($mass->ring->edgeLength($edge))) {
                    $was = $edges[$edge];
                    $edges[$edge] = new RoofEdge(RoofEdge::GABLE, $was->pitch, RealLength::ofMillimetres(0.0), null, $was->path);
                }
            }
            $block = $mass->block->with(roof: $mass->block->roof->with(edges: array_values($edges)));
            $isAsItWas = $edges === $mass->block->roof->edges;
            $ended[] = $isAsItWas ? $mass : Massing::mass($building, $block, $mass->ring, array_keys($mass->ring->points), $reach);
        }

        return $ended;
    }

    private function place(float $x, float $out): Vec2
    {
        return $this->from->plus($this->along->times($x))->plus((new Vec2($this->along->y, -$this->along->x))->times($out));
    }

    private function ends(float $length): bool
    {
        $along = Stretches::both($this->covered, [new Interval(Tolerance::PLANE, $length - Tolerance::PLANE)]);
        foreach ($this->covered as $stretch) {
            foreach ([[$stretch->from, 1.0], [$stretch->to, -1.0]] as [$x, $in]) {
                // Where the others end it must not be higher than they are.
                $inside = $this->place($x + $in * self::BEYOND_MM, self::BEYOND_MM);
                $tops = array_map(
                    static fn (Mass $m): float => $m->ring->contains($inside) ? $m->height($inside, $inside) : -INF,
                    $this->hosts,
                );
                if ($this->height($x) > max([-INF, ...$tops]) + Tolerance::MEET) {
                    return true;
                }
            }
            foreach ($this->places($stretch) as $x) {
                if ($this->height($x) > $this->highest($x) + Tolerance::MEET) {
                    return true;
                }
            }
        }

        return $along === [];
    }

    /** How high its own roof is over a place of the edge; −INF beside it. */
    private function height(float $x): float
    {
        $at = $this->place($x, -self::INSIDE_MM);
        $top = $this->mass->ring->contains($at) ? $this->mass->top : -INF;

        return $this->mass->isShut ? $top : ($this->mass->slopeOver($at)?->height($this->place($x, 0.0)) ?? $top);
    }

    /** How high the others become, going on from a place of the edge. */
    private function highest(float $x): float
    {
        $line = [$this->place($x, self::BEYOND_MM), new Vec2($this->along->y, -$this->along->x)];
        $high = -INF;
        foreach ($this->hosts as $host) {
            $isOver = array_filter(Stretches::line($host->ring, ...$line), static fn (Interval $i): bool => $i->to > 0.0) !== [];
            $high = $isOver && ($host->isShut || $host->slopes === []) ? max($high, $host->top) : $high;
            foreach ($host->isShut ? [] : $host->slopes as $slope) {
                foreach (Stretches::line($slope->plan, ...$line) as $over) {
                    foreach ($over->to > 0.0 ? [max(0.0, $over->from), $over->to] : [] as $far) {
                        $high = max($high, $slope->height($line[0]->plus($line[1]->times($far))));
                    }
                }
            }
        }

        return $high;
    }

    /** @return list<float> */
    private function places(Interval $stretch): array
    {
        $places = [];
        for ($k = 0.5; $k < self::LOOKED_AT; $k++) {
            $places[] = $stretch->from + $stretch->length() * $k / self::LOOKED_AT;
        }
        foreach ($this->mass->slopes as $slope) {
            foreach (Stretches::line($slope->plan, $this->place(0.0, -self::INSIDE_MM), $this->along) as $over) {
                array_push($places, ...array_filter([$over->from, $over->to], static fn (float $x): bool => $stretch->contains($x)));
            }
        }

        return $places;
    }
}
