<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Surround;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\DressedOpening;
use Chartula\Core\Form\Claims\Dresses;
use Chartula\Core\Form\Claims\HowMade;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** A band round an opening, up both jambs and over its head. docs/formulas.md#dressings */
final readonly class Surround implements Dresses
{
    public function name(): string
    {
        return 'surround';
    }

    public function title(): string
    {
        return 'Surround';
    }

    public function says(): string
    {
        return 'A smooth band up both jambs and over the head.';
    }

    public function picture(): string
    {
        return 'M8 21V8H16V21M5 21V5H19V21';
    }

    public function anchors(): array
    {
        return [Anchor::Opening, Anchor::Openings];
    }

    public function fields(): FieldSet
    {
        return new FieldSet(
            'surround',
            ...[
                Field::optional('w', 'width', LengthType::real(), '6in'),
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
        [$said, $masonry] = [$feature->said, $at->masonry];
        $wide = $masonry->mm($said->real('w'));
        $shape = $at->opening->shape;
        // Up the right side outside, over the head, down the left one, and back along the opening.
        $outside = array_slice($shape->ring($wide, 0.0)->points, 1);
        $inside = array_slice($shape->ring(0.0, 0.0)->points, 1);
        $ring = [
            ...$outside, new Vec2(-$wide, 0.0),
            ...[new Vec2(0.0, 0.0), ...array_reverse($inside)],
        ];
        $tone = new Tone(Tone::STONE, Tone::STONE);
        $how = HowMade::from($said->text('as') ?? 'printed');
        $edges = ['head' => [], 'left' => [], 'right' => []];
        $ring = Ring::ofDistinct($ring)->moved($at->opening->left, $at->opening->sill);

        return [new Claim('surround', $feature, $ring, [], $tone, $how, $masonry->mm($said->real('proud')), $edges)];
    }
}
