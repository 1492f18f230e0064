<?php

declare(strict_types=1);

namespace Chartula\Core\Stock;

/** A material as it lies on the bench. Sheet sizes and thickness in millimetres. */
final readonly class Stock
{
    public const KINDS = ['board', 'card', 'paper', 'sheet'];

    public const LONGEST_NAME = 60;

    /**
     * @param  'board'|'bought'|'card'|'paper'|'sheet'  $kind  bought: it comes as it is, and lies on no sheet
     * @param  ?string  $name  what a person calls it, where it is not one of the usual ones
     * @param  array{float, float}  $sheet_mm  width and height
     * @param  bool  $measured  whether the thickness was typed by the person rather than being the usual one
     * @param  ?Texture  $texture  what is scribed or pressed into it
     */
    public function __construct(
        public string $id,
        public string $kind,
        public float $thickness_mm,
        public array $sheet_mm,
        public ?string $price,
        public bool $measured,
        public ?string $name = null,
        public ?Texture $texture = null,
    ) {
    }

    /** Board and card are cut round a printed template; paper and clear sheet are not. */
    public function takesTemplate(): bool
    {
        return $this->kind === 'board' || $this->kind === 'card';
    }

    public function isBought(): bool
    {
        return $this->kind === 'bought';
    }

    /** The narrowest web or strip that can be cut by hand. docs/formulas.md#least-sizes */
    public function leastWebMm(): float
    {
        return max(1.0, 1.5 * $this->thickness_mm);
    }

    /** The narrowest opening that can be cut by hand. docs/formulas.md#least-sizes */
    public function leastOpeningMm(): float
    {
        return max(1.5, 2.0 * $this->thickness_mm);
    }

    /** How often a knife follows a line until it is through, typically. docs/formulas.md#passes */
    public function cutPasses(): int
    {
        if (str_starts_with($this->id, 'foam') || str_starts_with($this->id, 'corrugated')) {
            return 3;
        }
        foreach ([[0.2, 1], [0.55, 2], [1.4, 5], [1.7, 7]] as [$thickness, $passes]) {
            if ($this->thickness_mm <= $thickness) {
                return $passes;
            }
        }

        return (int) ceil(5.0 * $this->thickness_mm);
    }

    /** Gives the words for the sheet and the lists: “greyboard 1 mm”. */
    public function words(): string
    {
        [$name] = explode('-', $this->id.'-');

        return ($this->name ?? $name).' '.rtrim(rtrim(number_format($this->thickness_mm, 2, '.', ''), '0'), '.').' mm';
    }
}
