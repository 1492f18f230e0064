<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Building\Site\Track;
use Chartula\Core\Building\Site\TrackPiece;
use Chartula\Core\Building\Site\Vehicle;
use Chartula\Core\Measure\Tolerance;

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
            $lanes = Lanes::of($track);
            array_push($clearances, ...array_filter([$this->beside($track, $lanes), $this->above($track, $lanes)]));
        }

        return $clearances;
    }

    /** @param  list<Lane>  $lanes */
    private function beside(Track $track, array $lanes): ?Clearance
    {
        $top = $track->rail + self::height($track);
        $nearest = null;
        foreach ($this->finished->pieces as $piece) {
            $left = $piece->whole->isLevelWith($track->rail, $top) ? self::least($lanes, [$piece->whole]) : null;
            if ($left !== null && $left < 0.0) {
                $left = self::least(
                    $lanes,
                    array_values(array_filter($piece->bodies(), static fn (Body $b): bool => $b->isLevelWith($track->rail, $top))),
                );
            }
            if ($left !== null && ($nearest === null || $left < $nearest[1])) {
                $nearest = [$piece, $left];
            }
        }
        if ($nearest === null) {
            return null;
        }
        [$piece, $left] = $nearest;

        return new Clearance('track', 'plot.track', $track->name, $piece->id, $left, null, $left >= -Tolerance::TOLD
            ? sprintf('%.2f mm left beside %s for %s.', max(0.0, $left), $track->name, self::names($track))
            : sprintf(
                '%s stands %.2f mm too near %s: %s would strike it. Move the building away, or ease the curve.',
                $piece->name,
                -$left,
                $track->name,
                self::names($track),
            ),
            $track->path, self::sums($track));
    }

    /** @param  list<Lane>  $lanes */
    private function above(Track $track, array $lanes): ?Clearance
    {
        $top = $track->rail + self::height($track);
        $lowest = null;
        foreach ($this->finished->pieces as $piece) {
            foreach ($piece->whole->high > $top && (self::least($lanes, [$piece->whole]) ?? 1.0) < 0.0 ? $piece->bodies() : [] as $body) {
                if ($body->low >= $top && (self::least($lanes, [$body]) ?? 1.0) < 0.0 && ($lowest === null || $body->low < $lowest[1])) {
                    $lowest = [$piece, $body->low];
                }
            }
        }
        if ($lowest === null) {
            return null;
        }
        [$piece, $low] = $lowest;
        $left = $low - $top - $track->above;
        $sums = [
            sprintf(
                '%.2f mm up to %s, less %.2f mm of rail, %.2f mm of the highest vehicle and %.2f mm clear',
                $low,
                $piece->name,
                $track->rail,
                self::height($track),
                $track->above,
            ),
        ];

        return new Clearance('track', 'plot.track-above', $track->name, $piece->id, $left, null, $left >= -Tolerance::TOLD
            ? sprintf('%.2f mm left above vehicles on %s.', max(0.0, $left), $track->name)
            : sprintf('%s hangs %.2f mm too low over %s.', $piece->name, -$left, $track->name), $track->path, $sums);
    }

    /**
     * @param  list<Lane>  $lanes
     * @param  list<Body>  $bodies
     */
    private static function least(array $lanes, array $bodies): ?float
    {
        $least = null;
        foreach ($bodies as $body) {
            foreach ($lanes as $lane) {
                $left = $lane->left($body->shadow);
                $least = $left === null ? $least : min($least ?? INF, $left);
            }
        }

        return $least;
    }

    private static function height(Track $track): float
    {
        return max(array_map(static fn (Vehicle $v): float => $v->height, $track->vehicles));
    }

    private static function names(Track $track): string
    {
        return count($track->vehicles) === 1 ? $track->vehicles[0]->name : 'the widest of '.count($track->vehicles).' vehicles';
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
