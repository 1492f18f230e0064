<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\Values;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Scale;

/** Reads what runs on rails: vehicles, tracks, and trains that have to stand somewhere. */
final readonly class RailReader
{
    private const BESIDE_MM = 1.0;

    private const ABOVE_MM = 3.0;

    /** The usual distance from one vehicle to the next, couplings neither pressed nor pulled. */
    private const GAP_MM = 4.0;

    private const MARGIN_MM = 20.0;

    private const MOST_PIECES = 50;

    private const MOST_VEHICLES = 100;

    public function __construct(
        private Values $values,
        private Scale $scale,
    ) {
    }

    /** @return array<string, Vehicle> */
    public function vehicles(?Node $list): array
    {
        $made = [];
        foreach (NamedList::of($list, ['length', 'width', 'centres'], ['height', 'bogie'], $this->values) as [$id, $name, $node]) {
            $length = $this->values->model($node->get('length'))?->mm;
            $width = $this->values->model($node->get('width'))?->mm;
            $centres = $this->values->model($node->get('centres'))?->mm;
            $height = $this->values->model($node->get('height'))->mm ?? Vehicle::typical($this->scale)->height;
            $bogie = $this->values->model($node->get('bogie'), Sign::ZeroOrMore)->mm ?? 0.0;
            if ($length === null || $width === null || $centres === null) {
                continue;
            }
            if ($centres >= $length) {
                $node->get('centres')?->fault('vehicle.centres', ['given' => $centres, 'length' => $length]);
            }
            $made[$id] = new Vehicle($id, $name, $length, $width, $height, $centres, $bogie);
        }

        return $made;
    }

    /**
     * @param  array<string, Vehicle>  $vehicles
     * @return list<Track>
     */
    public function tracks(?Node $list, array $vehicles, ShapeReader $shape): array
    {
        $made = [];
        foreach (NamedList::of(
            $list,
            ['from', 'course'],
            ['heading', 'rail', 'beside', 'above', 'vehicles'],
            $this->values,
        ) as [$id, $name, $node]) {
            $from = $shape->pair($node->get('from'));
            $running = $node->get('vehicles') === null ? array_values($vehicles) : $this->chosen($node->get('vehicles'), $vehicles);
            $running = $running === [] ? [Vehicle::typical($this->scale)] : $running;
            $pieces = $this->course($node->get('course'), $running);
            $heading = $node->get('heading')?->number() ?? 0.0;
            $rail = $this->values->model($node->get('rail'), Sign::Any)->mm ?? 0.0;
            $beside = $this->values->model($node->get('beside'), Sign::ZeroOrMore)->mm ?? self::BESIDE_MM;
            $above = $this->values->model($node->get('above'), Sign::ZeroOrMore)->mm ?? self::ABOVE_MM;
            if ($from instanceof Vec2 && $pieces !== []) {
                $made[] = new Track($id, $name, $from, $heading, $pieces, $rail, $beside, $above, $running, $node->path);
            }
        }

        return $made;
    }

    /**
     * @param  array<string, Vehicle>  $vehicles
     * @return list<Run>
     */
    public function runs(?Node $list, array $vehicles): array
    {
        $made = [];
        foreach (NamedList::of($list, ['kind', 'train'], ['gap', 'margin', 'has'], $this->values) as [$id, $name, $node]) {
            $kind = $node->get('kind')?->choice(Run::KINDS);
            $train = [];
            foreach ($node->get('train')?->items(self::MOST_PIECES, 1) ?? [] as $entry) {
                if ($entry->isObject(['vehicle'], ['count'])) {
                    $vehicle = $this->vehicle($entry->get('vehicle'), $vehicles);
                    $count = $entry->get('count') === null ? 1 : $entry->get('count')->whole(1, self::MOST_VEHICLES);
                    if ($vehicle !== null && $count !== null) {
                        $train[] = ['vehicle' => $vehicle, 'count' => $count];
                    }
                }
            }
            $gap = $this->values->model($node->get('gap'), Sign::ZeroOrMore)->mm ?? self::GAP_MM;
            $margin = $this->values->model($node->get('margin'), Sign::ZeroOrMore)->mm ?? self::MARGIN_MM;
            $has = $this->values->model($node->get('has'))?->mm;
            if ($kind !== null && $train !== []) {
                $made[] = new Run($id, $name, $kind, $train, $gap, $margin, $has, $node->path);
            }
        }

        return $made;
    }

    /**
     * @param  array<string, Vehicle>  $vehicles
     * @return list<Vehicle>
     */
    private function chosen(Node $node, array $vehicles): array
    {
        return array_values(
            array_filter(array_map(fn (Node $n): ?Vehicle => $this->vehicle($n, $vehicles), $node->items(PlotReader::MOST))),
        );
    }

    /** @param  array<string, Vehicle>  $vehicles */
    private function vehicle(?Node $node, array $vehicles): ?Vehicle
    {
        $id = $node?->text(32);
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
    private function course(?Node $list, array $running): array
    {
        $pieces = [];
        foreach ($list?->items(self::MOST_PIECES, 1) ?? [] as $node) {
            if (! $node->isObject([], ['straight', 'left', 'right', 'degrees'])) {
                continue;
            }
            $given = array_values(array_filter(['straight', 'left', 'right'], static fn (string $key): bool => $node->get($key) !== null));
            if (count($given) !== 1) {
                $node->fault('track.piece');

                continue;
            }
            $length = $this->values->model($node->get($given[0]))?->mm;
            if ($length !== null) {
                $piece = $given[0] === 'straight'
                    ? new TrackPiece($length)
                    : $this->curve($node, $length, $given[0] === 'left' ? 1 : -1, $running);
                array_push($pieces, ...($piece === null ? [] : [$piece]));
            }
        }

        return $pieces;
    }

    /** @param  non-empty-list<Vehicle>  $running */
    private function curve(Node $node, float $radius, int $turns, array $running): ?TrackPiece
    {
        $degrees = $node->get('degrees')?->number();
        if ($node->get('degrees') === null) {
            $node->missing('degrees');
        }
        if ($degrees === null) {
            return null;
        }
        if ($degrees <= 0.0 || $degrees > 180.0) {
            $node->get('degrees')?->fault('number-out-of-range', ['given' => $degrees, 'wanted' => 'above 0 and up to 180 degrees']);

            return null;
        }
        foreach ($running as $vehicle) {
            if ($radius < $vehicle->centres) {
                $node->fault('track.radius', ['given' => $radius, 'vehicle' => $vehicle->name, 'centres' => round($vehicle->centres, 1)]);

                return null;
            }
        }

        return new TrackPiece($radius * deg2rad($degrees), $radius, $turns);
    }
}
