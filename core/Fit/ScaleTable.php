<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\OpeningKind;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Building\Whereabouts;
use Chartula\Core\Fit\Plot\Clearance;
use Chartula\Core\Fit\Plot\Finished;
use Chartula\Core\Fit\Plot\Fit;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\KitText;
use Chartula\Core\Measure\Conversion;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use stdClass;

/**
 * The building at other scales: how large it would be finished, whether it would fit, and what would be too fine to cut.
 * docs/formulas.md#scales
 */
final readonly class ScaleTable
{
    private const FINE = ['bar.too-fine', 'stile.too-fine', 'web.too-narrow'];

    /**
     * @param  list<float>  $also  ratios beside the usual ones
     * @return array{here: float, rows: list<array<string, mixed>>, scaled: list<array{what: string, mm: string}>,
     *     kept: list<array{what: string, mm: string}>}
     *
     * @throws InvalidInput scale.out-of-range, and what is wrong with the document at its own scale
     */
    public static function of(stdClass $document, array $also): array
    {
        $own = BuildingReader::fromDocument($document);
        $ratios = array_unique([
            ...Conversion::USUAL,
            $own->scale->ratio,
            ...array_map(static fn (float $r): float => Scale::of($r, 'also')->ratio, $also),
        ]);
        sort($ratios);

        return [
            'here' => $own->scale->ratio,
            'rows' => array_map(static fn (float $ratio): array => self::row($document, $ratio, $own->scale->ratio), $ratios),
            'scaled' => self::scaled($own), 'kept' => self::kept($own),
        ];
    }

    /** @return array<string, mixed> */
    private static function row(stdClass $document, float $ratio, float $here): array
    {
        $text = '1:'.LengthFormat::trimmed($ratio, 4);
        $row = [
            'scale' => $text, 'ratio' => $ratio, 'here' => abs($ratio - $here) < Tolerance::ROUNDING,
            'percent' => round(100.0 * $here / $ratio, 2), 'card_real' => LengthFormat::imperial($ratio),
            'figure_mm' => round(OpeningChecks::FIGURE_MM / $ratio, 2),
        ];
        $copy = JsonText::decode(JsonText::encode($document));
        $copy->scale = $text;
        try {
            return $row + self::made(BuildingReader::fromDocument($copy)) + ['faults' => []];
        } catch (InvalidInput $e) {
            return $row
                + [
                    'size' => null, 'fits' => null, 'moved' => false, 'fit' => null, 'fine' => [], 'doors' => [],
                    'faults' => array_map(
                        static fn (Problem $p): string => Whereabouts::of($copy, $p->path)->words.': '.$p->text(),
                        $e->problems,
                    ),
                ];
        }
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    private static function made(Building $building): array
    {
        $kit = Kit::derive($building);
        $building = $kit->modelled->building;
        $assembly = KitText::tried($kit);
        $fit = Fit::of($building, $kit, $assembly);
        $size = ($fit->finished ?? Finished::of(Plot::bare(1.0, 1.0), $assembly))->extents();
        $fine = array_filter(Checks::of($building, $kit), static fn (Check $c): bool => in_array($c->code, self::FINE, true));
        $worst = $fit?->clearances[0] ?? null;
        $doors = [];
        foreach ($building->styles as $style) {
            if ($style->kind === OpeningKind::Door) {
                $doors[] = [
                    'style' => $style->name,
                    'mm' => round($building->scale->modelMm($style->h), 2),
                    'figures' => round(OpeningChecks::figures($building, $style->h->mm), 2),
                ];
            }
        }

        return [
            'size' => [
                'width' => round($size['x1'] - $size['x0'], 2),
                'depth' => round($size['y1'] - $size['y0'], 2),
                'height' => round($size['high'], 2),
            ],
            'fits' => $fit?->fits(), 'moved' => $fit?->fitsMoved() ?? false, 'fit' => $worst instanceof Clearance ? $worst->text : null,
            'fine' => array_values(array_unique(array_map(static fn (Check $c): string => $c->at.': '.$c->text, $fine))), 'doors' => $doors,
        ];
    }

    /** @return list<array{what: string, mm: string}> what another scale changes */
    private static function scaled(Building $building): array
    {
        $mm = static fn (float $real): string => LengthFormat::millimetres($real / $building->scale->ratio, 3);
        $rows = [
            ['what' => 'a brick', 'mm' => $mm($building->gauge->brick_mm)],
            ['what' => 'a course', 'mm' => $mm($building->gauge->course_mm)],
        ];
        foreach ($building->styles as $style) {
            $rows[] = ['what' => "{$style->name}, width and height", 'mm' => $mm($style->w->mm).' × '.$mm($style->h->mm)];
        }
        foreach ($building->blocks as $block) {
            $rows[] = ['what' => "{$block->name}, eaves", 'mm' => $mm($block->eaves->mm)];
        }

        return $rows;
    }

    /** @return list<array{what: string, mm: string}> and what it does not */
    private static function kept(Building $building): array
    {
        $mm = static fn (float $mm): string => LengthFormat::millimetres($mm, 2);
        $rows = [];
        foreach ([...$building->methods->wall()->layers, ...$building->methods->roof()->layers] as $layer) {
            $rows[$layer->stock->id] = ['what' => 'the thickness of '.$layer->stock->words(), 'mm' => $mm($layer->stock->thickness_mm)];
        }
        $rows[] = ['what' => 'the lap of papers round a corner', 'mm' => $mm($building->methods->skin->overlap_mm)];
        $rows[] = ['what' => 'flaps into openings', 'mm' => $mm($building->methods->skin->flap($building->methods->wall()->thickness_mm))];
        $rows[] = [
            'what' => 'the narrowest web a knife leaves',
            'mm' => $mm(max(array_map(static fn ($l): float => $l->stock->leastWebMm(), $building->methods->wall()->layers))),
        ];
        $rows[] = ['what' => 'sheets and their margins', 'mm' => $mm($building->sheets->margin_mm)];
        if ($building->plot !== null) {
            $place = $building->plot->outline->bounds();
            $rows[] = ['what' => 'the plot', 'mm' => $mm($place->width()).' × '.$mm($place->height())];
        }

        return array_values($rows);
    }
}
