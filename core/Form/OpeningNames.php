<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Measure\Ordinal;

/** What the openings of a wall are called: by their kind, counted from the left among those of it. */
final readonly class OpeningNames
{
    /**
     * @param  list<OpeningForm>  $openings  of one wall
     * @return list<string> in the same order
     */
    public static function of(array $openings): array
    {
        uasort($openings, static fn (OpeningForm $a, OpeningForm $b): int => [$a->left, $a->sill] <=> [$b->left, $b->sill]);
        $alike = $names = [];
        foreach ($openings as $i => $opening) {
            $alike[$opening->opening->style->id][] = $i;
        }
        foreach ($alike as $kind) {
            foreach ($kind as $n => $i) {
                $names[$i] = Ordinal::among($n, count($kind), $openings[$i]->opening->style->name);
            }
        }
        ksort($names);

        return array_values($names);
    }
}
