<?php

declare(strict_types=1);

namespace Chartula\Core\Part\Pattern;

/** What a covering is drawn by, wherever on a face it lies: of what units, in which colours. Model millimetres. docs/formats.md */
interface Pattern
{
    /** @return array<string, mixed> its kind and its figures, as `art` of a part says them */
    public function rule(): array;

    /** @return array<string, mixed> its colours, likewise */
    public function colours(): array;

    /** Of its units. */
    public function palette(): Palette;

    /**
     * The same in other colours, its units as different from each other as they were.
     *
     * @param  ?string  $ground  what shows between them; null where that stays
     */
    public function inPalette(Palette $palette, ?string $ground): self;

    /** What shows between them. */
    public function ground(): string;

    /** How wide that is; 0 where nothing shows. */
    public function joint(): float;
}
