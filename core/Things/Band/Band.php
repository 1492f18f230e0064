<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Band;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\HowMade;
use Chartula\Core\Form\Claims\Masonry;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Form\Claims\Takes;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Form\Claims\Units;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** A band along a wall at one height, which stops on either side of openings and of what stands round them. docs/formulas.md#dressings */
final readonly class Band implements Takes
{
    public function name(): string
    {
        return 'band';
    }

    public function title(): string
    {
        return 'Band';
    }

    public function says(): string
    {
        return 'Along a wall at one height, a string course: stones, a course of bricks, bricks on edge, or tiles in two courses.';
    }

    public function picture(): string
    {
        return 'M4 4V20M20 4V20M2 10H22V14H2ZM8 10V14M15 10V14';
    }

    public function anchors(): array
    {
        return [Anchor::Wall];
    }

    public function fields(): FieldSet
    {
        $of = ChoiceType::of(['stone' => 'stones', 'brick' => 'a course of bricks', 'edge' => 'bricks on edge', 'tile' => 'tiles']);

        return new FieldSet(
            'band',
            ...[
                Field::optional('of', 'of', $of, 'stone'),
                Field::optional('h', 'height', LengthType::real(), '6in'),
                Field::optional('stone', 'each so long', LengthType::real(), '3ft')->when('of', ['stone'])
                    ->saying('as nearly as they come out equal'),
            ],
            ...HowMade::fields('2in'),
        );
    }

    public function objection(Feature $feature, Site $site): ?string
    {
        return null;
    }

    public function takes(Feature $feature, Site $site): array
    {
        [$face, $masonry, $said] = [$site->faces[0], $site->masonry, $feature->said];
        $run = Interval::of($face->at->x, $site->length);
        $heights = Interval::of($face->at->y, $masonry->mm($said->real('h')));
        $how = HowMade::from($said->text('as') ?? 'printed');
        $tone = match ($said->text('of')) {
            'brick', 'edge' => $masonry->brick,
            'tile' => new Tone(Tone::TILE, $masonry->brick->joint),
            default => new Tone(Tone::STONE, Tone::STONE_JOINT),
        };
        $claims = [];
        foreach ($face->free($run, $heights) as $i => $stretch) {
            $ring = Ring::rectangle($stretch->from, $heights->from, $stretch->to, $heights->to);
            $units = self::units($feature, $masonry, $stretch, $heights);
            $id = 'band'.($i === 0 ? '' : '-'.($i + 1));
            $claims[] = new Claim($id, $feature, $ring, $units, $tone, $how, $masonry->mm($said->real('proud')));
        }

        return $claims;
    }

    /** @return list<Ring> */
    private static function units(Feature $feature, Masonry $masonry, Interval $stretch, Interval $heights): array
    {
        $row = static fn (float $foot, float $top, float $each, int $more = 0): array => Units::row(
            [new Vec2($stretch->from, $foot), new Vec2($stretch->to, $foot)],
            [new Vec2($stretch->from, $top), new Vec2($stretch->to, $top)],
            $masonry->countOf($stretch->length(), $each) + $more,
            $masonry->joint,
        );

        return match ($feature->said->text('of')) {
            'brick' => $row($heights->from, $heights->to, 2.0 * $masonry->half),
            'edge' => $row($heights->from, $heights->to, $masonry->unit),
            'tile' => [
                ...$row($heights->from, $heights->middle(), 2.0 * $masonry->unit),
                ...$row($heights->middle(), $heights->to, 2.0 * $masonry->unit, 1),
            ],
            default => $row($heights->from, $heights->to, $masonry->mm($feature->said->real('stone'))),
        };
    }
}
