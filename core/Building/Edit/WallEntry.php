<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Beside;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Field\Node;
use Chartula\Core\Measure\LengthFormat;
use stdClass;

/** A wall of a document that is edited: its entry, made where there is none, and where on it there is room. Real millimetres. */
final readonly class WallEntry
{
    private function __construct(
        public Ruler $ruler,
        public stdClass $document,
        public stdClass $block,
        public stdClass $wall,
        public string $name,
        private int $index,
    ) {
    }

    /** By `block.edge`, or by its edge alone in the first block; null where there is none, and said so. */
    public static function of(stdClass $document, ?Node $node): ?self
    {
        $found = self::found($document, $node);

        return $found === null ? null : new self(
            Ruler::of($document), $document, $found[0], self::wall(...$found), $found[1], $found[2],
        );
    }

    public function length(): float
    {
        return $this->ruler->lengthOfWall($this->block, $this->index);
    }

    /** Of the block above the wall's foot. */
    public function eaves(): float
    {
        return $this->ruler->read($this->block->eaves ?? null) - $this->ruler->read($this->block->base ?? null);
    }

    /** @return array{float, float, float} width, height and sill above the block's base of an opening or of one of a row */
    public function size(stdClass $opening): array
    {
        $styles = $this->document->styles ?? null;
        $style = $styles instanceof stdClass && is_string($opening->style ?? null) ? $styles->{$opening->style} ?? null : null;
        $height = $style instanceof stdClass ? $this->ruler->read($style->h ?? null) : 0.0;

        return [$this->ruler->widthOf($style), $height, $this->floorUnder($opening) + $this->ruler->read($opening->sill ?? null)];
    }

    /** From the block's base up to the floor that a sill is measured from. */
    public function floorUnder(stdClass $opening): float
    {
        $storey = $this->storeyOf($opening);

        return $storey === null ? 0.0 : $this->ruler->read($storey->floor ?? null) - $this->ruler->read($this->block->base ?? null);
    }

    /** Gives an opening or a row a sill so far above the block's base, written from the floor that it is measured from. */
    public function raise(stdClass $opening, float $sill): void
    {
        $like = is_string($opening->sill ?? null) ? $opening->sill : '0ft';
        $opening->sill = LengthFormat::like($like, $sill - $this->floorUnder($opening));
    }

    /** Takes over what stood on another wall: its height above the foot stays where this block has no such storey. */
    public function adopt(stdClass $opening, self $from): void
    {
        if (isset($opening->storey) && $this->storeyOf($opening) === null) {
            $sill = $from->size($opening)[2];
            unset($opening->storey);
            $this->raise($opening, $sill);
        }
    }

    private function storeyOf(stdClass $opening): ?stdClass
    {
        foreach (Ruler::listed($this->block->storeys ?? null) as $storey) {
            if (isset($opening->storey) && ($storey->id ?? null) === $opening->storey) {
                return $storey;
            }
        }

        return null;
    }

    /**
     * A wall by `block.edge`, or by its edge alone in the first block.
     *
     * @return ?array{stdClass, string, int} the block, and the edge's name and number
     */
    private static function found(stdClass $document, ?Node $node): ?array
    {
        $text = $node?->text(100);
        $blocks = Ruler::listed($document->blocks ?? null);
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
    public function openings(): array
    {
        return Ruler::listed($this->wall->openings);
    }

    /** @return list<stdClass> in bays */
    public function rows(): array
    {
        return Ruler::listed($this->wall->rows ?? null);
    }

    /** Where no opening is, and no other block stands in front of the wall. */
    public function free(): FreePlaces
    {
        $free = FreePlaces::of($this);
        $building = BuildingReader::reading($this->document)->building;
        $blocks = is_array($this->document->blocks ?? null) ? array_values($this->document->blocks) : [];
        $id = is_string($this->block->id ?? null) ? $this->block->id : 'block-'.((int) array_search($this->block, $blocks, true) + 1);

        return $building === null ? $free : $free->without(Beside::of($building, $id, $this->index));
    }

    /**
     * An id for one more, of a letter and a number.
     *
     * @param  list<stdClass>  $taken
     */
    public static function freeId(string $letter, array $taken): string
    {
        $ids = array_map(static fn (stdClass $o): mixed => $o->id ?? null, $taken);
        for ($n = 1; ; $n++) {
            if (! in_array($letter.$n, $ids, true)) {
                return $letter.$n;
            }
        }
    }
}
