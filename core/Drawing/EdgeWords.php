<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Sheets\PlacedPart;

/** What every piece of card meets: along its edges by name, and on the face that is printed where others stand, with its bevels. */
final class EdgeWords
{
    /** Sides that turn by less than 30° are one curve: the cosine of that. */
    private const STRAIGHT = 0.866;

    /** Where along an edge its words may stand, and how far from it, mm. */
    private const PLACES = [0.5, 0.35, 0.65, 0.2, 0.8];

    private const OFF = [0.5, 2.5];

    /** Words under a line that hides them keep so far within its ends: as far as they reach down from it. */
    private const HIDDEN = 3.0;

    /** @var list<list<array{array{Vec2, Vec2}, string}>> what stands on each piece, and where */
    private array $stood;

    /** Draws the marks on the pieces, before anything is written there. */
    public function __construct(private readonly SheetWords $words, private readonly Mates $mates)
    {
        $parts = $words->parts;
        $this->stood = array_map($this->stood(...), array_keys($parts), $parts);
    }

    public function draw(): void
    {
        foreach ($this->words->parts as $i => $placed) {
            if ($placed->part->part->art === null) {
                $this->mates($i, $placed);
                $this->bevels($i, $placed);
            }
            $this->marks($i, $placed);
            foreach ($this->stood[$i] as [$line, $label]) {
                $this->beside($i, $line, $label, [1.0, -1.0]);
            }
        }
    }

    private function mates(int $i, PlacedPart $placed): void
    {
        $ring = $placed->part->part->outline->blank();
        $words = array_map(
            static fn (array $labels): string => implode(', ', $labels),
            $this->mates->along($placed->part->part->id, $placed->standsFor()),
        );
        ksort($words);
        foreach (self::runs($words, $ring) as [$edge, $said]) {
            $line = [$placed->toSheet($ring->point($edge)), $placed->toSheet($ring->point($edge + 1))];
            $this->beside($i, $line, $said, self::inwards($placed));
        }
    }

    /** @return non-empty-list<float> the sides of an edge: first the one on which its piece lies */
    private static function inwards(PlacedPart $placed): array
    {
        return $placed->mirrored ? [-1.0, 1.0] : [1.0, -1.0];
    }

    /** At each bevel by how much it is off square, and on which face it is shorter. */
    private function bevels(int $i, PlacedPart $placed): void
    {
        $outline = $placed->part->part->outline;
        foreach ($placed->part->part->bevels() as $bevel) {
            $shorter = $bevel->longer === 'outside' ? 'inside' : 'outside';
            $ring = $outline->face($shorter);
            $line = [$placed->toSheet($ring->point($bevel->edge)), $placed->toSheet($ring->point($bevel->edge + 1))];
            $words = LengthFormat::trimmed($bevel->degrees, 1)."° off the $shorter";
            if ($line[0]->distanceTo($line[1]) > SheetWord::widthOf($words)) {
                $this->beside($i, $line, $words, self::inwards($placed));
            }
        }
    }

    /** What is marked on a piece, by its words; once, at the longest, where several lines mark the same. */
    private function marks(int $i, PlacedPart $placed): void
    {
        $longest = [];
        foreach (PrintedMarks::of($placed)->words as [$line, $text, $isHidden]) {
            $length = $line[0]->distanceTo($line[1]);
            if ($length > ($longest[$text][0] ?? 0.0)) {
                $longest[$text] = [$length, $line, $isHidden];
            }
        }
        foreach ($longest as $text => [$length, $line, $isHidden]) {
            if (! $isHidden) {
                $this->beside($i, $line, (string) $text, [1.0, -1.0]);
            } elseif (SheetWord::widthOf((string) $text) + 2.0 * self::HIDDEN <= $length) {
                // On a face that is seen nothing but what the block to the right of the line hides.
                $this->on($i, $line, (string) $text);
            }
        }
    }

