<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Panes;
use Chartula\Core\Geometry\Ring;

/** The sheets of a glazed frame, the foremost first. docs/formulas.md#frame */
final readonly class FrameSheets
{
    /** @return non-empty-list<Sheet> */
    public static function of(Fitted $in, Panes $frame, PaneLayout $layout): array
    {
        return [...self::cards($in, $frame, $layout), self::glass($in, $layout)];
    }

    /** @return non-empty-list<Sheet> */
    private static function cards(Fitted $in, Panes $frame, PaneLayout $layout): array
    {
        $card = static fn (string $layer, string $words, Ring ...$holes): Sheet =>
            $in->card($layer, 'F', $words, $in->placed(array_values($holes)));
        $open = $frame->areBarsCut() ? $layout->holes() : $layout->withoutBars();

        return match (true) {
            $frame->tracery !== null => [
                $card('frame', 'frame', ...$layout->whole()),
                $card('tracery', 'tracery', ...$layout->tracery?->holes() ?? [])->with(why: 'tracery stuck behind its frame'),
            ],
            $frame->isDeep => [
                $card('frame', 'frame', ...$layout->upper()),
                $card('frame-back', 'frame, lower half', ...$layout->under())->with(why: 'the lower half stuck behind the upper'),
            ],
            $frame->opens => [
                $card('frame', 'frame', ...$layout->whole()),
                $card('casements', 'casements', ...$open)->with(why: 'casements stuck behind their frame'),
            ],
            default => [$card('frame', 'frame', ...$open)],
        };
    }

    private static function glass(Fitted $in, PaneLayout $layout): Sheet
    {
        $style = $in->opening->opening->style;

        return $in->glass('glazing', GlassPrint::of(
            $in,
            $style->glass?->isPrinted() === true ? $layout->casements() : [],
            $style->frame?->bars === Panes::PRINTED ? $layout->bars() : [],
        ));
    }
}
