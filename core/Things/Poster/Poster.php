<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Poster;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\AtOnePlace;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\NamedType;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\HowMade;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Form\Claims\Takes;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Geometry\Ring;

/** A picture at a place on a wall, over what that is covered with. docs/formulas.md#own-papers */
final readonly class Poster implements AtOnePlace, Takes
{
    public function name(): string
    {
        return 'poster';
    }

    public function title(): string
    {
        return 'Poster or sign';
    }

    public function says(): string
    {
        return 'A picture of yours at a place on the wall: a bill, an enamelled sign, an advertisement painted on the bricks.';
    }

    public function picture(): string
    {
        return 'M5 4H19V20H5ZM8 8H16M8 11H16M10 15H14';
    }

    public function anchors(): array
    {
        return [Anchor::Wall];
    }

    public function fields(): FieldSet
    {
        return new FieldSet(
            'poster',
            Field::optional('paper', 'the picture', NamedType::paper())->meaning('none yet')->saying('laid once, over all of it'),
            Field::optional('w', 'width', LengthType::real(), '2ft'),
            Field::optional('h', 'height', LengthType::real(), '3ft'),
        );
    }

    public function objection(Feature $feature, Site $site): ?string
    {
        return null;
    }

    public function takes(Feature $feature, Site $site): array
    {
        [$at, $said] = [$site->faces[0]->at, $feature->said];
        $half = $site->masonry->mm($said->real('w')) / 2.0;
        $ring = Ring::rectangle($at->x - $half, $at->y, $at->x + $half, $at->y + $site->masonry->mm($said->real('h')));

        return [new Claim(
            'poster', $feature, $ring, [], new Tone(Tone::RENDER, Tone::RENDER), HowMade::Printed, 0.0, isOver: true,
            paper: $said->text('paper'),
        )];
    }
}
