<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Sill;

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

/** A sill under an opening: its top flush with the opening's foot, so much beyond the jambs. docs/formulas.md#dressings */
final readonly class Sill implements Dresses
{
    public function name(): string
    {
        return 'sill';
    }

    public function title(): string
    {
        return 'Sill';
    }

    public function says(): string
    {
        return 'Under a window, flush with its foot: a stone, bricks on edge, or tiles in two courses.';
    }

    public function picture(): string
    {
        return 'M7 17V4H17V17M3 17H21V20H3Z';
    }

    public function anchors(): array
    {
        return [Anchor::Opening, Anchor::Openings];
    }

    public function fields(): FieldSet
    {
        return new FieldSet(
            'sill',
            ...[
                Field::optional('of', 'of', ChoiceType::of(['stone' => 'stone', 'brick' => 'brick on edge', 'tile' => 'tiles']), 'stone'),
                Field::optional('h', 'height', LengthType::real(), '3in'),
                Field::optional('beyond', 'beyond the jambs', LengthType::real(Sign::ZeroOrMore), '3in'),
            ],
            ...HowMade::fields('2in'),
        );
    }

    public function refusal(Feature $feature, DressedOpening $at): ?string
    {
        return null;
    }

    public function claims(Feature $feature, DressedOpening $at): array
    {
        // What stands on the ground has a threshold, and no sill.
        if ($at->opening->reachesFoot()) {
            return [];
        }
        [$said, $masonry] = [$feature->said, $at->masonry];
        $beyond = $masonry->mm($said->real('beyond'));
        [$left, $right, $top] = [$at->opening->left - $beyond, $at->opening->right() + $beyond, $at->opening->sill];
        $foot = $top - $masonry->mm($said->real('h'));
        $line = static fn (float $y): array => [new Vec2($left, $y), new Vec2($right, $y)];
        // What is seen from the front goes on into the opening.
        [$units, $tone, $along] = match ($said->text('of')) {
            'brick' => [
                Units::row($line($foot), $line($top), $masonry->count($right - $left), $masonry->joint), $masonry->brick,
                Units::jointsIn($masonry->count($right - $left), $right - $left, $beyond),
            ],
            'tile' => [
                [
                    ...Units::row($line($foot), $line(($foot + $top) / 2.0), $masonry->count(($right - $left) / 2.0), $masonry->joint),
                    ...Units::row($line(($foot + $top) / 2.0), $line($top), $masonry->count(($right - $left) / 2.0) + 1, $masonry->joint),
                ],
                new Tone(Tone::TILE, $masonry->brick->joint),
                Units::jointsIn($masonry->count(($right - $left) / 2.0) + 1, $right - $left, $beyond),
            ],
            default => [[], new Tone(Tone::STONE, Tone::STONE), []],
        };
        $how = HowMade::from($said->text('as') ?? 'printed');
        $ring = Ring::rectangle($left, $foot, $right, $top);

        return [new Claim('sill', $feature, $ring, $units, $tone, $how, $masonry->mm($said->real('proud')), ['foot' => $along])];
    }
}
