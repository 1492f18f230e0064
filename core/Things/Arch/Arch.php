<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Arch;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\CountType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\FlagType;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\NumberType;
use Chartula\Core\Field\Said;
use Chartula\Core\Field\Sign;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\DressedOpening;
use Chartula\Core\Form\Claims\Dresses;
use Chartula\Core\Form\Claims\HowMade;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Form\Claims\Units;
use Chartula\Core\Geometry\ArcChain;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** Bricks over a head: on end, on edge in rings, or rubbed to wedges. docs/formulas.md#dressings */
final readonly class Arch implements Dresses
{
    private const STEEPEST_DEG = 85.0;

    private const FLATTEST_DEG = 45.0;

    public function name(): string
    {
        return 'arch';
    }

    public function title(): string
    {
        return 'Brick arch';
    }

    public function says(): string
    {
        return 'Over a head, level or curved: bricks on end, on edge in one to three rings, or gauged wedges with skewbacks.';
    }

    public function picture(): string
    {
        return 'M6 21V12Q12 7 18 12V21M3 8Q12 1 21 8L18 12M3 8L6 12M9 5L10 10M15 5L14 10';
    }

    public function anchors(): array
    {
        return [Anchor::Opening, Anchor::Openings];
    }

    public function fields(): FieldSet
    {
        $of = ChoiceType::of(['soldier' => 'bricks on end', 'rowlock' => 'bricks on edge, in rings', 'gauged' => 'gauged wedges']);

        return new FieldSet(
            'arch',
            ...[
                Field::optional('of', 'of', $of, 'rowlock'),
                Field::optional('rings', 'rings', new CountType(1, 3), 1)->when('of', ['rowlock'])->saying('each half a brick deep'),
                Field::optional('depth', 'depth', LengthType::real())->when('of', ['soldier', 'gauged'])
                    ->saying('a brick, and of gauged wedges four courses, where nothing is said'),
                Field::optional('bearing', 'beyond the jambs', LengthType::real(Sign::ZeroOrMore), '0in')->when('of', ['soldier'])
                    ->saying('over a flat head'),
                Field::optional('rise', 'rising by', LengthType::real())->meaning('level over a level head')
                    ->saying('over a flat head: a relieving arch, with brickwork between'),
                Field::optional('skew', 'skewbacks', NumberType::degrees(self::FLATTEST_DEG, self::STEEPEST_DEG), 60)
                    ->when('of', ['gauged'])->saying('of a flat arch, against the level'),
                Field::optional('keystone', 'a keystone', new FlagType, false)->when('of', ['soldier', 'gauged'])
                    ->saying('an odd number of units, the middle one in the tone of stone'),
            ],
            ...HowMade::fields('1in'),
        );
    }

    public function refusal(Feature $feature, DressedOpening $at): ?string
    {
        $rise = $at->masonry->mm($feature->said->real('rise'));

        return $at->isFlat() && $rise > $at->opening->shape->width / 2.0 ? 'dress.rise-too-great' : null;
    }

    public function claims(Feature $feature, DressedOpening $at): array
    {
        $said = $feature->said;
        $rise = $at->masonry->mm($said->real('rise'));
        // Over a flat head it springs from whatever lies there.
        $relieves = $at->isFlat() && $rise > 0.0;
        $over = $relieves ? $at->vaulted($rise) : $at;
        [$ring, $units, $along] = $over->isFlat() ? self::flat($said, $over) : self::curved($said, $over);
        $how = HowMade::from($said->text('as') ?? 'printed');
        $proud = $at->masonry->mm($said->real('proud'));

        // Two curves meet in a joint.
        $hasMiddle = $said->flag('keystone') && self::isOdd($said) && count($over->curves()) < 2;
        $middle = $hasMiddle ? [intdiv(count($units), 2) => Tone::STONE] : [];

        $joints = $relieves ? [] : ['head' => $along];

        return [new Claim('arch', $feature, $ring, $units, $at->masonry->brick, $how, $proud, $joints, $middle)];
    }

    private static function depth(Said $said, DressedOpening $at): float
    {
        $depth = $said->real('depth');

        return match (true) {
            $said->text('of') === 'rowlock' => ($said->count('rings') ?? 1) * $at->masonry->half,
            $depth !== null => $at->masonry->mm($depth),
            $said->text('of') === 'gauged' => 4.0 * $at->masonry->unit,
            default => 2.0 * $at->masonry->half,
        };
    }

    private static function isOdd(Said $said): bool
    {
        return $said->text('of') === 'gauged' || ($said->text('of') === 'soldier' && $said->flag('keystone'));
    }

    /** @return array{Ring, list<Ring>, list<float>} what it covers, its units, and where joints show underneath */
    private static function flat(Said $said, DressedOpening $at): array
    {
        $masonry = $at->masonry;
        [$left, $right, $foot] = [$at->opening->left, $at->opening->right(), $at->opening->top()];
        $depth = self::depth($said, $at);
        $line = static fn (float $y, float $out): array => [new Vec2($left - $out, $y), new Vec2($right + $out, $y)];
        if ($said->text('of') === 'gauged') {
            $out = $depth / tan(deg2rad($said->number('skew') ?? 60.0));
            [$below, $above] = [$line($foot, 0.0), $line($foot + $depth, $out)];
            $count = $masonry->count($right - $left + 2.0 * $out, true);
            $ring = new Ring([$below[0], $below[1], $above[1], $above[0]]);

            // Rubbed bricks lie in joints of a millimetre or two: too fine to print at any scale, they are told by their tones.
            return [$ring, Units::row($below, $above, $count, 0.0), Units::joints($count)];
        }
        $out = $said->text('of') === 'soldier' ? $masonry->mm($said->real('bearing')) : 0.0;
        $rows = $said->text('of') === 'soldier' ? 1 : $said->count('rings') ?? 1;
        $count = $masonry->count($right - $left + 2.0 * $out, self::isOdd($said));
        $units = [];
        for ($i = 0; $i < $rows; $i++) {
            [$y0, $y1] = [$foot + $depth * $i / $rows, $foot + $depth * ($i + 1) / $rows];
            $joint = $i === $rows - 1 ? 0.0 : $masonry->joint;
            array_push($units, ...Units::row($line($y0, $out), $line($y1 - $joint, $out), $count, $masonry->joint));
        }
        $ring = Ring::rectangle($left - $out, $foot, $right + $out, $foot + $depth);

        return [$ring, $units, Units::jointsIn($count, $right - $left + 2.0 * $out, $out)];
    }

    /** @return array{Ring, list<Ring>, list<float>} */
    private static function curved(Said $said, DressedOpening $at): array
    {
        $masonry = $at->masonry;
        $curves = $at->curves();
        assert($curves !== []);
        $depth = self::depth($said, $at);
        [$isGauged, $isRowlock] = [$said->text('of') === 'gauged', $said->text('of') === 'rowlock'];
        $rings = $isRowlock ? $said->count('rings') ?? 1 : 1;
        $units = $along = [];
        $whole = array_sum(array_map(static fn (ArcChain $c): float => $c->length(), $curves));
        $before = 0.0;
        foreach ($curves as $k => $curve) {
            for ($i = 0; $i < $rings; $i++) {
                $out = [$depth * $i / $rings, $depth * ($i + 1) / $rings];
                // Bricks of a ring touch at its inside, and their joints open outwards; wedges are counted where they are widest.
                $count = $masonry->count($curve->length($out[$isGauged ? 1 : 0]), count($curves) === 1 && self::isOdd($said));
                $own = array_map(static fn (float $share): float => ($before + $share * $curve->length()) / $whole, Units::joints($count));
                // Where two curves meet in a point there is one.
                array_push($along, ...$i > 0 ? [] : [...$k > 0 ? [$before / $whole] : [], ...$own]);
                $out[1] -= $i === $rings - 1 ? 0.0 : $masonry->joint;
                array_push($units, ...Units::ring($curve, $out, $count, $isGauged ? 0.0 : $masonry->joint));
            }
            $before += $curve->length();
        }

        return [Units::band($curves, [0.0, $depth]), $units, $along];
    }
}
