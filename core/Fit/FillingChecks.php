<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Filling;
use Chartula\Core\Building\Holding;
use Chartula\Core\Building\Panes;
use Chartula\Core\Fillings\FillingParts;
use Chartula\Core\Fillings\PaneHoles;
use Chartula\Core\Fillings\PaneLayout;
use Chartula\Core\Fillings\Stance;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Check;
use Chartula\Core\Shell\OpeningCut;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;

/** What a practitioner would remark on what stands in an opening: what is too fine, and whether it is held. docs/formulas.md#frame */
final readonly class FillingChecks
{
    /** What stands in a rebate is held by so much of the card before it on each side. */
    private const LEAST_STOP_MM = 0.4;

    /** A reveal may be deeper or shallower than was said by such a part of itself, unsaid. */
    private const OFF_REVEAL = 0.25;

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

        return array_values(array_filter([$self->bars(), $self->stiles(), $self->tracery(), $self->held(), $self->open()]));
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

    /** @return list<Check> one for all that nothing but glue holds */
    public static function glued(Building $building, Walls $walls): array
    {
        $kinds = [];
        foreach ($walls->spans() as $span) {
            foreach ($span->isBuilt() && count($span->stack->layers) > 1 ? $span->form->openings : [] as $form) {
                $style = $form->opening->style;
                $isGlued = $style->isShut() && $building->methods->holding($style) === Holding::Glue;
                $kinds += $isGlued ? [$style->name => $span->block->id] : [];
            }
        }

        return $kinds === [] ? [] : [new Check('held.glue', Check::NOTE, array_values($kinds)[0], sprintf(
            'Glue at its edges alone holds %s. Give it a rebate or strips, stick it on from behind, or have everything in openings held, among the materials.',
            count($kinds) > 1 ? 'what stands in openings of the kinds '.implode(', ', array_keys($kinds)) : 'the '.array_keys($kinds)[0],
        ))];
    }

    /** @param  value-of<Check::LEVELS>  $level */
    private function check(string $code, string $level, string $text, ?float $mm = null): Check
    {
        return new Check($code, $level, $this->span->block->id.'.'.$this->span->name().'.'.$this->opening->id, $text, $mm);
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
        $least = $this->building->methods->frame->leastWebMm();
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
                $words, $seen, $this->building->methods->frame->words(),
            ), $true),
            default => $this->check('bar.too-fine', Check::WARN, sprintf(
                'A glazing bar of %s is finer than %s, the least that can be cut by hand in %s. Make the bars %s, have them widened or left out, or print them on the glass.',
                $words, LengthFormat::millimetres($least), $this->building->methods->frame->words(),
                LengthFormat::imperial($least * $this->building->scale->ratio),
            ), $true),
        };
    }

    /** What goes round panes, panels and lights. */
    private function stiles(): ?Check
    {
        $style = $this->opening->opening->style;
        $least = $this->building->methods->frame->leastWebMm();
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
                $what, LengthFormat::millimetres($wide), LengthFormat::millimetres($least), $this->building->methods->frame->words(),
            ), $wide);
    }

    /** What stands round its circles, and what is open of them. */
    private function tracery(): ?Check
    {
        $said = $this->opening->opening->style->frame?->tracery;
        $tracery = $this->layout()?->tracery;
        $stock = $this->building->methods->frame;
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

    /** Whether what stands in it is held, and as was wanted: with room for it, by more than the play, as deep as was said. */
    private function held(): ?Check
    {
        $cut = $this->span->cut($this->opening->opening);
        $wanted = $this->building->methods->holding($this->opening->opening->style);

        return match (true) {
            $wanted === Holding::Glue => null,
            $cut->held === Holding::Glue => $this->check('rebate.no-room', Check::WARN,
                $this->noRoom($wanted).' Nothing holds it. Move it along, build the wall of more layers, or make it smaller.'),
            $cut->held !== $wanted => $this->check('held.otherwise', Check::NOTE, sprintf(
                '%s It is held %s instead.',
                $this->noRoom($wanted),
                match ($cut->held) {
                    Holding::Behind => 'on the back of the wall',
                    Holding::Stops => 'by strips behind it',
                    default => 'in a rebate',
                },
            )),
            $cut->held === Holding::Stops => null,
            default => $this->lap($cut) ?? $this->depth($cut),
        };
    }

    private function lap(OpeningCut $cut): ?Check
    {
        $stop = $cut->lap - FillingParts::CLEARANCE_MM - $this->span->form->turnIn;

        return $stop >= self::LEAST_STOP_MM ? null : $this->check('rebate.slight', Check::WARN, sprintf(
            '%s holds %s what stands in it when that lies to one side; make it %s.',
            $cut->held === Holding::Behind ? 'What it laps by' : 'The rebate',
            $stop > FillingParts::CLEARANCE_MM ? 'by '.LengthFormat::millimetres($stop - FillingParts::CLEARANCE_MM).' only' : 'nothing of',
            LengthFormat::imperial((self::LEAST_STOP_MM + $cut->lap - $stop) * $this->building->scale->ratio),
        ), $stop);
    }

    private function depth(OpeningCut $cut): ?Check
    {
        $reveal = $this->building->scale->modelMm($this->opening->opening->style->reveal);

        return abs($cut->depth - $reveal) <= self::OFF_REVEAL * max($reveal, $cut->depth) ? null
            : $this->check('rebate.depth', Check::NOTE, sprintf(
                'It stands %s back, behind %s, and not %s as was said.',
                LengthFormat::millimetres($cut->depth),
                match (true) {
                    $cut->held === Holding::Rebate => 'the layers before its rebate',
                    $cut->rings > 0 => 'the wall and '.($cut->rings === 1 ? 'a ring' : "$cut->rings rings").' of card on its back',
                    default => 'all of the wall',
                },
                LengthFormat::millimetres($reveal),
            ), $cut->depth - $reveal);
    }

    private function noRoom(Holding $wanted): string
    {
        $wall = LengthFormat::millimetres($this->span->stack->thickness_mm);

        return match ($wanted) {
            Holding::Behind => 'On the back of the wall nothing has room: a corner, a roof, a floor or the next opening is too near.',
            Holding::Stops => "Behind what stands in it this wall of $wall leaves no room for strips, or its frame is too narrow to hide them.",
            default => count($this->span->stack->layers) === 1
                ? "This wall is one layer of $wall: there is nothing behind its face to cut a rebate into."
                : "Behind the face of this wall of $wall there is no room for a rebate with what stands in it.",
        };
    }
}
