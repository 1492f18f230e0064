<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Panes;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;

/** The sheets of a glazed frame, the foremost first. docs/formulas.md#frame */
final readonly class FrameSheets
{
    private ?AjarLight $ajar;

    private function __construct(private Fitted $in, private Panes $frame, private PaneLayout $layout)
    {
        $this->ajar = AjarLight::of($frame, $layout);
    }

    /** @return non-empty-list<Sheet> */
    public static function of(Fitted $in, Panes $frame, PaneLayout $layout): array
    {
        $self = new self($in, $frame, $layout);

        return [...$self->cards(), $self->glass(), ...$self->ajar()];
    }

    /** @return non-empty-list<Sheet> */
    private function cards(): array
    {
        [$layout, $halves] = [$this->layout, $this->layout->halves()];
        $card = fn (string $layer, string $words, Ring ...$holes): Sheet =>
            $this->in->card($layer, 'F', $words, $this->in->placed(array_values($holes)));

        return match (true) {
            $this->frame->tracery !== null => [
                $card('frame', 'frame', ...$layout->whole()),
                $card('tracery', 'tracery', ...$layout->tracery?->holes() ?? [])->with(why: 'tracery stuck behind its frame'),
            ],
            $halves !== null => [
                $card('frame', 'frame', ...$halves->upper()),
                $card('frame-back', 'frame, lower half', ...$halves->lower())->with(why: 'the lower half stuck behind the upper'),
            ],
            $this->frame->opens => [
                $card('frame', 'frame', ...$layout->whole()),
                $card('casements', 'casements', ...$this->casements())->with(why: 'casements stuck behind their frame'),
            ],
            default => [$card('frame', 'frame', ...$layout->glazed())],
        };
    }

    /** @return list<Ring> panes; of one that stands ajar all of its light */
    private function casements(): array
    {
        $ajar = $this->ajar;

        return $ajar === null ? $this->layout->glazed() : [...$ajar->others, $ajar->ring];
    }

    private function glass(): Sheet
    {
        $style = $this->in->opening->opening->style;
        $ajar = $this->ajar;
        $glass = $this->in->glass('glazing', GlassPrint::of(
            $this->in,
            $style->glass?->isPrinted() === true ? $this->layout->casements() : [],
            $style->frame?->bars === Panes::PRINTED ? $this->layout->bars() : [],
        ), $this->layout->halves()?->unglazed() ?? -INF);

        // What stands ajar has its own.
        return $ajar === null ? $glass : $glass->with(holes: $this->in->placed([$ajar->ring]));
    }

    /** @return list<Sheet> the casement that stands ajar, as large as its light less the play round it, and its glass */
    private function ajar(): array
    {
        $ajar = $this->ajar;
        if ($ajar === null) {
            return [];
        }
        [$light, $panes] = [$ajar->ring, $ajar->panes];
        $box = $light->bounds();
        $hinge = $box->centre()->x <= $this->in->opening->shape->width / 2.0 ? 'left' : 'right';
        $play = FillingParts::CLEARANCE_MM;
        $swing = new Swing($hinge === 'left' ? $box->x0 + $play : $box->x1 - $play, $hinge, $this->frame->ajar);
        $leaf = $this->in->card('casement-ajar', 'F', 'casement, ajar', $panes)->with(
            outline: self::within($light, $play), workings: [], swing: $swing, isFitted: false,
        );
        $glass = $this->in->glass('glazing', null)->with(
            layer: 'glazing-ajar', words: $this->in->named('glazing of the casement ajar'), workings: [],
            outline: self::within($light, $play + $this->in->glueInset()), swing: $swing->deeper($leaf->thickness),
        );

        return [$leaf, $glass];
    }

    private static function within(Ring $ring, float $by): Outline
    {
        $inner = Offset::lines($ring, array_fill(0, $ring->count(), $ring->signedArea() < 0.0 ? $by : -$by));
        $inner = $inner->signedArea() < 0.0 ? new Ring(array_reverse($inner->points)) : $inner;

        return new Outline($inner, array_map(static fn (): Edge => new Edge('edge', 'clearance'), $inner->points));
    }
}
