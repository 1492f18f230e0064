<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\Score;
use Chartula\Core\Sheets\Bleed;
use Chartula\Core\Sheets\PlacedPart;

/** Writes on a sheet where there is room: on a piece or beside all of them, never over a cut, a fold, a mark or other words. */
final class SheetWords
{
    /** Places all over the page are so far apart, mm. */
    private const APART = 6.0;

    /** So many corners of a piece are tried for a line to it. */
    private const CORNERS = 3;

    /** Lines to pieces keep so far from a printed face. */
    private const PRINTED_MM = 0.6;

    /** Words to which no line leads are so much nearer to their piece than to any other. */
    private const NEARER_MM = 0.2;

    /** Words keep so far from a tick. */
    private const TICK_MM = 0.2;

    private readonly Room $room;

    /** @var list<Region> the pieces as they lie on the sheet */
    private readonly array $pieces;

    /** @var list<Box2> round each */
    private readonly array $boxes;

    /** @var list<list<array{Vec2, Vec2}>> folds, slits and marks of each piece */
    private array $lines;

    /** @var array<string, list<Vec2>> where on the page words of a width lie beside all pieces */
    private array $free = [];

    /**
     * @param  list<PlacedPart>  $parts  that are written of
     * @param  Box2  $within  where words may lie
     */
    public function __construct(private readonly Drawing $drawing, public readonly array $parts, private readonly Box2 $within)
    {
        $this->pieces = array_map(self::region(...), $parts);
        $this->boxes = array_map(static fn (Region $r): Box2 => $r->outline->bounds(), $this->pieces);
        $this->lines = array_map(self::linesOf(...), $parts);
        $this->room = new Room(
            $within,
            array_map(
                static fn (Region $piece, PlacedPart $p): array => [$piece, $p->part->part->art === null ? 0.0 : Artwork::BLEED_MM],
                $this->pieces,
                $parts,
            ),
        );
        $ticks = [
            ...array_map(FoldTicks::of(...), $parts),
            ...array_map(static fn (PlacedPart $p): array => PrintedMarks::of($p)->ticks, $parts),
        ];
        foreach (array_merge(...$ticks, ...[[]]) as $tick) {
            $box = Box2::around($tick)->grown(self::TICK_MM);
            $this->room->take(Ring::rectangle($box->x0, $box->y0, $box->x1, $box->y1));
        }
    }

    private static function region(PlacedPart $placed): Region
    {
        $ring = static fn (Ring $r): Ring => new Ring(array_map($placed->toSheet(...), $r->points));
        $kept = Bleed::kept($placed->part->part);

        return new Region($ring($kept->outline), array_map($ring, $kept->holes));
    }

    /** @return list<array{Vec2, Vec2}> */
    private static function linesOf(PlacedPart $placed): array
    {
        $part = $placed->part->part;
        $lines = [
            ...array_map(static fn (Score $s): array => [$s->from, $s->to], $part->scores),
            ...$part->slits,
            ...array_merge(...array_map(static fn (Mark $m): array => array_map(
                static fn (int $k): array => [$m->path[$k - 1], $m->path[$k]],
                array_slice(array_keys($m->path), 1),
            ), $part->marks), ...[[]]),
        ];

        return array_map(static fn (array $l): array => [$placed->toSheet($l[0]), $placed->toSheet($l[1])], $lines);
    }

    public function piece(int $i): Region
    {
        return $this->pieces[$i];
    }

    public function box(int $i): Box2
    {
        return $this->boxes[$i];
    }

    /**
     * A dotted mark on a piece, which words keep off.
     *
     * @param  array{Vec2, Vec2}  $line
     */
    public function mark(int $i, array $line): void
    {
        $this->drawing->path(new Path(Layer::Mark, [$line], false, new Stroke(0.15, SheetFurniture::MARK, SheetFurniture::DOTS)));
        $this->lines[$i][] = $line;
    }

    /** Whether words have room on a piece; never on one whose printed face is seen. */
    public function isOn(int $i, SheetWord $word): bool
    {
        $part = $this->parts[$i]->part->part;

        return $part->art === null && ! $part->showsPrint() && $this->hasRoomOn($i, $word);
    }

    /** Whether they have, be it seen or not. */
    public function hasRoomOn(int $i, SheetWord $word): bool
    {
        return $this->room->isOn($this->pieces[$i], $word->box(), $this->lines[$i]);
    }

    public function isBeside(SheetWord $word): bool
    {
        return $this->room->isBeside($word->box());
    }

    /** Whether words stand nearer to what is printed of a piece than to any other, so that nobody takes them for a neighbour's. */
    public function isNearest(int $i, SheetWord $word): bool
    {
        $box = $word->box()->bounds();
        $own = $this->away($i, $box);
        foreach (array_keys($this->pieces) as $k) {
            $mayBe = $k !== $i && $this->boxes[$k]->meets($box->grown($own + Artwork::BLEED_MM));
            if ($mayBe && $this->away($k, $box) < $own + self::NEARER_MM) {
                return false;
            }
        }

        return true;
    }

