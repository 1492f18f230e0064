<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\MarkKind;
use Chartula\Core\Part\Part;
use Chartula\Core\Sheets\Bleed;
use Chartula\Core\Sheets\PlacedPart;

/**
 * What is printed of a piece's marks, on the sheet. On a face that will be seen only what another block or the next paper hides; where
 * a line runs out at an edge that shows, a tick beyond all that is printed. On the back of a card whose face it is for, rings where it
 * is pricked through.
 */
final readonly class PrintedMarks
{
    private const RING_MM = 0.45;

    private const RING_CORNERS = 12;

    private const UNDER_MM = 0.1;

    /** On a lap lines keep so far from the fold. */
    private const ROUND_MM = 0.3;

    /**
     * @param  list<non-empty-list<Vec2>>  $lines  dotted
     * @param  list<non-empty-list<Vec2>>  $ticks  drawn through
     * @param  list<array{array{Vec2, Vec2}, string, bool}>  $words  along what; whether they stand on the face, to the right of it
     */
    private function __construct(public array $lines, public array $ticks, public array $words)
    {
    }

    public static function of(PlacedPart $placed): self
    {
        $part = $placed->part->part;
        $lines = $ticks = $words = [];
        foreach ($part->marks as $mark) {
            $isSeen = $part->art !== null && $mark->kind !== MarkKind::Seat;
            $on = array_map($placed->toSheet(...), $part->art === null || $isSeen ? $mark->path : self::under($mark));
            array_push($lines, ...$isSeen ? array_map(
                static fn (array $line): array => array_map($placed->toSheet(...), $line),
                self::onLaps($part, $mark),
            ) : [$on]);
            $own = $isSeen ? array_map(
                static fn (array $tick): array => [$placed->toSheet($tick[0]), $placed->toSheet($tick[1])],
                self::beyond($part, $mark),
            ) : [];
            array_push($ticks, ...$own, ...$placed->mirrored && self::isForTheFace($mark) ? self::rings($on) : []);
            foreach ($mark->text === '' ? [] : ($isSeen ? $own : [[$on[0], $on[count($on) - 1]]]) as $line) {
                $words[] = [$line, $mark->text, $part->art !== null && ! $isSeen];
            }
        }

        return new self($lines, $ticks, $words);
    }

    /** @return non-empty-list<Vec2> so far to the right that the line's edge is where the roof's underside will be */
    private static function under(Mark $mark): array
    {
        $way = $mark->path[count($mark->path) - 1]->minus($mark->path[0]);
        $right = (new Vec2($way->y, -$way->x))->times(self::UNDER_MM / $way->length());

        return array_map(static fn (Vec2 $p): Vec2 => $p->plus($right), $mark->path);
    }

    private static function isForTheFace(Mark $mark): bool
    {
        return in_array($mark->kind, [MarkKind::Seat, MarkKind::Plinth, MarkKind::Ground, MarkKind::Course], true);
    }

    /** @return list<array{Vec2, Vec2}> */
    private static function onLaps(Part $part, Mark $mark): array
    {
        [$from, $to] = [$mark->path[0], $mark->path[count($mark->path) - 1]];
        $art = $part->art;
        $lines = [];
        foreach ($art === null || $from->x === $to->x ? [] : [[$art->ends()[0], -1.0], [$art->ends()[1], 1.0]] as [$quoin, $way]) {
            $fold = ($art?->receding()?->at(new Vec2($quoin, 0.0))->x ?? $quoin) + $way * self::ROUND_MM;
            $end = ($from->x - $to->x) * $way > 0.0 ? $from : $to;
            if (($end->x - $fold) * $way > self::ROUND_MM) {
                $share = ($fold - $from->x) / ($to->x - $from->x);
                $lines[] = [$from->plus($to->minus($from)->times($share)), $end];
            }
        }

        return $lines;
    }

    /** @return list<array{Vec2, Vec2}> ticks where a mark runs out of the piece at one of its ends */
    private static function beyond(Part $part, Mark $mark): array
    {
        [$from, $to] = [$mark->path[0], $mark->path[count($mark->path) - 1]];
        $box = $part->outline->ring->bounds();
        $ticks = [];
        foreach ([[$to, $from], [$from, $to]] as [$begin, $end]) {
            $out = $end->minus($begin)->times(1.0 / $end->distanceTo($begin));
            if (min(abs($end->x - $box->x0), abs($end->x - $box->x1)) < Tolerance::MEET) {
                $far = max(Artwork::BLEED_MM, Bleed::beyond($part, $end, $out));
                $ticks[] = [$end->plus($out->times($far)), $end->plus($out->times($far + Artwork::TICK_MM))];
            }
        }

        return $ticks;
    }

    /**
     * @param  non-empty-list<Vec2>  $path
     * @return list<non-empty-list<Vec2>> round its ends
     */
    private static function rings(array $path): array
    {
        $rings = [];
        foreach ([$path[0], $path[count($path) - 1]] as $end) {
            $rings[] = array_map(
                static fn (int $i): Vec2 => $end->plus((new Vec2(
                    cos(2.0 * M_PI * $i / self::RING_CORNERS),
                    sin(2.0 * M_PI * $i / self::RING_CORNERS),
                ))->times(self::RING_MM)),
                range(0, self::RING_CORNERS),
            );
        }

        return $rings;
    }
}
