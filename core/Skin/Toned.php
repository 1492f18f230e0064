<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Part\Pattern\Palette;

/** The colours of units: which of a palette, and a little lighter or darker, by their places. */
final readonly class Toned
{
    /** @var non-empty-list<string> */
    public array $tones;

    public function __construct(private Palette $palette)
    {
        $tones = array_map(static fn (string $colour): array => array_map(
            static fn (float $by): string => Shade::of($colour, $by * $palette->spread),
            Palette::TONES,
        ), [...$palette->all(), ...$palette->accents?->colours() ?? []]);
        $this->tones = array_merge(...$tones);
    }

    /** What the unit at a place is chosen by. */
    public static function number(int $column, int $row): int
    {
        return crc32("$column,$row");
    }

    /** Which of them a brick has that is in the colour of an accent. */
    public function accent(int $which, int $column, int $row): int
    {
        $count = count(Palette::TONES);

        return (count($this->palette->all()) + $which) * $count + self::number($column, $row) % $count;
    }

    /** Which of them the unit at a place has. */
    public function at(int $column, int $row): int
    {
        $number = self::number($column, $row);
        $count = count(Palette::TONES);

        return $this->palette->at(intdiv($number, $count)) * $count + $number % $count;
    }
}
