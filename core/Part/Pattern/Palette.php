<?php

declare(strict_types=1);

namespace Chartula\Core\Part\Pattern;

/** Colours of units, each with its share of them, as #rrggbb; and by how much single ones are lighter or darker. */
final readonly class Palette
{
    /** One unit in so many is a little lighter or darker, by its place and never by chance. */
    public const TONES = [0.0, 0.06, -0.05, 0.02, -0.08, 0.04, -0.02];

    /**
     * @param  non-empty-list<array{string, float}>  $colours  each with its share; the shares need not add up to anything
     * @param  float  $spread  how many times as much as bricks its units differ
     * @param  ?BrickAccents  $accents  bricks in other colours
     */
    public function __construct(public array $colours, public float $spread = 1.0, public ?BrickAccents $accents = null)
    {
    }

    public static function of(string $colour, float $spread = 1.0): self
    {
        return new self([[$colour, 1.0]], $spread);
    }

    /** @return non-empty-list<string> */
    public function all(): array
    {
        return array_column($this->colours, 0);
    }

    /** Which of its colours is that of a unit, by the unit's number. */
    public function at(int $number): int
    {
        if (count($this->colours) === 1) {
            return 0;
        }
        $left = ($number % 1000) / 1000.0 * array_sum(array_column($this->colours, 1));
        foreach ($this->colours as $i => [, $share]) {
            $left -= $share;
            if ($left < 0.0) {
                return $i;
            }
        }

        return 0;
    }

    /** @return list<array{string, float}> */
    public function toArray(): array
    {
        return array_map(static fn (array $c): array => [$c[0], round($c[1], 4)], $this->colours);
    }
}
