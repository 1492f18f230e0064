<?php

declare(strict_types=1);

namespace Chartula\Core\Stock;

/** The materials that every building may name without describing them. docs/formats.md */
final readonly class BuiltInStock
{
    private const THICKNESS_MM = [
        'greyboard-1' => ['board', 1.0], 'greyboard-1.5' => ['board', 1.5], 'greyboard-2' => ['board', 2.0],
        'greyboard-3' => ['board', 3.0],
        'mountboard-1.4' => ['board', 1.4], 'foam-3' => ['board', 3.0], 'foam-5' => ['board', 5.0], 'corrugated-3' => ['board', 3.0],
        'card-0.25' => ['card', 0.25], 'card-0.5' => ['card', 0.5], 'packet-0.4' => ['card', 0.4],
        'paper-0.1' => ['paper', 0.1], 'label-0.12' => ['paper', 0.12],
        'acetate-0.2' => ['sheet', 0.2], 'styrene-0.25' => ['sheet', 0.25], 'styrene-0.5' => ['sheet', 0.5], 'styrene-1' => ['sheet', 1.0],
    ];

    public const SHEET_MM = [210.0, 297.0];

    /** @return array<string, Stock> by id */
    public static function all(): array
    {
        $all = [];
        foreach (self::THICKNESS_MM as $id => [$kind, $thickness]) {
            $all[$id] = new Stock($id, $kind, $thickness, self::SHEET_MM, null, false);
        }

        return $all;
    }
}
