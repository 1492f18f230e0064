<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Stock\Stock;

/**
 * One or more courses that stand out of a chimney's sides all round: its plinth, its band, or one that oversails. They begin and end with
 * courses of the building, and stand out as far as their card comes nearest to what is said. docs/formulas.md#chimneys
 */
final readonly class Course
{
    /** One layer less is worth so much that it stands out too far or too little, mm. */
    private const LAYER_MM = 0.04;

    /**
     * @param  string  $name  what its parts are called by
     * @param  ?float  $foot  above the datum; null where it stands on the roof
     * @param  int  $layers  of card
     * @param  Stock  $stock  of what they are cut
     * @param  float  $card  how thick each is
     * @param  float  $on  what lies between its card and the stack's
     */
    private function __construct(
        public string $name,
        public string $words,
        public ?float $foot,
        public float $top,
        public int $layers,
        public Stock $stock,
        public float $card,
        private float $on,
    ) {
    }

    /** @return list<self> from below; none where there is no room for it */
    public static function of(Stack $stack): array
    {
        $count = static fn (string $key): int => $stack->said->count($key) ?? 0;
        $course = $stack->course();
        // Courses are counted on the building's datum.
        $up = static fn (float $height): float => ceil($height / $course - Tolerance::SHARE) * $course;
        $down = static fn (float $height): float => floor($height / $course + Tolerance::SHARE) * $course;
        $all = [];
        if ($count('plinth') > 0) {
            $highest = $stack->highest($stack->mm('plinth_out'));
            $all[] = self::one($stack, ['plinth', 'plinth'], [null, $up($highest) + $count('plinth') * $course], $stack->mm('plinth_out'));
        }
        if ($count('band') > 0) {
            $top = $down($stack->head() - $count('band_down') * $course);
            $all[] = self::one($stack, ['band', 'band'], [$top - $count('band') * $course, $top], $stack->mm('band_out'));
        }
        $top = $down($stack->head() - $count('oversail_down') * $course);
        for ($i = 0; $i < $count('oversail'); $i++) {
            $foot = $top - ($count('oversail') - $i) * $course;
            $number = $i === 0 ? '' : '-'.($i + 1);
            $all[] = self::one($stack, ["oversail$number", 'oversailing course '.($i + 1)], [$foot, $foot + $course],
                ($i + 1) * $stack->mm('oversail_out'));
        }

        return $all;
    }

    /** @return list<self> those round a breast, from below, each out by so much more than the one over it */
    public static function setOffs(Stack $stack, Breast $breast): array
    {
        $course = $stack->course();
        $count = $stack->said->count('set_offs') ?? 0;
        $base = $breast->wall->frame->origin->z;
        $top = static fn (int $k): float => floor(
            ($base + $stack->mm('set_off_up') - ($k - 1) * $stack->mm('set_off_down')) / $course + Tolerance::SHARE,
        ) * $course;
        $all = [];
        for ($k = $count; $k > 0; $k--) {
            $heights = [$k === $count ? $breast->foot : $top($k + 1), $top($k)];
            $all[] = self::one($stack, ["set-off-$k", $count > 1 ? "set-off $k" : 'set-off'], $heights, $k * $stack->mm('set_off_out'));
        }

        return $all;
    }

    /**
     * @param  array{string, string}  $called
     * @param  array{?float, float}  $heights
     */
    private static function one(Stack $stack, array $called, array $heights, float $out): self
    {
        $methods = $stack->roof->methods;
        $wanted = $out - $stack->paper();
        $best = INF;
        [$stock, $layers, $card] = [$methods->frame, 1, 0.0];
        foreach ([$methods->frame, $methods->strip] as $each) {
            $thick = $each->thickness_mm + $methods->template->addsTo($each);
            $count = max(1, (int) round($wanted / $thick));
            $cost = abs($wanted - $count * $thick) + self::LAYER_MM * $count;
            if ($cost < $best) {
                [$best, $stock, $layers, $card] = [$cost, $each, $count, $thick];
            }
        }

        return new self($called[0], $called[1], $heights[0], $heights[1], $layers, $stock, $card, $stack->paper());
    }

    public function isOnRoof(): bool
    {
        return $this->foot === null;
    }

    /** How far the outside of its card stands before the card of the stack, or that of one of its layers, counted from 1. */
    public function out(?int $layer = null): float
    {
        return $this->on + ($layer ?? $this->layers) * $this->card;
    }
}
