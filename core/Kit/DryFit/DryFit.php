<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Recall\Recall;
use UnexpectedValueException;

/**
 * Assembles a kit in the computer. Reads only the serialised kit: it knows nothing of how the parts were derived, finds
 * contacts, gaps and overlaps for itself, and compares them with what the kit declares. docs/formulas.md#dry-fit
 */
final readonly class DryFit
{
    /**
     * @param  array<string, mixed>  $kit  the decoded kit document
     * @param  Recall  $recall  what an earlier check found: two pieces of unchanged shape in unchanged places meet as they did
     *
     * @throws UnexpectedValueException where it is no kit
     */
    public static function check(array $kit, Recall $recall = new Recall): Report
    {
        return self::of(Assembly::of($kit, $recall), $recall);
    }

    public static function of(Assembly $assembly, Recall $recall = new Recall): Report
    {
        $joints = new JointCheck($assembly, $recall);
        $edges = new EdgeCheck($assembly, $recall);
        $findings = [
            ...$joints->all(),
            ...$edges->all(),
            ...OverlapCheck::all($assembly, $recall),
            ...CoverCheck::all($assembly, $recall),
            ...(new MeasureCheck($assembly))->all(),
        ];
        usort($findings, static fn (Finding $a, Finding $b): int => [$b->mm, $a->at] <=> [$a->mm, $b->at]);

        return new Report($findings, count($assembly->pieces), $joints->measures(), $edges->free());
    }
}
