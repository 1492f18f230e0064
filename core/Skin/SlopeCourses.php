<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\Finish;
use Chartula\Core\Form\Facet;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Pattern\Pattern;
use Chartula\Core\Part\Pattern\Rows;

/**
 * The courses of a roof's slopes: as many of equal height go up the longest as its gauge asks for at the least, and slopes of one pitch
 * share their levels, so that they meet at hips and in valleys. Model millimetres. docs/formulas.md#coverings
 */
final readonly class SlopeCourses
{
    /** Slopes whose pitches differ by less have courses at one level, degrees. */
    private const ONE_PITCH_DEG = 0.01;

    /** Rows of stone slates are by so much higher at the eaves, and lower at the ridge, than their gauge. */
    private const DIMINISH = 0.3;

    /**
     * @param  float  $foot  the lowest level of the slopes
     * @param  float  $length  of the longest of them, up the slope
     * @param  int  $count  of its courses
     */
    private function __construct(public float $foot, public float $length, public int $count, public float $gauge)
    {
    }

    /**
     * Those slopes of a roof whose courses lie at the levels of one of them.
     *
     * @param  list<Facet>  $facets
     * @return non-empty-list<Facet>
     */
    public static function alike(Facet $slope, array $facets): array
    {
        $found = array_values(array_filter($facets, static fn (Facet $f): bool => $f->block === $slope->block && $f->patches !== []
            && abs($f->pitch->degrees - $slope->pitch->degrees) < self::ONE_PITCH_DEG));

        return $found === [] ? [$slope] : $found;
    }

    /**
     * @param  non-empty-list<Facet>  $slopes  of one pitch and one roof
     * @param  float  $above  their outside above their underside, square to it
     */
    public static function of(array $slopes, ?Pattern $pattern, float $above): self
    {
        [$low, $high] = [INF, -INF];
        foreach ($slopes as $slope) {
            foreach ($slope->patches as $patch) {
                foreach ($patch->outline->points as $p) {
                    // What is level has no other length than that in plan.
                    $up = $slope->flat($p)->y * max(Tolerance::PLANE, $slope->frame->y->z)
                        + $slope->frame->at(new Vec2(0.0, 0.0), $above)->z;
                    [$low, $high] = [min($low, $up), max($high, $up)];
                }
            }
        }
        $length = ($high - $low) / max(Tolerance::PLANE, $slopes[0]->frame->y->z);
        $gauge = $pattern instanceof Rows ? self::gauge($pattern) : 0.0;

        return new self($low, $length, $gauge > 0.0 ? max(1, (int) ceil($length / $gauge - Tolerance::FIGURE)) : 1, $gauge);
    }

    /** From course to course, as it comes out. */
    public function pitch(): float
    {
        return $this->length / $this->count;
    }

    /** A covering's pattern in these courses. */
    public function on(Pattern $pattern): Pattern
    {
        if (! $pattern instanceof Rows || $this->gauge <= 0.0) {
            return $pattern;
        }
        if ($pattern->isUpright) {
            return $pattern->with(long: $this->pitch());
        }

        return $pattern->with(rows: $pattern->of === Finish::StoneSlate->value ? $this->diminishing() : [$this->pitch()]);
    }

    /** Where the eaves’ level lies on a slope, along that. */
    public function datumOn(Facet $slope, float $above): float
    {
        return ($this->foot - $slope->frame->at(new Vec2(0.0, 0.0), $above)->z) / max(Tolerance::PLANE, $slope->frame->y->z);
    }

    /** @return non-empty-list<float> from the eaves up, evenly less, all together as long as the slope */
    private function diminishing(): array
    {
        $share = fn (int $k): float => 1.0 + self::DIMINISH * ($this->count === 1 ? 0.0 : 1.0 - 2.0 * $k / ($this->count - 1));

        return array_map(fn (int $k): float => $this->pitch() * $share($k), range(0, $this->count - 1));
    }

    /** How high a row is as it is usual; upright ones are counted by their units. */
    private static function gauge(Rows $rows): float
    {
        return $rows->isUpright ? $rows->long : array_sum($rows->rows) / count($rows->rows);
    }
}
