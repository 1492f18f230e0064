<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Keystone;

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
use Chartula\Core\Form\Claims\Units;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** A wedge of stone in the middle over a head, on whatever arch is there. docs/formulas.md#dressings */
final readonly class Keystone implements Dresses
{
    /** How steep its sides are over a flat head. */
    private const SIDES_DEG = 80.0;

    public function name(): string
    {
        return 'keystone';
    }

    public function title(): string
    {
        return 'Keystone';
    }

    public function says(): string
    {
        return 'A wedge of stone in the middle over the head, over the arch that is there.';
    }

    public function picture(): string
    {
        return 'M4 21V13Q12 7 20 13V21M9 3H15L14 10Q12 9.5 10 10Z';
    }

    public function anchors(): array
    {
        return [Anchor::Opening, Anchor::Openings];
    }

    public function fields(): FieldSet
    {
        return new FieldSet(
            'keystone',
            ...[
                Field::optional('w', 'width at its foot', LengthType::real(), '6in'),
                Field::optional('depth', 'height', LengthType::real(), '12in'),
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
        [$half, $depth] = [min($masonry->mm($said->real('w')), $at->opening->shape->width) / 2.0, $masonry->mm($said->real('depth'))];
        $middle = new Vec2($at->opening->left + $at->opening->shape->width / 2.0, $at->opening->top());
        $curves = $at->curves();
        $out = $half + $depth / tan(deg2rad(self::SIDES_DEG));
        if (count($curves) === 1) {
            // As far to either side of the crown as it is wide, seen from the centre of the curve there.
            $share = asin($half / $curves[0]->crownRadius()) * $curves[0]->crownRadius() / $curves[0]->length();
            $ends = [0.5 - $share, 0.5 + $share];
            $ring = Units::piece($curves[0], [0.0, $depth], $ends, $ends);
        } else {
            // In a point it goes up to that, along both curves.
            $foot = $curves === []
                ? [new Vec2($middle->x - $half, $middle->y), new Vec2($middle->x + $half, $middle->y)]
                : array_reverse([
                    ...$curves[0]->over($middle->x, $middle->x + $half, 0.0), ...$curves[1]->over($middle->x - $half, $middle->x, 0.0),
                ]);
            $ring = Ring::ofDistinct([
                ...$foot, new Vec2($middle->x + $out, $middle->y + $depth), new Vec2($middle->x - $out, $middle->y + $depth),
            ]);
        }
        $tone = new Tone(Tone::STONE, Tone::STONE);
        $how = HowMade::from($said->text('as') ?? 'printed');

        return [new Claim('keystone', $feature, $ring, [], $tone, $how, $masonry->mm($said->real('proud')), isOver: true)];
    }
}
