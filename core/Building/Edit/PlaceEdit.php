<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Field\Node;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use stdClass;

/** Sets openings of a wall in order: over each other, in equal spaces, or by half bricks. docs/formulas.md#along-a-wall */
final readonly class PlaceEdit
{
    public const HOW = ['over', 'spaces', 'bricks'];

    private function __construct(private WallEntry $on, private Node $edit)
    {
    }

    /** @param  stdClass  $opening  of that wall */
    public static function apply(WallEntry $on, stdClass $opening, Node $edit): void
    {
        $self = new self($on, $edit);
        match ($edit->get('how')?->choice(self::HOW)) {
            'over' => $self->over($opening),
            'spaces' => $self->spaces($opening),
            'bricks' => $self->toBricks($opening),
            default => null,
        };
    }

    /** Its middle over or under that of the nearest one above or below; of a row the first one's. */
    private function over(stdClass $opening): void
    {
        $own = $this->extents($opening)[0];
        $nearest = null;
        foreach ($this->on->openings() as $other) {
            foreach ($other === $opening || $this->isBeside($opening, $other) ? [] : $this->extents($other) as $extent) {
                $off = ($extent->from + $extent->to - $own->from - $own->to) / 2.0;
                $nearest = $nearest === null || abs($off) < abs($nearest) ? $off : $nearest;
            }
        }
        if ($nearest === null) {
            $this->edit->fault('edit.nothing-above', ['wall' => $this->on->name]);

            return;
        }
        $this->put($opening, $own->from + $nearest);
    }

    /** All that stand at its height, as far from each other and from the wall's ends. */
    private function spaces(stdClass $opening): void
    {
        $beside = array_values(array_filter(
            $this->on->openings(),
            fn (stdClass $o): bool => $o === $opening || $this->isBeside($opening, $o),
        ));
        usort($beside, fn (stdClass $a, stdClass $b): int => $this->extents($a)[0]->from <=> $this->extents($b)[0]->from);
        $stretches = array_map(function (stdClass $o): float {
            $all = $this->extents($o);

            return $all[count($all) - 1]->to - $all[0]->from;
        }, $beside);
        $gap = ($this->on->length() - array_sum($stretches)) / (count($beside) + 1);
        if ($gap <= 0.0) {
            $this->edit->fault('edit.no-room', ['wall' => $this->on->name, 'width' => round(array_sum($stretches), 2)]);

            return;
        }
        $at = $gap;
        foreach ($beside as $i => $one) {
            $this->put($one, $at);
            $at += $stretches[$i] + $gap;
        }
    }

    /** Its left jamb at the nearest half brick from the wall's left end. */
    private function toBricks(stdClass $opening): void
    {
        $half = $this->on->ruler->gauge->brick_mm / 2.0;
        $this->put($opening, round($this->extents($opening)[0]->from / $half) * $half);
    }

    private function put(stdClass $opening, float $from): void
    {
        $like = is_string($opening->from ?? null) ? $opening->from : '0ft';
        $before = $this->extents($opening)[0]->from;
        // What is there already is left as it was written.
        $opening->from = abs($before - $from) < Tolerance::FIGURE ? $like : LengthFormat::like($like, max(0.0, $from));
    }

    /** Whether something of both is at one height. */
    private function isBeside(stdClass $a, stdClass $b): bool
    {
        [[, $high, $sill], [, $height, $foot]] = [$this->on->size($a), $this->on->size($b)];

        return $sill < $foot + $height && $foot < $sill + $high;
    }

    /** @return non-empty-list<Interval> */
    private function extents(stdClass $opening): array
    {
        $all = $this->on->ruler->extentsOf($opening, $this->on->document->styles ?? null);

        return $all === [] ? [new Interval(0.0, 0.0)] : $all;
    }
}
