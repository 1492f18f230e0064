<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/** Things by where they reach along one axis, so that those near a place are found without looking at all. */
final class Bins
{
    private const MOST = 1024;

    /** No more than so many are looked at all together. */
    private const FEW = 12;

    private float $low;

    private float $width;

    private int $last;

    /** @var array<int, list<int>> things by bin */
    private array $bins = [];

    /** @var array<int, int> by thing: the question that met it last, so that each is met once */
    private array $met = [];

    private int $question = 0;

    /** @param  list<array{float, float}>  $reaches  from where to where each reaches */
    public function __construct(array $reaches)
    {
        if (count($reaches) <= self::FEW) {
            [$this->low, $this->width, $this->last, $this->bins] = [0.0, INF, 0, [array_keys($reaches)]];

            return;
        }
        [$low, $high] = [INF, -INF];
        foreach ($reaches as [$from, $to]) {
            $low = $from < $low ? $from : $low;
            $high = $to > $high ? $to : $high;
        }
        $bins = min(self::MOST, intdiv(count($reaches), 2));
        $this->low = $low;
        $this->width = max(Tolerance::EDGE, ($high - $low) / $bins);
        $this->last = $bins - 1;
        foreach ($reaches as $i => [$from, $to]) {
            for ($bin = $this->bin($from), $end = $this->bin($to); $bin <= $end; $bin++) {
                $this->bins[$bin][] = $i;
            }
        }
    }

    /** @return list<int> those that may reach between two places, each once */
    public function between(float $from, float $to): array
    {
        if ($this->last === 0) {
            return $this->bins[0] ?? [];
        }
        $first = $this->bin($from);
        $end = $this->bin($to);
        if ($first === $end) {
            return $this->bins[$first] ?? [];
        }
        $this->question++;
        $near = [];
        for ($bin = $first; $bin <= $end; $bin++) {
            foreach ($this->bins[$bin] ?? [] as $i) {
                if (($this->met[$i] ?? 0) !== $this->question) {
                    $this->met[$i] = $this->question;
                    $near[] = $i;
                }
            }
        }

        return $near;
    }

    private function bin(float $at): int
    {
        $bin = (int) floor(($at - $this->low) / $this->width);

        return match (true) {
            $bin < 0 => 0,
            $bin > $this->last => $this->last,
            default => $bin,
        };
    }
}
