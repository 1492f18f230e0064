<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Bays;
use Chartula\Core\Building\Beside;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Node;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\LengthFormat;
use stdClass;

/** What screens do to the openings of one wall. */
final readonly class OpeningEdit
{
    /** Steps on walls that show no courses: 3in along and up, 1in for a quarter. */
    private const PLAIN_STEP_MM = 76.2;

    private const PLAIN_QUARTER_MM = 25.4;

    private const SILL = '2ft 9in';

    /** So many openings a new row has where there is room. */
    private const ROW = 3;

    private const NEW_STYLE = [
        'kind' => 'window', 'w' => '3ft', 'h' => '5ft', 'head' => ['shape' => 'flat'],
        'frame' => ['panes' => [2, 2], 'stile' => '3in', 'bar' => '3in', 'sash' => true],
    ];

    private function __construct(
        private Ruler $ruler,
        private stdClass $document,
        private stdClass $block,
        private stdClass $wall,
        private string $name,
        private int $index,
        private Node $edit,
    ) {
    }

    public static function apply(stdClass $document, string $op, Node $edit): void
    {
        $found = self::found($document, $edit->get('wall'));
        if ($found === null) {
            if ($edit->get('wall') === null) {
                $edit->missing('wall');
            }

            return;
        }
        [$block, $edge, $index] = $found;
        $self = new self(Ruler::of($document), $document, $block, self::wall($block, $edge, $index), $edge, $index, $edit);
        $row = in_array($op, ['add-opening', 'add-row'], true) ? null : $self->row();
        if ($row !== null) {
            $eaves = $self->ruler->read($block->eaves ?? null) - $self->ruler->read($block->base ?? null);
            $length = $self->ruler->lengthOfWall($block, $index);
            $to = $edit->get('to');
            if ($op === 'copy-opening' && $to !== null) {
                $self->on($to)?->takeRow($row);
            } else {
                (new RowEdit($self->ruler, $document, $self->wall, $row, $length, $eaves))->apply($op, $edit, $edge);
            }

            return;
        }

        match ($op) {
            'add-opening' => $self->add(),
            'add-row' => $self->addRow(),
            'copy-opening' => $self->copy(),
            'repeat-opening' => $self->repeat(),
            'remove-opening' => $self->remove(),
            'break-row' => $self->find(),
            default => $self->move(),
        };
    }

    /**
     * A wall by `block.edge`, or by its edge alone in the first block.
     *
     * @return ?array{stdClass, string, int} the block, and the edge's name and number
     */
    private static function found(stdClass $document, ?Node $node): ?array
    {
        $text = $node?->text(100);
        $blocks = array_values(
            array_filter(
                is_array($document->blocks ?? null) ? $document->blocks : [],
                static fn (mixed $b): bool => $b instanceof stdClass,
            ),
        );
        if ($node === null || $text === null || $blocks === []) {
            return null;
        }
        $parts = explode('.', $text, 2);
        [$id, $edge] = count($parts) === 2 ? $parts : [null, $parts[0]];
        foreach ($blocks as $i => $block) {
            if ($id !== null && ($block->id ?? 'block-'.($i + 1)) !== $id) {
                continue;
            }
            $names = Ruler::edges($block);
            $index = array_search($edge, $names, true);
            if (is_int($index)) {
                return [$block, $edge, $index];
            }
            $node->fault('unknown-edge', ['given' => $edge, 'known' => implode(', ', $names)]);

            return null;
        }
        $node->fault('edit.no-such', ['given' => $text]);

        return null;
    }

    /** The wall's entry, made where there is none. */
    private static function wall(stdClass $block, string $edge, int $index): stdClass
    {
        $walls = is_array($block->walls ?? null) ? $block->walls : [];
        foreach ($walls as $wall) {
            if ($wall instanceof stdClass && (($wall->edge ?? null) === $edge || ($wall->edge ?? null) === $index)) {
                $wall->openings = is_array($wall->openings ?? null) ? array_values($wall->openings) : [];

                return $wall;
            }
        }
        $wall = (object) ['edge' => $edge, 'openings' => []];
        $block->walls = [...$walls, $wall];

        return $wall;
    }

    /** @return list<stdClass> */
    private function openings(): array
    {
        return array_values(
            array_filter(
                is_array($this->wall->openings) ? $this->wall->openings : [],
                static fn (mixed $o): bool => $o instanceof stdClass,
            ),
        );
    }

    private function find(): ?stdClass
    {
        $id = $this->edit->get('id')?->text(32);
        foreach ($this->openings() as $i => $opening) {
            if (($opening->id ?? 'o'.($i + 1)) === $id) {
                $opening->id = $id;

                return $opening;
            }
        }
        ($this->edit->get('id') ?? $this->edit)->fault('edit.no-such', ['given' => "$this->name $id"]);

        return null;
    }

    /** The row in bays that is meant, by its own id. */
    private function row(): ?stdClass
    {
        $id = $this->edit->get('id')?->value;
        foreach (is_array($this->wall->rows ?? null) ? array_values($this->wall->rows) : [] as $i => $row) {
            if ($row instanceof stdClass && ($row->id ?? 'r'.($i + 1)) === $id) {
                $row->id = $id;

                return $row;
            }
        }

        return null;
    }

    private function move(): void
    {
        $this->edit->isObject(['op', 'wall', 'id'], ['bricks', 'courses']);
        $opening = $this->find();
        if ($opening === null) {
            return;
        }
        foreach (['from' => 'bricks', 'sill' => 'courses'] as $field => $unit) {
            $steps = $this->edit->get($unit)?->number() ?? 0.0;
            if ($steps !== 0.0) {
                $before = is_string($opening->{$field} ?? null) ? $opening->{$field} : '0mm';
                $after = max(0.0, $this->ruler->read($before) + self::step($this->ruler, $this->wall, $steps, $unit));
                $opening->{$field} = LengthFormat::like($before, $after);
            }
        }
    }

    /** How far so many steps are, in bricks along or courses up. */
    public static function step(Ruler $ruler, stdClass $wall, float $steps, string $unit): float
    {
        $finish = is_string($wall->finish ?? null) ? $wall->finish : '';
        if (str_starts_with($finish, 'brick-')) {
            return $steps * ($unit === 'bricks' ? $ruler->gauge->brick_mm : $ruler->gauge->course_mm);
        }
        $whole = (float) (int) $steps;

        return $whole * self::PLAIN_STEP_MM + ($steps - $whole) * 4.0 * self::PLAIN_QUARTER_MM;
    }

    /** A row in equal bays, of as many as go, at the usual sill or over what stands there. */
    private function addRow(): void
    {
        $this->edit->isObject(['op', 'wall'], ['style']);
        $row = (object) ['id' => $this->freeRowId(), 'style' => $this->style('window'), 'sill' => self::SILL, 'count' => self::ROW];
        [$width, $height, $usual] = FreePlaces::size($this->ruler, $this->document, $row);
        $length = $this->ruler->lengthOfWall($this->block, $this->index);
        $free = $this->free();
        $eaves = $this->ruler->read($this->block->eaves ?? null) - $this->ruler->read($this->block->base ?? null);
        foreach ($free->sills($usual, $eaves - $height) as $sill) {
            for ($count = self::ROW; $count > 1; $count--) {
                $isClear = static fn (Interval $place): bool => $free->isFree($place->from, $width, $sill, $sill + $height);
                $places = Bays::of($length, $width, $count, [])->places();
                if (count(array_filter($places, $isClear)) === $count) {
                    $row->count = $count;
                    $row->sill = LengthFormat::like(self::SILL, $sill);
                    $this->wall->rows = [...is_array($this->wall->rows ?? null) ? array_values($this->wall->rows) : [], $row];

                    return;
                }
            }
        }
        $this->edit->fault('edit.no-room', ['wall' => $this->name, 'width' => round(2.0 * $width, 2)]);
    }

    /** The kind that is asked for, or the first that there is of a sort; one is made where there is none. */
    private function style(string $sort): string
    {
        $styles = $this->document->styles ?? null;
        if (! $styles instanceof stdClass || get_object_vars($styles) === []) {
            $this->document->styles = $styles = (object) ['window' => json_decode((string) json_encode(self::NEW_STYLE))];
        }
        $all = get_object_vars($styles);
        $alike = array_filter($all, static fn (mixed $s): bool => $s instanceof stdClass && ($s->kind ?? 'window') === $sort);

        return $this->edit->get('style')?->text(32) ?? (string) array_key_first($alike === [] ? $all : $alike);
    }

    private function add(): void
    {
        $this->edit->isObject(['op', 'wall'], ['style']);
        $style = $this->style('window');
        $styles = $this->document->styles;
        $own = $styles instanceof stdClass ? $styles->{$style} ?? null : null;
        $kind = $own instanceof stdClass ? ($own->kind ?? 'window') : 'window';
        $opening = (object) [
            'id' => $this->freeId($kind === 'door' ? 'd' : 'w'), 'style' => $style, 'from' => '0ft',
            'sill' => $kind === 'door' ? '0ft' : self::SILL,
        ];
        $this->put($opening, null);
    }

    private function copy(): void
    {
        $this->edit->isObject(['op', 'wall', 'id'], ['to', 'mirrored']);
        $opening = $this->find();
        $on = $this->edit->get('to') === null ? $this : $this->on($this->edit->get('to'));
        if ($opening === null || $on === null) {
            return;
        }
        $copy = clone $opening;
        if ($on === $this) {
            unset($copy->repeat);
        }
        $copy->id = $on->freeId(substr(is_string($opening->id) ? $opening->id : 'w', 0, 1));
        $on->put($copy, $on->near($opening, $this->edit->get('mirrored')?->value === true));
    }

    /** Takes a row of another wall over: in bays or between margins as there; one that begins at a place begins at the same one. */
    private function takeRow(stdClass $row): void
    {
        $copy = clone $row;
        $copy->id = $this->freeRowId();
        $this->wall->rows = [...is_array($this->wall->rows ?? null) ? array_values($this->wall->rows) : [], $copy];
    }

    private function freeRowId(): string
    {
        $rows = is_array($this->wall->rows ?? null) ? array_values($this->wall->rows) : [];
        $taken = array_map(static fn (mixed $r): mixed => $r instanceof stdClass ? $r->id ?? null : null, $rows);
        for ($n = 1; ; $n++) {
            if (! in_array("r$n", $taken, true)) {
                return "r$n";
            }
        }
    }

    /** The wall that something is copied to. */
    private function on(Node $to): ?self
    {
        $found = self::found($this->document, $to);
        if ($found === null) {
            return null;
        }
        [$block, $edge, $index] = $found;

        return new self($this->ruler, $this->document, $block, self::wall($block, $edge, $index), $edge, $index, $this->edit);
    }

    /** As far from the left end as it is on its own wall, or from the right. */
    private function near(stdClass $opening, bool $isMirrored): float
    {
        $from = $this->ruler->read($opening->from ?? null);
        $extents = $this->ruler->extentsOf($opening, $this->document->styles ?? null);

        return $isMirrored ? $this->ruler->lengthOfWall($this->block, $this->index) - $extents[count($extents) - 1]->to : $from;
    }

    /** Where no opening is, and no other block stands in front of the wall. */
    private function free(): FreePlaces
    {
        $free = FreePlaces::of($this->ruler, $this->document, $this->wall, $this->ruler->lengthOfWall($this->block, $this->index));
        $building = BuildingReader::reading($this->document)->building;
        $blocks = is_array($this->document->blocks ?? null) ? array_values($this->document->blocks) : [];
        $id = is_string($this->block->id ?? null) ? $this->block->id : 'block-'.((int) array_search($this->block, $blocks, true) + 1);

        return $building === null ? $free : $free->without(Beside::of($building, $id, $this->index));
    }

    /** Puts an opening in the first free place, or in the nearest to one; where there is none it says so and does nothing. */
    private function put(stdClass $opening, ?float $near): void
    {
        [, $height, $sill] = FreePlaces::size($this->ruler, $this->document, $opening);
        $extents = $this->ruler->extentsOf($opening, $this->document->styles ?? null);
        $width = $extents[count($extents) - 1]->to - $extents[0]->from;
        $free = $this->free();
        $at = $near === null
            ? $free->first($width, $sill, $sill + $height)
            : $free->nearest($near, $width, $sill, $sill + $height);
        if ($at === null) {
            $this->edit->fault('edit.no-room', ['wall' => $this->name, 'width' => round($width, 2)]);

            return;
        }
        $opening->from = LengthFormat::like(is_string($opening->from ?? null) ? $opening->from : '0ft', $at);
        $this->wall->openings = [...$this->openings(), $opening];
    }

    private function repeat(): void
    {
        $this->edit->isObject(['op', 'wall', 'id', 'count'], ['pitch']);
        $opening = $this->find();
        $count = $this->edit->get('count')?->whole(1, 200);
        if ($opening === null || $count === null) {
            return;
        }
        $before = ($opening->repeat ?? null) instanceof stdClass && is_string($opening->repeat->pitch ?? null)
            ? $opening->repeat->pitch
            : null;
        $pitch = $this->edit->get('pitch')?->text(60) ?? $before;
        if ($pitch === null) {
            $style = is_string($opening->style ?? null) && ($this->document->styles ?? null) instanceof stdClass
                ? ($this->document->styles->{$opening->style} ?? null)
                : null;
            $pitch = LengthFormat::like('0ft', 2.0 * $this->ruler->widthOf($style));
        }
        if ($count === 1) {
            unset($opening->repeat);
        } else {
            $opening->repeat = (object) ['count' => $count, 'pitch' => $pitch];
        }
    }

    private function remove(): void
    {
        $this->edit->isObject(['op', 'wall', 'id']);
        $opening = $this->find();
        if ($opening === null) {
            return;
        }
        $this->wall->openings = array_values(array_filter($this->openings(), static fn (stdClass $o): bool => $o !== $opening));
    }

    private function freeId(string $letter): string
    {
        $taken = array_map(static fn (stdClass $o): mixed => $o->id ?? null, $this->openings());
        for ($n = 1; ; $n++) {
            if (! in_array($letter.$n, $taken, true)) {
                return $letter.$n;
            }
        }
    }
}
