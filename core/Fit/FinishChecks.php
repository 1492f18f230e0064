<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;
use Chartula\Core\Building\Treatment;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Problem\Check;

/** What the document says and this kit does not draw yet, and what will show white where it is cut. docs/formulas.md#advice */
final readonly class FinishChecks
{
    /** @return list<Check> */
    public static function all(Building $building, Kit $kit): array
    {
        return [...self::walls($kit), ...self::roofs($building), ...self::edges($building, $kit)];
    }

    /** @return list<Check> */
    private static function walls(Kit $kit): array
    {
        $checks = [];
        foreach ($kit->walls->spans() as $span) {
            $wall = $span->form;
            $at = $span->block->id.'.'.$span->name();
            $finish = $wall->wall->finish;
            if ($wall->wall->treat === Treatment::Full && $finish !== Finish::Bare && ! $finish->isDrawn()) {
                $text = "No paper is drawn for “{$finish->value}” yet; the wall stays bare card.";
                $checks[] = new Check('finish.not-drawn', Check::NOTE, $at, $text);
            }
        }

        return $checks;
    }

    /** @return list<Check> */
    private static function roofs(Building $building): array
    {
        $checks = [];
        foreach ($building->blocks as $block) {
            if ($block->roof->finish !== Finish::Bare) {
                $text = "No {$block->roof->finish->value} is drawn for the roof of {$block->name} yet; its panels stay bare card.";
                $checks[] = new Check('finish.roof-not-drawn', Check::NOTE, $block->id, $text);
            }
        }

        return $checks;
    }

    /** @return list<Check> where card and paper show white, and what to colour it with before anything is glued */
    private static function edges(Building $building, Kit $kit): array
    {
        $papers = $roofs = $leaves = [];
        foreach ($kit->parts as $part) {
            $isOpen = static fn (Edge $e): bool => str_starts_with($e->name, 'eaves') || str_starts_with($e->name, 'verge');
            if ($part->part->art !== null) {
                $papers[] = $part->label;
            } elseif ($part->part->group === PartGroup::Roof && array_filter($part->part->outline->edges, $isOpen) !== []) {
                $roofs[] = $part->label;
            } elseif ($part->part->letter === 'D') {
                $leaves[] = $part->label;
            }
        }
        $said = [
            ...($papers === [] ? [] : ['cut edges and folds of '.self::list($papers).', in the tone of the mortar']),
            ...($roofs === [] ? [] : ['eaves and verges of '.self::list($roofs).', in the tone of the roof']),
            ...($leaves === [] ? [] : ['edges of '.self::list($leaves).', in the tone of the door']),
        ];

        return $said === [] ? [] : [new Check(
            'edges.white',
            Check::NOTE,
            $building->blocks[0]->id,
            'These edges will show white or grey. Colour them with a felt pen before anything is glued: '.implode('; ', $said).'.',
        )];
    }

    /** @param  non-empty-list<string>  $labels  of one letter, in order */
    private static function list(array $labels): string
    {
        $last = $labels[count($labels) - 1];

        return match (count($labels)) {
            1 => $last,
            2 => "$labels[0] and $last",
            default => count($labels) > 4 ? "$labels[0] to $last" : implode(', ', array_slice($labels, 0, -1))." and $last",
        };
    }
}
