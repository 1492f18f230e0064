<?php

declare(strict_types=1);

namespace Chartula\Core\Labelling;

/** Labels are promises: what has been printed keeps its own, whatever the parts are counted as now. */
final readonly class Labels
{
    /**
     * Whether some label would be another than that with which its part was printed, or is on another part that was.
     *
     * @param  array<string, string>  $fresh  by part
     * @param  array<string, string>  $printed  by part, also of parts that are no more
     */
    public static function differ(array $fresh, array $printed): bool
    {
        $taken = array_flip($printed);
        foreach ($fresh as $part => $label) {
            if (isset($printed[$part]) ? $printed[$part] !== $label : isset($taken[$label])) {
                return true;
            }
        }

        return false;
    }

    /**
     * Printed labels stay with their parts; a part whose own number is on another's print takes the next one that is free.
     *
     * @param  list<LabelledPart>  $parts
     * @param  array<string, string>  $printed  by part, also of parts that are no more
     * @return list<LabelledPart>
     */
    public static function kept(array $parts, array $printed): array
    {
        $used = array_flip($printed);
        foreach ($parts as $part) {
            $used += isset($printed[$part->part->id]) ? [] : [$part->label => true];
        }
        $onPrints = array_flip($printed);
        $kept = [];
        foreach ($parts as $part) {
            $label = $printed[$part->part->id] ?? $part->label;
            if (! isset($printed[$part->part->id]) && isset($onPrints[$label])) {
                for ($number = (int) substr($label, 1); isset($used[$label]); $number++) {
                    $label = $label[0].$number;
                }
                $used[$label] = true;
            }
            $kept[] = $part->with(label: $label);
        }

        return $kept;
    }
}
