<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Quoins;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\LengthType;
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

/** Stones up both jambs, long and short by turns. docs/formulas.md#dressings */
final readonly class Quoins implements Dresses
{
    public function name(): string
    {
        return 'quoins';
    }

    public function title(): string
    {
        return 'Jamb quoins';
    }

    public function says(): string
    {
        return 'Stones up both jambs, long and short by turns, from the foot to the springing.';
    }

    public function picture(): string
    {
        return 'M9 21V4H15V21M2 21V16H9M5 16V11H9M2 11V6H9M22 21V16H15M19 16V11H15M22 11V6H15';
    }

    public function anchors(): array
    {
        return [Anchor::Opening];
    }

    public function fields(): FieldSet
    {
        return new FieldSet(
            'quoins',
            ...[
                Field::optional('h', 'height of one', LengthType::real(), '12in')->saying('as near to that as equal ones come'),
                Field::optional('long', 'long ones', LengthType::real(), '12in'),
                Field::optional('short', 'short ones', LengthType::real(), '6in'),
            ],
            ...HowMade::fields('2in'),
        );
    }

    public function refusal(Feature $feature, DressedOpening $at): ?string
    {
        return self::count($feature, $at) > Masonry::MOST ? 'dress.too-many' : null;
    }

    /** How many stones come nearest to their height, from foot to springing. */
    private static function count(Feature $feature, DressedOpening $at): int
    {
        $one = max($at->masonry->mm($feature->said->real('h')), Tolerance::MEET);

        return max(1, (int) round($at->opening->shape->springing() / $one));
    }

    public function claims(Feature $feature, DressedOpening $at): array
    {
        [$said, $masonry, $opening] = [$feature->said, $at->masonry, $at->opening];
        $high = $opening->shape->springing();
        $count = self::count($feature, $at);
        [$long, $short] = [$masonry->mm($said->real('long')), $masonry->mm($said->real('short'))];
        $how = HowMade::from($said->text('as') ?? 'printed');
        $claims = [];
        foreach (['left' => [$opening->left, -1.0], 'right' => [$opening->right(), 1.0]] as $side => [$jamb, $way]) {
            $units = $out = [];
            for ($i = 0; $i < $count; $i++) {
                [$y0, $y1] = [$opening->sill + $high * $i / $count, $opening->sill + $high * ($i + 1) / $count];
                $x = $jamb + $way * ($i % 2 === 0 ? $long : $short);
                $joint = $i === $count - 1 ? 0.0 : $masonry->joint;
                $units[] = Ring::rectangle(min($jamb, $x), $y0, max($jamb, $x), $y1 - $joint);
                array_push($out, new Vec2($x, $y0), new Vec2($x, $y1));
            }
            $ring = [new Vec2($jamb, $opening->sill), ...$out, new Vec2($jamb, $opening->sill + $high)];
            $claims[] = new Claim(
                "quoins-$side", $feature, Ring::ofDistinct($way > 0.0 ? $ring : array_reverse($ring)), $units,
                new Tone(Tone::STONE, $masonry->brick->joint), $how, $masonry->mm($said->real('proud')),
                [$side => Units::joints($count)],
            );
        }

        return $claims;
    }
}
