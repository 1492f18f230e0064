<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Building\RoofKind;
use Chartula\Core\Building\RoofLaid;
use Chartula\Core\Building\Valleys;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\MarkKind;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\Pattern\Bricks;
use Chartula\Core\Part\StackedArt;
use Chartula\Core\Problem\Check;

/** Coverings where they are not usual, and what will show white where it is cut. docs/formulas.md#advice */
final readonly class FinishChecks
{
    /** Pitches are told to so much, degrees. */
    private const PITCH_DEG = 0.05;

    /** @return list<Check> */
    public static function all(Building $building, Kit $kit): array
    {
        return [
            ...self::roofs($building), ...self::laid($building, $kit), ...self::textured($building, $kit),
            ...self::valleys($building, $kit), ...self::linings($building, $kit), ...self::edges($building, $kit),
        ];
    }

    /** @return list<Check> coverings that are laid flatter than is usual */
    private static function roofs(Building $building): array
    {
        $checks = [];
        foreach ($building->blocks as $block) {
            $finish = $block->roof->finish;
            $least = $finish->leastPitch();
            $sloping = array_filter($block->roof->edges, static fn (RoofEdge $e): bool => $e->slopesFromEaves());
            $flattest = min([90.0, ...array_map(static fn (RoofEdge $e): float => $e->pitch->degrees, $sloping)]);
            $flattest = $sloping === [] ? 0.0 : $flattest;
            if ($least !== null && $block->roof->kind !== RoofKind::None && $flattest < $least - self::PITCH_DEG) {
                $checks[] = new Check('roof.too-flat', Check::NOTE, $block->id, sprintf(
                    'The roof of %s rises by %s°; %s are usually laid from %s° up: rain would come in under them. Make it steeper, or lay lead or zinc.',
                    $block->name, LengthFormat::trimmed($flattest, 1), $finish->words(), LengthFormat::trimmed($least, 0),
                ));
            }
        }

        return $checks;
    }

    /** @return list<Check> what to do before strips or single pieces go on, and where they cannot be */
    private static function laid(Building $building, Kit $kit): array
    {
        $checks = $sets = [];
        foreach ($kit->parts as $part) {
            if ($part->part->art instanceof StackedArt) {
                $sets[$part->part->of->block ?? ''][] = $part->label;
            }
        }
        foreach ($building->blocks as $block) {
            $labels = $sets[$block->id] ?? [];
            if ($labels !== []) {
                $checks[] = new Check('roof.undercoat', Check::NOTE, $block->id, 'Paint the card under '.self::list($labels)
                    .' dark before they go on: it shows at every slit and every slip. Begin at the eaves, row by row by their numbers.');
            } elseif ($block->roof->laid !== RoofLaid::Paper && $block->roof->kind !== RoofKind::None) {
                $checks[] = new Check('roof.laid', Check::NOTE, $block->id, sprintf(
                    'Nothing of the roof of %s is cut as %s: only slates and tiles that are drawn, and lie in rows, are, and this is %s.',
                    $block->name, $block->roof->laid->words(), self::shown($building, $block),
                ));
            }
        }

        return $checks;
    }

    /** @return list<Check> valleys that are to be swept, of what does not lie in rows on paper */
    private static function valleys(Building $building, Kit $kit): array
    {
        $swept = $closed = [];
        foreach ($kit->parts as $part) {
            $of = $part->part->of->block ?? '';
            $hasValley = array_filter($part->part->outline->edges, static fn (Edge $e): bool => $e->name === 'valley') !== [];
            $swept[$of] = ($swept[$of] ?? false) || ($part->part->art instanceof FaceArt && $part->part->art->sweeps !== []);
            $closed[$of] = ($closed[$of] ?? false) || ($part->part->group === PartGroup::Roof && $hasValley);
        }
        $checks = [];
        foreach ($building->blocks as $block) {
            if ($block->roof->valleys === Valleys::Swept && ($closed[$block->id] ?? false) && ! ($swept[$block->id] ?? false)) {
                $laid = $block->roof->laid === RoofLaid::Paper ? '' : ', in '.$block->roof->laid->words();
                $checks[] = new Check('roof.swept', Check::NOTE, $block->id, sprintf(
                    'The valleys of %s are closed and not swept: only slates and tiles drawn in rows on one paper turn through them, and this is %s.',
                    $block->name, self::shown($building, $block).$laid,
                ));
            }
        }

        return $checks;
    }

    /** What is seen of a roof. */
    private static function shown(Building $building, Block $block): string
    {
        return match (true) {
            $building->methods->roof()->texture() !== null => 'a textured sheet',
            $block->roof->paper !== null => 'a paper of your own',
            default => $block->roof->finish->words(),
        };
    }

    /** @return list<Check> which way up textured sheets go on, how many lines they have, and that nothing is printed over them */
    private static function textured(Building $building, Kit $kit): array
    {
        $lines = $textures = [];
        foreach ($kit->parts as $labelled) {
            [$part, $texture] = [$labelled->part, $labelled->part->stock->texture];
            $marks = array_filter($part->marks, static fn (Mark $m): bool => $m->kind === MarkKind::Texture);
            if ($texture !== null && $marks !== []) {
                $textures[$part->of->block ?? ''][$part->stock->id] = $texture;
                $place = static fn (Mark $m): float => $texture->isUpright ? $m->path[0]->x : $m->path[0]->y;
                $at = array_map(static fn (Mark $m): string => sprintf('%.3f', $place($m)), $marks);
                $lines[$part->of->block ?? ''][$part->stock->id][] = $labelled->label.' '.(count(array_unique($at)) + 1);
            }
        }
        $checks = [];
        foreach ($building->blocks as $block) {
            foreach ($textures[$block->id] ?? [] as $stock => $texture) {
                $checks[] = new Check('texture.lay', Check::NOTE, $block->id, sprintf(
                    'Lay the lines of the templates on those of the sheet, %s, %s mm apart%s. Of them there are: %s. No paper goes over it.',
                    $texture->words(), LengthFormat::trimmed($texture->pitch_mm, 2),
                    $texture->laps() ? ', each over the one below: a thumbnail catches on its way up, not down' : '',
                    implode(', ', $lines[$block->id][$stock] ?? []),
                ));
            }
        }

        return $checks;
    }

    /** @return list<Check> sides of openings that are of something else, where nothing is turned in that could show it */
    private static function linings(Building $building, Kit $kit): array
    {
        $without = [];
        foreach ($kit->form->walls() as $wall) {
            foreach ($wall->openings as $opening) {
                $style = $opening->opening->style;
                $turnsIn = $wall->isPapered && $building->methods->skin->lines() && $opening->true === null;
                if ($style->lining !== null && ! $turnsIn) {
                    $without[$building->blocks[$wall->block]->id][$style->name] = $style->lining->words();
                }
            }
        }
        $checks = [];
        foreach ($without as $block => $styles) {
            foreach ($styles as $name => $finish) {
                $checks[] = new Check('lining.none', Check::NOTE, $block, sprintf(
                    'The sides of %s are said to be of %s, but no paper turns in there that could show it: paint them.', $name, $finish,
                ));
            }
        }

        return $checks;
    }

    /** @return list<Check> where card and paper show white, and what to colour it with before anything is glued */
    private static function edges(Building $building, Kit $kit): array
    {
        $papers = $roofs = $leaves = [];
        $isBrick = true;
        // Papers are turned down over the cards on which they lie.
        $covered = array_fill_keys(array_map(static fn (LabelledPart $p): string => substr($p->part->id, 0, -6), array_filter(
            $kit->parts,
            static fn (LabelledPart $p): bool => str_ends_with($p->part->id, '-paper') && $p->part->scores !== [],
        )), true);
        foreach ($kit->parts as $part) {
            $isOpen = static fn (Edge $e): bool => str_starts_with($e->name, 'eaves') || str_starts_with($e->name, 'verge');
            if ($part->part->group === PartGroup::Skin && $part->part->art !== null) {
                $papers[] = $part->label;
                $isBrick = $isBrick && ! ($part->part->art instanceof FaceArt && ! $part->part->art->pattern instanceof Bricks);
            } elseif ($part->part->group === PartGroup::Roof && array_filter($part->part->outline->edges, $isOpen) !== []
                && ! isset($covered[$part->part->id])) {
                $roofs[] = $part->label;
            } elseif ($part->part->letter === 'D') {
                $leaves[] = $part->label;
            }
        }
        $tone = $isBrick ? ', in the tone of the mortar' : ', each in the tone of its joints';
        $said = [
            ...($papers === [] ? [] : ['cut edges and folds of '.self::list($papers).$tone]),
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
