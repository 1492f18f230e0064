<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Building\Building;
use Chartula\Core\Kit\DryFit\Massing\Massing;
use Chartula\Core\Recall\Recall;
use UnexpectedValueException;

/**
 * Assembles a kit in the computer. Reads the serialised kit and the building's document: it knows nothing of how the parts were
 * derived, works out for itself what card must cover, finds contacts, gaps and overlaps, and compares them with what the kit
 * declares. docs/formulas.md#dry-fit
 */
final readonly class DryFit
{
    /**
     * @param  array<string, mixed>  $kit  the decoded kit document
     * @param  Building  $building  its document, as it was entered
     * @param  Recall  $recall  what an earlier check found: two pieces of unchanged shape in unchanged places meet as they did
     *
     * @throws UnexpectedValueException where it is no kit
     */
    public static function check(array $kit, Building $building, Recall $recall = new Recall): Report
    {
        return self::of(Assembly::of($kit, $recall), $building, $recall);
    }

    public static function of(Assembly $assembly, Building $building, Recall $recall = new Recall): Report
    {
        $massing = Massing::of($building, $recall);
        $cover = new CoverCheck($assembly, $massing, $recall);
        $joints = new JointCheck($assembly, $recall);
        $edges = new EdgeCheck($assembly, $recall);
        $findings = [
            ...$joints->all(),
            ...$edges->all(),
            ...OverlapCheck::all($assembly, $recall),
            ...$cover->all(),
            ...ThinEdgeCheck::all($assembly, $building, $massing),
            ...DressCheck::all($assembly, $massing),
            ...HeldCheck::all($assembly, $massing),
            ...StackCheck::all($assembly, $massing),
            ...(new MeasureCheck($assembly))->all(),
        ];
        usort($findings, static fn (Finding $a, Finding $b): int => [$b->mm, $a->at] <=> [$a->mm, $b->at]);

        $words = PlainWords::of($assembly, $building);

        return new Report($findings, count($assembly->pieces), $joints->measures(), $edges->free(), $cover->excused(), $words);
    }
}
