<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Field\Node;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Problem\InvalidInput;
use stdClass;

/** What screens do to the plot: giving the building a place, and moving it about on it. Model millimetres. */
final readonly class PlotEdit
{
    public const OPS = ['add-plot', 'move-on-plot'];

    /** A new plot leaves so much round the footprints: room for roofs, and for a finger. */
    private const ROUND_MM = 20.0;

    private const FARTHEST_MM = 5000.0;

    public static function apply(stdClass $document, string $op, Node $edit): void
    {
        if ($op === 'add-plot') {
            self::add($document, $edit);
        } else {
            self::move($document, $edit);
        }
    }

    private static function add(stdClass $document, Node $edit): void
    {
        $edit->isObject(['op']);
        try {
            $building = BuildingReader::fromDocument($document);
            $ratio = $building->scale->ratio;
            $box = Box2::around(
                array_merge(
                    ...array_map(
                        static fn (Block $b): array =>
                            array_map(static fn (Vec2 $p): Vec2 => $p->times(1.0 / $ratio), $b->standing()->points),
                        $building->blocks,
                    ),
                ),
            );
        } catch (InvalidInput) {
            $box = new Box2(0.0, 0.0, 200.0, 100.0);
        }
        // Whole centimetres, as one lays out a baseboard.
        $width = ceil(($box->width() + 2.0 * self::ROUND_MM) / 10.0) * 10.0;
        $depth = ceil(($box->height() + 2.0 * self::ROUND_MM) / 10.0) * 10.0;
        $document->plot = (object) [
            'size' => [self::mm($width), self::mm($depth)],
            'at' => [self::mm($box->centre()->x - $width / 2.0), self::mm($box->centre()->y - $depth / 2.0)],
        ];
    }

    /** The building by so much to the right and to the back of the plot. */
    private static function move(stdClass $document, Node $edit): void
    {
        if (! $edit->isObject(['op', 'x', 'y'])) {
            return;
        }
        $by = [];
        foreach (['x', 'y'] as $axis) {
            $number = $edit->get($axis)?->number();
            if ($number !== null && abs($number) > self::FARTHEST_MM) {
                $edit->get($axis)?->fault('number-out-of-range', ['given' => $number, 'wanted' => 'at most '.self::FARTHEST_MM.' mm']);
            }
            $by[] = $number ?? 0.0;
        }
        $plot = $document->plot ?? null;
        if (! $plot instanceof stdClass) {
            $edit->fault('edit.no-such', ['given' => 'plot']);

            return;
        }
        $ruler = Ruler::of($document);
        $at = is_array($plot->at ?? null) ? $plot->at : ['0mm', '0mm'];
        $turn = deg2rad(is_int($plot->turn ?? null) || is_float($plot->turn ?? null) ? (float) $plot->turn : 0.0);
        $x = $ruler->readModel($at[0] ?? null) - $by[0] * cos($turn) + $by[1] * sin($turn);
        $y = $ruler->readModel($at[1] ?? null) - $by[0] * sin($turn) - $by[1] * cos($turn);
        $plot->at = [self::mm($x), self::mm($y)];
    }

    private static function mm(float $mm): string
    {
        return LengthFormat::trimmed($mm, 3).'mm';
    }
}
