<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Filling;
use Chartula\Core\Building\Holding;
use Chartula\Core\Building\Panes;
use Chartula\Core\Fillings\HungLeaf;
use Chartula\Core\Fillings\PaneHoles;
use Chartula\Core\Fillings\PaneLayout;
use Chartula\Core\Fillings\Stance;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Check;
use Chartula\Core\Shell\WallSpan;
use Chartula\Core\Stock\Stock;

/** What a practitioner would remark on what stands in an opening: what is too fine, what stands open. docs/formulas.md#frame */
final readonly class FillingChecks
{
    private function __construct(
        private Building $building,
        private WallSpan $span,
        private OpeningForm $opening,
        private PaneHoles $panes,
    ) {
    }

    /** @return list<Check> */
    public static function of(Building $building, WallSpan $span, OpeningForm $opening, PaneHoles $panes): array
    {
        $self = new self($building, $span, $opening, $panes);

        return array_values(array_filter([
            $self->bars(), $self->stiles(), $self->tracery(), HeldChecks::of($building, $span, $opening), $self->hinges(), $self->open(),
        ]));
    }

    /** What stands open shows what is behind it, and what slides needs wall to go before. */
    private function open(): ?Check
    {
        $leaf = $this->opening->opening->style->leaf;
        if ($leaf === null || $this->opening->opening->style->isShut() || $this->opening->opening->style->filling() !== Filling::Leaf) {
            return null;
        }
        $over = 0.0;
        foreach (Stance::filled($leaf, [$this->opening], $this->building->scale->ratio) as $form) {
            $over = $leaf->slides === null ? 0.0 : max($over, -$form->left, $form->right() - $this->span->form->length->mm);
        }

        return match (true) {
            $over > Tolerance::FIGURE => $this->check('door.past-wall', Check::WARN, sprintf(
                'Its leaf slides %s past the end of the wall. Let it go the other way, open it less, or move it along.',
                LengthFormat::millimetres($over),
            ), $over),
            $leaf->angle > 0.0 || $leaf->slid > 0.0 => $this->check('door.open', Check::NOTE,
                'It stands open and shows what is behind: colour the edges of its wall, lay a floor, and keep it dark with black paper, or build the inside.'),
            default => null,
        };
    }

    /** Where its frame is drilled, and for what. */
    private function hinges(): ?Check
    {
        $leaf = $this->opening->opening->style->leaf;
        if ($leaf?->hinges === null) {
            return null;
        }
        $holes = (new HungLeaf($this->building, $this->opening, $leaf))->holes();
        $wide = ($holes[0] ?? null)?->bounds()->width() ?? 0.0;
        $up = array_unique(array_map(static fn (Ring $hole): string => LengthFormat::trimmed($hole->bounds()->centre()->y, 2), $holes));

        return $this->check('door.hinges', Check::NOTE, sprintf(
            'It hangs on %d hinges: drill its frame %s wide, through and no deeper, over its middle and %s mm above its foot, before it is put in, for pins of %s.',
            count($holes), LengthFormat::millimetres($wide), implode(', ', $up), LengthFormat::millimetres($leaf->hinges->pin),
        ));
    }

    /** @param  value-of<Check::LEVELS>  $level */
    private function check(string $code, string $level, string $text, ?float $mm = null): Check
    {
        return new Check($code, $level, $this->span->block->id.'.'.$this->span->name().'.'.$this->opening->id, $text, $mm);
    }

    /** What its frame or its leaf is cut from. */
    private function stock(): Stock
    {
        $cut = $this->span->cut($this->opening->opening);

        return $cut->held === Holding::Layer ? $this->span->stack->layers[$cut->front - 1]->stock : $this->building->methods->frame;
    }

    private function layout(): ?PaneLayout
    {
        return $this->opening->opening->style->frame === null ? null : $this->panes->layout($this->opening);
    }

    /** Bars that are too fine: what becomes of them, or what could. */
    private function bars(): ?Check
    {
        $panes = $this->opening->opening->style->frame;
        $layout = $this->layout();
        if ($panes === null || $layout === null || ! $panes->hasBars()) {
            return null;
        }
        $least = $this->stock()->leastWebMm();
        [$true, $seen] = [$this->building->scale->modelMm($panes->bar), LengthFormat::millimetres($layout->bar)];
        $isFine = $true < $least - Tolerance::FIGURE;
        $words = LengthFormat::millimetres($true);

        return match (true) {
            $panes->bars === Panes::DROPPED => $this->check('bar.dropped', Check::NOTE, "Its bars of $words are left out.", $true),
            $panes->bars === Panes::PRINTED => $this->check('bar.printed', Check::NOTE, $layout->bar > $true + Tolerance::FIGURE
                ? "Its bars of $words are finer than two dots of a printer; they are printed $seen wide on the glass."
                : "Its bars are printed on the glass, $seen wide.", $layout->bar),
            ! $isFine => null,
            $panes->bars === Panes::WIDENED => $this->check('bar.widened', Check::NOTE, sprintf(
                'Its bars of %s are cut %s wide, the least that can be cut by hand in %s.',
                $words, $seen, $this->stock()->words(),
            ), $true),
            default => $this->check('bar.too-fine', Check::WARN, sprintf(
                'A glazing bar of %s is finer than %s, the least that can be cut by hand in %s. Make the bars %s, have them widened or left out, or print them on the glass.',
                $words, LengthFormat::millimetres($least), $this->stock()->words(),
                LengthFormat::imperial($least * $this->building->scale->ratio),
            ), $true),
        };
    }

    /** What goes round panes, panels and lights. */
    private function stiles(): ?Check
    {
        $style = $this->opening->opening->style;
        $least = $this->stock()->leastWebMm();
        // Of a sash in two cards half of it goes round the opening before the other half.
        $isDeep = $style->frame?->isDeep === true;
        $scale = $this->building->scale;
        $leaf = $style->leaf?->isFaced() === true ? ['A rail of its leaf', $scale->modelMm($style->leaf->rail)] : [null, INF];
        $hasMullions = $style->frame !== null && ($style->frame->lights > 1 || $style->frame->above !== null);
        $mullion = $hasMullions && $style->frame->mullion !== null ? $scale->modelMm($style->frame->mullion) : INF;
        [$what, $wide] = match (true) {
            $style->frame === null => $leaf,
            $isDeep => ['Half a stile before the other half of the sash,', $scale->modelMm($style->frame->stile) / 2.0],
            $mullion < $scale->modelMm($style->frame->stile) => ['A mullion', $mullion],
            default => ['A stile', $scale->modelMm($style->frame->stile)],
        };

        return $what === null || $wide >= $least - Tolerance::FIGURE ? null
            : $this->check('stile.too-fine', Check::WARN, sprintf('%s of %s is finer than %s, the least that can be cut by hand in %s.',
                $what, LengthFormat::millimetres($wide), LengthFormat::millimetres($least), $this->stock()->words(),
            ), $wide);
    }

    /** What stands round its circles, and what is open of them. */
    private function tracery(): ?Check
    {
        $said = $this->opening->opening->style->frame?->tracery;
        $tracery = $this->layout()?->tracery;
        $stock = $this->stock();
        if ($said === null || $tracery === null) {
            return null;
        }
        $bar = $this->building->scale->modelMm($said->bar);
        $open = $tracery->narrowest();

        return match (true) {
            $bar < $stock->leastWebMm() - Tolerance::FIGURE => $this->check('tracery.too-fine', Check::WARN, sprintf(
                'Tracery of %s is finer than %s, the least that can be cut by hand in %s.',
                LengthFormat::millimetres($bar), LengthFormat::millimetres($stock->leastWebMm()), $stock->words(),
            ), $bar),
            $open < $stock->leastOpeningMm() - Tolerance::FIGURE => $this->check('tracery.small', Check::WARN, sprintf(
                'Its narrowest opening is %s wide; %s is the least that can be cut by hand in %s. Take fewer foils or lights.',
                LengthFormat::millimetres($open), LengthFormat::millimetres($stock->leastOpeningMm()), $stock->words(),
            ), $open),
            default => null,
        };
    }
}
