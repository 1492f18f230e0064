<?php

declare(strict_types=1);

namespace Chartula\Core\Things\CornerQuoins;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\ColourType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\HowMade;
use Chartula\Core\Form\Claims\Masonry;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Form\Claims\Takes;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** Stones up a corner, round which each goes: long on one wall it is short on the other. docs/formulas.md#dressings */
final readonly class CornerQuoins implements Takes
{
    public function name(): string
    {
        return 'corner-quoins';
    }

    public function title(): string
    {
        return 'Corner quoins';
    }

    public function says(): string
    {
        return 'Stones up a corner, long and short by turns: what is long on one wall is short on the other.';
    }

    public function picture(): string
    {
        return 'M12 3V21M12 3H18V7.5H15V12H18V16.5H15V21H6V16.5H9V12H6V7.5H9V3Z';
    }

    public function anchors(): array
    {
        return [Anchor::Corner];
    }

    public function fields(): FieldSet
    {
        return new FieldSet('corner-quoins', ...[
            Field::optional('h', 'height of one', LengthType::real(), '12in')->saying('as near to that as equal ones come'),
            Field::optional('long', 'long on one wall', LengthType::real(), '18in'),
            Field::optional('short', 'short on the other', LengthType::real(), '9in'),
            Field::optional('first', 'lowest long', ChoiceType::of(['left' => 'to the left', 'right' => 'to the right']), 'left')
                ->saying('as seen from outside, before the corner'),
            Field::optional('colour', 'in another colour', new ColourType)->meaning('of stone'),
        ], ...HowMade::fields('1 1/2in'));
    }

    public function objection(Feature $feature, Site $site): ?string
    {
        return self::count($feature, $site) > Masonry::MOST ? 'thing.too-many' : null;
    }

    /** How many stones come nearest to their height. */
    private static function count(Feature $feature, Site $site): int
    {
        return max(1, (int) round($site->height / max($site->masonry->mm($feature->said->real('h')), Tolerance::MEET)));
    }

    public function takes(Feature $feature, Site $site): array
    {
        [$said, $masonry, $count] = [$feature->said, $site->masonry, self::count($feature, $site)];
        $sizes = [$masonry->mm($said->real('long')), $masonry->mm($said->real('short'))];
        $colour = $said->text('colour');
        // In an inner corner cards would run into each other.
        $isInner = $site->faces[0]->wall->frame->x->cross($site->faces[1]->wall->frame->x)->z < 0.0;
        $how = $isInner ? HowMade::Printed : HowMade::from($said->text('as') ?? 'printed');
        $tone = new Tone($colour ?? Tone::STONE, $colour === null ? Tone::STONE_JOINT : $masonry->brick->joint);
        $claims = [];
        // The wall that ends at the corner is to its left.
        foreach ([['left', -1.0], ['right', 1.0]] as $i => [$side, $way]) {
            $at = $site->faces[$i]->at;
            $isFirst = $said->text('first') === $side;
            $units = $out = [];
            for ($k = 0; $k < $count; $k++) {
                [$y0, $y1] = [$at->y + $site->height * $k / $count, $at->y + $site->height * ($k + 1) / $count];
                $x = $at->x + $way * $sizes[($k % 2 === 0) === $isFirst ? 0 : 1];
                $units[] = Ring::rectangle(min($at->x, $x), $y0, max($at->x, $x), $y1 - ($k === $count - 1 ? 0.0 : $masonry->joint));
                array_push($out, new Vec2($x, $y0), new Vec2($x, $y1));
            }
            $ring = [new Vec2($at->x, $at->y), ...$out, new Vec2($at->x, $at->y + $site->height)];
            $claims[] = new Claim(
                "quoins-$side", $feature, Ring::ofDistinct($way > 0.0 ? $ring : array_reverse($ring)), $units, $tone,
                $how, $how->isRaised() ? $masonry->mm($said->real('proud')) : 0.0, face: $i,
            );
        }

        return $claims;
    }
}
