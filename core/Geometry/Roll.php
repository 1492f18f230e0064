<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/**
 * How a flat piece of card is rolled: it is flat up to a line and bends about lines beside it that are parallel (a cylinder) or meet in
 * an apex (a cone). Seen on its outside face with the first line upright, what bends lies on the right. Millimetres and radians, the
 * part's own frame. docs/formulas.md#rolled
 */
final readonly class Roll
{
    /**
     * @param  Vec2  $from  on the line at which it begins to bend
     * @param  Vec2  $along  of a cylinder the way of its lines, one long; of a cone its apex
     * @param  float  $size  of a cylinder the radius of its neutral line, halfway through the card; of a cone half the angle at its apex
     * @param  float  $turn  in all: away from the outside face, or less than 0 towards it
     */
    private function __construct(
        public bool $isCone,
        public Vec2 $from,
        public Vec2 $along,
        public float $size,
        public float $turn,
    ) {
    }

    public static function cylinder(Vec2 $from, Vec2 $along, float $radius, float $turn): self
    {
        return new self(false, $from, $along->times(1.0 / $along->length()), $radius, $turn);
    }

    public static function cone(Vec2 $from, Vec2 $apex, float $halfAngle, float $turn): self
    {
        return new self(true, $from, $apex, $halfAngle, $turn);
    }

    public function moved(Vec2 $by): self
    {
        $along = $this->isCone ? $this->along->plus($by) : $this->along;

        return new self($this->isCone, $this->from->plus($by), $along, $this->size, $this->turn);
    }

    /** The same, begun so far on, or below 0 so far before. */
    public function begun(float $into): self
    {
        return new self($this->isCone, $this->line($into), $this->along, $this->size, $this->turn);
    }

    /** How long its bend is on the flat card: of a cylinder radius · turn; of a cone the angle at its apex, turn · sin half angle. */
    public function length(): float
    {
        return abs($this->turn) * $this->perTurn();
    }

    /** So much of the flat card's bend is a radian in space. */
    public function perTurn(): float
    {
        return $this->isCone ? sin($this->size) : $this->size;
    }

    /** How far into the bend a place of the flat card lies, as length() counts; 0 before it. */
    public function into(Vec2 $place): float
    {
        if (! $this->isCone) {
            return max(0.0, min($this->length(), -$this->along->cross($place->minus($this->from))));
        }
        [$first, $way] = [$this->from->minus($this->along), $place->minus($this->along)];
        $angle = atan2($first->cross($way), $first->dot($way));

        return max(0.0, min($this->length(), $angle < 0.0 && $this->length() > M_PI ? $angle + 2.0 * M_PI : $angle));
    }

    /** A place on its line so far into the bend: of a cone as far from its apex as where the first begins. */
    public function line(float $into): Vec2
    {
        if (! $this->isCone) {
            return $this->from->plus((new Vec2($this->along->y, -$this->along->x))->times($into));
        }
        $first = $this->from->minus($this->along);
        [$cos, $sin] = [cos($into), sin($into)];

        return $this->along->plus(new Vec2($first->x * $cos - $first->y * $sin, $first->x * $sin + $first->y * $cos));
    }

    /**
     * The lines at which card folded flat between them comes no further than a chord's error from card that is rolled: from the first
     * on, cut to what lies on the card; and by how much each turns.
     *
     * @return list<array{from: Vec2, to: Vec2, radians: float}>
     */
    public function folds(Region $region): array
    {
        $reach = $this->reach($region);
        $radius = $this->isCone ? $reach * sin($this->size) : $this->size;
        // Half of it for the chord, and half because it begins in the middle of one.
        $count = max(1, (int) ceil(abs($this->turn) / (2.0 * acos(max(0.0, 1.0 - Tolerance::CHORD / 2.0 / $radius)))));
        $folds = [];
        for ($k = 0; $k < $count; $k++) {
            foreach ($this->across($this->length() * ($k + 0.5) / $count, $region) as [$from, $to]) {
                $folds[] = ['from' => $from, 'to' => $to, 'radians' => ($this->turn < 0.0 ? -1.0 : 1.0) * $this->fold($count)];
            }
        }

        return $folds;
    }

    /**
     * Where it begins to bend and where it ends, cut to what lies on the card.
     *
     * @return list<array{Vec2, Vec2}>
     */
    public function limits(Region $region): array
    {
        return [...$this->across(0.0, $region), ...$this->across($this->length(), $region)];
    }

    /** No place of the card is further from its apex, or from where it begins. */
    private function reach(Region $region): float
    {
        return max(array_map(($this->isCone ? $this->along : $this->from)->distanceTo(...), $region->outline->points));
    }

    /**
     * What of a line so far into the bend lies on the card, from side to side.
     *
     * @return list<array{Vec2, Vec2}>
     */
    private function across(float $into, Region $region): array
    {
        $at = $this->line($into);
        $along = $this->isCone ? $at->minus($this->along)->times(1.0 / $at->distanceTo($this->along)) : $this->along;
        $far = $along->times(2.0 * $this->reach($region));
        [$a, $b] = [$this->isCone ? $this->along : $at->minus($far), $at->plus($far)];
        $joined = [];
        foreach (Clip::inside($a, $b, $region) as [$from, $to]) {
            $last = array_pop($joined);
            if ($last !== null && $last[1]->distanceTo($from) > Tolerance::EDGE) {
                $joined[] = $last;
                $last = null;
            }
            $joined[] = [$last[0] ?? $from, $to];
        }
        $corners = array_merge(...array_map(static fn (Ring $ring): array => $ring->points, $region->rings()));
        // So near to a corner of an arc a line ends in it.
        $snapped = static fn (Vec2 $end): Vec2 =>
            array_values(array_filter($corners, static fn (Vec2 $c): bool => $c->distanceTo($end) <= 2.0 * Tolerance::CHORD))[0] ?? $end;
        $lines = array_filter($joined, static fn (array $line): bool => $line[0]->distanceTo($line[1]) > 4.0 * Tolerance::CHORD);

        return array_values(array_map(static fn (array $line): array => [$snapped($line[0]), $snapped($line[1])], $lines));
    }

    /**
     * The angle between two of so many faces. Of a cone they are faces of the pyramid whose flat sides are as wide at its apex as the
     * card's share, so that after the whole turn it closes as the cone does.
     */
    private function fold(int $count): float
    {
        $turn = abs($this->turn) / $count;
        if (! $this->isCone) {
            return $turn;
        }
        $edge = asin(min(1.0, sin($this->length() / $count / 2.0) / sin($turn / 2.0)));
        $face = atan(tan($edge) * cos($turn / 2.0));

        return acos(max(-1.0, min(1.0, cos($face) ** 2 * cos($turn) + sin($face) ** 2)));
    }
}
