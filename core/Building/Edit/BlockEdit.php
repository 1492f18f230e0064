<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\EdgeName;
use Chartula\Core\Building\Placing;
use Chartula\Core\Field\Node;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\InvalidInput;
use stdClass;

/** What screens do to blocks: adding and removing them, moving them, giving them a shape. */
final readonly class BlockEdit
{
    public const OPS = [
        'add-block', 'remove-block', 'block-to-chimney', 'move-block', 'shape-block', 'turn-outline', ...StoreyEdit::OPS, ...EdgeEdit::OPS,
    ];

    /** One press of an arrow key, 3 in; with Shift a third of it. */
    private const STEP_MM = 76.2;

    private function __construct(
        private Ruler $ruler,
        private stdClass $document,
        private Node $edit,
    ) {
    }

    public static function apply(stdClass $document, string $op, Node $edit): void
    {
        $self = new self(Ruler::of($document), $document, $edit);
        match ($op) {
            'add-block' => $self->add(),
            'remove-block' => $self->remove(),
            'block-to-chimney' => $self->toChimney(),
            'move-block' => $self->move(),
            'shape-block', 'turn-outline' => (new OutlineEdit($self->ruler, $edit))->apply($op, $self->find()),
            default => in_array($op, StoreyEdit::OPS, true)
                ? (new StoreyEdit($self->ruler, $self->blocks(), $edit))->apply($op, $self->find())
                : (new EdgeEdit($edit))->apply($op, $self->find()),
        };
    }

    /** @return list<stdClass> */
    private function blocks(): array
    {
        return Ruler::listed($this->document->blocks ?? null);
    }

    private function find(): ?stdClass
    {
        $id = $this->edit->get('block')?->text(32);
        foreach ($this->blocks() as $i => $block) {
            if (($block->id ?? 'block-'.($i + 1)) === $id) {
                $block->id = $id;

                return $block;
            }
        }
        if ($this->edit->get('block') === null) {
            $this->edit->missing('block');
        } else {
            $this->edit->get('block')->fault('edit.no-such', ['given' => (string) $id]);
        }

        return null;
    }

    /**
     * The blocks as they stand, by id, where the document is sound enough to say.
     *
     * @return array<string, Block>
     */
    private function standing(): array
    {
        try {
            $building = BuildingReader::fromDocument($this->document);
        } catch (InvalidInput) {
            return [];
        }

        return array_column(array_map(static fn (Block $b): array => [$b->id, $b], $building->blocks), 1, 0);
    }

    private function add(): void
    {
        $this->edit->isObject(['op'], ['kind', 'beside', 'edge', 'along', 'size']);
        $kind = $this->edit->get('kind') === null ? 'wing' : $this->edit->get('kind')->choice(NewBlock::KINDS);
        $blocks = $this->blocks();
        $beside = $this->edit->get('beside')?->text(32);
        $host = array_values(array_filter($blocks, static fn (stdClass $b): bool => ($b->id ?? null) === $beside))[0]
            ?? ($blocks[0] ?? null);
        if ($host === null || $kind === null) {
            return;
        }
        $names = Ruler::edges($host);
        $edge = $this->edit->get('edge') === null
            ? min(NewBlock::usualEdge($kind), count($names) - 1)
            : EdgeName::read($this->edit->get('edge'), $names);
        if ($edge === null) {
            return;
        }
        $along = max(-1.0, min(1.0, $this->edit->get('along')?->number() ?? 0.0));
        $size = max(0.1, min(1.0, $this->edit->get('size')?->number() ?? 1.0));
        $hostId = is_string($host->id ?? null) ? $host->id : $host->id = 'block-1';
        $new = new NewBlock($this->ruler, $kind, $host, $edge, $along, $size);
        $this->document->blocks = [...$blocks, $new->document($this->freeId($kind), $hostId)];
    }

    private function freeId(string $word): string
    {
        $taken = array_map(static fn (stdClass $b): mixed => $b->id ?? null, $this->blocks());
        for ($n = 1; ; $n++) {
            $id = $n === 1 ? $word : "$word-$n";
            if (! in_array($id, $taken, true)) {
                return $id;
            }
        }
    }

    private function remove(): void
    {
        $this->edit->isObject(['op', 'block']);
        $gone = $this->find();
        if ($gone === null || count($this->blocks()) < 2) {
            if ($gone !== null) {
                $this->edit->get('block')?->fault('edit.last-block');
            }

            return;
        }
        // What was placed by it stays where it stood.
        $standing = $this->standing();
        $id = is_string($gone->id) ? $gone->id : '';
        foreach ($this->blocks() as $block) {
            $places = is_array($block->place ?? null) ? $block->place : [];
            $needs = array_filter(
                $places,
                static fn (mixed $p): bool => $p instanceof stdClass && is_string($p->with ?? null) && str_starts_with($p->with, "$id."),
            );
            if ($needs !== [] && is_string($block->id ?? null) && isset($standing[$block->id])) {
                unset($block->place);
                $block->at = self::written($standing[$block->id]->at);
            }
        }
        foreach ($this->blocks() as $block) {
            // What shared its storeys keeps them.
            if (($block->storeys_of ?? null) === $id) {
                StoreyEdit::own($block, $gone);
            }
        }
        $this->document->blocks = array_values(array_filter($this->blocks(), static fn (stdClass $b): bool => $b !== $gone));
    }

    /** A stack on another block's roof becomes a thing on that, with the same outside. */
    private function toChimney(): void
    {
        $this->edit->isObject(['op', 'block']);
        $gone = $this->find();
        if ($gone === null) {
            return;
        }
        $stack = $this->standing() === []
            ? null
            : StackBlock::of(BuildingReader::fromDocument($this->document), is_string($gone->id) ? $gone->id : '');
        if ($stack === null) {
            $this->edit->get('block')?->fault('edit.no-stack');

            return;
        }
        foreach ($this->blocks() as $i => $host) {
            if (($host->id ?? 'block-'.($i + 1)) === $stack->host->id) {
                $all = Ruler::listed($host->features ?? null);
                $like = is_string($gone->eaves ?? null) ? $gone->eaves : '0ft';
                $host->features = [...$all, $stack->chimney(WallEntry::freeId('chimney-', $all), $like)];
            }
        }
        $this->remove();
    }

    /** @return array{string, string} */
    private static function written(Vec2 $at): array
    {
        return [LengthFormat::like('0ft', $at->x), LengthFormat::like('0ft', $at->y)];
    }

    private function move(): void
    {
        $this->edit->isObject(['op', 'block'], ['x', 'y', 'snap']);
        $snaps = $this->edit->get('snap')?->bool() ?? false;
        $block = $this->find();
        $by = new Vec2(
            ($this->edit->get('x')?->number() ?? 0.0) * self::STEP_MM,
            ($this->edit->get('y')?->number() ?? 0.0) * self::STEP_MM,
        );
        if ($block === null) {
            return;
        }
        if (is_array($block->place ?? null) && $block->place !== []) {
            $this->moveWithin($block->place, $by, $snaps);

            return;
        }
        $at = is_array($block->at ?? null) ? array_values($block->at) : ['0ft', '0ft'];
        $moved = [];
        foreach ([$by->x, $by->y] as $i => $mm) {
            $before = is_string($at[$i] ?? null) ? $at[$i] : '0ft';
            $moved[] = $mm === 0.0 ? $before : LengthFormat::like($before, $this->ruler->read($before) + $mm);
        }
        $block->at = $moved;
        if ($snaps) {
            $this->snap($block);
        }
    }

    private function snap(stdClass $block): void
    {
        $standing = $this->standing();
        $id = is_string($block->id) ? $block->id : '';
        $others = array_values(array_filter($standing, fn (Block $b): bool => $b->id !== $id && ! $this->standsBy($b->id, $id)));
        $relations = isset($standing[$id]) ? Snapping::relations($standing[$id], $others) : [];
        if ($relations !== []) {
            unset($block->at);
            $block->place = $relations;
        }
    }

    /** Whether where one block stands follows, over however many, from where another does. */
    private function standsBy(string $one, string $other, int $depth = 0): bool
    {
        foreach ($this->blocks() as $block) {
            foreach (($block->id ?? null) === $one && is_array($block->place ?? null) && $depth < 64 ? $block->place : [] as $place) {
                $with = $place instanceof stdClass && is_string($place->with ?? null) ? explode('.', $place->with)[0] : '';
                if ($with === $other || ($with !== '' && $this->standsBy($with, $other, $depth + 1))) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * What holds a block by others is kept; by how much is what changes.
     *
     * @param  array<array-key, mixed>  $places
     */
    private function moveWithin(array $places, Vec2 $by, bool $snaps): void
    {
        $standing = $this->standing();
        foreach ($places as $place) {
            if (! $place instanceof stdClass || ! is_string($place->with ?? null)) {
                continue;
            }
            [$id, $edge] = [...explode('.', $place->with, 2), ''];
            $target = $standing[$id] ?? null;
            $index = $target === null ? false : array_search($edge, $target->footprint->edges, true);
            if ($target === null || $index === false) {
                continue;
            }
            $along = $target->standing()->point($index + 1)->minus($target->standing()->point($index));
            $along = $along->times(1.0 / $along->length());
            $way = isset($place->centre) ? $along : new Vec2($along->y, -$along->x);
            $off = $way->dot($by) * (isset($place->{Placing::RELATIONS[1]}) ? -1.0 : 1.0);
            if (abs($off) > Tolerance::FIGURE) {
                $before = is_string($place->by ?? null) ? $place->by : '0ft';
                $place->by = LengthFormat::like($before, $this->ruler->read($before) + $off);
                if ($snaps && ! isset($place->{Placing::RELATIONS[1]}) && Snapping::isNothing($this->ruler->read($place->by))) {
                    unset($place->by);
                }
            }
        }
    }
}
