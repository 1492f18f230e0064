<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/** A stretch of a drawing along which something may change, with what it is. */
final readonly class Line
{
    public function __construct(
        public Vec2 $from,
        public Vec2 $to,
        public string $label,
    ) {
    }

    /** Gives the part of the line that lies in a box, or near it; null where none does. */
    public function within(Box2 $box): ?self
    {
        $d = $this->to->minus($this->from);
        [$low, $high] = [0.0, 1.0];
        foreach ([[$this->from->x, $d->x, $box->x0, $box->x1], [$this->from->y, $d->y, $box->y0, $box->y1]] as [$at, $by, $least, $most]) {
            $least -= 1.0;
            $most += 1.0;
            if (abs($by) < Tolerance::NOTHING) {
                if ($at < $least || $at > $most) {
                    return null;
                }

                continue;
            }
            [$s, $t] = [($least - $at) / $by, ($most - $at) / $by];
            $low = max($low, min($s, $t));
            $high = min($high, max($s, $t));
        }

        return match (true) {
            $low >= $high => null,
            $low === 0.0 && $high === 1.0 => $this,
            default => new self($this->from->plus($d->times($low)), $this->from->plus($d->times($high)), $this->label),
        };
    }
}
