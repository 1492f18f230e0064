<?php

declare(strict_types=1);

namespace Chartula\Core\Things\HoodMould;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
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

/** A moulding of stone over whatever is over a head, to throw the rain off. docs/formulas.md#dressings */
final readonly class HoodMould implements Dresses
{
    public function name(): string
    {
        return 'hood-mould';
    }

    public function title(): string
    {
        return 'Hood mould';
    }

    public function says(): string
    {
        return 'A moulding of stone over the head, or over the arch that is there, to throw off the rain.';
    }

    public function picture(): string
    {
        return 'M6 21V12Q12 6 18 12V21M3 10Q12 1 21 10L19 12Q12 4 5 12Z';
    }

    public function anchors(): array
    {
        return [Anchor::Opening, Anchor::Openings];
    }

    public function fields(): FieldSet
    {
        return new FieldSet(
            'hood-mould',
            ...[
                Field::optional('h', 'height', LengthType::real(), '3in'),
                Field::optional('beyond', 'beyond what is below it', LengthType::real(Sign::ZeroOrMore), '3in')->saying('over a flat head'),
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
        $high = $masonry->mm($said->real('h'));
        $foot = $at->opening->top() + $at->over;
        $out = $at->beside + $masonry->mm($said->real('beyond'));
        $curves = $at->curves();
        $ring = $curves === []
            ? Ring::rectangle($at->opening->left - $out, $foot, $at->opening->right() + $out, $foot + $high)
            : Units::band($curves, [$at->outside(), $at->outside() + $high]);
        $tone = new Tone(Tone::STONE, Tone::STONE);
        $how = HowMade::from($said->text('as') ?? 'printed');

        return [new Claim('hood-mould', $feature, $ring, [], $tone, $how, $masonry->mm($said->real('proud')))];
    }
}
