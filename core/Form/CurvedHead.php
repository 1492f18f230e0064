<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\ArcChain;

/** Arcs over the jambs, one chain of them or two that meet in a point; grown they keep their centres. docs/formulas.md#heads */
final readonly class CurvedHead implements Head
{
    /** @param  non-empty-list<ArcChain>  $chains  from the right to the left */
    public function __construct(private array $chains)
    {
    }

    public function heightAt(float $x, float $by): ?float
    {
        foreach ($this->chains as $chain) {
            $height = $chain->heightAt($x, $by);
            if ($height !== null) {
                return $height;
            }
        }

        return null;
    }

    public function points(float $fromX, float $toX, float $by): array
    {
        $points = [];
        foreach ($this->chains as $chain) {
            $run = $chain->over(min($fromX, $toX), max($fromX, $toX), $by);
            // Both have the point in which they meet.
            array_push($points, ...array_slice($run, $points === [] ? 0 : 1));
        }
        assert($points !== []);

        return $fromX >= $toX ? $points : array_reverse($points);
    }

    public function chains(): array
    {
        return $this->chains;
    }
}
