<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Lintel;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\Sign;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\DressedOpening;
use Chartula\Core\Form\Claims\Dresses;
use Chartula\Core\Form\Claims\HowMade;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Form\Claims\Units;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\RealLength;

/** A beam over a flat head; over one of steel stands a course of bricks on end. docs/formulas.md#dressings */
final readonly class Lintel implements Dresses
{
    /** Of a steel one this much shows under the bricks, real millimetres. */
    private const STEEL_MM = 12.7;

    public function name(): string
    {
        return 'lintel';
    }

    public function title(): string
    {
        return 'Lintel';
    }

    public function says(): string
    {
        return 'A beam over a flat head that bears on the wall at both ends: stone, concrete, timber, or steel under bricks on end.';
    }

    public function picture(): string
    {
        return 'M7 21V8H17V21M3 4H21V8H3Z';
    }

    public function anchors(): array
    {
        return [Anchor::Opening, Anchor::Openings];
    }

    public function fields(): FieldSet
    {
        $of = ChoiceType::of(['stone' => 'stone', 'concrete' => 'concrete', 'timber' => 'timber', 'steel' => 'steel, under bricks on end']);

        return new FieldSet(
            'lintel',
            ...[
                Field::optional('of', 'of', $of, 'stone'),
                Field::optional('h', 'height', LengthType::real(), '9in'),
                Field::optional('bearing', 'bears at each end', LengthType::real(Sign::ZeroOrMore), '4 1/2in'),
            ],
            ...HowMade::fields('1in'),
        );
    }

    public function refusal(Feature $feature, DressedOpening $at): ?string
    {
        return $at->isFlat() ? null : 'dress.head-not-flat';
    }

    public function claims(Feature $feature, DressedOpening $at): array
    {
        [$said, $masonry] = [$feature->said, $at->masonry];
        $bearing = $masonry->mm($said->real('bearing'));
        [$left, $right] = [$at->opening->left - $bearing, $at->opening->right() + $bearing];
        $foot = $at->opening->top();
        $top = $foot + $masonry->mm($said->real('h'));
        $line = static fn (float $y): array => [new Vec2($left, $y), new Vec2($right, $y)];
        $of = $said->text('of');
        $colour = match ($of) {
            'concrete' => Tone::CONCRETE,
            'timber' => Tone::TIMBER,
            'steel' => Tone::STEEL,
            default => Tone::STONE,
        };
        // Steel shows as a line under its bricks, and as a soffit.
        $plate = min($masonry->mm(RealLength::ofMillimetres(self::STEEL_MM)), ($top - $foot) / 2.0);
        $units = $of !== 'steel' ? [] : [
            Ring::rectangle($left, $foot, $right, $foot + $plate),
            ...Units::row($line($foot + $plate), $line($top), $masonry->count($right - $left), $masonry->joint),
        ];
        $own = new Tone($colour, $colour);
        $how = HowMade::from($said->text('as') ?? 'printed');
        $ring = Ring::rectangle($left, $foot, $right, $top);
        $proud = $masonry->mm($said->real('proud'));

        return [$units === []
            ? new Claim('lintel', $feature, $ring, [], $own, $how, $proud, ['head' => []])
            : new Claim('lintel', $feature, $ring, $units, $masonry->brick, $how, $proud, ['head' => []], [0 => $colour], $own)];
    }
}
