<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Field\Fields;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\ModelLength;

/** Places, ways and outlines on the layout, made of the lengths that were read. Model millimetres. */
final readonly class PlotShapes
{
    private const SHORTEST_MM = 0.01;

    /** @return array{string, string} the id of an entry, and what a person calls it */
    public static function names(Fields $said): array
    {
        $id = $said->text('id') ?? '';

        return [$id, $said->text('name') ?? $id];
    }

    public static function pair(Fields $said, string $key): ?Vec2
    {
        $pair = $said->models($key);

        return isset($pair[0], $pair[1]) ? new Vec2($pair[0]->mm, $pair[1]->mm) : null;
    }

    /**
     * A line of at least so many places; null where one of them is not sound.
     *
     * @return ?non-empty-list<Vec2>
     */
    public static function line(Fields $said, string $key, int $least): ?array
    {
        $points = [];
        foreach ($said->pairs($key) as [$x, $y]) {
            array_push($points, ...$x instanceof ModelLength && $y instanceof ModelLength ? [new Vec2($x->mm, $y->mm)] : []);
        }
        $all = $said->at($key)?->value;

        return $points !== [] && is_array($all) && count($points) === count($all) && count($points) >= $least ? $points : null;
    }

    /** An outline that does not cross itself, counter-clockwise; null, with a fault, where it is not. */
    public static function outline(Fields $said, string $key): ?Ring
    {
        $node = $said->at($key);
        $points = self::line($said, $key, 3);
        if ($node === null || $points === null) {
            return null;
        }
        $ring = new Ring($points);
        for ($i = 0; $i < $ring->count(); $i++) {
            if ($ring->edgeLength($i) < self::SHORTEST_MM) {
                $node->fault('footprint.repeated', ['one' => $i, 'other' => ($i + 1) % $ring->count()]);

                return null;
            }
        }
        $met = $ring->crossing();
        if ($met !== null) {
            $node->fault('footprint.crossing', ['one' => "edge $met[0]", 'other' => "edge $met[1]"]);

            return null;
        }
        if ($ring->signedArea() < 0.0) {
            $node->fault('footprint.clockwise');

            return null;
        }

        return $ring;
    }
}
