<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Filling;
use Chartula\Core\Building\Holding;
use Chartula\Core\Building\OpeningKind;
use Chartula\Core\Building\Storey;
use Chartula\Core\Fillings\PaneHoles;
use Chartula\Core\Form\Covered;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Check;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;

/** Remarks on openings: bars, reveals, courses, heads, figures beside them, flaps. docs/formulas.md#checks */
final readonly class OpeningChecks
{
    /** A figure 5 ft 8 in tall. docs/formulas.md#figure */
    public const FIGURE_MM = 1727.2;

    private const LEAST_DOOR = 1.08;

    /** Less than such a part of an opening is not covered. */
    private const COVERED = 0.02;

    /** What stands nearer than this to being over another is meant to. */
    private const ALIGNED_MM = 3.0;

    private const GREATEST_SILL = 0.75;

    /** Sills higher up look out from another floor: 7 ft 6 in. */
    private const STOREY_MM = 2286.0;

    private function __construct(
        private Building $building,
        private WallSpan $span,
        private OpeningForm $opening,
    ) {
    }

    /** @return list<Check> */
    public static function of(Building $building, Walls $walls): array
    {
        $checks = $deep = [];
        $panes = new PaneHoles($building);
        foreach ($walls->spans() as $span) {
            foreach ($span->form->openings as $opening) {
                foreach ($opening->copy === 0 ? (new self($building, $span, $opening->true ?? $opening))->all($panes) : [] as $check) {
                    // Of a kind that stands less deep than was said once is enough.
                    $isKnown = $check->code === 'rebate.depth' && isset($deep[$opening->opening->style->id]);
                    $deep += $check->code === 'rebate.depth' ? [$opening->opening->style->id => true] : [];
                    array_push($checks, ...$isKnown ? [] : [$check]);
                }
            }
            array_push($checks, ...self::covered($building, $walls->form, $span), ...self::outOfLine($building, $span));
        }

        return [...$checks, ...HeldChecks::glued($building, $walls)];
    }

    /** @return list<Check> openings that stand nearly over another, and were probably meant to */
    private static function outOfLine(Building $building, WallSpan $span): array
    {
        $checks = [];
        foreach ($span->form->openings as $upper) {
            foreach ($upper->copy === 0 ? $span->form->openings : [] as $lower) {
                $off = ($upper->left + $upper->right() - $lower->left - $lower->right()) / 2.0;
                if ($lower->top() < $upper->sill && abs($off) > Tolerance::MEET && abs($off) < self::ALIGNED_MM) {
                    $checks[] = (new self($building, $span, $upper))->check('opening.out-of-line', Check::NOTE, sprintf(
                        'It stands %s to the %s of the %s below it. Is that meant?',
                        LengthFormat::millimetres(abs($off)), $off > 0.0 ? 'right' : 'left', $lower->opening->style->name,
                    ), $off);
                }
            }
        }

        return $checks;
    }

    /** @return list<Check> openings that another block stands in front of */
    private static function covered(Building $building, Form $form, WallSpan $span): array
    {
        $checks = [];
        foreach ($span->isBuilt() && $span->form->openings !== [] ? Covered::of($form, $span->form) : [] as $covered) {
            foreach ($span->form->openings as $opening) {
                $share = $covered->takes($opening->ring());
                if ($share > self::COVERED) {
                    $checks[] = (new self($building, $span, $opening))->check('opening.covered', Check::WARN, sprintf(
                        '%s stands in front of %s: %s. Move it along, or take it out.',
                        $form->blocks[$covered->block]->block->name,
                        $share > 1.0 - self::COVERED ? 'it' : 'part of it',
                        $share > 1.0 - self::COVERED ? 'nobody will see it' : 'a roof or a wall will cut across it',
                    ));
                }
            }
        }

        return $checks;
    }

    /** @return list<Check> */
    private function all(PaneHoles $panes): array
    {
        return [...FillingChecks::of($this->building, $this->span, $this->opening, $panes), ...array_values(array_filter([
            $this->reveal(), $this->eavesLine(), $this->head(), $this->flaps(), $this->figure(), $this->size(),
        ]))];
    }

    /** @param  value-of<Check::LEVELS>  $level */
    private function check(string $code, string $level, string $text, ?float $mm = null): Check
    {
        return new Check($code, $level, $this->span->block->id.'.'.$this->span->name().'.'.$this->opening->id, $text, $mm);
    }

    private function reveal(): ?Check
    {
        $opening = $this->opening->opening;
        $wanted = $this->building->scale->modelMm($opening->style->reveal);
        $cut = $this->span->cut($opening);
        [$depth, $isRebated] = [$cut->depth, $cut->lap > 0.0 || $cut->held === Holding::Layer];

        // Where nothing stands in it, its reveal is as deep as the wall.
        return $opening->style->filling() === Filling::Nothing || $isRebated || $depth >= $wanted - Tolerance::FIGURE ? null
            : $this->check('reveal.shallow', Check::NOTE, sprintf('The reveal of %s is deeper than this wall of %s can show with a frame in it; the frame stands %s back.',
                LengthFormat::millimetres($wanted), LengthFormat::millimetres($this->span->stack->thickness_mm),
                LengthFormat::millimetres($depth)), $wanted - $depth);
    }

    private function eavesLine(): ?Check
    {
        $over = $this->opening->top() - $this->span->form->height->mm;

        return $over <= 0.0 ? null
            : $this->check(
                'head.above-eaves',
                Check::NOTE,
                sprintf('The head stands %s above the eaves line, in the gable. Is that meant?', LengthFormat::millimetres($over)),
                $over,
            );
    }

    /** Heads want to lie on bed joints. */
    private function head(): ?Check
    {
        if (! $this->span->form->isPapered || $this->opening->shape->isRound()) {
            return null;
        }
        $course = $this->building->gauge->course_mm / $this->building->scale->ratio;
        $springing = $this->opening->sill + $this->opening->shape->springing() + $this->building->scale->modelMm($this->span->block->base);
        $off = $springing - round($springing / $course) * $course;

        return abs($off) < 0.1 * $course ? null
            : $this->check('head.off-course', Check::NOTE, sprintf('The head springs %s of a course %s a bed joint. %s the sill by %s and it lies on one.',
                LengthFormat::trimmed(abs($off) / $course, 2), $off > 0.0 ? 'above' : 'below',
                $off > 0.0 ? 'Lower' : 'Raise', LengthFormat::imperial(abs($off) * $this->building->scale->ratio)), $off);
    }

    private function flaps(): ?Check
    {
        $cut = $this->span->cut($this->opening->opening);
        $flap = $cut->flap($this->building->methods->skin);
        if ($this->span->form->turnIn === 0.0 || ! $this->building->methods->skin->turnsIn()) {
            return null;
        }
        $behind = match (true) {
            $cut->held === Holding::Layer => 0.0,
            $cut->lap > 0.0 => min(1.0, $cut->lap),
            default => 1.0,
        };
        $needed = $cut->round + $behind;
        if ($flap < $needed) {
            return $this->check('flap.short', Check::WARN, sprintf('Flaps of %s do not reach %s behind a wall of %s; make them %s.',
                LengthFormat::millimetres($flap), LengthFormat::trimmed($behind, 2).' mm', LengthFormat::millimetres($cut->round),
                LengthFormat::millimetres($needed)), $flap);
        }

        return $this->opening->shape->width >= 2.0 * $flap ? null
            : $this->check(
                'flap.narrow-opening',
                Check::NOTE,
                sprintf(
                    'The opening is %s wide: its own paper gives flaps of half that. Line the reveals with strips.',
                    LengthFormat::millimetres($this->opening->shape->width),
                ),
            );
    }

    /** How many figures a real length is on the model: they do not become smaller with a building that does. */
    public static function figures(Building $building, float $mm): float
    {
        return $mm * $building->shrunk / self::FIGURE_MM;
    }

    private function figure(): ?Check
    {
        $style = $this->opening->opening->style;
        if ($style->kind === OpeningKind::Door && $this->opening->reachesFoot()) {
            $ratio = self::figures($this->building, $style->h->mm);

            return $ratio >= self::LEAST_DOOR ? null
                : $this->check(
                    'door.low',
                    Check::WARN,
                    sprintf(
                        'The door is %s figures high; a figure of 5ft 8in would stoop. Usual is 1.15.',
                        LengthFormat::trimmed($ratio, 2),
                    ),
                );
        }
        $floor = $this->floor();
        if ($floor === null) {
            return null;
        }
        $ratio = self::figures($this->building, $this->opening->opening->sill->mm - $floor);
        $usual = $style->kind === OpeningKind::Window && $ratio > self::GREATEST_SILL
            && $this->opening->top() <= $this->span->form->height->mm;

        return $usual
            ? $this->check(
                'sill.high',
                Check::NOTE,
                sprintf('The sill is %s figures above the floor; nobody sees out. Usual is 0.46.', LengthFormat::trimmed($ratio, 2)),
            )
            : null;
    }

    /** The floor that an opening looks out from, above the block's base; null where nobody has said what floors there are so high up. */
    private function floor(): ?float
    {
        $block = $this->span->block;
        $sill = $this->opening->opening->sill->mm;
        $floors = array_map(static fn (Storey $s): float => $s->floor->mm - $block->base->mm, $block->storeys);
        $below = array_filter([0.0, ...$floors], static fn (float $floor): bool => $floor <= $sill + Tolerance::FIGURE);

        return $floors === [] && $sill > self::STOREY_MM ? null : max([0.0, ...$below]);
    }

    private function size(): ?Check
    {
        $style = $this->opening->opening->style;
        [$w0, $w1, $h0, $h1] = self::usual($style->kind);
        if ($style->w->mm >= $w0 && $style->w->mm <= $w1 && $style->h->mm >= $h0 && $style->h->mm <= $h1) {
            return null;
        }

        return $this->check('size.unusual', Check::NOTE, sprintf(
            'A %s of %s × %s is outside the usual %s–%s × %s–%s. Feet for metres, or scaled twice?',
            $style->filling() === Filling::Nothing ? 'opening' : $style->kind->words(),
            LengthFormat::imperial($style->w->mm), LengthFormat::imperial($style->h->mm), LengthFormat::imperial($w0),
            LengthFormat::imperial($w1), LengthFormat::imperial($h0), LengthFormat::imperial($h1),
        ));
    }

    /**
     * Usual sizes, real millimetres. docs/formulas.md#usual-sizes
     *
     * @return array{float, float, float, float} least and greatest width, least and greatest height
     */
    private static function usual(OpeningKind $kind): array
    {
        return match ($kind) {
            OpeningKind::Open => [304.8, 6096.0, 304.8, 6096.0],
            OpeningKind::Door => [609.6, 4876.8, 1828.8, 4876.8],
            OpeningKind::Window => [304.8, 2438.4, 304.8, 2438.4],
        };
    }
}
