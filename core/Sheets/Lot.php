<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Packing\Bin;
use Chartula\Core\Packing\Effort;
use Chartula\Core\Packing\Piece;
use Chartula\Core\Packing\Place;
use Chartula\Core\Packing\Shape;

/**
 * What is packed as one: a piece by itself, or strips of one width in rows, so that a rule or a cutter is set once for all of them.
 * docs/formulas.md#packing
 */
final readonly class Lot
{
    /** So much of a page strips take together; more are two lots. */
    private const MOST = 0.25;

    /** @param  non-empty-list<array{SheetPiece, int}>  $pieces  with their copies; strips from the longest */
    private function __construct(private array $pieces, private Bin $bin, private float $gap)
    {
    }

    /**
     * @param  list<array{SheetPiece, int}>  $pieces  of one stock, with their copies
     * @param  float  $gap  between two cuts
     * @return list<self>
     */
    public static function of(array $pieces, Bin $bin, float $gap): array
    {
        $lots = $strips = [];
        foreach ($pieces as $piece) {
            if ($piece[0]->isStrip()) {
                $strips[$piece[0]->gauge()][] = $piece;
            } else {
                $lots[] = new self([$piece], $bin, $gap);
            }
        }
        foreach ($strips as $alike) {
            usort($alike, static fn (array $a, array $b): int => $b[0]->length() <=> $a[0]->length());
            while ($alike !== []) {
                $count = count($alike);
                do {
                    $lot = new self(array_slice($alike, 0, $count), $bin, $gap);
                } while (--$count >= 1 && ! $lot->isSound());
                $alike = array_slice($alike, count($lot->pieces));
                $lots[] = $lot;
            }
        }

        return $lots;
    }

    private function isSound(): bool
    {
        foreach ($this->turns() as $turn) {
            $box = $this->boxes($turn)[1];
            if ($box[0] <= $this->bin->width && $box[1] <= $this->bin->height && self::MOST * $this->bin->area() >= $box[0] * $box[1]) {
                return true;
            }
        }

        return false;
    }

    public function key(): string
    {
        [$piece, $copy] = $this->pieces[0];

        return $piece->part->part->id."#$copy".(count($this->pieces) > 1 ? ' and '.(count($this->pieces) - 1) : '');
    }

    /** @param  float  $hole  nothing is put into openings narrower than this */
    public function piece(float $hole, Effort $effort): Piece
    {
        if (count($this->pieces) === 1) {
            return $this->pieces[0][0]->piece($this->pieces[0][1], $hole, $effort);
        }
        $turns = [];
        foreach ($this->turns() as $turn) {
            [$boxes, $size] = $this->boxes($turn);
            $rings = array_map(static fn (array $b): Region => new Region(Ring::rectangle(...$b)), $boxes);
            $turns[$turn] = $effort === Effort::Quick ? Shape::box(...$size) : Shape::of($rings);
        }
        assert($turns !== []);

        return new Piece($this->key(), $turns);
    }

    /**
     * @param  float  $x  of the lower left of the bin on the page
     * @return non-empty-list<PlacedPart>
     */
    public function placed(Place $place, float $x, float $y): array
    {
        if (count($this->pieces) === 1) {
            return [$this->pieces[0][0]->placed($place, $this->pieces[0][1], $x, $y)];
        }
        $boxes = $this->boxes($place->turn)[0];

        return array_map(
            static fn (array $piece, array $box): PlacedPart =>
                $piece[0]->at($place->turn === 0, $piece[1], $x + $place->x + $box[0], $y + $place->y + $box[1]),
            $this->pieces,
            $boxes,
        );
    }

    /** @return list<0|90> lying and standing, as far as the bin is long enough */
    private function turns(): array
    {
        $longest = $this->pieces[0][0]->length();

        return [...$longest <= $this->bin->width ? [0] : [], ...$longest <= $this->bin->height ? [90] : []];
    }

    /**
     * Rows of strips that lie, or columns of those that stand, each strip in the first that is not full.
     *
     * @return array{non-empty-list<array{float, float, float, float}>, array{float, float}} what each takes, and how large all are
     */
    private function boxes(int $turn): array
    {
        $limit = $turn === 0 ? $this->bin->width : $this->bin->height;
        $boxes = $rows = [];
        [$most, $apart] = [0.0, 0.0];
        foreach ($this->pieces as [$piece]) {
            [$width, $height] = $piece->size($turn === 0);
            [$along, $apart] = $turn === 0 ? [$width, $height] : [$height, $width];
            $row = 0;
            while (($rows[$row] ?? 0.0) > 0.0 && $limit < $rows[$row] + $along) {
                $row++;
            }
            [$from, $aside] = [$rows[$row] ?? 0.0, $row * ($apart + $this->gap)];
            $rows[$row] = $from + $along + $this->gap;
            $most = max($most, $from + $along);
            $boxes[] = $turn === 0
                ? [$from, $aside, $from + $width, $aside + $height]
                : [$aside, $from, $aside + $width, $from + $height];
        }
        $across = count($rows) * ($apart + $this->gap) - $this->gap;

        return [$boxes, $turn === 0 ? [$most, $across] : [$across, $most]];
    }
}
