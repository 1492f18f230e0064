<?php

declare(strict_types=1);

namespace Chartula\Core\Output\Plotter;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** One line that a tool follows, so many times over. Millimetres from the sheet's lower left. */
final readonly class Stroke
{
    /**
     * @param  non-empty-list<Vec2>  $points
     * @param  float  $startS  seconds from the beginning of the job
     * @param  ?string  $stock  what lies on the bed then, where the file says so
     */
    public function __construct(
        public int $tool,
        public array $points,
        public int $passes,
        public float $startS,
        public float $endS,
        public ?string $stock = null,
    ) {
    }

    public function isClosed(): bool
    {
        return count($this->points) > 3 && $this->points[0]->distanceTo($this->points[count($this->points) - 1]) < Tolerance::ROUNDING;
    }

    public function length(): float
    {
        $sum = 0.0;
        for ($i = 1, $n = count($this->points); $i < $n; $i++) {
            $sum += $this->points[$i - 1]->distanceTo($this->points[$i]);
        }

        return $sum;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'tool' => $this->tool === PlotterWriter::SCORE ? 'score' : 'cut', 'passes' => $this->passes,
            'start_s' => round($this->startS, 2), 'end_s' => round($this->endS, 2),
            'points' => array_map(static fn (Vec2 $p): array => $p->toArray(), $this->points),
        ];
    }
}