    /** @param  array{Vec2, Vec2}  $line */
    private function on(int $i, array $line, string $text): void
    {
        $along = $line[1]->minus($line[0])->times(1.0 / $line[0]->distanceTo($line[1]));
        $right = new Vec2($along->y, -$along->x);
        $spare = 0.5 - (SheetWord::widthOf($text) / 2.0 + self::HIDDEN) / $line[0]->distanceTo($line[1]);
        foreach ([0.0, -0.5, 0.5, -1.0, 1.0] as $aside) {
            $middle = $line[0]->plus($line[1]->minus($line[0])->times(0.5 + $aside * $spare));
            $at = $middle->plus($right->times(self::OFF[0] + SheetWord::SMALL * SheetWord::HIGH / 2.0));
            $word = new SheetWord($at, $text, self::turn($along));
            if ($this->words->hasRoomOn($i, $word)) {
                $this->words->write($word);

                return;
            }
        }
    }

    /**
     * Of sides that follow one another and meet the same, as round a curved head, the one in the middle.
     *
     * @param  array<int, string>  $words  by edge, in order
     * @return list<array{int, string}>
     */
    private static function runs(array $words, Ring $ring): array
    {
        $way = static fn (int $edge): Vec2 => $ring->point($edge + 1)->minus($ring->point($edge));
        $isOne = static fn (int $one, int $next): bool => isset($words[$one]) && $words[$one] === ($words[$next] ?? null)
            && $way($one)->dot($way($next)) > self::STRAIGHT * $way($one)->length() * $way($next)->length();
        $runs = [];
        $first = 0;
        foreach ($words as $edge => $said) {
            $first = $isOne($edge - 1, $edge) ? $first : $edge;
            if (! $isOne($edge, $edge + 1)) {
                $runs[] = [intdiv($first + $edge, 2), $said];
            }
        }

        return $runs;
    }

    /**
     * Draws where others stand on the face that is printed.
     *
     * @return list<array{array{Vec2, Vec2}, string}> each line, with the label of what stands there
     */
    private function stood(int $i, PlacedPart $placed): array
    {
        $part = $placed->part->part;
        $face = $placed->mirrored ? 'inside' : 'outside';
        $drawn = [];
        foreach ($part->art !== null ? [] : $this->mates->on($part->id, $placed->standsFor(), $face) as [$label, $from, $to]) {
            $frame = $part->placements[$placed->standsFor()];
            $line = [$placed->toSheet($frame->project($from)), $placed->toSheet($frame->project($to))];
            if ($line[0]->distanceTo($line[1]) >= SheetWord::SMALL) {
                $this->words->mark($i, $line);
                $drawn[] = [$line, $label];
            }
        }

        return $drawn;
    }

    /**
     * Words along a line, on one side of it or the other.
     *
     * @param  array{Vec2, Vec2}  $line
     * @param  non-empty-list<float>  $sides  of it: 1 for its left
     */
    private function beside(int $i, array $line, string $text, array $sides): void
    {
        [$a, $b] = $line;
        $along = $b->minus($a)->times(1.0 / max($a->distanceTo($b), Tolerance::MEET));
        $left = new Vec2(-$along->y, $along->x);
        // Beside a line that is shorter than the type is high there is room only past its ends.
        $past = SheetWord::SMALL / max($a->distanceTo($b), Tolerance::MEET);
        $places = $past < 1.0 ? self::PLACES : [...self::PLACES, 0.5 - $past, 0.5 + $past, 0.5 - 2.0 * $past, 0.5 + 2.0 * $past];
        // Along the line, or where that is too short, square to it; close by, or a little off.
        foreach (self::OFF as $off) {
            foreach ([[$along, SheetWord::SMALL * SheetWord::HIGH / 2.0], [$left, SheetWord::widthOf($text) / 2.0]] as [$reads, $out]) {
                foreach ($sides as $side) {
                    foreach ($places as $share) {
                        $at = $a->plus($b->minus($a)->times($share))->plus($left->times($side * ($off + $out)));
                        if ($this->isWritten($i, new SheetWord($at, $text, self::turn($reads)))) {
                            return;
                        }
                    }
                }
            }
        }
    }

    private function isWritten(int $i, SheetWord $word): bool
    {
        $hasRoom = $this->words->isOn($i, $word) || $this->words->isBeside($word);
        if ($hasRoom) {
            $this->words->write($word);
        }

        return $hasRoom;
    }

    /** Words are read from below or from the right. */
    private static function turn(Vec2 $way): float
    {
        $isForward = $way->x > Tolerance::ROUNDING || (abs($way->x) <= Tolerance::ROUNDING && $way->y > 0.0);

        return rad2deg($isForward ? atan2($way->y, $way->x) : atan2(-$way->y, -$way->x));
    }
}
