<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Compromise;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Building\Wall;
use Chartula\Core\Compression\Compressor;
use Chartula\Core\Compression\Kept;
use Chartula\Core\Fit\Plot\Finished;
use Chartula\Core\Fit\Plot\Fit;
use Chartula\Core\Form\Form;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\KitText;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Recall\Recall;
use stdClass;

/**
 * The least harmful ways to bring a building to a finished size, in one direction or in several, each worked out on Form and tried on the
 * finished kit. docs/formulas.md#compression
 *
 * @phpstan-type Size array{across: float, deep: float, high: float}
 *
 * @phpstan-import-type Shapes from Pictures
 *
 * @phpstan-type TriedRow array{key: string, title: string, wall: string, steps: list<array<string, mixed>>,
 * relief: ?array{depth: string, school: string}, costs: list<string>, harm: float, protected: bool, finished: ?Size, over_mm: float,
 * closes: bool, refused: ?string, view: Shapes}
 * @phpstan-type Row array{key: string, title: string, wall: string, steps: list<array<string, mixed>>,
 * relief: ?array{depth: string, school: string}, costs: list<string>, harm: float, protected: bool, finished: ?Size, over_mm: float,
 * closes: bool, refused: ?string, view: Shapes, ghost: Shapes}
 */
final readonly class Compromises
{
    public const MOST = 5;

    /**
     * @param  ?Targets  $to  null for what its plot has room for
     * @return array{now: Size, to: array{across: ?float, deep: ?float, high: ?float}, of_plot: bool, missing: object,
     *     room: list<array{direction: string, wall: string, name: string, most: string}>, rows: list<Row>, plan: Shapes, ghost: Shapes,
     *     differences: list<array{what: string, real: string, modelled: string}>, spared: int,
     *     features: list<array{key: string, name: string, kept: bool}>} spared: how many ways would change what is kept
     *
     * @throws InvalidInput
     */
    public static function of(stdClass $document, ?Targets $to = null, Wishes $wishes = new Wishes): array
    {
        $real = BuildingReader::fromDocument($document);
        $problems = new Problems;
        $building = Compressor::of($real, $problems)->building;
        $problems->throwIfAny();
        if ($wishes->only !== null) {
            self::checkWall($building, $wishes->only);
        }
        $recall = new Recall;
        [$kit, $now, $assembly] = self::made($real, $recall);
        $isOfPlot = $to === null;
        $to ??= self::ofPlot($kit, $assembly, $now);
        $missing = $to->missing($now);
        $usual = $wishes->only ?? $building->blocks[0]->id.'.'.$building->blocks[0]->footprint->edges[0];
        $whole = Pictures::asItIs($real);
        $ways = new Ways($document, $building, $kit, $now, $missing, $wishes);
        $found = $ways->all();
        $sparing = $ways->sparing($found);
        $rows = array_map(static function (Proposal $p) use ($document, $to, $usual, $recall, $whole): array {
            $wall = self::touched($p) ?? $usual;

            return self::tried($document, $p, $to, $wall, new Recall($recall->answers())) + ['ghost' => Pictures::elevation($whole, $wall)];
        }, array_slice($sparing, 0, self::MOST));
        $directions = new Directions($building);
        $room = [];
        foreach (['across' => true, 'deep' => false] as $direction => $isAcross) {
            foreach ($directions->walls($isAcross) as $one) {
                $room[] = [
                    'direction' => $direction, 'wall' => $one['block']->id.'.'.$one['edge'],
                    'name' => $one['block']->name.', '.$one['edge'], 'most' => LengthFormat::imperial($one['room']),
                ];
            }
        }

        return [
            'now' => self::rounded($now), 'to' => $to->toArray(), 'of_plot' => $isOfPlot,
            'missing' => (object) array_map(
                static fn (float $mm): string => LengthFormat::imperial($mm * $building->scale->ratio),
                $missing,
            ),
            'room' => $room, 'rows' => $rows, 'plan' => Pictures::plan($kit->compressed->building),
            'ghost' => Pictures::plan($real), 'differences' => self::differences($real, $kit->compressed->building),
            'spared' => count($found) - count($sparing), 'features' => self::features($real),
        ];
    }

    /** @return list<array{key: string, name: string, kept: bool}> what could make the building itself */
    private static function features(Building $real): array
    {
        return array_map(
            static fn (Kept $k): array => [
                'key' => $k->key,
                'name' => $k->name,
                'kept' => in_array($k->key, $real->compression->keep, true),
            ],
            array_values(Kept::of($real)),
        );
    }

    /**
     * What its plot leaves it.
     *
     * @param  Size  $now
     */
    private static function ofPlot(Kit $kit, Assembly $assembly, array $now): Targets
    {
        $over = Fit::of($kit->modelled->building, $kit, $assembly)?->tooLarge() ?? [];
        // Half a millimetre is left at either side: glue and warp take up as much.
        $to = static fn (string $direction, float $left): ?float => isset($over[$direction])
            ? $now[$direction] - $over[$direction] - $left
            : null;

        return new Targets($to('across', 2.0 * Fit::TIGHT_MM), $to('deep', 2.0 * Fit::TIGHT_MM), $to('high', 0.0));
    }

    /**
     * @param  Size  $size
     * @return Size
     */
    private static function rounded(array $size): array
    {
        return ['across' => round($size['across'], 3), 'deep' => round($size['deep'], 3), 'high' => round($size['high'], 3)];
    }

    /** @throws InvalidInput */
    private static function checkWall(Building $building, string $wall): void
    {
        [$id, $name] = [...explode('.', $wall, 2), ''];
        foreach ($building->blocks as $block) {
            if ($block->id === $id && in_array($name, $block->footprint->edges, true)) {
                return;
            }
        }
        throw InvalidInput::at('wall', 'edit.no-such', ['given' => $wall]);
    }

    /**
     * @return array{Kit, Size, Assembly} with how large it is finished
     *
     * @throws InvalidInput
     */
    private static function made(Building $building, Recall $recall): array
    {
        $kit = Kit::derive($building, $recall);
        $assembly = KitText::tried($kit, $recall);
        $size = Finished::of(Plot::bare(1.0, 1.0), $assembly, $recall)->extents();

        return [$kit, ['across' => $size['x1'] - $size['x0'], 'deep' => $size['y1'] - $size['y0'], 'high' => $size['high']], $assembly];
    }

    /** The first wall that a proposal shortens. */
    private static function touched(Proposal $proposal): ?string
    {
        foreach ($proposal->steps as $step) {
            if (is_string($step['block'] ?? null) && is_string($step['edge'] ?? null)) {
                return $step['block'].'.'.$step['edge'];
            }
        }

        return null;
    }

    /** @return TriedRow */
    private static function tried(stdClass $document, Proposal $proposal, Targets $to, string $wall, Recall $recall): array
    {
        $row = [
            'key' => $proposal->key, 'title' => $proposal->title, 'wall' => $wall,
            'steps' => $proposal->steps, 'relief' => $proposal->relief,
            'costs' => $proposal->costs, 'harm' => round($proposal->harm, 1), 'protected' => $proposal->isProtected,
        ];
        try {
            $building = BuildingReader::fromDocument($proposal->taken($document));
            [$kit, $size, $assembly] = self::made($building, $recall);
            $over = $to->missing($size);

            return $row
                + [
                    'finished' => self::rounded($size), 'over_mm' => round(max([0.0, ...array_values($over)]), 2),
                    'closes' => DryFit::of($assembly, $building, $recall)->goesTogether(), 'refused' => null,
                    'view' => Pictures::elevation($kit->walls, $wall),
                ];
        } catch (InvalidInput $e) {
            return $row
                + [
                    'finished' => null, 'over_mm' => 0.0, 'closes' => false,
                    'refused' => implode('; ', array_map(static fn (Problem $p): string => ucfirst($p->text()), $e->problems)),
                    'view' => [],
                ];
        }
    }

    private static function openings(Wall $wall): int
    {
        return array_sum(array_map(static fn (Opening $o): int => $o->count, $wall->openings));
    }

    /** @return list<array{what: string, real: string, modelled: string}> */
    private static function differences(Building $real, Building $modelled): array
    {
        $rows = [];
        $now = array_column(array_map(static fn (Block $b): array => [$b->id, $b], $modelled->blocks), 1, 0);
        $factor = $real->scale->ratio / $modelled->scale->ratio;
        foreach ($real->blocks as $block) {
            $other = $now[$block->id] ?? null;
            if ($other === null) {
                $rows[] = ['what' => $block->name, 'real' => 'there', 'modelled' => 'left out'];

                continue;
            }
            foreach ($block->footprint->edges as $i => $name) {
                $rows[] = [
                    'what' => "{$block->name}, $name",
                    'real' => LengthFormat::imperial($block->footprint->length($i)->mm),
                    'modelled' => LengthFormat::imperial($other->footprint->length($i)->mm * $factor),
                ];
                $rows[] = [
                    'what' => "{$block->name}, $name, openings",
                    'real' => (string) self::openings($block->walls[$i]),
                    'modelled' => (string) self::openings($other->walls[$i]),
                ];
            }
            $rows[] = [
                'what' => "{$block->name}, eaves",
                'real' => LengthFormat::imperial($block->eaves->mm),
                'modelled' => LengthFormat::imperial($other->eaves->mm * $factor),
            ];
        }

        return array_values(array_filter($rows, static fn (array $r): bool => $r['real'] !== $r['modelled']));
    }
}
