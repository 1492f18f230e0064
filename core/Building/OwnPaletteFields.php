<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\ColourType;
use Chartula\Core\Field\CountType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\IdType;
use Chartula\Core\Field\ListType;
use Chartula\Core\Field\NumberType;
use Chartula\Core\Field\TextType;

/** What is said of one of the `palettes`. */
final readonly class OwnPaletteFields
{
    private const MOST_COLOURS = 8;

    private const MOST_PARTS = 100;

    /** Nobody builds lozenges that would not go on a wall twice. */
    private const MOST_HALVES = 60;

    private const MOST_COURSES = 200;

    public static function set(): FieldSet
    {
        $one = new FieldSet(
            'units',
            Field::required('colour', 'colour', new ColourType),
            Field::optional('parts', 'parts', new CountType(1, self::MOST_PARTS), 1)->saying('of all units, beside those of the others'),
        );
        $burnt = new FieldSet(
            'burnt',
            Field::required('colour', 'burnt headers', new ColourType),
            Field::optional('share', 'of them', NumberType::percent(), 100)->saying('of all headers'),
        );
        $bands = new FieldSet(
            'bands',
            Field::required('colour', 'bands', new ColourType),
            Field::optional('every', 'every', new CountType(2, self::MOST_COURSES), 8)->saying('courses, from the datum'),
            Field::optional('high', 'courses high', new CountType(1, self::MOST_COURSES), 2),
        );
        $diaper = new FieldSet(
            'diaper',
            Field::required('colour', 'lozenges', new ColourType),
            Field::optional('across', 'half bricks wide', new CountType(4, self::MOST_HALVES), 12),
        );

        $units = new ListType($one, 'Colour', self::MOST_COLOURS, begins: ['colour' => '#a65f4a']);

        return new FieldSet(
            'palette',
            Field::required('id', 'id', new IdType),
            Field::required('name', 'called', new TextType(OwnPalette::LONGEST_NAME)),
            Field::optional('colours', 'Colours of units', $units)
                ->saying('those of the covering where there is none'),
            Field::optional('joint', 'joints', new ColourType)->meaning('as they are'),
            Field::optional('burnt', 'burnt headers', GroupType::thing($burnt, 'some'))->saying('of brickwork'),
            Field::optional('bands', 'bands', GroupType::thing($bands, 'some'))->saying('of brickwork'),
            Field::optional('diaper', 'lozenges', GroupType::thing($diaper, 'some'))->saying('of brickwork, diapers'),
        );
    }
}
