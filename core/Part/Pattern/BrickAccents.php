<?php

declare(strict_types=1);

namespace Chartula\Core\Part\Pattern;

/** Bricks in other colours than the rest: lozenges, bands, burnt headers, in this order. Colours as #rrggbb. */
final readonly class BrickAccents
{
    /**
     * @param  ?array{string, int}  $diaper  so many half bricks wide
     * @param  ?array{string, int, int}  $bands  every so many courses, so many high
     * @param  ?array{string, float}  $burnt  headers, and which share of them
     */
    public function __construct(public ?array $diaper, public ?array $bands, public ?array $burnt)
    {
    }

    /** @return list<string> */
    public function colours(): array
    {
        return array_values(array_map(
            static fn (array $one): string => $one[0],
            array_filter([$this->diaper, $this->bands, $this->burnt], static fn (?array $one): bool => $one !== null),
        ));
    }

    /**
     * Which of its colours a brick has; null where it is as all the others.
     *
     * @param  int  $half  where it begins, in half bricks
     * @param  int  $halves  how many of them it covers
     * @param  int  $number  by which headers that are burnt are chosen
     */
    public function of(int $course, int $half, int $halves, int $number): ?int
    {
        $which = match (true) {
            $this->diaper !== null && $this->isOnLozenge($course, $half, $halves, $this->diaper[1]) => $this->diaper[0],
            $this->bands !== null && self::rest($course, $this->bands[1]) < $this->bands[2] => $this->bands[0],
            $this->burnt !== null && $halves === 1 && $number % 1000 < 1000.0 * $this->burnt[1] => $this->burnt[0],
            default => null,
        };
        $at = $which === null ? false : array_search($which, $this->colours(), true);

        return $at === false ? null : (int) $at;
    }

    /** Lines go up to both sides by half a brick a course. */
    private function isOnLozenge(int $course, int $half, int $halves, int $across): bool
    {
        for ($at = $half; $at < $half + max(1, $halves); $at++) {
            if (self::rest($at + $course, $across) === 0 || self::rest($at - $course, $across) === 0) {
                return true;
            }
        }

        return false;
    }

    private static function rest(int $number, int $by): int
    {
        return ($number % $by + $by) % $by;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return array_filter(['diaper' => $this->diaper, 'bands' => $this->bands, 'burnt' => $this->burnt]);
    }
}
