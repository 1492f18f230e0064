<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Bought;
use Chartula\Core\Shell\WallSpan;
use Chartula\Core\Stock\Stock;
use LogicException;

/** The sheets of whatever stands in an opening. */
final readonly class FillingSheets
{
    /**
     * @param  ?WallSpan  $span  in which it is; null where it is drawn by itself
     * @return non-empty-list<Sheet> the foremost first
     */
    public static function of(Fitted $in, PaneHoles $panes, ?WallSpan $span): array
    {
        $style = $in->opening->opening->style;
        $layout = $panes->layout($in->opening);

        return match (true) {
            $style->bought !== null => [self::bought($in, $style->bought)],
            $style->blind !== null => BlindSheets::of($in, $style->blind, $span),
            $style->frame !== null && $layout !== null => FrameSheets::of($in, $style->frame, $layout),
            $style->leaf !== null => LeafSheets::of($in, $style->leaf, $layout, $panes->panels($in->opening)),
            default => throw new LogicException("Nothing fills $style->id"),
        };
    }

    /** As a box, as deep as it is. */
    private static function bought(Fitted $in, Bought $bought): Sheet
    {
        $style = $in->opening->opening->style;
        $stock = new Stock("bought-$style->id", 'bought', $bought->depth, [$bought->w, $bought->h], $bought->price, true, $style->name);

        return new Sheet('bought', 'F', ucfirst($style->name), $stock, $bought->depth, $in->outline(), [], $in->workings());
    }
}
