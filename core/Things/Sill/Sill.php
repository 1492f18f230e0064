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
use Chartula\Core\Form\Claims\Masonry;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Form\Claims\Units;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

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
                Field::optional('weathered', 'top slopes by', LengthType::real())->meaning('level')
                    ->saying('how much of its height, from the front, is its sloped top'),
                Field::optional('beyond', 'beyond the jambs', LengthType::real(Sign::ZeroOrMore), '3in'),
            ],
            ...HowMade::fields('2in'),
        );
    }

    public function refusal(Feature $feature, DressedOpening $at): ?string
    {
        $said = $feature->said;

        return ($said->real('weathered')->mm ?? 0.0) >= ($said->real('h')->mm ?? INF) ? 'dress.all-slope' : null;
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
        // From the front the slope of its top is a strip of so much, in the light.
        $edge = max($foot, $top - $masonry->mm($said->real('weathered')));
        [$units, $tone, $along] = self::units($said->text('of') ?? '', $masonry, [$left, $right], [$foot, $edge, $beyond]);
        $accents = [];
        if ($edge < $top - Tolerance::FIGURE) {
            $line = static fn (float $y): array => [new Vec2($left, $y), new Vec2($right, $y)];
            $count = $units === [] ? 1 : $masonry->count($right - $left);
            $slope = Units::row($line($edge), $line($top), $count, $masonry->joint);
            $units = $units === [] ? [Ring::rectangle($left, $foot, $right, $edge)] : $units;
            $accents = array_fill(count($units), count($slope), Tone::lit($tone->unit));
            $units = [...$units, ...$slope];
        }
        $how = HowMade::from($said->text('as') ?? 'printed');
        $ring = Ring::rectangle($left, $foot, $right, $top);
        $proud = $masonry->mm($said->real('proud'));

        return [new Claim('sill', $feature, $ring, $units, $tone, $how, $proud, ['foot' => $along], $accents)];
    }

    /**
     * @param  array{float, float}  $ends  of it
     * @param  array{float, float, float}  $heights  of its foot and of the edge of its front, and how far it goes beyond the jambs
     * @return array{list<Ring>, Tone, list<float>} of its front, and where its joints go on into the opening
     */
    private static function units(string $of, Masonry $masonry, array $ends, array $heights): array
    {
        [$left, $right] = $ends;
        [$foot, $edge, $beyond] = $heights;
        $line = static fn (float $y): array => [new Vec2($left, $y), new Vec2($right, $y)];
        [$whole, $half] = [$masonry->count($right - $left), $masonry->count(($right - $left) / 2.0)];

        return match ($of) {
            'brick' => [
                Units::row($line($foot), $line($edge), $whole, $masonry->joint), $masonry->brick,
                Units::jointsIn($whole, $right - $left, $beyond),
            ],
            'tile' => [
                [
                    ...Units::row($line($foot), $line(($foot + $edge) / 2.0), $half, $masonry->joint),
                    ...Units::row($line(($foot + $edge) / 2.0), $line($edge), $half + 1, $masonry->joint),
                ],
                new Tone(Tone::TILE, $masonry->brick->joint),
                Units::jointsIn($half + 1, $right - $left, $beyond),
            ],
            default => [[], new Tone(Tone::STONE, Tone::STONE), []],
        };
    }
}
