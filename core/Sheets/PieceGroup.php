<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Packing\Effort;
use Chartula\Core\Packing\Nesting;
use Chartula\Core\Packing\Packing;
use Chartula\Core\Packing\Piece;
use Chartula\Core\Packing\Place;
use Chartula\Core\Recall\Recall;
use Chartula\Core\Stock\Stock;

/** Pieces of one stock that are packed together. */
final class PieceGroup
{
    /** @var array<string, array{SheetPiece, int}> with their copies, by key */
    private array $pieces = [];

    private float $least = INF;

    /** @param  string  $medium  groups of one medium may share a page */
    public function __construct(public readonly Stock $stock, public readonly string $medium)
    {
    }

    public function add(SheetPiece $piece, int $copy): void
    {
        $this->pieces[$piece->part->part->id.'#'.$copy] = [$piece, $copy];
        $this->least = min($this->least, $piece->least());
    }

    public function count(): int
    {
        return count($this->pieces);
    }

    /**
     * @param  float  $share  of the looks that the effort allows
     * @return list<Band> a band a page, and the last no higher than it must be
     */
    public function bands(Page $page, Effort $effort, float $share, Recall $recall): array
    {
        $gap = SheetPiece::keepsHalf($this->stock) ? 0.0 : $page->settings->gap_mm;
        $bin = $page->bin($gap);
        $lots = [];
        foreach (Lot::of(array_values($this->pieces), $bin, $gap) as $lot) {
            $lots[$lot->key()] = $lot;
        }
        $pieces = array_values(array_map(fn (Lot $lot): Piece => $lot->piece($this->least + 2.0 * $gap, $effort), $lots));
        $question = [
            array_map(static fn (Piece $p): array => [$p->key, array_map(static fn ($shape): string => $shape->key, $p->turns)], $pieces),
            $bin, $effort, $share,
        ];
        $places = $recall->of(
            Recall::question('packed', $question),
            static fn (): array => array_map(
                static fn (Place $p): array => [$p->piece->key, $p->bin, $p->turn, $p->x, $p->y],
                Nesting::of($pieces, $bin, $effort, $share)->places,
            ),
        );
        $byKey = array_column($pieces, null, 'key');
        $found = Packing::of(array_map(static fn (array $p): Place => new Place($byKey[$p[0]], $p[1], $p[2], $p[3], $p[4]), $places));

        $bands = array_map(fn (array $all): Band => new Band($this->stock, $this->medium, $all, $lots), $found->byBin());
        // Pages follow the walls of the kit as far as their pieces do.
        $ranks = array_flip(array_keys($lots));
        usort($bands, static fn (Band $a, Band $b): int => $a->rank($ranks) <=> $b->rank($ranks));

        return $bands;
    }

    /** How much of pages these pieces take at the least. docs/formulas.md#packing */
    public function share(Page $page): float
    {
        $gap = SheetPiece::keepsHalf($this->stock) ? 0.0 : $page->settings->gap_mm;

        return array_sum(array_map(static fn (array $p): float => $p[0]->leastArea($gap), $this->pieces)) / $page->bin($gap)->area();
    }
}