    private function away(int $i, Box2 $box): float
    {
        $bleed = $this->parts[$i]->part->part->art === null ? 0.0 : Artwork::BLEED_MM;
        $points = [...Ring::rectangle($box->x0, $box->y0, $box->x1, $box->y1)->points, $box->centre()];

        return min(array_map(fn (Vec2 $p): float => $this->pieces[$i]->outline->distanceTo($p), $points)) - $bleed;
    }

    /**
     * A line from words to one of the nearest corners of a piece.
     *
     * @return ?array{Vec2, Vec2} null where it would run over a printed face, or must run clear of all other pieces and does not
     */
    public function lead(SheetWord $word, int $i, bool $isClear): ?array
    {
        $words = $word->box()->bounds();
        $lines = [];
        foreach ($this->pieces[$i]->outline->points as $p) {
            $from = new Vec2(max($words->x0, min($words->x1, $p->x)), max($words->y0, min($words->y1, $p->y)));
            $lines[] = [$from->distanceTo($p), [$from, $p]];
        }
        usort($lines, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        foreach (array_slice($lines, 0, self::CORNERS) as [$length, $line]) {
            if ($this->parts[$i]->part->part->art !== null) {
                $away = min(1.0, (Artwork::BLEED_MM + self::TICK_MM) / max(Tolerance::MEET, $length));
                $line[1] = $line[1]->plus($line[0]->minus($line[1])->times($away));
            }
            if (! $this->runsOver($line, $i, $isClear)) {
                return $line;
            }
        }

        return null;
    }

    /**
     * @param  array{Vec2, Vec2}  $line
     * @param  bool  $isClear  whether what is not printed counts too
     */
    private function runsOver(array $line, int $own, bool $isClear): bool
    {
        $box = Box2::around($line)->grown(self::PRINTED_MM);
        foreach ($this->pieces as $k => $other) {
            $isPrinted = $this->parts[$k]->part->part->art !== null;
            if (! $this->boxes[$k]->meets($box) || ! ($isPrinted || ($isClear && $k !== $own))) {
                continue;
            }
            if (
                $other->index()->isCrossed($line[0], $line[1])
                || $other->contains($line[$k === $own ? 1 : 0])
                || ($isPrinted && self::isNear($other->outline, $line))
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether a line comes nearer to an outline than it may to a printed face.
     *
     * @param  array{Vec2, Vec2}  $line
     */
    private static function isNear(Ring $outline, array $line): bool
    {
        $steps = max(1, (int) ceil($line[0]->distanceTo($line[1]) / self::PRINTED_MM));
        for ($i = 0; $i <= $steps; $i++) {
            if ($outline->distanceTo($line[0]->plus($line[1]->minus($line[0])->times($i / $steps))) < self::PRINTED_MM) {
                return true;
            }
        }

        return false;
    }

    /** @param  array{Vec2, Vec2}  $line */
    public function led(array $line): void
    {
        $this->drawing->line(Layer::Text, $line[0], $line[1], new Stroke(0.1, SheetFurniture::INK, [0.6, 0.6]));
    }

    /** @return list<Vec2> places beside all pieces, all over the page, for words so wide; the nearest first */
    public function everywhere(Vec2 $near, string $text, int $most): array
    {
        $places = array_map(
            static fn (Vec2 $at): array => [$at->distanceTo($near), $at],
            $this->free['of '.mb_strlen($text)] ??= $this->freePlaces($text),
        );
        usort($places, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_slice(array_column($places, 1), 0, $most);
    }

    /** @return list<Vec2> */
    private function freePlaces(string $text): array
    {
        $places = [];
        for ($x = $this->within->x0; $x < $this->within->x1; $x += self::APART) {
            for ($y = $this->within->y0; $y < $this->within->y1; $y += self::APART / 2.0) {
                $word = new SheetWord(new Vec2($x, $y), $text, arrow: new Vec2(0.0, 1.0));
                array_push($places, ...$this->room->isClearOfPieces($word->box()) ? [$word->middle] : []);
            }
        }

        return $places;
    }

    public function write(SheetWord $word): void
    {
        $this->room->take($word->box());
        $base = $word->middle->minus($word->up()->times(0.34 * $word->size));
        if ($word->arrow === null) {
            $this->drawing->text(new Text($base, $word->text, $word->size, 'middle', $word->turn, $word->bold));

            return;
        }
        $along = $word->along();
        $start = $along->times(1.24 * $word->size - $word->width / 2.0);
        $this->drawing->text(new Text($base->plus($start), $word->text, $word->size, 'start', $word->turn, $word->bold));
        $this->arrow($word->middle->plus($along->times(0.5 * $word->size - $word->width / 2.0)), $word->arrow, 0.9 * $word->size);
    }

    private function arrow(Vec2 $middle, Vec2 $up, float $size): void
    {
        $side = new Vec2(-$up->y, $up->x);
        $tip = $middle->plus($up->times($size * 0.5));
        $foot = $middle->minus($up->times($size * 0.5));
        $barb = $tip->minus($up->times($size * 0.35));
        $lines = [[$foot, $tip], [$barb->plus($side->times($size * 0.25)), $tip, $barb->minus($side->times($size * 0.25))]];
        $this->drawing->path(new Path(Layer::Text, $lines, false, new Stroke(0.15, SheetFurniture::INK)));
    }
}
