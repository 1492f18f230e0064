<?php

declare(strict_types=1);

namespace Tests\Support\Plots;

/**
 * The building of a PlotGenerator as solid as it is described, whole or cut in its school, by figures worked out here; and lines of sight
 * followed past it in small steps. The building's axes.
 */
final readonly class Section
{
    private const STEPS = 60;

    /** @param  list<array{float, float}>  $profile  depth behind the front and height, from the front to where it ends */
    private function __construct(
        private PlotGenerator $plot,
        public array $profile,
    ) {
    }

    /** As it is before it is cut, and where the ridge has been brought forward, as it would go on behind that. */
    public static function whole(PlotGenerator $plot): self
    {
        [$at, $high] = $plot->ridge();
        $profile = [[0.0, $plot->eaves], [$at, $high], [$plot->depth, $plot->eaves]];
        if ($plot->school === 'keep-ridge') {
            $profile = [[0.0, $plot->eaves], [$plot->cut, $high], [$plot->cut + $plot->depth - $at, $plot->eaves]];
        }

        return new self($plot, $profile);
    }

    public static function cut(PlotGenerator $plot): self
    {
        [$at, $high] = $plot->ridge();
        [$e, $d] = [$plot->eaves, $plot->cut];
        [$front, $rear] = [tan(deg2rad($plot->pitch)), tan(deg2rad($plot->rear))];
        $less = $d * $rear / ($front + $rear);

        return new self($plot, match ($plot->school) {
            'slice' => [[0.0, $e], [$d, $e + $d * $front]],
            'front-slope' => [[0.0, $e], [$at, $high], [$d, $high - ($d - $at) * $rear]],
            'squeeze' => [[0.0, $e], [$at * $d / $plot->depth, $high], [$d, $e]],
            'keep-ridge' => [[0.0, $e], [$d, $high]],
            'keep-pitch' => [[0.0, $e], [$less, $e + $less * $front], [$d, $e]],
            default => [[0.0, $e], [$at, $high], [$plot->depth, $e]],
        });
    }

    public function height(float $behind): float
    {
        foreach (array_slice($this->profile, 1) as $i => [$y, $z]) {
            [$y0, $z0] = $this->profile[$i];
            if ($behind >= $y0 - 1e-9 && $behind <= $y + 1e-9) {
                return $z0 + ($z - $z0) * ($behind - $y0) / ($y - $y0);
            }
        }

        return -INF;
    }

    public function end(): float
    {
        return $this->profile[count($this->profile) - 1][0];
    }

    /**
     * Whether nothing of it stands between two places.
     *
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     */
    public function isFree(array $from, array $to): bool
    {
        // Of the way, what runs over the building's depth.
        $rise = $to[1] - $from[1];
        $ends = abs($rise) < 1e-9 ? [0.0, 1.0] : [($this->plot->y - $from[1]) / $rise, ($this->plot->y + $this->end() - $from[1]) / $rise];
        [$first, $last] = [max(0.0, min($ends)), min(1.0, max($ends))];
        $shares = array_map(static fn (int $i): float => $first + ($last - $first) * $i / self::STEPS, range(1, self::STEPS - 1));
        foreach (abs($rise) < 1e-9 ? [] : $this->profile as [$y]) {
            // And right over every corner.
            $shares[] = ($this->plot->y + $y - $from[1]) / $rise;
        }
        foreach ($shares as $t) {
            if ($t < 1e-9 || $t >= 1.0) {
                continue;
            }
            $x = $from[0] + ($to[0] - $from[0]) * $t - $this->plot->x;
            $y = $from[1] + ($to[1] - $from[1]) * $t - $this->plot->y;
            if ($x >= 0.0 && $x <= $this->plot->width && $this->height($y) - 1e-6 > $from[2] + ($to[2] - $from[2]) * $t) {
                return false;
            }
        }

        return true;
    }

    /**
     * The least height over a place from which another is seen.
     *
     * @param  array{float, float}  $eye
     * @param  array{float, float, float}  $place
     */
    public function seenFrom(array $eye, array $place): float
    {
        [$low, $high] = [-3000.0, 9000.0];
        for ($i = 0; $i < 40; $i++) {
            $middle = ($low + $high) / 2.0;
            [$low, $high] = $this->isFree($place, [...$eye, $middle]) ? [$low, $middle] : [$middle, $high];
        }

        return $high;
    }

    /**
     * How far down an eye sees an upright line behind the building.
     *
     * @param  array{float, float, float}  $eye
     * @param  array{float, float}  $line
     */
    public function seenDownTo(array $eye, array $line): float
    {
        [$low, $high] = [-3000.0, 3000.0];
        for ($i = 0; $i < 40; $i++) {
            $middle = ($low + $high) / 2.0;
            [$low, $high] = $this->isFree([...$line, $middle], $eye) ? [$low, $middle] : [$middle, $high];
        }

        return $high;
    }
}
