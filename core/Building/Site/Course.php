<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/**
 * The middle of a track as a line that can be followed, straight on beyond both its ends. The plot's own axes, distances along it from
 * where it begins. docs/formulas.md#throw
 */
final readonly class Course
{
    public const MOST_STEPS = 40;

    /**
     * @param  list<array{start: float, at: Vec2, heading: float, turn: float}>  $stretches  from where each begins; turn is radians a
     *     millimetre, positive to the left
     */
    private function __construct(
        private array $stretches,
        public float $length,
        public float $leastRadius,
    ) {
    }

    public static function of(Track $track): self
    {
        $heading = deg2rad($track->headingDeg);
        $stretches = [['start' => -INF, 'at' => $track->from, 'heading' => $heading, 'turn' => 0.0]];
        $at = $track->from;
        $length = 0.0;
        foreach ($track->pieces as $piece) {
            $stretch = [
                'start' => $length,
                'at' => $at,
                'heading' => $heading,
                'turn' => $piece->turns === 0 ? 0.0 : $piece->turns / $piece->radius,
            ];
            $stretches[] = $stretch;
            $at = self::along($stretch, $piece->length);
            $heading += $stretch['turn'] * $piece->length;
            $length += $piece->length;
        }
        $stretches[] = ['start' => $length, 'at' => $at, 'heading' => $heading, 'turn' => 0.0];
        $curves = array_filter($track->pieces, static fn (TrackPiece $p): bool => $p->turns !== 0);

        return new self(
            $stretches,
            $length,
            min([INF, ...array_map(static fn (TrackPiece $p): float => $p->radius, array_values($curves))]),
        );
    }

    /** @param  array{start: float, at: Vec2, heading: float, turn: float}  $stretch */
    private static function along(array $stretch, float $by): Vec2
    {
        [$heading, $turn] = [$stretch['heading'], $stretch['turn']];
        if ($turn === 0.0) {
            return $stretch['at']->plus((new Vec2(cos($heading), sin($heading)))->times($by));
        }
        $then = $heading + $turn * $by;

        return $stretch['at']->plus((new Vec2(sin($then) - sin($heading), cos($heading) - cos($then)))->times(1.0 / $turn));
    }

    /** @return array{start: float, at: Vec2, heading: float, turn: float} */
    private function stretch(float $along): array
    {
        $found = $this->stretches[0];
        foreach ($this->stretches as $stretch) {
            $found = $stretch['start'] <= $along ? $stretch : $found;
        }

        return $found;
    }

    public function at(float $along): Vec2
    {
        $stretch = $this->stretch($along);

        return self::along($stretch, $stretch['start'] === -INF ? $along : $along - $stretch['start']);
    }

    /** Its direction, radians from x. */
    public function heading(float $along): float
    {
        $stretch = $this->stretch($along);

        return $stretch['turn'] === 0.0 ? $stretch['heading'] : $stretch['heading'] + $stretch['turn'] * ($along - $stretch['start']);
    }

    /**
     * Where it runs straight, ends beyond its own counted in.
     *
     * @return list<array{float, float}> from and to
     */
    public function straights(): array
    {
        $found = [];
        $from = null;
        foreach ($this->stretches as $stretch) {
            if ($stretch['turn'] === 0.0) {
                $from ??= $stretch['start'];
            } elseif ($from !== null) {
                $found[] = [$from, $stretch['start']];
                $from = null;
            }
        }

        return [...$found, [$from ?? $this->length, INF]];
    }

    /** The place so far on at which a chord of a length from a place before it ends. */
    public function chord(float $from, float $length): float
    {
        if ($length <= 0.0) {
            return $from;
        }
        $at = $this->at($from);
        // What is still missing is walked on; on no curve a vehicle takes is the way much longer than the chord.
        $to = $from;
        for ($i = 0; $i < self::MOST_STEPS; $i++) {
            $missing = $length - $this->at($to)->distanceTo($at);
            $to += $missing;
            if (abs($missing) < Tolerance::ROUNDING) {
                break;
            }
        }

        return $to;
    }
}
