<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Field\Fields;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\Values;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\ModelLength;
use stdClass;

/** Reads `plot`: the place on the layout, with all that stands on it, runs through it and is looked at from. */
final readonly class PlotReader
{
    public static function read(?Node $node, Values $values): ?Plot
    {
        $said = $node === null ? null : PlotFields::set()->read($node, $values);
        if ($said === null) {
            return null;
        }
        [$outline, $edges] = self::outline($said);
        $rails = new RailReader($values->scale);
        $vehicles = $rails->vehicles($said);
        $made = [
            PlotShapes::pair($said, 'at') ?? new Vec2(0.0, 0.0), $said->number('turn') ?? 0.0,
            $said->model('height')?->mm, $said->model('gap')->mm ?? 0.0,
            self::backscene($said, $edges), self::clear($said, $edges),
            self::allowance($said, $values), self::eye($said->group('eye')), $vehicles,
            SurroundingsReader::neighbours($said), SurroundingsReader::roads($said), $rails->tracks($said, $vehicles),
            SurroundingsReader::obstacles($said), self::lift($said, $values),
            $rails->runs($said, $vehicles), $said->number('light') ?? Plot::LIGHT_DEG,
        ];

        return $outline === null ? null : new Plot($outline, $edges, ...$made);
    }

    /** @return array{?Ring, list<string>} */
    private static function outline(Fields $plot): array
    {
        $names = ['front', 'right', 'back', 'left'];
        $corners = $plot->at('outline');
        if ($corners === null) {
            $size = PlotShapes::pair($plot, 'size');
            if ($plot->at('size') === null) {
                $plot->node->missing('size');
            }

            return [$size === null ? null : Ring::rectangle(0.0, 0.0, $size->x, $size->y), $names];
        }
        if ($plot->at('size') !== null) {
            $corners->fault('plot.both');
        }
        $n = is_array($corners->value) ? count($corners->value) : 0;
        $names = array_map(static fn (int $i): string => "edge-$i", range(0, max(0, $n - 1)));
        $given = $plot->at('edges');
        $known = $plot->texts('edges');
        if ($given !== null && is_array($given->value) && count($given->value) !== $n) {
            $given->fault('footprint.names', ['given' => count($given->value), 'wanted' => $n]);
        }
        foreach ($known as $i => $name) {
            if (in_array($name, array_slice($known, 0, $i), true)) {
                $given?->item($i)?->fault('id-twice', ['given' => $name]);
            }
            $names[$i] = $name;
        }

        return [PlotShapes::outline($plot, 'outline'), array_values($names)];
    }

    /** @param  list<string>  $edges */
    private static function edge(string $name, ?Node $node, array $edges): ?int
    {
        $edge = array_search($name, $edges, true);
        if ($edge === false) {
            $node?->fault('unknown-edge', ['given' => mb_substr($name, 0, 40), 'known' => implode(', ', $edges)]);
        }

        return $edge === false ? null : $edge;
    }

    /**
     * @param  list<string>  $edges
     * @return array<int, float>
     */
    private static function clear(Fields $plot, array $edges): array
    {
        $clear = [];
        $said = $plot->values['clear'] ?? null;
        foreach (is_array($said) ? $said : [] as $name => $length) {
            $edge = self::edge((string) $name, $plot->at('clear')?->get((string) $name), $edges);
            if ($edge !== null && $length instanceof ModelLength) {
                $clear[$edge] = $length->mm;
            }
        }

        return $clear;
    }

    /**
     * @param  list<string>  $edges
     * @return list<int>
     */
    private static function backscene(Fields $plot, array $edges): array
    {
        $said = $plot->at('backscene');
        if ($said === null) {
            $back = array_search('back', $edges, true);

            return $back === false ? [] : [$back];
        }
        $found = [];
        foreach ($plot->texts('backscene') as $i => $name) {
            $edge = self::edge($name, $said->item($i), $edges);
            array_push($found, ...$edge === null ? [] : [$edge]);
        }

        return $found;
    }

    private static function allowance(Fields $plot, Values $values): Allowance
    {
        $said = $plot->group('allow') ?? self::usual(PlotFields::allowance(), $values);

        return new Allowance($said?->model('roofs')->mm ?? 0.0, $said?->model('walls')->mm ?? 0.0);
    }

    private static function lift(Fields $plot, Values $values): Lift
    {
        $said = $plot->group('lift') ?? self::usual(PlotFields::lift(), $values);

        return new Lift(
            $said?->oneOf('way', Lift::WAYS) ?? 'up',
            $said?->model('play')->mm ?? 0.0,
            $said?->model('handy')->mm ?? Lift::HANDY_MM,
            $said?->model('joint')->mm ?? Lift::JOINT_MM,
        );
    }

    private static function usual(FieldSet $set, Values $values): ?Fields
    {
        return $set->read(Node::usual(new stdClass), $values->quiet());
    }

    private static function eye(?Fields $eye): ?Eye
    {
        $distance = $eye?->model('distance')?->mm;
        $height = $eye?->model('height')?->mm;
        $to = $eye?->model('to')?->mm;
        if ($to !== null && $height !== null && $to < $height) {
            $eye?->at('to')?->fault('plot.upside-down', ['from' => $height, 'to' => $to]);
        }

        return $eye === null || $distance === null || $height === null
            ? null
            : new Eye($distance, $height, $eye->model('travel')->mm ?? 0.0, $to ?? $height);
    }
}
