<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\OwnPaper;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Problem\Check;
use Chartula\Core\Skin\PaperUse;
use Chartula\Core\Skin\PaperUses;

/** How well a person's own papers come out. docs/formulas.md#own-papers */
final readonly class PaperChecks
{
    /** Beside another texture a difference of so much is seen. */
    private const BESIDE = 0.03;

    /** By itself a texture of another scale is seen from here on. */
    private const ALONE = 0.15;

    /** Fewer dots show as steps at the edges of bricks. */
    private const DOTS_PER_INCH = 200.0;

    private const REACH_MM = 0.1;

    /** @return list<Check> */
    public static function all(Building $building, Kit $kit): array
    {
        $uses = PaperUses::of($building, $kit->form);
        $checks = array_merge([], ...array_map(self::use(...), $uses));
        foreach ($building->papers as $paper) {
            $of = array_values(array_filter($uses, static fn (PaperUse $u): bool => $u->paper === $paper));
            if ($of !== [] && $paper->licence === '') {
                $checks[] = new Check('paper.licence', Check::NOTE, $of[0]->at, self::name($paper)
                    .' says nothing of by what right it is printed. Note it, so that nobody passes on what is not theirs.');
            }
        }

        return [...$checks, ...self::blank($building, $kit)];
    }

    /** @return list<Check> posters that show nothing yet */
    private static function blank(Building $building, Kit $kit): array
    {
        $checks = [];
        foreach ($kit->form->walls() as $wall) {
            $at = $building->blocks[$wall->block]->id.'.'.$wall->wall->name;
            foreach ($wall->claims as $claim) {
                array_push($checks, ...$claim->id === 'poster' && $claim->paper === null ? [new Check(
                    'paper.none', Check::WARN, "$at.{$claim->owner()}",
                    $claim->feature->kind->title().': a blank board so far. Add its picture under Skin, to your own papers, and choose it here.',
                )] : []);
            }
        }

        return $checks;
    }

    /** @return list<Check> */
    private static function use(PaperUse $use): array
    {
        return array_values(array_filter([self::pitch($use), self::stretched($use), self::coarse($use), self::small($use)]));
    }

    /** @param  Check::NOTE|Check::WARN  $level */
    private static function check(PaperUse $use, string $code, string $level, string $text): Check
    {
        return new Check($code, $level, $use->at, self::name($use->paper)." on $use->words $text");
    }

    private static function pitch(PaperUse $use): ?Check
    {
        $off = max(abs($use->fitted->factors[0] - 1.0), abs($use->fitted->factors[1] - 1.0));
        $isMeasured = $use->fitted->wanted !== [null, null] && ($use->paper->course_mm !== null || $use->paper->unit_mm !== null);
        $percent = self::percent($use);

        return match (true) {
            ! $isMeasured || $off <= self::BESIDE => null,
            $off <= self::ALONE => self::check(
                $use, 'paper.pitch', Check::NOTE, "is printed at $percent, so that its courses meet those beside it.",
            ),
            default => self::check(
                $use, 'paper.scale', Check::WARN,
                "is printed at $percent. It is of another scale than the building: joints and shading come out too large or too small.",
            ),
        };
    }

    private static function stretched(PaperUse $use): ?Check
    {
        [$across, $up] = $use->fitted->factors;
        if ($use->fitted->wanted !== [null, null] || abs($across / $up - 1.0) <= self::BESIDE) {
            return null;
        }
        [$w, $h] = $use->paper->size();

        return self::check($use, 'paper.stretched', Check::NOTE, sprintf(
            'is stretched: it is %s by %s as it was scanned. %s high it would be %s wide.',
            LengthFormat::millimetres($w), LengthFormat::millimetres($h),
            LengthFormat::millimetres($use->size[1]), LengthFormat::millimetres($use->size[1] * $w / $h),
        ));
    }

    private static function coarse(PaperUse $use): ?Check
    {
        return $use->fitted->dotsPerInch >= self::DOTS_PER_INCH ? null : self::check($use, 'paper.coarse', Check::WARN, sprintf(
            'has %d dots an inch as it is printed; under %d its edges show as steps. Scan it finer.',
            (int) round($use->fitted->dotsPerInch), (int) self::DOTS_PER_INCH,
        ));
    }

    private static function small(PaperUse $use): ?Check
    {
        $size = $use->fitted->pattern->size;
        $left = max($use->size[0] - $size[0], $use->size[1] - $size[1] + $use->fitted->pattern->foot);

        return $use->paper->isTiled || $left <= self::REACH_MM ? null : self::check($use, 'paper.small', Check::WARN, sprintf(
            'is %s by %s as it is printed, and laid once it does not cover %s by %s: the rest is of one colour. Lay it again and again, or scan more of it.',
            LengthFormat::millimetres($size[0]), LengthFormat::millimetres($size[1]),
            LengthFormat::millimetres($use->size[0]), LengthFormat::millimetres($use->size[1]),
        ));
    }

    private static function name(OwnPaper $paper): string
    {
        return "The paper “{$paper->name}”";
    }

    private static function percent(PaperUse $use): string
    {
        [$across, $up] = array_map(static fn (float $f): string => LengthFormat::trimmed(100.0 * $f, 2).' %', $use->fitted->factors);

        return $across === $up ? $up : "$across across and $up up";
    }
}
