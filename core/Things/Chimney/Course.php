<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Building\Finish;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Stock\Stock;

/**
 * One or more courses that stand out of a chimney's sides all round: its plinth, its band, what is round its panels, one that oversails,
 * its cornice. They begin and end with courses of the building, a cornice as high as it is said to be, and stand out as far as their card
 * comes nearest to what is said. docs/formulas.md#chimneys
 */
final readonly class Course
{
    use CopiesWith;

    /** One layer less is worth so much that it stands out too far or too little, mm. */
    private const LAYER_MM = 0.04;

    /**
     * @param  string  $name  what its parts are called by
     * @param  ?float  $foot  above the datum; null where it stands on the roof
     * @param  int  $layers  of card
     * @param  Stock  $stock  of what they are cut
     * @param  float  $card  how thick each is
     * @param  float  $on  what lies between its card and the stack's
     * @param  ?Finish  $finish  of what it is, where that is not the stack's
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
        public ?Finish $finish = null,
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
            $top = $down($stack->underCornice() - $count('band_down') * $course);
            $all[] = self::one($stack, ['band', 'band'], [$top - $count('band') * $course, $top], $stack->mm('band_out'));
        }
        if ($count('panels') > 0) {
            $top = $down($stack->underCornice() - $count('panels_down') * $course);
            $all[] = self::one($stack, ['panels', 'panels'], [$top - $count('panels_high') * $course, $top], $stack->mm('panels_in'));
        }
        $top = $down($stack->underCornice() - $count('oversail_down') * $course);
        for ($i = 0; $i < $count('oversail'); $i++) {
            $foot = $top - ($count('oversail') - $i) * $course;
            $number = $i === 0 ? '' : '-'.($i + 1);
            $all[] = self::one($stack, ["oversail$number", 'oversailing course '.($i + 1)], [$foot, $foot + $course],
                ($i + 1) * $stack->mm('oversail_out'));
        }
        if ($stack->underCornice() < $stack->head()) {
            $all[] = self::one($stack, ['cornice', 'cornice'], [$stack->underCornice(), $stack->head()], $stack->mm('cornice_out'))
                ->with(finish: Finish::from($stack->said->text('cornice_of') ?? 'stone-ashlar'));
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

    /**
     * What is cut out of it along a side of the stack, x from the left end of that, y above the datum.
     *
     * @return list<Ring>
     */
    public function windows(Stack $stack, int $side): array
    {
        $count = $this->name === 'panels' ? $stack->said->count('panels') ?? 0 : 0;
        [$half, $course] = [$stack->site->masonry->halfOfReal, $stack->course()];
        $wide = $count === 0 ? 0.0 : ($stack->length($side) - ($count + 1) * $half) / $count;

        return $count === 0 ? [] : array_map(fn (int $k): Ring => Ring::rectangle(
            $half + $k * ($wide + $half), (float) $this->foot + $course, ($k + 1) * ($wide + $half), $this->top - $course,
        ), range(0, $count - 1));
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
