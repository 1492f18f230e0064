<?php

declare(strict_types=1);

namespace Chartula\Core\Compression;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\Wall;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;

/**
 * What makes a building itself and is kept as it is: blocks, walls, openings. Nothing that is given up may change the sizes of such a
 * thing; where it stands may move. Real millimetres, the figures of a factor counted in. docs/formulas.md#compression
 */
final readonly class Kept
{
    /**
     * @param  string  $key  `block`, `block.edge` or `block.edge.opening`
     * @param  string  $name  in words
     * @param  list<float>  $sizes  of it, and of all that it has
     */
    private function __construct(
        public string $key,
        public string $name,
        public array $sizes,
    ) {
    }

    /** @return array<string, self> everything in a building that could be kept, by key */
    public static function of(Building $building): array
    {
        $found = [];
        foreach ($building->blocks as $block) {
            $walls = [];
            foreach ($block->walls as $i => $wall) {
                $edge = $block->footprint->edges[$i];
                $named = (count($building->blocks) > 1 ? $block->name.', ' : '').$edge;
                $openings = array_map(static fn (Opening $o): self => self::opening($o, "$block->id.$edge", $named), $wall->openings);
                $called = count($building->blocks) > 1 ? $named : "the $named wall";
                array_push($walls, self::wall($block, $wall, $called, $openings), ...$openings);
            }
            $found = [...$found, self::block($block, $walls), ...$walls];
        }
        $scaled = array_map(
            static fn (self $k): self => new self(
                $k->key,
                $k->name,
                array_map(static fn (float $mm): float => $mm * $building->shrunk, $k->sizes),
            ),
            $found,
        );

        return array_column(array_map(static fn (self $k): array => [$k->key, $k], $scaled), 1, 0);
    }

    /** Whether it is as it was. */
    public function isLike(self $that): bool
    {
        if (count($this->sizes) !== count($that->sizes)) {
            return false;
        }
        foreach ($this->sizes as $i => $mm) {
            if (abs($mm - $that->sizes[$i]) > Tolerance::MEET) {
                return false;
            }
        }

        return true;
    }

    private static function opening(Opening $opening, string $wall, string $named): self
    {
        $style = $opening->style;
        $row = $opening->count > 1 ? "$opening->count × " : '';

        return new self(
            "$wall.$opening->id",
            sprintf(
                '%s: %s%s, %s × %s',
                $named,
                $row,
                $style->id,
                LengthFormat::imperial($style->w->mm),
                LengthFormat::imperial($style->h->mm),
            ),
            [$opening->count, $style->w->mm, $style->h->mm, $style->riseMm() ?? 0.0],
        );
    }

    /** @param  list<self>  $openings */
    private static function wall(Block $block, Wall $wall, string $called, array $openings): self
    {
        $ring = $block->standing();
        $places = array_map(static fn (Opening $o): array => [$o->leftMm(0), $o->sill->mm], $wall->openings);

        return new self(
            $block->id.'.'.$block->footprint->edges[$wall->edge],
            $called,
            [
                $ring->point($wall->edge)->distanceTo($ring->point($wall->edge + 1)), $block->eaves->mm - $block->base->mm,
                ...array_merge(...$places), ...array_merge(...array_map(static fn (self $o): array => $o->sizes, $openings)),
            ],
        );
    }

    /** @param  list<self>  $walls */
    private static function block(Block $block, array $walls): self
    {
        return new self($block->id, "all of $block->name", array_merge(...array_map(static fn (self $w): array => $w->sizes, $walls)));
    }
}
