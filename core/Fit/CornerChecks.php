<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Problem\Check;
use Chartula\Core\Shell\WallEnd;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;

/** Says how much of a wall stays open at a corner whose cards are cut square though it is none. docs/formulas.md#corner */
final readonly class CornerChecks
{
    /** A gap no wider than this, mm, paper and paint close. */
    private const SEEN_MM = 0.2;

    /** @return list<Check> */
    public static function of(Walls $walls): array
    {
        $checks = [];
        foreach ($walls->spans() as $span) {
            foreach ($span->isBuilt() ? ['left' => $span->left, 'right' => $span->right] : [] as $side => $end) {
                $open = self::open($span, $end);
                if ($open > self::SEEN_MM) {
                    $checks[] = new Check('corner.open', Check::WARN, $span->block->id.'.'.$span->name(), sprintf(
                        'At its %s end %s of this wall stands open from foot to top: its card is butted at a corner of %s°. '
                            .'Let the corner be mitred, or fill it with a strip.',
                        $side,
                        LengthFormat::millimetres($open),
                        LengthFormat::trimmed($end->angle, 1),
                    ), $open);
                }
            }
        }

        return $checks;
    }

    /**
     * The distance from the corner to where the outermost card begins. At corners near square the other wall's end fills it;
     * before the wall that runs through nothing does.
     */
    private static function open(WallSpan $span, WallEnd $end): float
    {
        $isOpen = $end->kind === WallEnd::THROUGH || ($end->kind === WallEnd::STOPPED && ! $end->isNearSquare());

        return $isOpen ? $end->outerCut(...$span->depths(0)) : 0.0;
    }
}
