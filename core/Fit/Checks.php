<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\RoofKind;
use Chartula\Core\Fit\Relief\ReliefChecks;
use Chartula\Core\Fit\Sight\PerspectiveReport;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Check;
use Chartula\Core\Shell\BraceParts;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;
use Chartula\Core\Stock\Layer;

/** Makes the remarks that a practitioner would make on a kit before cutting it. docs/formulas.md#checks */
final readonly class Checks
{
    private const ORDER = [Check::STOP => 0, Check::WARN => 1, Check::NOTE => 2, Check::OK => 3];

    /** A deck lies on so many ledges at least. */
    private const LEDGES = 2;

    /** @return list<Check> */
    public static function of(Building $building, Kit $kit): array
    {
        return [
            ...OpeningChecks::of($building, $kit->walls),
            ...StoreyChecks::of($building),
            ...self::webs($kit->walls),
            ...self::stocks($building),
            ...CornerChecks::of($kit->walls),
            ...SliverChecks::of($kit),
            ...EndedRoofChecks::of($kit),
            ...self::braces($building, $kit->walls),
            ...FinishChecks::all($building, $kit),
            ...BondChecks::all($building, $kit),
            ...PaperChecks::all($building, $kit),
            ...DressChecks::all($building, $kit),
            ...self::decks($building, $kit),
            ...self::givenUp($building, $kit),
            ...ReliefChecks::of($building, $kit),
            ...PerspectiveReport::checks($building, $kit),
            ...AdviceChecks::of($building, $kit),
        ];
    }

    /**
     * @param  list<Check>  $checks
     * @return list<Check> worst first
     */
    public static function inOrder(array $checks): array
    {
        usort($checks, static fn (Check $a, Check $b): int => [self::ORDER[$a->level], $a->at] <=> [self::ORDER[$b->level], $b->at]);

        return $checks;
    }

    /** @return list<Check> decks between parapets that too few ledges hold up */
    private static function decks(Building $building, Kit $kit): array
    {
        $ledges = [];
        foreach ($kit->parts as $part) {
            if ($part->part->of->layer === 'ledge') {
                $ledges[$part->part->of->block] = ($ledges[$part->part->of->block] ?? 0) + 1;
            }
        }
        $checks = [];
        foreach ($building->blocks as $block) {
            $down = $building->scale->modelMm($block->roof->parapet);
            if ($block->roof->kind === RoofKind::Flat && $down > 0.0 && ($ledges[$block->id] ?? 0) < self::LEDGES) {
                $checks[] = new Check(
                    'roof.deck-loose',
                    Check::WARN,
                    $block->id,
                    'There is no room for ledges under the deck of '.$block->name.': stick strips of card along the insides of its walls, '
                        .LengthFormat::millimetres($down).' below their tops, before it goes in.',
                    $down,
                );
            }
        }

        return $checks;
    }

    /** @return list<Check> */
    private static function givenUp(Building $building, Kit $kit): array
    {
        return array_map(
            static fn (array $taken): Check => new Check(
                'compress.given-up',
                Check::NOTE,
                $taken['path'],
                'Given up: '.$taken['text'].'.',
                $taken['gains_mm'] / $building->scale->ratio,
            ),
            $kit->compressed->taken,
        );
    }

    /**
     * Piers, and strips at the ends, too narrow to cut.
     *
     * @return list<Check>
     */
    private static function webs(Walls $walls): array
    {
        $checks = [];
        foreach ($walls->spans() as $span) {
            [$start, $end] = $span->extent();
            $least = max(array_map(static fn (Layer $l): float => $l->stock->leastWebMm(), $span->stack->layers));
            foreach (self::gaps($span, [$start, $end], $least) as [$at, $width]) {
                if ($width < $least - Tolerance::FIGURE) {
                    $checks[] = new Check('web.too-narrow', Check::WARN, $span->block->id.'.'.$span->name().$at,
                        sprintf(
                            'Only %s of card is left here; under %s it breaks when it is cut by hand. Move the opening, or use thinner card.',
                            LengthFormat::millimetres($width),
                            LengthFormat::millimetres($least),
                        ),
                        $width);
                }
            }
        }

        return $checks;
    }

    /**
     * What is left between neighbours at one level, to the ends, below sills and above heads.
     *
     * @param  array{float, float}  $extent  from where to where there is card
     * @param  float  $least  what is wider than this may be left out
     * @return list<array{string, float}> where, and how wide
     */
    private static function gaps(WallSpan $span, array $extent, float $least): array
    {
        $gaps = [];
        [$start, $end] = $extent;
        $wall = $span->form;
        $most = static fn (OpeningForm $o): float => $span->cut($o->opening)->grow($span->innermost());
        $widest = 2.0 * max([0.0, ...array_map($most, $wall->openings)]);
        foreach ($wall->openings as $i => $opening) {
            $grow = $most($opening);
            $name = '.'.$opening->id;
            $gaps[] = [$name, $opening->left - $start - $grow];
            $gaps[] = [$name, $end - $opening->right() - $grow];
            if (! $opening->reachesFoot()) {
                $gaps[] = [$name, $opening->sill - $grow];
            }
            $clear = INF;
            foreach ($opening->ring($grow)->points as $point) {
                $clear = min($clear, $wall->heightAt($point->x) - $point->y);
            }
            $gaps[] = [$name, $clear];
            // They stand from left to right.
            for ($k = $i + 1; ($wall->openings[$k]->left ?? INF) - $opening->right() <= $least + $widest; $k++) {
                $gaps[] = [$name, self::between($opening, $wall->openings[$k]) - $grow - $most($wall->openings[$k])];
            }
        }

        return $gaps;
    }

    /** What is left between two at one level, or over one another; INF where they are neither. */
    private static function between(OpeningForm $one, OpeningForm $other): float
    {
        return match (true) {
            min($one->top(), $other->top()) > max($one->sill, $other->sill) => $other->left - $one->right(),
            min($one->right(), $other->right()) > max($one->left, $other->left)
                => max($other->sill - $one->top(), $one->sill - $other->top()),
            default => INF,
        };
    }

    /** @return list<Check> */
    private static function stocks(Building $building): array
    {
        $checks = [];
        $seen = [];
        foreach ([...$building->methods->wall()->layers, ...$building->methods->roof()->layers] as $layer) {
            if (! $layer->stock->measured && ! isset($seen[$layer->stock->id])) {
                $seen[$layer->stock->id] = true;
                $checks[] = new Check('stock.not-measured', Check::NOTE, $layer->stock->id,
                    sprintf(
                        '%s is taken at its usual thickness. Measure yours, best a pile of ten, and type it under Shell, plan: every corner depends on it.',
                        ucfirst($layer->stock->words()),
                    ),
                    $layer->stock->thickness_mm);
            }
        }

        return $checks;
    }

    /** @return list<Check> */
    private static function braces(Building $building, Walls $walls): array
    {
        return array_map(static fn (array $place): Check => new Check('brace.no-room', Check::WARN, $walls->form->blocks[$place[0]]->block->id.'.brace.corner',
            'The '.self::corner($walls->form->blocks[$place[0]]->block, $place[1]).' corner has no room for a brace; square it with a block while the glue sets.'),
            BraceParts::withoutRoom($building, $walls));
    }

    private static function corner(Block $block, int $vertex): string
    {
        $edges = $block->footprint->edges;

        return $block->footprint->rect !== null ? ['front left', 'front right', 'back right', 'back left'][$vertex]
            : $edges[($vertex + count($edges) - 1) % count($edges)].' / '.$edges[$vertex];
    }
}
