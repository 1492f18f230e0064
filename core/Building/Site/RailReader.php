<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Field\Fields;
use Chartula\Core\Field\Node;
use Chartula\Core\Measure\Scale;

/** Makes what runs on rails of what was read of it: vehicles, tracks, and trains that have to stand somewhere. */
final readonly class RailReader
{
    public function __construct(private Scale $scale)
    {
    }

    /** @return array<string, Vehicle> */
    public function vehicles(Fields $plot): array
    {
        $made = [];
        foreach ($plot->list('vehicles') as $said) {
            [$id, $name] = PlotShapes::names($said);
            $length = $said->model('length')?->mm;
            $width = $said->model('width')?->mm;
            $centres = $said->model('centres')?->mm;
            $height = $said->model('height')->mm ?? Vehicle::typical($this->scale)->height;
            if ($length === null || $width === null || $centres === null) {
                continue;
            }
            if ($centres >= $length) {
                $said->at('centres')?->fault('vehicle.centres', ['given' => $centres, 'length' => $length]);
            }
            $made[$id] = new Vehicle($id, $name, $length, $width, $height, $centres, $said->model('bogie')->mm ?? 0.0);
        }

        return $made;
    }

    /**
     * @param  array<string, Vehicle>  $vehicles
     * @return list<Track>
     */
    public function tracks(Fields $plot, array $vehicles): array
    {
        $made = [];
        foreach ($plot->list('tracks') as $said) {
            [$id, $name] = PlotShapes::names($said);
            $from = PlotShapes::pair($said, 'from');
            $named = $said->at('vehicles');
            $running = $named === null ? array_values($vehicles) : self::chosen($named, $said->texts('vehicles'), $vehicles);
            $running = $running === [] ? [Vehicle::typical($this->scale)] : $running;
            $pieces = self::course($said, $running);
            if ($from !== null && $pieces !== []) {
                $made[] = new Track(
                    $id,
                    $name,
                    $from,
                    $said->number('heading') ?? 0.0,
                    $pieces,
                    $said->model('rail')->mm ?? 0.0,
                    $said->model('beside')->mm ?? 0.0,
                    $said->model('above')->mm ?? 0.0,
                    $running,
                    $said->node->path,
                );
            }
        }

        return $made;
    }

    /**
     * @param  array<string, Vehicle>  $vehicles
     * @return list<Run>
     */
    public function runs(Fields $plot, array $vehicles): array
    {
        $made = [];
        foreach ($plot->list('runs') as $said) {
            [$id, $name] = PlotShapes::names($said);
            $kind = $said->oneOf('kind', Run::KINDS);
            $train = [];
            foreach ($said->list('train') as $some) {
                $vehicle = self::vehicle($some->at('vehicle'), $some->text('vehicle'), $vehicles);
                if ($vehicle !== null) {
                    $train[] = ['vehicle' => $vehicle, 'count' => $some->count('count') ?? 1];
                }
            }
            $gap = $said->model('gap')->mm ?? 0.0;
            $margin = $said->model('margin')->mm ?? 0.0;
            if ($kind !== null && $train !== []) {
                $made[] = new Run($id, $name, $kind, $train, $gap, $margin, $said->model('has')?->mm, $said->node->path);
            }
        }

        return $made;
    }

    /**
     * @param  array<int, string>  $ids  by their places
     * @param  array<string, Vehicle>  $vehicles
     * @return list<Vehicle>
     */
    private static function chosen(Node $node, array $ids, array $vehicles): array
    {
        $chosen = [];
        foreach ($ids as $i => $id) {
            $vehicle = self::vehicle($node->item($i), $id, $vehicles);
            array_push($chosen, ...$vehicle === null ? [] : [$vehicle]);
        }

        return $chosen;
    }

    /** @param  array<string, Vehicle>  $vehicles */
    private static function vehicle(?Node $node, ?string $id, array $vehicles): ?Vehicle
    {
        if ($node !== null && $id !== null && ! isset($vehicles[$id])) {
            $node->fault(
                'unknown-vehicle',
                [
                    'given' => $id,
                    'known' => $vehicles === [] ? 'none yet: describe it under vehicles' : implode(', ', array_keys($vehicles)),
                ],
            );
        }

        return $vehicles[$id ?? ''] ?? null;
    }

    /**
     * @param  non-empty-list<Vehicle>  $running
     * @return list<TrackPiece>
     */
    private static function course(Fields $track, array $running): array
    {
        $pieces = [];
        foreach ($track->list('course') as $said) {
            $given = array_values(array_filter(['straight', 'left', 'right'], static fn (string $key): bool => $said->at($key) !== null));
            if (count($given) !== 1) {
                $said->node->fault('track.piece');

                continue;
            }
            $length = $said->model($given[0])?->mm;
            if ($length !== null) {
                $piece = $given[0] === 'straight'
                    ? new TrackPiece($length)
                    : self::curve($said, $length, $given[0] === 'left' ? 1 : -1, $running);
                array_push($pieces, ...($piece === null ? [] : [$piece]));
            }
        }

        return $pieces;
    }

    /** @param  non-empty-list<Vehicle>  $running */
    private static function curve(Fields $said, float $radius, int $turns, array $running): ?TrackPiece
    {
        $degrees = $said->number('degrees');
        if ($said->at('degrees') === null) {
            $said->node->missing('degrees');
        }
        if ($degrees === null) {
            return null;
        }
        foreach ($running as $vehicle) {
            if ($radius < $vehicle->centres) {
                $facts = ['given' => $radius, 'vehicle' => $vehicle->name, 'centres' => round($vehicle->centres, 1)];
                $said->node->fault('track.radius', $facts);

                return null;
            }
        }

        return new TrackPiece($radius * deg2rad($degrees), $radius, $turns);
    }
}
