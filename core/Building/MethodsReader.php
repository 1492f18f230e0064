<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\Values;
use Chartula\Core\Stock\Layer;
use Chartula\Core\Stock\Stack;
use Chartula\Core\Stock\Stock;

/** Reads `methods`: stacks, corners, base, braces, skin, template and the stocks of small parts. */
final readonly class MethodsReader
{
    public const MOST_LAYERS = 4;

    private const MOST_STACKS = 20;

    private const ROLES = ['face', 'core', 'overlay', 'back'];

    /** @param  array<string, Stock>  $stocks */
    public function __construct(
        private Values $values,
        private array $stocks,
    ) {
    }

    public function read(?Node $node): ?Methods
    {
        if (
            $node === null
            || ! $node->isObject(
                ['wall', 'roof'],
                ['stacks', 'corner', 'through', 'base', 'braces', 'supports', 'panels', 'bury', 'skin', 'template', 'trim', 'ridge'],
            )
        ) {
            return null;
        }
        $template = $this->template($node->get('template'));
        $stacks = [
            'wall' => $this->stack($node->get('wall'), $template),
            'roof' => $this->stack($node->get('roof'), $template),
        ];
        foreach ($node->get('stacks')?->entries(self::MOST_STACKS) ?? [] as [$name, $entry]) {
            if (isset($stacks[$name])) {
                $entry->fault('id-twice', ['given' => $name]);
            }
            $stacks[$name] = $this->stack($entry, $template);
        }
        $said = $this->choice($node->get('corner'), CornerMethod::known(), CornerMethod::Butt->value);
        $corner = CornerMethod::tryFrom($said ?? '');
        if ($said !== null && $corner === null) {
            $instead = 'use '.implode(' or ', array_map(static fn (string $m): string => "“{$m}”", CornerMethod::made())).' for now';
            $node->get('corner')?->fault('not-made-yet', ['given' => $said, 'instead' => $instead]);
        }
        $through = $this->choice($node->get('through'), ['front-and-back', 'sides'], 'front-and-back');
        $base = $this->choice($node->get('base'), ['floor', 'none'], 'floor');
        $braces = $this->choice($node->get('braces'), ['auto', 'none'], 'auto');
        $panels = $this->choice($node->get('panels'), ['square', 'bevelled'], 'square');
        $bury = $node->get('bury') === null ? 2.0 : $this->values->model($node->get('bury'), Sign::ZeroOrMore)?->mm;
        $supports = $this->choice($node->get('supports'), ['auto', 'none'], 'none');
        $skin = $this->skin($node->get('skin'));
        $trim = $node->get('trim');
        $trim?->isObject([], ['frame', 'glazing']);
        $frame = $this->stock($trim?->get('frame'), 'card-0.5');
        $glazing = $this->stock($trim?->get('glazing'), 'acetate-0.2');
        $paper = $this->stock($node->get('skin')?->get('stock'), 'paper-0.1');
        $ridge = $node->get('ridge');
        $ridge?->isObject(['stock']);
        $strip = $this->stock($ridge?->get('stock'), 'card-0.25');
        $sound = array_filter($stacks, static fn (?Stack $stack): bool => $stack !== null);
        if (
            count($sound) < count($stacks)
            || $through === null
            || $base === null
            || $braces === null
            || $supports === null
            || $panels === null
            || $bury === null
            || $corner === null
            || $skin === null
            || $template === null
            || $frame === null
            || $glazing === null
            || $paper === null
            || $strip === null
        ) {
            return null;
        }

        return new Methods(
            $this->stocks,
            $sound,
            $corner,
            $through,
            $base === 'floor',
            $braces === 'auto',
            $supports === 'auto',
            $panels === 'bevelled',
            $bury,
            $skin,
            $template,
            $frame,
            $glazing,
            $paper,
            $strip,
        );
    }

    private function stack(?Node $node, ?Template $template): ?Stack
    {
        if ($node === null) {
            return null;
        }
        $layers = [];
        $ids = [];
        $sound = true;
        foreach ($node->items(self::MOST_LAYERS, 1) as $i => $item) {
            if (! $item->isObject(['stock', 'role'], ['id'])) {
                $sound = false;

                continue;
            }
            $stock = $this->stock($item->get('stock'), null);
            $role = $item->get('role')?->choice(self::ROLES);
            $id = $item->get('id') === null ? ($role ?? 'layer').($i === 0 ? '' : '-'.($i + 1)) : $this->values->id($item->get('id'));
            if ($role === 'overlay') {
                $item->get('role')?->fault('not-made-yet', ['given' => 'overlay', 'instead' => 'use “face” or “core” for now']);
            }
            if ($id !== null && isset($ids[$id])) {
                ($item->get('id') ?? $item)->fault('id-twice', ['given' => $id]);
            }
            if ($stock === null || $role === null || $id === null) {
                $sound = false;

                continue;
            }
            $ids[$id] = true;
            $layers[] = new Layer($id, $stock, $role, $stock->thickness_mm + ($template?->addsTo($stock) ?? 0.0));
        }

        return $sound && $layers !== [] ? new Stack($layers) : null;
    }

    private function template(?Node $node): ?Template
    {
        $node?->isObject([], ['stock', 'side', 'stays']);
        $stock = $this->stock($node?->get('stock'), 'label-0.12');
        $side = $this->choice($node?->get('side'), ['front', 'back'], 'back');
        $stays = $node?->get('stays') === null ? true : $node->get('stays')->bool();

        return $stock === null || $side === null || $stays === null ? null : new Template($stock, $side, $stays);
    }

    private function skin(?Node $node): ?SkinMethod
    {
        $node?->isObject([], ['corner', 'overlap', 'opening', 'flap', 'stock', 'brick', 'mortar']);
        $this->choice($node?->get('corner'), ['overlap'], 'overlap');
        $opening = $this->choice($node?->get('opening'), ['folded', 'cut'], 'folded');
        $overlap = $this->values->model($node?->get('overlap'), Sign::ZeroOrMore)->mm ?? 1.8;
        $flap = $this->values->model($node?->get('flap'))?->mm;
        $brick = $this->values->colour($node?->get('brick')) ?? '#a65f4a';
        $mortar = $this->values->colour($node?->get('mortar')) ?? '#d5cbb9';

        return $opening === null ? null : new SkinMethod($overlap, $opening === 'folded', $flap, $brick, $mortar);
    }

    /**
     * @template T of string
     *
     * @param  list<T>  $known
     * @param  T  $default
     * @return ?T
     */
    private function choice(?Node $node, array $known, string $default): ?string
    {
        return $node === null ? $default : $node->choice($known);
    }

    private function stock(?Node $node, ?string $default): ?Stock
    {
        if ($node === null) {
            return $default === null ? null : $this->stocks[$default];
        }
        $id = $node->text(100);
        if ($id === null) {
            return null;
        }
        if (! isset($this->stocks[$id])) {
            $node->fault('unknown-stock', ['given' => $id, 'known' => implode(', ', array_keys($this->stocks))]);

            return null;
        }

        return $this->stocks[$id];
    }
}
