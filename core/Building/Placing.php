<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\Values;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/**
 * Blocks put where they stand by relation to others: flush with, set back from, centred on, against. Each relation holds
 * the block along one line; two that cross say where it is. docs/formulas.md#placing
 */
final class Placing
{
    public const RELATIONS = ['flush', 'set-back', 'centre', 'against'];

    private const PARALLEL = 0.0002;

    /** @var array<string, Block> */
    private array $blocks = [];

    /** @var array<string, true> blocks whose place is being worked out */
    private array $open = [];

    /** @var array<string, true> */
    private array $placed = [];

    /**
     * @param  list<Block>  $blocks
     * @param  array<string, Node>  $places  `place` of each block that has one, by block
     */
    private function __construct(array $blocks, private readonly array $places, private readonly Values $values)
    {
        foreach ($blocks as $block) {
            $this->blocks[$block->id] ??= $block;
        }
    }

    /**
     * @param  list<Block>  $blocks
     * @param  array<string, Node>  $places
     * @return list<Block>
     */
    public static function resolve(array $blocks, array $places, Values $values): array
    {
        $placing = new self($blocks, $places, $values);
        foreach (array_keys($placing->blocks) as $id) {
            $placing->place((string) $id);
        }

        return array_values(array_map(static fn (Block $b): Block => $placing->blocks[$b->id], $blocks));
    }

    private function place(string $id): Block
    {
        $node = $this->places[$id] ?? null;
        if ($node === null || isset($this->placed[$id])) {
            return $this->blocks[$id];
        }
        $this->open[$id] = true;
        $held = [];
        foreach ($node->items(4, 1) as $item) {
            $relation = $this->relation($this->blocks[$id], $item);
            if ($relation !== null) {
                $held[] = $relation;
            }
        }
        $at = $this->meeting($node, $held);
        if ($at !== null) {
            $this->blocks[$id] = $this->blocks[$id]->with(at: $at);
        }
        unset($this->open[$id]);
        $this->placed[$id] = true;

        return $this->blocks[$id];
    }

    /** @return ?array{Vec2, float, Node} the block's `at` lies on the line n · at = c */
    private function relation(Block $block, Node $item): ?array
    {
        $item->isObject(['with'], [...self::RELATIONS, 'by']);
        $kinds = array_values(array_filter(self::RELATIONS, static fn (string $kind): bool => $item->get($kind) !== null));
        if (count($kinds) !== 1) {
            $item->fault('place.one-relation', ['known' => implode(', ', self::RELATIONS)]);

            return null;
        }
        $own = EdgeName::read($item->get($kinds[0]), $block->footprint->edges);
        $other = $this->other($block, $item->get('with'));
        $by = $this->values->real($item->get('by'), Sign::Any)->mm ?? 0.0;
        if ($own === null || $other === null) {
            return null;
        }
        // The block as it would stand with `at` in the building's origin.
        $ring = $block->with(at: new Vec2(0.0, 0.0))->standing();
        [$target, $edge] = $other;
        $a = $target->standing()->point($edge);
        $along = $target->standing()->point($edge + 1)->minus($a);
        $along = $along->times(1.0 / $along->length());
        $outward = new Vec2($along->y, -$along->x);
        $mine = $ring->point($own + 1)->minus($ring->point($own));
        $turn = $mine->times(1.0 / $mine->length())->cross($along);
        $same = $mine->dot($along) > 0.0;
        if ($kinds[0] !== 'centre' && (abs($turn) > self::PARALLEL || $same === ($kinds[0] === 'against'))) {
            $item->fault(
                $kinds[0] === 'against' ? 'place.not-facing' : 'place.not-parallel',
                ['one' => $block->footprint->edges[$own], 'other' => $target->id.'.'.$target->footprint->edges[$edge]],
            );

            return null;
        }
        if ($kinds[0] === 'centre') {
            $middle = $ring->point($own)->plus($ring->point($own + 1))->times(0.5);
            $wanted = $a->plus($target->standing()->point($edge + 1))->times(0.5);

            return [$along, $wanted->minus($middle)->dot($along) + $by, $item];
        }

        return [$outward, $a->minus($ring->point($own))->dot($outward) + ($kinds[0] === 'set-back' ? -$by : $by), $item];
    }

    /** @return ?array{Block, int} */
    private function other(Block $block, ?Node $node): ?array
    {
        $text = $node?->text(100);
        if ($node === null || $text === null) {
            return null;
        }
        [$id, $edge] = [...explode('.', $text, 2), ''];
        if ($id === $block->id || ! isset($this->blocks[$id])) {
            $node->fault(
                'place.no-block',
                ['given' => $text, 'known' => implode(', ', array_diff(array_keys($this->blocks), [$block->id]))],
            );

            return null;
        }
        if (isset($this->open[$id])) {
            $node->fault('place.circle', ['one' => $block->id, 'other' => $id]);

            return null;
        }
        $target = $this->place($id);
        $index = ctype_digit($edge) ? (int) $edge : array_search($edge, $target->footprint->edges, true);
        if (! is_int($index) || $index >= $target->footprint->count()) {
            $node->fault('unknown-edge', ['given' => $edge, 'known' => implode(', ', $target->footprint->edges)]);

            return null;
        }

        return [$target, $index];
    }

    /** @param  list<array{Vec2, float, Node}>  $held */
    private function meeting(Node $node, array $held): ?Vec2
    {
        if ($held === []) {
            return null;
        }
        [$n1, $c1] = $held[0];
        foreach (array_slice($held, 1) as [$n2, $c2]) {
            $cross = $n1->cross($n2);
            if (abs($cross) < 0.01) {
                continue;
            }
            $at = new Vec2(($c1 * $n2->y - $c2 * $n1->y) / $cross, ($c2 * $n1->x - $c1 * $n2->x) / $cross);
            foreach ($held as [$n, $c, $item]) {
                if (abs($n->dot($at) - $c) > Tolerance::REAL_PLACE) {
                    $item->fault('place.contradiction', ['off' => round(abs($n->dot($at) - $c), 1)]);
                }
            }

            return $at;
        }
        foreach (array_slice($held, 1) as [$n, $c, $item]) {
            $off = abs(($n1->dot($n) > 0.0 ? $c : -$c) - $c1);
            if ($off > Tolerance::REAL_PLACE) {
                $item->fault('place.contradiction', ['off' => round($off, 1)]);

                return null;
            }
        }
        $node->fault('place.loose', ['way' => abs($n1->x) > abs($n1->y) ? 'from front to back' : 'from left to right']);

        return null;
    }
}
