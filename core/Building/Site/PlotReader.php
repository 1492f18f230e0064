<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\Values;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Scale;

/** Reads `plot`: the place on the layout, with all that stands on it, runs through it and is looked at from. */
final readonly class PlotReader
{
    public const MOST = 100;

    private const MOST_CORNERS = 50;

    /** The usual gap clears glue and warp, lets the model be lifted, and throws a thin shadow. */
    private const GAP_MM = 3.0;

    private const MOST_LIGHT_DEG = 85.0;

    private const LIFT_PLAY_MM = 0.5;

    private const KEYS = [
        'size', 'outline', 'edges', 'at', 'turn', 'height', 'gap', 'backscene', 'clear', 'allow', 'eye', 'vehicles',
        'neighbours', 'roads', 'tracks', 'obstacles', 'lift', 'runs', 'light',
    ];

    public static function read(?Node $plot, Values $values, Scale $scale): ?Plot
    {
        if ($plot === null || ! $plot->isObject([], self::KEYS)) {
            return null;
        }
        $shape = new ShapeReader($values);
        [$outline, $edges] = self::outline($plot, $shape, $values);
        $runs = new RailReader($values, $scale);
        $vehicles = $runs->vehicles($plot->get('vehicles'));
        $surroundings = new SurroundingsReader($values, $shape, $scale);
        $clear = [];
        foreach ($plot->get('clear')?->entries(self::MOST_CORNERS) ?? [] as [$name, $node]) {
            $edge = self::edge($name, $node, $edges);
            $mm = $values->model($node, Sign::ZeroOrMore)?->mm;
            if ($edge !== null && $mm !== null) {
                $clear[$edge] = $mm;
            }
        }
        $made = [
            $shape->pair($plot->get('at')) ?? new Vec2(0.0, 0.0), $plot->get('turn')?->number() ?? 0.0,
            $values->model($plot->get('height'))?->mm,
            $values->model($plot->get('gap'), Sign::ZeroOrMore)->mm ?? self::GAP_MM,
            self::backscene($plot->get('backscene'), $edges), $clear,
            self::allowance($plot->get('allow'), $values), self::eye($plot->get('eye'), $values),
            $vehicles, $surroundings->neighbours($plot->get('neighbours')), $surroundings->roads($plot->get('roads')),
            $runs->tracks($plot->get('tracks'), $vehicles, $shape),
            $surroundings->obstacles($plot->get('obstacles')), self::lift($plot->get('lift'), $values),
            $runs->runs($plot->get('runs'), $vehicles), self::light($plot->get('light')),
        ];

        return $outline === null ? null : new Plot($outline, $edges, ...$made);
    }

    /** @return array{?Ring, list<string>} */
    private static function outline(Node $plot, ShapeReader $shape, Values $values): array
    {
        $names = ['front', 'right', 'back', 'left'];
        $corners = $plot->get('outline');
        if ($corners === null) {
            $size = $shape->size($plot->get('size'));
            if ($plot->get('size') === null) {
                $plot->missing('size');
            }

            return [$size === null ? null : Ring::rectangle(0.0, 0.0, $size->x, $size->y), $names];
        }
        if ($plot->get('size') !== null) {
            $corners->fault('plot.both');
        }
        $ring = $shape->outline($corners, self::MOST_CORNERS);
        $n = is_array($corners->value) ? count($corners->value) : 0;
        $names = array_map(static fn (int $i): string => "edge-$i", range(0, max(0, $n - 1)));
        $given = $plot->get('edges')?->items(self::MOST_CORNERS) ?? [];
        if ($given !== [] && count($given) !== $n) {
            $plot->get('edges')?->fault('footprint.names', ['given' => count($given), 'wanted' => $n]);
        }
        foreach ($given as $i => $node) {
            $text = $values->id($node);
            if ($text !== null && in_array($text, array_slice($names, 0, $i), true)) {
                $node->fault('id-twice', ['given' => $text]);
            }
            $names[$i] = $text ?? "edge-$i";
        }

        return [$ring, array_values($names)];
    }

    /** @param  list<string>  $edges */
    private static function edge(string $name, Node $node, array $edges): ?int
    {
        $edge = array_search($name, $edges, true);
        if ($edge === false) {
            $node->fault('unknown-edge', ['given' => mb_substr($name, 0, 40), 'known' => implode(', ', $edges)]);

            return null;
        }

        return $edge;
    }

    /**
     * @param  list<string>  $edges
     * @return list<int>
     */
    private static function backscene(?Node $node, array $edges): array
    {
        if ($node === null) {
            $back = array_search('back', $edges, true);

            return $back === false ? [] : [$back];
        }
        $found = [];
        foreach ($node->items(self::MOST_CORNERS) as $item) {
            $name = $item->text(32);
            $edge = $name === null ? null : self::edge($name, $item, $edges);
            if ($edge !== null) {
                $found[] = $edge;
            }
        }

        return $found;
    }

    private static function allowance(?Node $node, Values $values): Allowance
    {
        $node = $node?->isObject([], ['roofs', 'walls']) === true ? $node : null;

        return new Allowance(
            $values->model($node?->get('roofs'), Sign::ZeroOrMore)->mm ?? 0.0,
            $values->model($node?->get('walls'), Sign::ZeroOrMore)->mm ?? 0.0,
        );
    }

    private static function lift(?Node $node, Values $values): Lift
    {
        $node = $node?->isObject([], ['way', 'play', 'handy', 'joint']) === true ? $node : null;

        return new Lift(
            $node?->get('way')?->choice(Lift::WAYS) ?? 'up',
            $values->model($node?->get('play'), Sign::ZeroOrMore)->mm ?? self::LIFT_PLAY_MM,
            $values->model($node?->get('handy'))->mm ?? Lift::HANDY_MM,
            $values->model($node?->get('joint'), Sign::ZeroOrMore)->mm ?? Lift::JOINT_MM,
        );
    }

    private static function light(?Node $node): float
    {
        $degrees = $node?->number() ?? Plot::LIGHT_DEG;
        if ($degrees < 0.0 || $degrees > self::MOST_LIGHT_DEG) {
            $node?->fault('number-out-of-range', ['given' => $degrees, 'wanted' => 'from 0 to '.self::MOST_LIGHT_DEG.' degrees']);
        }

        return $degrees;
    }

    private static function eye(?Node $eye, Values $values): ?Eye
    {
        if ($eye === null || ! $eye->isObject(['distance', 'height'], ['to', 'travel'])) {
            return null;
        }
        $distance = $values->model($eye->get('distance'))?->mm;
        $height = $values->model($eye->get('height'), Sign::Any)?->mm;
        $travel = $values->model($eye->get('travel'), Sign::ZeroOrMore)->mm ?? 0.0;
        $to = $values->model($eye->get('to'), Sign::Any)?->mm;
        if ($to !== null && $height !== null && $to < $height) {
            $eye->get('to')?->fault('plot.upside-down', ['from' => $height, 'to' => $to]);
        }

        return $distance === null || $height === null ? null : new Eye($distance, $height, $travel, $to ?? $height);
    }
}
