<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** What years have left on a face: soot under its top, damp over its foot. The part's own frame, model millimetres. */
final readonly class Weather
{
    use CopiesWith;

    /** Units are darker in so many steps, and which one a single unit has varies by one. */
    public const STEPS = 4;

    /** Which share of the height soot comes down, and damp goes up. */
    private const SOOT = 0.45;

    private const DAMP = 0.22;

    /**
     * @param  float  $soot  how much, from 0 to 1
     * @param  float  $damp  likewise
     */
    public function __construct(public float $soot, public float $damp, public float $foot, public float $top)
    {
    }

    public function moved(float $dy): self
    {
        return $this->with(foot: $this->foot + $dy, top: $this->top + $dy);
    }

    /**
     * How sooty and how damp something is, in steps.
     *
     * @param  float  $by  from 0 to 1, by its place and never by chance: how soon it takes on the next step
     * @return array{int, int}
     */
    public function at(Vec2 $at, float $by): array
    {
        $high = max($this->top - $this->foot, Tolerance::PLANE);
        $soot = ($at->y - $this->top) / (self::SOOT * $high) + 1.0;
        $damp = 1.0 - ($at->y - $this->foot) / (self::DAMP * $high);
        $steps = static fn (float $share, float $much): int => (int) floor(self::STEPS * max(0.0, min(1.0, $share)) * $much + $by);

        return [$this->soot > 0.0 ? $steps($soot, $this->soot) : 0, $this->damp > 0.0 ? $steps($damp, $this->damp) : 0];
    }

    /** @return array<string, float> */
    public function toArray(): array
    {
        return array_map(static fn (float $f): float => round($f, 4), [
            'soot' => $this->soot, 'damp' => $this->damp, 'foot' => $this->foot, 'top' => $this->top,
        ]);
    }
}
