<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Shell\WallSpan;
use Chartula\Core\Stock\Stock;

/** What screens draw of a building, worked out: the screen only places and scales it. */
final readonly class BuildingView
{
    /** @return array<string, mixed> */
    public static function of(Building $building, Kit $kit): array
    {
        $ratio = $building->scale->ratio;

        return [
            'scale' => '1:'.LengthFormat::trimmed($ratio, 4),
            // What a foot and a metre of the prototype measure on the model: the pitches of the double rule.
            'rule' => ['foot_mm' => 304.8 / $ratio, 'metre_mm' => 1000.0 / $ratio],
            'walls' => array_map(static fn (WallSpan $span): array => WallView::of($building, $kit, $span), $kit->walls->spans()),
            'plan' => PlanView::of($building, $kit),
            'roof' => RoofView::of($building, $kit),
            'section' => SectionView::across($building, $kit),
            'skin' => SkinView::of($building, $kit),
            'stocks' => self::stocks($building, $kit),
            'shelf' => self::shelf($building),
        ];
    }

    /**
     * All that it may be made from, with what that is taken to measure.
     *
     * @return list<array<string, mixed>>
     */
    public static function shelf(Building $building): array
    {
        return array_values(array_map(static fn (Stock $stock): array => [
            'id' => $stock->id, 'name' => $stock->words(), 'kind' => $stock->kind,
            'thickness' => LengthFormat::trimmed($stock->thickness_mm, 4).'mm', 'measured' => $stock->measured,
        ], $building->methods->shelf));
    }

    /**
     * The stocks that this kit is cut from, with what they are taken to measure.
     *
     * @return list<array<string, mixed>>
     */
    private static function stocks(Building $building, Kit $kit): array
    {
        $stocks = [];
        foreach ($kit->parts as $part) {
            $stock = $part->part->stock;
            $stocks[$stock->id] ??= [
                'id' => $stock->id, 'name' => $stock->words(), 'kind' => $stock->kind,
                'thickness' => LengthFormat::trimmed($stock->thickness_mm, 4).'mm', 'measured' => $stock->measured,
                'with_template' => LengthFormat::millimetres($stock->thickness_mm + $building->methods->template->addsTo($stock)),
                'pieces' => 0,
            ];
            $stocks[$stock->id]['pieces'] += $part->part->qty();
        }

        return array_values($stocks);
    }
}
