<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** Where on a sheet there is room for words: clear of every cut, of print that shows, and of other words. Millimetres, the sheet's axes. */
final class Room
{
    /** Words keep so far from a cut. */
    private const CLEAR_MM = 0.35;

    /** Pieces and words are looked up in squares of this size. */
    private const CELL_MM = 20.0;

    /** @var list<array{Ring, Box2}> */
    private array $words = [];

    /** @var array<string, list<int>> by square */
    private array $wordsIn = [];

    /** @var list<Box2> round each piece as far as words keep off */
    private readonly array $boxes;

    /** @var array<string, list<int>> by square */
    private array $piecesIn = [];

    /**
     * @param  Box2  $page  the room on the page
     * @param  list<array{Region, float}>  $pieces  as they lie on the sheet, with how far beyond its cuts each is printed
     */
    public function __construct(private readonly Box2 $page, private readonly array $pieces)
    {
        $this->boxes = array_map(static fn (array $p): Box2 => $p[0]->outline->bounds()->grown($p[1] + self::CLEAR_MM), $pieces);
        foreach ($this->boxes as $i => $box) {
            foreach (self::cells($box) as $cell) {
                $this->piecesIn[$cell][] = $i;
            }
        }
    }

    /** @return list<string> the squares into which a box comes */
    private static function cells(Box2 $box): array
    {
        $cells = [];
        for ($x = floor($box->x0 / self::CELL_MM); $x <= floor($box->x1 / self::CELL_MM); $x++) {
            for ($y = floor($box->y0 / self::CELL_MM); $y <= floor($box->y1 / self::CELL_MM); $y++) {
                $cells[] = "$x $y";
            }
        }

        return $cells;
    }

    /**
     * Whether words lie wholly on a piece, no nearer to its edges than may be, and free of other words.
     *
     * @param  Region  $piece  as it lies on the sheet
     * @param  list<array{Vec2, Vec2}>  $lines  more that they must not touch
     */
    public function isOn(Region $piece, Ring $words, array $lines = []): bool
    {
        $box = self::grown($words);
        if (! $piece->contains($box->points[0]) || ! $this->isFree($words)) {
            return false;
        }
        foreach ($box->points as $i => $from) {
            if ($piece->index()->isCrossed($from, $box->point($i + 1))) {
                return false;
            }
        }
        if (self::hasCorner($piece, $box)) {
            return false;
        }
        $around = $box->bounds();
        foreach ($lines as [$a, $b]) {
            if (self::touches($box, $around, $a, $b)) {
                return false;
            }
        }

        return true;
    }

    /** Whether words stand on the page beside everything. */
    public function isBeside(Ring $words): bool
    {
        $box = $words->bounds();
        if ($box->x0 < $this->page->x0 || $box->x1 > $this->page->x1 || $box->y0 < $this->page->y0 || $box->y1 > $this->page->y1) {
            return false;
        }

        return $this->isFree($words) && $this->isClearOfPieces($words);
    }

    /** Whether words on the page would lie beside all pieces, whatever else is written. */
    public function isClearOfPieces(Ring $words): bool
    {
        $box = $words->bounds();
        foreach (self::cells($box) as $cell) {
            foreach ($this->piecesIn[$cell] ?? [] as $i) {
                [$piece, $bleed] = $this->pieces[$i];
                if ($this->boxes[$i]->meets($box) && self::comesInto($piece, self::grown($words, $bleed))) {
                    return false;
                }
            }
        }

        return true;
    }

    /** Whether some of a box lies on a piece: an edge crosses it, or the whole of it does. */
    private static function comesInto(Region $piece, Ring $box): bool
    {
        foreach ($box->points as $i => $from) {
            if ($piece->contains($from) || $piece->index()->isCrossed($from, $box->point($i + 1))) {
                return true;
            }
        }

        return self::hasCorner($piece, $box);
    }

    /** Whether a corner of a piece lies in a box. */
    private static function hasCorner(Region $piece, Ring $box): bool
    {
        foreach ($piece->index()->in($box->bounds()) as [$x, $y]) {
            if ($box->contains(new Vec2($x, $y))) {
                return true;
            }
        }

        return false;
    }

    public function take(Ring $words): void
    {
        foreach (self::cells($words->bounds()->grown(self::CLEAR_MM)) as $cell) {
            $this->wordsIn[$cell][] = count($this->words);
        }
        $this->words[] = [$words, $words->bounds()];
    }

    private function isFree(Ring $words): bool
    {
        $own = $words->bounds();
        foreach (self::cells($own) as $cell) {
            foreach ($this->wordsIn[$cell] ?? [] as $i) {
                [$other, $box] = $this->words[$i];
                if ($box->meets($own) && self::meet($other, $words)) {
                    return false;
                }
            }
        }

        return true;
    }

    /** Two boxes, each turned as it may be. */
    private static function meet(Ring $a, Ring $b): bool
    {
        if ($a->contains($b->points[0]) || $b->contains($a->points[0])) {
            return true;
        }
        $around = $b->bounds();
        foreach ($a->points as $i => $p) {
            if (self::touches($b, $around, $p, $a->point($i + 1))) {
                return true;
            }
        }

        return false;
    }

    private static function touches(Ring $box, Box2 $around, Vec2 $a, Vec2 $b): bool
    {
        $isAside = max($a->x, $b->x) < $around->x0 || min($a->x, $b->x) > $around->x1;
        if ($isAside || max($a->y, $b->y) < $around->y0 || min($a->y, $b->y) > $around->y1) {
            return false;
        }
        foreach ($box->points as $i => $p) {
            if (Ring::segmentsMeet($a, $b, $p, $box->point($i + 1))) {
                return true;
            }
        }

        return $box->contains($a);
    }

    private static function grown(Ring $box, float $more = 0.0): Ring
    {
        [$a, $b, $d] = [$box->points[0], $box->point(1), $box->point(3)];
        [$along, $up] = [$b->minus($a), $d->minus($a)];
        $along = $along->times((self::CLEAR_MM + $more) / $along->length());
        $up = $up->times((self::CLEAR_MM + $more) / $up->length());
        [$c, $p, $q] = [$box->point(2), $along->plus($up), $along->minus($up)];

        return new Ring([$a->minus($p), $b->plus($q), $c->plus($p), $d->minus($q)]);
    }
}
