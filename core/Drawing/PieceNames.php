<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\PrintedArt;
use Chartula\Core\Sheets\PlacedPart;

/** Names of pieces with their arrows: on a piece where that is hidden later, beside it where it shows or has no room. */
final readonly class PieceNames
{
    /** Sizes of names on pieces, the largest that has room, mm. */
    private const SIZES = [2.8, 2.4, 2.0];

    /** Names beside a piece are looked for so far off, mm, and are led to it from farther than the first. */
    private const AWAY = [0.4, 3.0, 6.0, 10.0];

    /** So many of the places all over the page are tried, the nearest. */
    private const NEAREST = 60;

    /** So many places on a piece are tried for its name. */
    private const TRIED = 24;

    /** @param  array<string, int>  $turns  when each piece's outline is cut, by id and copy, from 1 */
    public function __construct(private SheetWords $words, private Mates $mates, private array $turns)
    {
    }

    public function draw(): void
    {
        $beside = [];
        foreach ($this->words->parts as $i => $placed) {
            if ($placed->part->part->art !== null || ! $this->on($i, $placed)) {
                $beside[] = $i;
            }
        }
        // What is small has fewest places.
        $isThing = fn (int $i): bool => $this->words->parts[$i]->part->part->art instanceof PrintedArt;
        foreach ([...array_filter($beside, $isThing), ...array_filter($beside, static fn (int $i): bool => ! $isThing($i))] as $i) {
            $this->beside($i, $this->words->parts[$i]);
        }
    }

    private static function name(PlacedPart $placed): string
    {
        return $placed->part->label.($placed->part->like === null ? '' : ' '.$placed->part->like).($placed->isSpare() ? ' spare' : '');
    }

    /** @return non-empty-list<string> what is said after the name, the longest first */
    private function more(PlacedPart $placed): array
    {
        $part = $placed->part->part;
        $turn = 'outline '.$this->turns[$part->id.'#'.$placed->copy];
        $on = $this->mates->carriers($part->id, $placed->standsFor());
        $on = $on === [] ? '' : ', on '.implode(', ', $on);
        $out = self::out($placed);

        return ["$part->name$on$out, $turn", "$part->name$on$out", "$part->name$out", $turn];
    }

    /** What is printed on its outside, where others are on the back, says so. */
    private static function out(PlacedPart $placed): string
    {
        return $placed->part->part->showsPrint() ? ', out' : '';
    }

    private static function up(PlacedPart $placed): Vec2
    {
        return $placed->toSheet(new Vec2(0.0, 1.0))->minus($placed->toSheet(new Vec2(0.0, 0.0)));
    }

    private function on(int $i, PlacedPart $placed): bool
    {
        $box = $this->words->box($i);
        $middles = $this->middles($i);
        foreach (self::SIZES as $size) {
            $width = SheetWord::widthOf(self::name($placed), $size, true, true);
            // Where it is longer than the piece nothing need be tried.
            $turns = [...($width < $box->width() ? [0.0] : []), ...($width < $box->height() ? [90.0] : [])];
            foreach ($middles as $middle) {
                foreach ($turns as $turn) {
                    $word = new SheetWord($middle, self::name($placed), $turn, $size, self::up($placed), true);
                    if ($this->words->isOn($i, $word)) {
                        $this->words->write($word);
                        $this->moreOn($i, $word);

                        return true;
                    }
                }
            }
        }

        return false;
    }

    /** Under the name or over it. */
    private function moreOn(int $i, SheetWord $name): void
    {
        foreach ($this->more($this->words->parts[$i]) as $text) {
            foreach ([-1.0, 1.0] as $side) {
                $at = $name->middle->plus($name->up()->times($side * (0.55 * $name->size + 0.75 * SheetWord::SMALL)));
                $word = new SheetWord($at, $text, $name->turn);
                if ($this->words->isOn($i, $word)) {
                    $this->words->write($word);

                    return;
                }
            }
        }
    }

    /** @return list<Vec2> places on a piece where its name may stand, the roomiest first */
    private function middles(int $i): array
    {
        $found = [];
        foreach ($this->words->piece($i)->trapezoids() as $piece) {
            $box = $piece->bounds();
            if (min($box->width(), $box->height()) < SheetWord::SMALL / 2.0) {
                continue;
            }
            foreach ([0.5, 0.3, 0.7] as $share) {
                $middle = new Vec2($box->centre()->x, $box->y0 + $share * $box->height());
                $found[] = [-min($box->width(), 30.0) * min($box->height(), 8.0), $middle];
            }
        }
        usort($found, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_slice(array_column($found, 1), 0, self::TRIED);
    }

    /** All that may be said or the name alone; from farther off a line leads to it. */
    private function beside(int $i, PlacedPart $placed): void
    {
        $own = $this->words->box($i)->grown($placed->part->part->art === null ? 0.0 : Artwork::BLEED_MM);
        $name = self::name($placed);
        $least = $name.self::out($placed);
        $all = [...array_map(static fn (string $more): string => "$name $more", array_slice($this->more($placed), 0, 3)), $least];
        foreach (self::AWAY as $away) {
            foreach ($all as $text) {
                $width = SheetWord::widthOf($text, hasArrow: true);
                foreach (self::around($own, $away, $width) as [$middle, $turn]) {
                    // What is longer than the side it stands at would seem to be a neighbour's.
                    if ($text !== $least && $width > 1.1 * ($turn === 0.0 ? $own->width() : $own->height())) {
                        continue;
                    }
                    $word = new SheetWord($middle, $text, $turn, arrow: self::up($placed));
                    if ($this->isWritten($i, $word, $away > self::AWAY[0], true)) {
                        return;
                    }
                }
            }
        }
        // Where it is crowded, the nearest free place on the page; at the worst the line to it runs over others.
        $places = $this->words->everywhere($own->centre(), $name, self::NEAREST);
        foreach ([true, false] as $isClear) {
            foreach ($places as $middle) {
                if ($this->isWritten($i, new SheetWord($middle, $name, arrow: self::up($placed)), true, $isClear)) {
                    return;
                }
            }
        }
    }

    /** @param  bool  $isClear  whether the line that leads to the words must keep off other pieces */
    private function isWritten(int $i, SheetWord $word, bool $isLed, bool $isClear): bool
    {
        if (! $this->words->isBeside($word)) {
            return false;
        }
        $line = $isLed ? $this->words->lead($word, $i, $isClear) : null;
        if ($isLed ? $line === null : ! $this->words->isNearest($i, $word)) {
            return false;
        }
        $this->words->write($word);
        if ($line !== null) {
            $this->words->led($line);
        }

        return true;
    }

    /**
     * Middles of words so far from a box, and how they are turned: below, above, along its sides, at its sides.
     *
     * @return list<array{Vec2, float}>
     */
    private static function around(Box2 $own, float $away, float $width): array
    {
        $high = SheetWord::SMALL * SheetWord::HIGH / 2.0;
        $middles = [];
        foreach ([$own->y0 - $away - $high, $own->y1 + $away + $high] as $y) {
            foreach ([0.5, 0.0, 1.0, 0.25, 0.75] as $share) {
                $middles[] = [new Vec2($own->x0 + $share * $own->width(), $y), 0.0];
            }
            array_push($middles, [new Vec2($own->x0 + $width / 2.0, $y), 0.0], [new Vec2($own->x1 - $width / 2.0, $y), 0.0]);
        }
        foreach ([$own->x1 + $away + $high, $own->x0 - $away - $high] as $x) {
            $middles[] = [new Vec2($x, $own->centre()->y), 90.0];
        }
        foreach ([$own->x1 + $away + $width / 2.0, $own->x0 - $away - $width / 2.0] as $x) {
            foreach ([0.5, 0.1, 0.9] as $share) {
                $middles[] = [new Vec2($x, $own->y0 + $share * $own->height()), 0.0];
            }
        }

        return $middles;
    }
}
