<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Fields;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\Values;
use Chartula\Core\Stock\Layer;
use Chartula\Core\Stock\Stack;
use Chartula\Core\Stock\Stock;

/** Reads `methods`: stacks, corners, base, braces, skin, template and the stocks of small parts. */
final readonly class MethodsReader
{
    public const MOST_LAYERS = 4;

    /** What `trim.held` says of all that stands in openings. */
    public const HELD = ['rebates' => Holding::Rebate, 'behind' => Holding::Behind, 'stops' => Holding::Stops];

    private const ROLES = ['face', 'core', 'overlay', 'back', Layer::FRAMES];

    private Values $values;

    /** @param  array<string, Stock>  $stocks */
    public function __construct(Values $values, private array $stocks)
    {
        $this->values = $values->withStocks($stocks);
    }

    public function read(?Node $node): ?Methods
    {
        $said = $node === null ? null : MethodsFields::set()->read($node, $this->values);
        if ($said === null) {
            return null;
        }
        $template = self::template($said->group('template'));
        $stacks = $this->stacks($said, $template);
        $corner = CornerMethod::tryFrom($said->text('corner') ?? '');
        $through = $said->oneOf('through', ['front-and-back', 'sides']);
        $bury = $said->model('bury');
        $thin = $said->model('thin_edge');
        if ($thin !== null && $thin->mm > 0.0 && count($stacks['roof']->layers ?? [1, 1]) < 2) {
            $said->node->get('thin_edge')?->fault('methods.thin-edge', ['given' => $thin->mm]);
            $thin = null;
        }
        $skin = self::skin($said->group('skin'));
        $frame = $said->group('trim')?->stock('frame');
        $glazing = $said->group('trim')?->stock('glazing');
        $paper = $said->group('skin')?->stock('stock');
        $strip = $said->group('ridge')?->stock('stock');
        if (
            $stacks === null || $corner === null || $through === null || $bury === null || $thin === null || $skin === null
            || $template === null || $frame === null || $glazing === null || $paper === null || $strip === null
        ) {
            return null;
        }

        return new Methods(
            $this->stocks,
            $stacks,
            $corner,
            $through,
            $said->text('base') === 'floor',
            $said->text('braces') === 'auto',
            $said->text('supports') === 'auto',
            $said->text('panels') === 'bevelled',
            $bury->mm,
            $skin,
            $template,
            $frame,
            $glazing,
            $paper,
            $strip,
            $thin->mm,
            self::HELD[$said->group('trim')?->text('held') ?? ''] ?? Holding::Glue,
        );
    }

    /** @return ?array<string, Stack> by name; null where one of them is not sound */
    private function stacks(Fields $said, ?Template $template): ?array
    {
        $stacks = ['wall' => $this->stack($said->raw('wall'), $template), 'roof' => $this->stack($said->raw('roof'), $template)];
        foreach ($said->raw('stacks')?->entries(MethodsFields::MOST_STACKS) ?? [] as [$name, $entry]) {
            if (isset($stacks[$name])) {
                $entry->fault('id-twice', ['given' => $name]);
            }
            $stacks[$name] = $this->stack($entry, $template);
        }
        $sound = array_filter($stacks, static fn (?Stack $stack): bool => $stack !== null);

        return count($sound) < count($stacks) ? null : $sound;
    }

    private function stack(?Node $node, ?Template $template): ?Stack
    {
        if ($node === null) {
            return null;
        }
        $layers = [];
        $ids = [];
        $sound = true;
        $hasFrames = false;
        foreach ($node->items(self::MOST_LAYERS, 1) as $i => $item) {
            if (! $item->isObject(['stock', 'role'], ['id'])) {
                $sound = false;

                continue;
            }
            $stock = $this->values->stock($item->get('stock'));
            $role = $item->get('role')?->choice(self::ROLES);
            $id = $item->get('id') === null ? ($role ?? 'layer').($i === 0 ? '' : '-'.($i + 1)) : $this->values->id($item->get('id'));
            if ($role === 'overlay') {
                $item->get('role')?->fault('not-made-yet', ['given' => 'overlay', 'instead' => 'use “face” or “core” for now']);
            }
            if ($role === Layer::FRAMES && ($i === 0 || $hasFrames)) {
                $item->get('role')?->fault($i === 0 ? 'stack.frames-first' : 'stack.frames-twice');
            }
            $hasFrames = $hasFrames || $role === Layer::FRAMES;
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

    private static function template(?Fields $said): ?Template
    {
        $stock = $said?->stock('stock');
        $side = $said?->oneOf('side', ['front', 'back']);

        return $said === null || $stock === null || $side === null ? null : new Template($stock, $side, $said->flag('stays'));
    }

    private static function skin(?Fields $said): ?SkinMethod
    {
        $overlap = $said?->model('overlap');
        $brick = $said?->text('brick');
        $mortar = $said?->text('mortar');

        return $said === null || $overlap === null || $brick === null || $mortar === null
            ? null
            : new SkinMethod(
                $overlap->mm,
                match ($said->text('opening')) {
                    'strips' => SkinMethod::STRIPS,
                    'cut' => SkinMethod::CUT,
                    default => SkinMethod::FOLDED,
                },
                $said->model('flap')?->mm,
                $brick,
                $mortar,
                $said->text('joints') === 'widened',
                ($said->number('soot') ?? 0.0) / 100.0,
                ($said->number('damp') ?? 0.0) / 100.0,
                $said->text('bond') === 'broken',
            );
    }
}
