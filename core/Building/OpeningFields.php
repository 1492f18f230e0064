<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Field\CountType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\IdType;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\ReferenceType;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\TextType;

/** What is said of an opening in a wall, and of several in a row. Lengths of the real thing. */
final readonly class OpeningFields
{
    public const MOST_REPEATS = 200;

    public static function set(Kinds $kinds): FieldSet
    {
        $repeat = new FieldSet(
            'repeat',
            Field::required('count', 'how many', new CountType(1, self::MOST_REPEATS))->offTheForm(),
            Field::required('pitch', 'repeat, every', LengthType::real())->saying('left jamb to left jamb'),
        );

        return new FieldSet(
            'opening',
            Field::optional('id', 'id', new IdType)->offTheForm(),
            Field::required('style', 'kind', new ReferenceType('styles', 'the id of a kind of opening'))->offTheForm(),
            Field::required('from', 'from the left end', LengthType::real(Sign::ZeroOrMore))
                ->saying('of the wall as seen from outside, to the left jamb'),
            Field::required('sill', 'sill above base', LengthType::real(Sign::ZeroOrMore))
                ->saying('above the block’s base, or above the floor of its `storey`'),
            Field::optional('storey', 'on the floor of', new TextType(32))->offTheForm(),
            Field::optional('repeat', 'repeated', GroupType::gathering($repeat))->shownWhereSaid(),
            Field::optional('dress', 'Round it', StyleFields::dressings($kinds))->offTheForm()
                ->saying('in place of what its kind says'),
        );
    }
}
