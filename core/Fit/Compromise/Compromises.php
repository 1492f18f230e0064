<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Compromise;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Building\Wall;
use Chartula\Core\Compression\Compressor;
use Chartula\Core\Compression\Lengths;
use Chartula\Core\Fit\Plot\Finished;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\KitDocument;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Recall\Recall;
use stdClass;

/** The least harmful ways to bring a building to a finished length, each worked out on Form and tried on the finished kit. docs/formulas.md#compression */
final readonly class Compromises
{
    private const MOST = 5;

    private const SAME_MM = 0.005;

    /**
     * @param  string  $wall  along which it is to be shorter: block and edge
     * @param  ?float  $to_mm  how long it is to be finished in that direction, model millimetres; null where that is not known yet
     * @return array{wall: string, now_mm: float, to_mm: ?float, by: string, most: string, rows: list<array<string, mixed>>, ghost: list<array<string, mixed>>, differences: list<array{what: string, real: string, modelled: string}>}
     *
     * @throws InvalidInput
     */
    public static function of(stdClass $document, string $wall, ?float $to_mm): array
    {
        $real = BuildingReader::fromDocument($document);
        $problems = new Problems;
        $building = Compressor::of($real, $problems)->building;
        $problems->throwIfAny();
        [$block, $edge, $lengths] = self::wall($building, $wall);
        $recall = new Recall;
        [$kit, $now] = self::made($real, $lengths->isAcross, $recall);
        $measures = $lengths->measures();
        $by = ($now - ($to_mm ?? $now)) * $building->scale->ratio;
        $rows = [];
        foreach ($by <= self::SAME_MM * $building->scale->ratio ? [] : array_slice(Ladder::of($block, $edge, $measures, $by, $now * $building->scale->ratio), 0, self::MOST) as $proposal) {
            $rows[] = self::tried($document, $proposal, $lengths->isAcross, $wall, new Recall($recall->answers()));
        }

        return [
            'wall' => $wall, 'now_mm' => round($now, 3), 'to_mm' => $to_mm, 'by' => LengthFormat::imperial(max(0.0, $by)), 'most' => LengthFormat::imperial($measures['margins'] - $measures['least_margins'] + $measures['piers'] - $measures['least_piers']), 'rows' => $rows, 'ghost' => self::elevation(Kit::derive($real->uncompressed()->withRelief(null)), $wall),
            'differences' => self::differences($real, $kit->compressed->building),
        ];
    }

    /**
     * @return array{string, string, Lengths}
     *
     * @throws InvalidInput
     */
    private static function wall(Building $building, string $wall): array
    {
        [$id, $name] = [...explode('.', $wall, 2), ''];
        foreach ($building->blocks as $block) {
            $edge = array_search($name, $block->footprint->edges, true);
            if ($block->id === $id && $edge !== false) {
                return [$id, $name, Lengths::along($building, $block, $edge) ?? throw InvalidInput::at('wall', 'compress.skew', ['edge' => $name])];
            }
        }
        throw InvalidInput::at('wall', 'edit.no-such', ['given' => $wall]);
    }

    /**
     * @return array{Kit, float, Assembly}
     *
     * @throws InvalidInput
     */
    private static function made(Building $building, bool $isAcross, Recall $recall): array
    {
        $kit = Kit::derive($building, $recall);
        $modelled = $kit->modelled->building;
        /** @var array<string, mixed> $serialised */
        $serialised = json_decode((string) json_encode(KitDocument::of($modelled, '', $kit, $recall) + ['totals' => KitDocument::totals($kit, 0)]), true);
        $assembly = Assembly::of($serialised, $recall);
        $size = Finished::of(Plot::bare(1.0, 1.0), $assembly, $kit, $modelled->scale, $recall)->extents();

        return [$kit, $isAcross ? $size['x1'] - $size['x0'] : $size['y1'] - $size['y0'], $assembly];
    }

    /** @return array<string, mixed> */
    private static function tried(stdClass $document, Proposal $proposal, bool $isAcross, string $wall, Recall $recall): array
    {
        $row = ['key' => $proposal->key, 'steps' => $proposal->steps, 'costs' => $proposal->costs, 'harm' => round($proposal->harm, 1), 'protected' => $proposal->isProtected];
        $copy = JsonText::decode(JsonText::encode($document));
        $steps = ($copy->compression ?? null) instanceof stdClass && is_array($copy->compression->steps ?? null) ? $copy->compression->steps : [];
        $copy->compression = (object) ['steps' => [...$steps, ...array_map(static fn (array $s): stdClass => (object) $s, $proposal->steps)]];
        if ($proposal->isProtected) {
            $copy->compression->protect = [];
        }
        try {
            [$kit, $size, $assembly] = self::made(BuildingReader::fromDocument($copy), $isAcross, $recall);

            return $row + ['finished_mm' => round($size, 3), 'closes' => DryFit::of($assembly, $recall)->goesTogether(), 'refused' => null, 'view' => self::elevation($kit, $wall)];
        } catch (InvalidInput $e) {
            return $row + ['finished_mm' => null, 'closes' => false, 'refused' => implode('; ', array_map(static fn (Problem $p): string => $p->line(), $e->problems)), 'view' => []];
        }
    }

    /**
     * The wall and its openings as they look from outside, real size over scale.
     *
     * @return list<array{kind: 'wall'|'opening', ring: list<array{float, float}>}>
     */
    private static function elevation(Kit $kit, string $wall): array
    {
        $shapes = [];
        foreach ($kit->walls->spans() as $span) {
            if ($span->block->id.'.'.$span->name() !== $wall) {
                continue;
            }
            foreach ($span->form->patches as $patch) {
                $shapes[] = ['kind' => 'wall', 'ring' => self::ring($span->form, $patch->outline->points)];
            }
            foreach ($span->form->openings as $opening) {
                $shapes[] = ['kind' => 'opening', 'ring' => self::ring($span->form, $opening->ring(0.0)->points)];
            }
        }

        return $shapes;
    }

    /**
     * @param  list<Vec2>  $points
     * @return list<array{float, float}>
     */
    private static function ring(WallForm $wall, array $points): array
    {
        return array_map(static fn (Vec2 $p): array => [round($p->x, 3) + 0.0, round($p->y, 3) + 0.0], $points);
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
                $rows[] = ['what' => "{$block->name}, $name", 'real' => LengthFormat::imperial($block->footprint->length($i)->mm), 'modelled' => LengthFormat::imperial($other->footprint->length($i)->mm * $factor)];
                $rows[] = ['what' => "{$block->name}, $name, openings", 'real' => (string) self::openings($block->walls[$i]), 'modelled' => (string) self::openings($other->walls[$i])];
            }
            $rows[] = ['what' => "{$block->name}, eaves", 'real' => LengthFormat::imperial($block->eaves->mm), 'modelled' => LengthFormat::imperial($other->eaves->mm * $factor)];
        }

        return array_values(array_filter($rows, static fn (array $r): bool => $r['real'] !== $r['modelled']));
    }
}
