<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Roll;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use UnexpectedValueException;

/** Reads how a part is rolled, and refuses what cannot be: an axis that the card would not touch, no bend. docs/formulas.md#rolled */
final readonly class KitRoll
{
    /** @throws UnexpectedValueException */
    public static function read(KitShape $form, float $thickness): Roll
    {
        $isCone = $form->text('kind') === 'cone';
        [$start, $end] = [...$form->points3('axis'), null, null];
        if ($start === null || $end === null || hypot($end->x - $start->x, $end->y - $start->y) < Tolerance::EDGE) {
            throw new UnexpectedValueException('An axis runs along the card');
        }
        [$from, $to] = [new Vec2($start->x, $start->y), new Vec2($end->x, $end->y)];
        $surface = self::surface($form->text('surface'), $thickness);
        $isAway = $end->z < $surface;
        $radius = $form->number('radius');
        $length = $end->minus($start)->length();
        $half = atan($radius / $length);
        // Where its surface touches the card's: a cylinder's axis is a radius away, a cone's begins in it and leans by half its angle.
        $off = $isCone
            ? max(abs($start->z - $surface), abs(abs($end->z - $start->z) - $length * sin($half)))
            : max(abs($start->z - $end->z), abs(abs($end->z - $surface) - $radius));
        $turn = deg2rad($form->number('seam_degrees') - $form->number('from_degrees'));
        if ($radius <= $thickness || $turn <= 0.0 || $off > Tolerance::MEET) {
            throw new UnexpectedValueException('Its axis, radius and degrees do not go together');
        }
        // The neutral line lies halfway through the card.
        $behind = ($isAway ? 1.0 : -1.0) * ($surface + $thickness / 2.0);
        $turn = $isAway ? $turn : -$turn;
        if ($isCone) {
            $way = $to->minus($from)->times(1.0 / $to->distanceTo($from));
            $apex = $from->plus($way->times($behind / tan($half)));
            $roll = Roll::cone($apex->plus($way), $apex, $half, $turn);
        } else {
            $roll = Roll::cylinder($from, $to->minus($from), $radius - $behind, $turn);
        }

        return $roll->begun(deg2rad($form->number('from_degrees')) * $roll->perTurn());
    }

    /** How high a surface of the card lies over its outside face. */
    private static function surface(string $name, float $thickness): float
    {
        return match ($name) {
            'outside' => 0.0,
            'neutral' => -$thickness / 2.0,
            'inside' => -$thickness,
            default => throw new UnexpectedValueException('A surface is outside, neutral or inside'),
        };
    }
}
