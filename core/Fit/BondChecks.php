<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Problem\Check;
use Chartula\Core\Shell\WallSpan;
use Chartula\Core\Skin\Bond;

/** Where bricks are cut beside openings, and by how much those would have to move or to change for that. docs/formulas.md#bonds */
final readonly class BondChecks
{
    /** Of so many stretches a wall's remark speaks. */
    private const MOST = 3;

    /** @return list<Check> */
    public static function all(Building $building, Kit $kit): array
    {
        $checks = [];
        foreach ($kit->walls->spans() as $span) {
            $cut = $span->form->isPapered && $span->form->wall->finish->bond() !== null ? self::cut($building, $span) : [];
            if ($cut !== []) {
                $checks[] = new Check('bond.cut', Check::NOTE, $span->block->id.'.'.$span->name(), sprintf(
                    'Bricks do not come out in halves, and one is cut: %s%s. Move openings by as much, or make them so much wider or narrower.',
                    implode('; ', array_slice($cut, 0, self::MOST)),
                    count($cut) > self::MOST ? sprintf('; and %d more', count($cut) - self::MOST) : '',
                ));
            }
        }

        return $checks;
    }

    /** @return list<string> stretches between jambs, and between those and the ends of a wall, in which a brick is cut */
    private static function cut(Building $building, WallSpan $span): array
    {
        // Beside what is round bricks run on and are cut.
        $openings = array_values(array_filter(
            array_map(static fn (OpeningForm $o): OpeningForm => $o->true ?? $o, $span->form->openings),
            static fn (OpeningForm $o): bool => ! $o->shape->isRound(),
        ));
        $length = $span->form->receding === null ? $span->form->length->mm
            : $building->scale->modelMm($span->block->footprint->length($span->form->wall->edge));
        $cut = [];
        foreach ($openings as $opening) {
            $middle = $opening->sill + $opening->shape->springing() / 2.0;
            $beside = array_filter(
                $openings,
                static fn (OpeningForm $o): bool => $o->sill < $middle && $o->sill + $o->shape->springing() > $middle,
            );
            usort($beside, static fn (OpeningForm $a, OpeningForm $b): int => $a->left <=> $b->left);
            [$from, $before] = [0.0, 'its left end'];
            foreach ($beside as $one) {
                $name = $one->opening->style->name;
                $cut[] = self::said($building, "between $before and $name", $one->left - $from);
                $cut[] = $building->methods->skin->runsThrough ? self::said($building, "over and under $name", $one->shape->width) : null;
                [$from, $before] = [$one->right(), $name];
            }
            $cut[] = self::said($building, "between $before and its right end", $length - $from);
        }

        return array_values(array_unique(array_filter($cut, static fn (?string $one): bool => $one !== null)));
    }

    /** What is off in a stretch; null where no brick is cut in it. */
    private static function said(Building $building, string $where, float $mm): ?string
    {
        [$brick, $real] = [$building->gauge->brick_mm, $mm * $building->scale->ratio];
        if ($real <= Bond::LEAST * $brick || Bond::evened($real / $brick) !== null) {
            return null;
        }
        $half = max(0.5, round($real / $brick * 2.0) / 2.0);
        $off = $real - $half * $brick;

        return sprintf(
            '%s it is %s, %s too %s for %s', $where, LengthFormat::imperial($real), LengthFormat::imperial(abs($off)),
            $off > 0.0 ? 'long' : 'short', match ($half) {
                0.5 => 'half a brick',
                1.0 => 'a brick',
                default => LengthFormat::trimmed($half, 1).' bricks',
            },
        );
    }
}
