<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Measure\Ordinal;

/** What the openings of a wall are called: by their kind, counted from the left among those of it. */
final readonly class OpeningNames
{
    /** @param  list<OpeningForm>  $openings  of one wall */
    public static function of(array $openings, OpeningForm $opening): string
    {
        $kind = $opening->opening->style;
        $alike = array_values(array_filter($openings, static fn (OpeningForm $o): bool => $o->opening->style->id === $kind->id));
        usort($alike, static fn (OpeningForm $a, OpeningForm $b): int => [$a->left, $a->sill] <=> [$b->left, $b->sill]);

        return Ordinal::among((int) array_search($opening, $alike, true), count($alike), $kind->name);
    }
}
