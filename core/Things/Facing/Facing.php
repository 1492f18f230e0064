<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Facing;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Finish;
use Chartula\Core\Field\ColourType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\NamedType;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\HowMade;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Form\Claims\Takes;
use Chartula\Core\Geometry\Ring;

/** A part of a wall that is covered otherwise, under whatever stands round its openings. docs/formulas.md#coverings */
final readonly class Facing implements Takes
{
    public function name(): string
    {
        return 'facing';
    }

    public function title(): string
    {
        return 'Other covering';
    }

    public function says(): string
    {
        return 'A part of the wall covered otherwise: a plinth of blue bricks, render over a string course, boards in a gable.';
    }

    public function picture(): string
    {
        return 'M4 4V20M20 4V20M4 13H20V20H4ZM4 16.5H20M9 13V16.5M15 13V16.5M7 16.5V20M12 16.5V20M17 16.5V20';
    }

    public function anchors(): array
    {
        return [Anchor::Wall];
    }

    public function fields(): FieldSet
    {
        return new FieldSet(
            'facing',
            Field::optional('finish', 'of', Finish::forWalls(), 'brick-stretcher'),
            Field::optional('paper', 'in a paper of your own', NamedType::paper())->meaning('as it is drawn'),
            Field::optional('palette', 'in colours of your own', NamedType::palette())->meaning('as elsewhere'),
            Field::optional('h', 'height', LengthType::real(), '2ft'),
            Field::optional('colour', 'in another colour', new ColourType)->meaning('as elsewhere'),
        );
    }

    public function objection(Feature $feature, Site $site): ?string
    {
        return null;
    }

    public function takes(Feature $feature, Site $site): array
    {
        [$face, $said] = [$site->faces[0], $feature->said];
        $at = $face->at;
        $ring = Ring::rectangle($at->x, $at->y, $at->x + $site->length, $at->y + $site->masonry->mm($said->real('h')));
        $finish = Finish::from($said->text('finish') ?? Finish::BrickStretcher->value);

        // Its colours are its covering's.
        return [new Claim(
            'facing', $feature, $ring, [], $site->masonry->brick, HowMade::Printed, 0.0,
            isOver: true, covering: $finish, paper: $said->text('paper'), palette: $said->text('palette'),
        )];
    }
}
