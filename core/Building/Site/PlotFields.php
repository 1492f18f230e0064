<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\IdType;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\ListOfType;
use Chartula\Core\Field\MapType;
use Chartula\Core\Field\NumberType;
use Chartula\Core\Field\PairType;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\TextType;

/** What is said of the place on the layout. Lengths on the model; the plot's own axes. */
final readonly class PlotFields
{
    public const MOST = 100;

    public const MOST_CORNERS = 50;

    private const MOST_LIGHT_DEG = 85.0;

    public static function set(): FieldSet
    {
        $lies = 'Where the plot lies';
        $sides = 'Kept free at its sides';
        $free = new MapType(LengthType::model(Sign::ZeroOrMore), 'plot', self::MOST_CORNERS);

        return new FieldSet(
            'plot',
            Field::optional('size', 'size', new PairType(LengthType::model(), ['width', 'depth']))
                ->insteadOf('outline')->saying('or `outline`'),
            Field::optional('outline', 'outline', new ListOfType(self::place(), 'Corner', self::MOST_CORNERS, 3))
                ->saying('counter-clockwise')->offTheForm(),
            Field::optional('edges', 'sides', new ListOfType(new IdType, 'Side', self::MOST_CORNERS))
                ->saying('names of the sides of an `outline`')->offTheForm(),
            Field::optional('height', 'height free above', LengthType::model()),
            // The usual gap clears glue and warp, lets the model be lifted, and throws a thin shadow.
            Field::optional('gap', 'gap before the backscene', LengthType::model(Sign::ZeroOrMore), '3mm'),
            Field::optional('at', 'at', self::place('right of the building’s corner', 'behind it'), ['0mm', '0mm'])->under($lies)
                ->saying('where its front left corner stands in the building’s axes'),
            Field::optional('turn', 'turned', NumberType::degrees(), 0)->under($lies)->saying('counter-clockwise about that corner'),
            Field::optional('backscene', 'backscene along', new ListOfType(new TextType(32), 'Side', self::MOST_CORNERS))
                ->saying('sides along which it stands, `["back"]` where nothing is said')->offTheForm(),
            Field::optional('clear', 'kept free', $free)->under($sides)->saying('room kept free along a side'),
            Field::optional('allow', 'allowed for', GroupType::gathering(self::allowance()))->under($sides)
                ->saying('what will stand proud of the kit and is not described'),
            Field::optional('lift', 'comes off', GroupType::gathering(self::lift())),
            Field::optional('eye', 'the eye', GroupType::thing(self::eye(), 'looks from here'))
                ->beginning((object) ['distance' => '600mm', 'height' => '350mm', 'travel' => '400mm']),
            Field::optional('light', 'light falls at', NumberType::degrees(0.0, self::MOST_LIGHT_DEG), Plot::LIGHT_DEG)
                ->saying('off the backscene’s normal, from either side'),
            ...SurroundingsFields::lists(),
            ...RailFields::lists(),
        );
    }

    public static function place(string $across = 'to the right', string $back = 'to the back'): PairType
    {
        return new PairType(LengthType::model(Sign::Any), [$across, $back]);
    }

    /** @return list<Field> what every entry of a list has before anything else */
    public static function named(): array
    {
        return [
            Field::required('id', 'id', new IdType)->offTheForm(),
            Field::optional('name', 'called', new TextType(100)),
        ];
    }

    public static function ways(): ChoiceType
    {
        return ChoiceType::of([
            'up' => 'lifted up', 'front' => 'drawn out to the front', 'back' => 'to the back', 'left' => 'to the left',
            'right' => 'to the right',
        ]);
    }

    public static function lift(): FieldSet
    {
        $handled = 'How it is handled';

        return new FieldSet(
            'lift',
            Field::optional('way', 'comes off', self::ways(), 'up'),
            Field::optional('play', 'play while it comes off', LengthType::model(Sign::ZeroOrMore), '0.5mm')->under($handled),
            Field::optional('handy', 'longest handy piece', LengthType::model(), Lift::HANDY_MM.'mm')->under($handled),
            Field::optional('joint', 'a joint leaves open', LengthType::model(Sign::ZeroOrMore), Lift::JOINT_MM.'mm')->under($handled),
        );
    }

    public static function allowance(): FieldSet
    {
        return new FieldSet(
            'allow',
            Field::optional('roofs', 'gutters, proud of roofs', LengthType::model(Sign::ZeroOrMore), '0mm'),
            Field::optional('walls', 'pipes, proud of walls', LengthType::model(Sign::ZeroOrMore), '0mm'),
        );
    }

    private static function eye(): FieldSet
    {
        return new FieldSet(
            'eye',
            Field::required('distance', 'before the front', LengthType::model()),
            Field::required('height', 'above the baseboard', LengthType::model(Sign::Any)),
            Field::optional('to', 'and up to', LengthType::model(Sign::Any))->saying('how high it goes; it stays where nothing is said'),
            Field::optional('travel', 'moves to each side', LengthType::model(Sign::ZeroOrMore), '0mm'),
        );
    }
}
