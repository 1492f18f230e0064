<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Holding;
use Chartula\Core\Fillings\FillingParts;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Problem\Check;
use Chartula\Core\Shell\OpeningCut;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;

/** Whether what stands in openings is held, and as was wanted. docs/formulas.md#frame */
final readonly class HeldChecks
{
    /** What stands in a rebate is held by so much of the card before it on each side. */
    private const LEAST_STOP_MM = 0.4;

    /** A reveal may be deeper or shallower than was said by such a part of itself, unsaid. */
    private const OFF_REVEAL = 0.25;

    private function __construct(private Building $building, private WallSpan $span, private OpeningForm $opening)
    {
    }

    public static function of(Building $building, WallSpan $span, OpeningForm $opening): ?Check
    {
        return (new self($building, $span, $opening))->held();
    }

    /** @return list<Check> one for all that nothing but glue holds */
    public static function glued(Building $building, Walls $walls): array
    {
        $kinds = [];
        foreach ($walls->spans() as $span) {
            foreach ($span->isBuilt() && count($span->stack->layers) > 1 ? $span->form->openings : [] as $form) {
                $style = $form->opening->style;
                $isGlued = $style->standsRound() && $building->methods->holding($style) === Holding::Glue
                    && ! $building->methods->isInLayer($style, $span->stack);
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

    /** Whether what stands in it is held, and as was wanted: with room for it, by more than the play, as deep as was said. */
    private function held(): ?Check
    {
        $cut = $this->span->cut($this->opening->opening);
        $wanted = $this->building->methods->holding($this->opening->opening->style);

        $isInLayer = $this->building->methods->isInLayer($this->opening->opening->style, $this->span->stack);

        return match (true) {
            $isInLayer && $cut->held === Holding::Layer => null,
            $isInLayer => $this->check('held.otherwise', Check::NOTE,
                'Behind the layer of frames there is no room for its glass or its other cards: it is not cut in that, but stands for itself.'),
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
