<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\MethodsReader;
use Chartula\Core\Field\Node;
use Chartula\Core\Stock\BuiltInStock;
use Chartula\Core\Stock\Layer;
use Chartula\Core\Stock\Stock;
use stdClass;

/** What screens do to the materials: the layers of walls and roofs, a stack of its own for a block or a wall, a stock of one's own. */
final readonly class StackEdit
{
    public const OPS = ['stack-layers', 'own-stack', 'add-stock'];

    private function __construct(private stdClass $document, private Node $edit)
    {
    }

    public static function apply(stdClass $document, string $op, Node $edit): void
    {
        $self = new self($document, $edit);
        match ($op) {
            'stack-layers' => $self->layers(),
            'own-stack' => $self->own(),
            default => $self->stock(),
        };
    }

    /** Says of what a stack is, from outside in. Layers that stay keep their names, so that parts do. */
    private function layers(): void
    {
        $this->edit->isObject(['op', 'stack', 'stocks']);
        $name = $this->edit->get('stack')?->text(100) ?? '';
        $holder = $this->holder($name);
        if ($holder === null) {
            $this->edit->get('stack')?->fault('edit.no-such', ['given' => $name]);

            return;
        }
        $nodes = $this->edit->get('stocks')?->items(MethodsReader::MOST_LAYERS, 1) ?? [];
        $stocks = array_map(static fn (Node $node): string => $node->text(100) ?? '', $nodes);
        $before = is_array($holder->{$name}) ? array_values($holder->{$name}) : [];
        $holder->{$name} = array_map(static function (string $stock, int $i) use ($before, $stocks): stdClass {
            $was = count($before) === count($stocks) ? $before[$i] : null;
            $layer = $was instanceof stdClass ? clone $was : self::layer($i, count($stocks));
            $layer->stock = $stock;
            // One layer more or fewer does not take from it what is cut in it.
            $isForFrames = $i > 0 && ($before[$i] ?? null) instanceof stdClass && ($before[$i]->role ?? '') === Layer::FRAMES;
            $layer->role = $isForFrames ? Layer::FRAMES : $layer->role ?? 'core';

            return $layer;
        }, $stocks, array_keys($stocks));
    }

    private static function layer(int $i, int $count): stdClass
    {
        $isFace = $i === 0 && $count > 1;
        $first = $count > 1 ? 1 : 0;

        return (object) ['id' => $isFace ? 'face' : ($i === $first ? 'core' : "core-$i"), 'role' => $isFace ? 'face' : 'core'];
    }

    /** Gives a wall, or every wall of a block, a stack of its own that begins as what it has. */
    private function own(): void
    {
        $this->edit->isObject(['op'], ['wall', 'block']);
        $methods = $this->document->methods ?? null;
        $owner = $this->edit->get('block') === null
            ? WallEntry::of($this->document, $this->edit->get('wall'))?->wall
            : $this->block($this->edit->get('block')->text(32) ?? '');
        if ($owner === null || ! $methods instanceof stdClass) {
            return;
        }
        $was = is_string($owner->stack ?? null) ? $owner->stack : 'wall';
        $stacks = ($methods->stacks ?? null) instanceof stdClass ? $methods->stacks : new stdClass;
        $layers = $stacks->{$was} ?? $methods->wall ?? [];
        $n = 2;
        while (property_exists($stacks, "stack $n")) {
            $n++;
        }
        $stacks->{"stack $n"} = json_decode((string) json_encode($layers));
        $methods->stacks = $stacks;
        $owner->stack = "stack $n";
    }

    private function block(string $id): ?stdClass
    {
        foreach (is_array($this->document->blocks ?? null) ? array_values($this->document->blocks) : [] as $i => $block) {
            if ($block instanceof stdClass && ($block->id ?? 'block-'.($i + 1)) === $id) {
                return $block;
            }
        }
        $this->edit->get('block')?->fault('edit.no-such', ['given' => $id]);

        return null;
    }

    /** A stock that is not among the usual ones, under a name that none has. */
    private function stock(): void
    {
        $this->edit->isObject(['op', 'name', 'kind', 'thickness']);
        $name = trim($this->edit->get('name')?->text(Stock::LONGEST_NAME) ?? '');
        $kind = $this->edit->get('kind')?->choice(Stock::KINDS);
        $thickness = trim($this->edit->get('thickness')?->text(100) ?? '');
        if ($name === '') {
            $this->edit->get('name')?->fault('text-empty');
        }
        if ($name === '' || $kind === null || $thickness === '') {
            return;
        }
        $stocks = ($this->document->stock ?? null) instanceof stdClass ? $this->document->stock : new stdClass;
        $word = trim(substr((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($name)), 0, 28), '-');
        $word = $word === '' ? 'stock' : $word;
        $id = $word;
        for ($n = 2; property_exists($stocks, $id) || isset(BuiltInStock::all()[$id]); $n++) {
            $id = "$word-$n";
        }
        $stocks->{$id} = (object) ['kind' => $kind, 'thickness' => $thickness, 'name' => $name];
        $this->document->stock = $stocks;
    }

    /** What holds a stack: the building's own two, or a further one. */
    private function holder(string $name): ?stdClass
    {
        $methods = $this->document->methods ?? null;
        $stacks = $methods instanceof stdClass ? $methods->stacks ?? null : null;

        return match (true) {
            ! $methods instanceof stdClass => null,
            $name === 'wall', $name === 'roof' => property_exists($methods, $name) ? $methods : null,
            default => $stacks instanceof stdClass && property_exists($stacks, $name) ? $stacks : null,
        };
    }
}
