<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\Values;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** Reads places, sizes and outlines on the layout. Model millimetres. */
final readonly class ShapeReader
{
    public function __construct(private Values $values)
    {
    }

    /** A place, or a way from one to another. */
    public function pair(?Node $node): ?Vec2
    {
        $pair = array_map(fn (Node $n): ?float => $this->values->model($n, Sign::Any)?->mm, $node?->items(2, 2) ?? []);

        return isset($pair[0], $pair[1]) ? new Vec2($pair[0], $pair[1]) : null;
    }

    public function size(?Node $node): ?Vec2
    {
        $pair = array_map(fn (Node $n): ?float => $this->values->model($n)?->mm, $node?->items(2, 2) ?? []);

        return isset($pair[0], $pair[1]) ? new Vec2($pair[0], $pair[1]) : null;
    }

    /**
     * A line of at least so many places.
     *
     * @return ?non-empty-list<Vec2>
     */
    public function line(?Node $node, int $most, int $least): ?array
    {
        $points = array_map($this->pair(...), $node?->items($most, $least) ?? []);
        $known = array_values(array_filter($points));

        return $known === [] || count($known) !== count($points) || count($known) < $least ? null : $known;
    }

    /** An outline that does not cross itself, counter-clockwise. */
    public function outline(?Node $node, int $most): ?Ring
    {
        $points = $this->line($node, $most, 3);
        if ($node === null || $points === null) {
            return null;
        }
        $ring = new Ring($points);
        for ($i = 0; $i < $ring->count(); $i++) {
            if ($ring->edgeLength($i) < 0.01) {
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
