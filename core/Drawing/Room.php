<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** Where on a sheet there is room for words: clear of every cut, of print that shows, and of other words. Millimetres, the sheet's axes. */
final class Room
{
    /** Words keep so far from a cut. */
    private const CLEAR_MM = 0.35;

    /** @var list<array{Ring, Box2}> */
    private array $words = [];

    /** @var list<Box2> round each piece as far as words keep off */
    private readonly array $boxes;

    /**
     * @param  Box2  $page  the room on the page
     * @param  list<array{Region, float}>  $pieces  as they lie on the sheet, with how far beyond its cuts each is printed
     */
    public function __construct(private readonly Box2 $page, private readonly array $pieces)
    {
        $this->boxes = array_map(static fn (array $p): Box2 => $p[0]->outline->bounds()->grown($p[1] + self::CLEAR_MM), $pieces);
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
        if (! $piece->contains($box->points[0])) {
            return false;
        }
        foreach ($box->points as $i => $from) {
            if ($piece->index()->isCrossed($from, $box->point($i + 1))) {
                return false;
            }
        }
        foreach ($piece->rings() as $ring) {
            foreach ($ring->points as $p) {
                if ($box->contains($p)) {
                    return false;
                }
            }
        }
        foreach ($lines as [$a, $b]) {
            if (self::touches($box, $a, $b)) {
                return false;
            }
        }

        return $this->isFree($words);
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
        foreach ($this->boxes as $i => $taken) {
            if ($taken->meets($box) && self::comesInto($this->pieces[$i][0], self::grown($words, $this->pieces[$i][1]))) {
                return false;
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
        foreach ($piece->rings() as $ring) {
            if ($box->contains($ring->points[0])) {
                return true;
            }
        }

        return false;
    }

    public function take(Ring $words): void
    {
        $this->words[] = [$words, $words->bounds()];
    }

    private function isFree(Ring $words): bool
    {
        $own = $words->bounds();
        foreach ($this->words as [$other, $box]) {
            if ($box->meets($own) && self::meet($other, $words)) {
                return false;
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
        foreach ($a->points as $i => $p) {
            if (self::touches($b, $p, $a->point($i + 1))) {
                return true;
            }
        }

        return false;
    }

    private static function touches(Ring $box, Vec2 $a, Vec2 $b): bool
    {
        foreach ($box->points as $i => $p) {
            if (Ring::segmentsMeet($a, $b, $p, $box->point($i + 1))) {
                return true;
            }
        }

        return $box->contains($a);
    }

    private static function grown(Ring $box, float $more = 0.0): Ring
    {
        return Offset::lines($box, array_fill(0, $box->count(), self::CLEAR_MM + $more));
    }
}
