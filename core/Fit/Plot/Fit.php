<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Site\Lift;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Check;
use Chartula\Core\Recall\Recall;

/** Whether the finished building has room where it is to stand. docs/formulas.md#plot */
final readonly class Fit
{
    /** A building with less than this left does not go in without a fight. */
    public const TIGHT_MM = 0.5;

    /** A gap before the backscene wider than this shows, and throws a shadow that shows. */
    private const WIDE_GAP_MM = 6.0;

    private const LEAST_GAP_MM = 1.0;

    /**
     * @param  list<Clearance>  $clearances  worst first
     * @param  list<array{name: string, way: value-of<Lift::WAYS>}>  $before  what comes off before the building, in order
     * @param  list<Check>  $asked  what the place asks of the building
     */
    private function __construct(
        public Plot $plot,
        public Finished $finished,
        public array $clearances,
        public array $before,
        public Splitting $splitting,
        private array $asked,
    ) {
    }

    /** Null where the building has no plot. */
    public static function of(Building $building, Kit $kit, Assembly $assembly, Recall $recall = new Recall): ?self
    {
        $plot = $building->plot;
        if ($plot === null) {
            return null;
        }
        $finished = Finished::of($plot, $assembly, $recall);
        $lift = new LiftCheck($plot, $finished);
        $clearances = [
            ...(new SideCheck($plot, $finished))->all(),
            ...(new ObstacleCheck($plot, $finished))->all(),
            ...(new TrackCheck($plot, $finished))->all(),
            ...$lift->all(),
            ...RunCheck::all($plot),
        ];
        usort($clearances, static fn (Clearance $a, Clearance $b): int => [$a->left_mm, $a->with] <=> [$b->left_mm, $b->with]);

        return new self(
            $plot,
            $finished,
            $clearances,
            $lift->steps(),
            Splitting::of($kit->form, $plot->lift),
            (new PlaceChecks($plot, $finished, $clearances, $kit))->all(),
        );
    }

    public function fits(): bool
    {
        return $this->clearances === [] || $this->clearances[0]->isFree();
    }

    /**
     * By how much the finished building is larger than its plot, in the building's own axes, however it is moved: what stands beside it
     * is another matter. A plot that is no rectangle, or askew, says nothing of that.
     *
     * @return array<'across'|'deep'|'high', float>
     */
    public function tooLarge(): array
    {
        $left = ['across' => null, 'deep' => null, 'high' => null];
        $quarters = $this->plot->turnDeg / 90.0;
        $isSquare = $this->plot->outline->count() === 4 && abs($quarters - round($quarters)) < Tolerance::ROUNDING;
        foreach ($this->clearances as $clearance) {
            if ($clearance->kind === 'height') {
                $left['high'] = $clearance->left_mm;
            } elseif ($clearance->kind === 'side' && $isSquare) {
                // Front and back of the plot bound its depth.
                $isDeep = ((int) array_search($clearance->with, $this->plot->edges, true) + (int) round($quarters)) % 2 === 0;
                $left[$isDeep ? 'deep' : 'across'] = ($left[$isDeep ? 'deep' : 'across'] ?? 0.0) + $clearance->left_mm;
            }
        }

        return array_map(
            static fn (float $mm): float => -$mm,
            array_filter($left, static fn (?float $mm): bool => $mm !== null && $mm < -Tolerance::TOLD),
        );
    }

    /** Whether there is room for it, only not where it stands: nothing but sides are passed, and it is no larger than they are apart. */
    public function fitsMoved(): bool
    {
        $short = array_filter($this->clearances, static fn (Clearance $c): bool => ! $c->isFree());

        return $short !== []
            && $this->tooLarge() === []
            && array_filter($short, static fn (Clearance $c): bool => $c->kind !== 'side') === [];
    }

    /**
     * By how much to the right and to the back it would be moved to fit, in the middle of what it is too near to; null where that does not
     * help.
     *
     * @return ?array{float, float}
     */
    public function move(): ?array
    {
        if (! $this->fitsMoved()) {
            return null;
        }
        $left = [];
        foreach ($this->clearances as $clearance) {
            if ($clearance->kind === 'side') {
                $left[(int) array_search($clearance->with, $this->plot->edges, true)] = $clearance->left_mm;
            }
        }
        // Front, right, back, left.
        $by = static fn (int $low, int $high): float =>
            min($left[$low], $left[$high]) < -Tolerance::TOLD ? ($left[$high] - $left[$low]) / 2.0 : 0.0;

        return [round($by(3, 1), 2), round($by(0, 2), 2)];
    }

    /** @return list<Check> */
    public function checks(): array
    {
        $checks = array_values(array_filter(array_map(static fn (Clearance $c): ?Check => $c->check(), $this->clearances)));
        foreach ($this->clearances as $c) {
            if ($c->kind === 'side' && $c->isFree() && $c->left_mm < self::TIGHT_MM) {
                $checks[] = new Check(
                    'plot.tight',
                    Check::NOTE,
                    $c->with,
                    sprintf(
                        'Only %.2f mm are left at the %s side: glue and warp take up as much. Leave half a millimetre.',
                        max(0.0, $c->left_mm),
                        $c->with,
                    ),
                    $c->left_mm,
                );
            }
        }
        if ($this->plot->backscene !== [] && $this->plot->gap < self::LEAST_GAP_MM) {
            $checks[] = new Check(
                'plot.gap-narrow',
                Check::NOTE,
                'gap',
                sprintf(
                    'A gap of %.2f mm before the backscene rubs; 3 mm clears glue and warp and lets the building be lifted.',
                    $this->plot->gap,
                ),
                $this->plot->gap,
            );
        }
        if ($this->plot->backscene !== [] && $this->plot->gap > self::WIDE_GAP_MM) {
            $checks[] = new Check(
                'plot.gap-wide',
                Check::NOTE,
                'gap',
                sprintf('A gap of %.2f mm before the backscene shows, and so does the shadow in it; 3 mm is usual.', $this->plot->gap),
                $this->plot->gap,
            );
        }
        if ($this->plot->tracks !== []) {
            $checks[] = new Check(
                'plot.try',
                Check::NOTE,
                $this->plot->tracks[0]->id,
                'Before anything is fixed or drilled, run your own longest and widest vehicles past the place, on every track and both ways.',
            );
        }
        array_push($checks, ...$this->liftingChecks(), ...$this->asked);
        if ($this->eyeIsInside()) {
            $checks[] = new Check(
                'plot.eye-inside',
                Check::STOP,
                'eye',
                sprintf(
                    'The eye, %.0f mm before the plot’s front and %.0f mm up, is inside the building; move it further off.',
                    $this->plot->eye->distance ?? 0.0,
                    $this->plot->eye->height ?? 0.0,
                ),
            );
        }

        return $checks;
    }

    /** @return list<Check> */
    private function liftingChecks(): array
    {
        $checks = [];
        if ($this->before !== []) {
            $checks[] = new Check(
                'plot.order',
                Check::NOTE,
                'lift',
                'Before the building comes off, take off: '.implode(', then ', array_column($this->before, 'name')).'.',
            );
        }
        if ($this->splitting->joints !== []) {
            $checks[] = new Check(
                'plot.long',
                Check::NOTE,
                'lift',
                implode(' ', array_slice($this->splitting->texts(), 0, 1)),
                $this->splitting->length,
            );
        }

        return $checks;
    }

    /** Says whether the eye is inside the building anywhere on its way to and fro. */
    private function eyeIsInside(): bool
    {
        $eye = $this->plot->eye;
        if ($eye === null) {
            return false;
        }
        $place = $this->plot->outline->bounds();
        $box = $this->finished->extents();
        [$x, $y] = [$place->centre()->x, $place->y0 - $eye->distance];

        return $y > $box['y0']
            && $y < $box['y1']
            && $x + $eye->travel > $box['x0']
            && $x - $eye->travel < $box['x1']
            && $eye->height < $box['high']
            && $eye->height > 0.0;
    }

    /** @return list<string> what comes off the layout after what, the building last */
    private function off(): array
    {
        $way = static fn (string $name): string => $name === 'up' ? 'up' : "out to the $name";
        $steps = array_map(static fn (array $s): string => ucfirst($s['name']).', '.$way($s['way']).'.', $this->before);

        return [...$steps, 'The building, '.$way($this->plot->lift->way).'.'];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'fits' => $this->fits(),
            'extents' => array_map(static fn (float $mm): float => round($mm, 4), $this->finished->extents()),
            'clearances' => array_map(static fn (Clearance $c): array => $c->toArray(), $this->clearances),
            'move' => $this->move(),
            'off' => $this->off(), 'split' => $this->splitting->toArray(),
        ];
    }
}
