<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Node;
use stdClass;

/** What the roof does over one edge of a block, and how walls meet at one corner: entries that come and go with what they say. */
final readonly class EdgeEdit
{
    public const OPS = ['roof-edge', 'corner'];

    public function __construct(private Node $edit)
    {
    }

    public function apply(string $op, ?stdClass $block): void
    {
        if ($op === 'corner') {
            $this->corner($block);
        } else {
            $this->roofEdge($block);
        }
    }

    private function roofEdge(?stdClass $block): void
    {
        $this->edit->isObject(['op', 'block', 'edge'], ['kind', 'pitch', 'overhang', 'from']);
        $edge = $this->edit->get('edge')?->text(32);
        if ($block === null || $edge === null) {
            return;
        }
        if (! in_array($edge, Ruler::edges($block), true)) {
            $this->edit->get('edge')?->fault('unknown-edge', ['given' => $edge, 'known' => implode(', ', Ruler::edges($block))]);

            return;
        }
        $roof = ($block->roof ?? null) instanceof stdClass ? $block->roof : $block->roof = new stdClass;
        $this->put($roof, 'edges', 'edge', $edge, ['kind', 'pitch', 'overhang', 'from']);
    }

    private function corner(?stdClass $block): void
    {
        $this->edit->isObject(['op', 'block', 'vertex'], ['method', 'through', 'name']);
        $vertex = $block === null ? null : $this->edit->get('vertex')?->whole(0, count(Ruler::edges($block)) - 1);
        if ($block !== null && $vertex !== null) {
            $this->put($block, 'corners', 'vertex', $vertex, ['method', 'through', 'name']);
        }
    }

    /**
     * Says what is given of an entry; null takes it back, and an entry that says nothing goes.
     *
     * @param  list<string>  $keys
     */
    private function put(stdClass $owner, string $list, string $key, string|int $name, array $keys): void
    {
        $entries = is_array($owner->{$list} ?? null) ? array_values($owner->{$list}) : [];
        $entry = null;
        foreach ($entries as $one) {
            $entry = $one instanceof stdClass && ($one->{$key} ?? null) === $name ? $one : $entry;
        }
        if ($entry === null) {
            $entries[] = $entry = (object) [$key => $name];
        }
        foreach ($keys as $said) {
            $node = $this->edit->get($said);
            if ($node !== null && $node->value === null) {
                unset($entry->{$said});
            } elseif ($node !== null) {
                $entry->{$said} = $node->value;
            }
        }
        $entries = array_values(
            array_filter($entries, static fn (mixed $e): bool => ! $e instanceof stdClass || count(get_object_vars($e)) > 1),
        );
        unset($owner->{$list});
        if ($entries !== []) {
            $owner->{$list} = $entries;
        }
    }
}
