<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\Values;
use Chartula\Core\Measure\Tolerance;

/** Reads `footprint`, and says of each outline that cannot be one what is wrong and where. */
final readonly class FootprintReader
{
    public const MOST_CORNERS = 200;

    /** A corner sharper than this, degrees, cannot be built in card. */
    private const SHARPEST_DEG = 15.0;

    public function __construct(private Values $values)
    {
    }

    public function read(?Node $node): ?Footprint
    {
        if ($node === null || ! $node->isObject([], ['rect', 'polygon', 'edges'])) {
            return null;
        }
        $rect = $node->get('rect');
        $polygon = $node->get('polygon');
        if ($rect !== null && $polygon !== null) {
            $polygon->fault('footprint.both');

            return null;
        }
        if ($polygon !== null) {
            return $this->polygon($polygon, $node->get('edges'));
        }
        if ($rect === null) {
            $node->missing('rect');

            return null;
        }
        if ($node->get('edges') !== null && ! $node->get('edges')->isEmpty()) {
            $node->get('edges')->fault('footprint.rect-edges');
        }
        $sides = array_map(fn (Node $n) => $this->values->real($n), $rect->items(2, 2));

        return isset($sides[0], $sides[1]) ? Footprint::rect($sides[0], $sides[1]) : null;
    }

    private function polygon(Node $node, ?Node $names): ?Footprint
    {
        $corners = [];
        $isWhole = true;
        foreach ($node->items(self::MOST_CORNERS, 3) as $item) {
            $pair = array_map(fn (Node $n) => $this->values->real($n, Sign::Any), $item->items(2, 2));
            if (isset($pair[0], $pair[1])) {
                $corners[] = [$pair[0], $pair[1]];
            } else {
                $isWhole = false;
            }
        }
        $edges = $this->names($names, count($corners));
        if (! $isWhole || count($corners) < 3 || $edges === null) {
            return null;
        }
        $footprint = Footprint::polygon($corners, $edges);

        return $this->isSound($node, $footprint) ? $footprint : null;
    }

    /**
     * What its edges would be called, were it sound: so that what stands on them is read all the same.
     *
     * @return list<string>
     */
    public static function namesOf(?Node $node): array
    {
        $polygon = $node?->get('polygon')?->value;
        if (! is_array($polygon)) {
            return Footprint::RECT;
        }
        $names = is_array($node?->get('edges')?->value) ? array_values($node->get('edges')->value) : [];

        return array_map(
            static fn (int $i): string => is_string($names[$i] ?? null) ? $names[$i] : "edge-$i",
            array_keys(array_values($polygon)),
        );
    }

    /** @return ?non-empty-list<string> */
    private function names(?Node $node, int $count): ?array
    {
        $names = array_map(static fn (int $i): string => "edge-$i", range(0, max(0, $count - 1)));
        $given = $node?->items(self::MOST_CORNERS) ?? [];
        if ($given !== [] && count($given) !== $count) {
            $node?->fault('footprint.names', ['given' => count($given), 'wanted' => $count]);

            return null;
        }
        foreach ($given as $i => $name) {
            $text = $this->values->id($name);
            if ($text === null) {
                return null;
            }
            if (in_array($text, array_slice($names, 0, $i), true)) {
                $name->fault('id-twice', ['given' => $text]);
            }
            $names[$i] = $text;
        }

        return array_values($names);
    }

    private function isSound(Node $node, Footprint $footprint): bool
    {
        $ring = $footprint->ring();
        $n = $ring->count();
        for ($i = 0; $i < $n; $i++) {
            if ($ring->edgeLength($i) < Tolerance::REAL_PLACE) {
                $node->fault('footprint.repeated', ['one' => $i, 'other' => ($i + 1) % $n]);

                return false;
            }
        }
        $met = $ring->crossing();
        if ($met !== null) {
            $node->fault('footprint.crossing', ['one' => $footprint->edges[$met[0]], 'other' => $footprint->edges[$met[1]]]);

            return false;
        }
        if ($ring->signedArea() < 0.0) {
            $node->fault('footprint.clockwise');

            return false;
        }
        for ($i = 0; $i < $n; $i++) {
            $angle = $footprint->angle($i);
            if ($angle < self::SHARPEST_DEG || $angle > 360.0 - self::SHARPEST_DEG) {
                $node->fault('footprint.sharp', ['corner' => $i, 'given' => round($angle, 1)]);

                return false;
            }
        }

        return true;
    }
}
