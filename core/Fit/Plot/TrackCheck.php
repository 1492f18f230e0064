<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Building\Site\Track;
use Chartula\Core\Building\Site\TrackPiece;
use Chartula\Core\Building\Site\Vehicle;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Recall\Recall;

/** Whether vehicles pass the finished building, beside it and under it, on straights and curves. docs/formulas.md#throw */
final readonly class TrackCheck
{
    public function __construct(
        private Plot $plot,
        private Finished $finished,
    ) {
    }

    /** @return list<Clearance> what is left beside each track, and above it where something stands over it */
    public function all(): array
    {
        $clearances = [];
        foreach ($this->plot->tracks as $track) {
            $driven = DrivenVehicle::all($track);
            array_push($clearances, ...array_filter([$this->beside($track, $driven), $this->above($track, $driven)]));
        }

        return $clearances;
    }

    /** @param  list<DrivenVehicle>  $driven */
    private function beside(Track $track, array $driven): ?Clearance
    {
        $nearest = null;
        foreach ($driven as $v => $one) {
            $top = $track->rail + $one->vehicle->height;
            $question = Recall::question('beside', $track, $v);
            foreach ($this->inOrder($one, $track->rail, $top, $question) as [$least, $piece]) {
                if ($nearest !== null && $least >= $nearest[1]) {
                    break;
                }
                $recalled = $this->finished->recalled(...);
                $whole = $recalled($piece, "whole$question", static fn (): float => $one->distanceTo($piece->whole->shadow));
                if ($whole < ($nearest[1] ?? INF)) {
                    $distance = $recalled($piece, $question, static fn (): float => self::apart($piece, $one, $track->rail));
                    $nearest = $distance < ($nearest[1] ?? INF) ? [$piece, $distance, $one->vehicle] : $nearest;
                }
            }
        }
        if ($nearest === null) {
            return null;
        }
        [$piece, $distance, $vehicle] = $nearest;
        $left = $distance - $track->beside;

        return new Clearance('track', 'plot.track', $track->name, $piece->id, $left, null, $left >= -Tolerance::TOLD
            ? sprintf('%.2f mm left beside %s for %s.', max(0.0, $left), $track->name, $vehicle->name)
            : sprintf(
                '%s stands %.2f mm too near %s: %s would strike it. Move the building away, or ease the curve.',
                $piece->name,
                -$left,
                $track->name,
                $vehicle->name,
            ),
            $track->path, self::sums($track));
    }

    private static function apart(FinishedPiece $piece, DrivenVehicle $driven, float $rail): float
    {
        $least = INF;
        foreach ($piece->shadows($rail, $rail + $driven->vehicle->height) as $shadow) {
            $least = $driven->distanceTo($shadow, $least);
        }

        return $least;
    }

    /**
     * Pieces at the height of a vehicle, with a distance than which none is nearer, the least first.
     *
     * @param  string  $question  of the vehicle
     * @return list<array{float, FinishedPiece}>
     */
    private function inOrder(DrivenVehicle $driven, float $low, float $high, string $question): array
    {
        $found = [];
        foreach ($this->finished->pieces as $i => $piece) {
            if ($piece->whole->isLevelWith($low, $high)) {
                $found[] = [$this->finished->recalled($piece, "gap$question", static fn (): float => $driven->gapTo($piece->box)), $i];
            }
        }
        sort($found);

        return array_map(fn (array $one): array => [$one[0], $this->finished->pieces[$one[1]]], $found);
    }

    /** @param  list<DrivenVehicle>  $driven */
    private function above(Track $track, array $driven): ?Clearance
    {
        $lowest = null;
        foreach ($driven as $one) {
            $top = $track->rail + $one->vehicle->height;
            foreach ($this->finished->pieces as $piece) {
                $isOver = $piece->whole->high > $top && $one->gapTo($piece->box) < 0.0 && $one->passes($piece->whole->shadow);
                $low = $isOver ? self::lowest($piece, $one, $top) : null;
                if ($low !== null && ($lowest === null || $low - $top < $lowest[1] - $lowest[2])) {
                    $lowest = [$piece, $low, $top, $one->vehicle];
                }
            }
        }
        if ($lowest === null) {
            return null;
        }
        [$piece, $low, $top, $vehicle] = $lowest;
        $left = $low - $top - $track->above;
        $sums = [
            sprintf(
                '%.2f mm up to %s, less %.2f mm of rail, %.2f mm of %s and %.2f mm clear',
                $low,
                $piece->name,
                $track->rail,
                $vehicle->height,
                $vehicle->name,
                $track->above,
            ),
        ];

        return new Clearance('track', 'plot.track-above', $track->name, $piece->id, $left, null, $left >= -Tolerance::TOLD
            ? sprintf('%.2f mm left above vehicles on %s.', max(0.0, $left), $track->name)
            : sprintf('%s hangs %.2f mm too low over %s.', $piece->name, -$left, $track->name), $track->path, $sums);
    }

    /** How low a piece comes over a vehicle's way, of what is above a height; null where nothing is. */
    private static function lowest(FinishedPiece $piece, DrivenVehicle $driven, float $top): ?float
    {
        $isOver = static fn (float $below): bool =>
            array_filter($piece->shadows($top, $below), static fn (Hull $h): bool => $driven->passes($h)) !== [];
        [$low, $high] = [$top, $piece->whole->high + Tolerance::MEET];
        if (! $isOver($high)) {
            return null;
        }
        while ($high - $low > Tolerance::EDGE) {
            $middle = ($low + $high) / 2.0;
            [$low, $high] = $isOver($middle) ? [$low, $middle] : [$middle, $high];
        }

        return $high;
    }

    /** @return list<string> the exact throws, and the short ones beside them */
    private static function sums(Track $track): array
    {
        $sums = [];
        $curves = array_filter($track->pieces, static fn (TrackPiece $p): bool => $p->turns !== 0);
        $radii = array_unique(array_map(static fn (TrackPiece $p): float => $p->radius, $curves));
        foreach ($track->vehicles as $v) {
            $sums[] = sprintf(
                '%s: half its width %.2f, and %.2f beside it: %.2f',
                $v->name,
                $v->width / 2.0,
                $track->beside,
                $v->width / 2.0 + $track->beside,
            );
            foreach ($radii as $radius) {
                $sums[] = sprintf('at a radius of %.0f its middle swings in by %.3f and its ends out by %.3f (by the short formula %.3f and %.3f)', $radius,
                    $v->centreThrow($radius), $v->endThrow($radius), $v->shortCentreThrow($radius), $v->shortEndThrow($radius));
            }
        }

        return $sums;
    }
}
