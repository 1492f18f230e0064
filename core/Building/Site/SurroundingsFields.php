<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\CountType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\ListOfType;
use Chartula\Core\Field\ListType;
use Chartula\Core\Field\NumberType;
use Chartula\Core\Field\PairType;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\TextType;
use stdClass;

/** What is said of what stands, lies or moves round the building. Lengths on the model; the plot's own axes. */
final readonly class SurroundingsFields
{
    /** @return list<Field> */
    public static function lists(): array
    {
        return [
            Field::optional(
                'neighbours',
                'Neighbours',
                new ListType(self::neighbour(), 'Neighbour', PlotFields::MOST, begins: self::beside(...)),
            ),
            Field::optional('roads', 'Roads', new ListType(self::road(), 'Road', PlotFields::MOST, begins: [
                'line' => [['0mm', '-20mm'], ['200mm', '-20mm']], 'width' => '30mm',
            ])),
            Field::optional('obstacles', 'In the way', new ListType(
                self::obstacle(),
                'Obstacle',
                PlotFields::MOST,
                empty: 'Point rods, wires, lamps, screw heads, motors: what is found at the final fitting.',
                begins: [
                    'kind' => 'rod', 'at' => ['0mm', '0mm'], 'size' => ['1.2mm', '1.2mm'], 'to' => '5mm', 'travel' => ['5mm', '0mm'],
                ],
            )),
        ];
    }

    private static function neighbour(): FieldSet
    {
        $taken = new FieldSet(
            'of',
            Field::required('building', 'building', new TextType(40)),
            Field::required('revision', 'revision', new CountType(1, 999_999_999)),
            Field::optional('pitch', 'pitch', NumberType::degrees()),
        );

        return new FieldSet(
            'neighbour',
            ...PlotFields::named(),
            ...[
                Field::optional('at', 'at', PlotFields::place(), ['0mm', '0mm']),
                Field::optional('size', 'size', new PairType(LengthType::model(), ['width', 'depth']))
                    ->insteadOf('outline')->saying('or `outline`'),
                Field::optional('outline', 'outline', new ListOfType(PlotFields::place(), 'Corner', PlotFields::MOST, 3))->offTheForm(),
                Field::optional('from', 'from, above the baseboard', LengthType::model(Sign::Any), '0mm'),
                Field::required('to', 'up to', LengthType::model(Sign::Any)),
                Field::optional('clear', 'kept clear', LengthType::model(Sign::ZeroOrMore), '1mm'),
                self::lifts(),
                Field::optional('of', 'taken from', GroupType::folded($taken))->offTheForm()
                    ->saying('the building of the project from which it was taken, and when'),
            ],
        );
    }

    private static function road(): FieldSet
    {
        return new FieldSet(
            'road',
            ...PlotFields::named(),
            ...[
                Field::required('line', 'line', new ListOfType(PlotFields::place(), 'Place', PlotFields::MOST, 2))
                    ->saying('along its middle'),
                Field::required('width', 'width', LengthType::model()),
                // Ordinary road vehicles pass under this height.
                Field::optional('above', 'kept open up to', LengthType::model(), '15ft real'),
                Field::optional('clear', 'kept clear beside it', LengthType::model(Sign::ZeroOrMore), '0mm'),
            ],
        );
    }

    private static function obstacle(): FieldSet
    {
        return new FieldSet(
            'obstacle',
            ...[Field::required('kind', 'a', ChoiceType::of(array_combine(Obstacle::KINDS, Obstacle::KINDS)))],
            ...PlotFields::named(),
            ...[
                Field::required('at', 'at', PlotFields::place())->saying('its middle'),
                Field::optional('size', 'size', new PairType(LengthType::model(), ['width', 'depth']))
                    ->insteadOf('across')->saying('or `across`'),
                Field::optional('across', 'or across, if round', LengthType::model())->insteadOf('size'),
                Field::optional('from', 'from, above the baseboard', LengthType::model(Sign::Any), '0mm'),
                Field::required('to', 'up to', LengthType::model(Sign::Any)),
                Field::optional('travel', 'travel', PlotFields::place('moves to the right', 'moves to the back'), ['0mm', '0mm']),
                Field::optional('play', 'play all round', LengthType::model(Sign::ZeroOrMore), '0.5mm'),
                self::lifts(),
            ],
        );
    }

    private static function lifts(): Field
    {
        return Field::optional('lifts', 'comes off', PlotFields::ways())->meaning('not at all')
            ->saying('the way by which it comes off itself; what does not say stays where it is');
    }

    /** @return array<string, mixed> a neighbour at the plot's right, where nothing of its own stands */
    private static function beside(stdClass $document): array
    {
        $plot = $document->plot ?? null;
        $size = $plot instanceof stdClass ? $plot->size ?? null : null;
        $right = is_array($size) && is_string($size[0] ?? null) ? $size[0] : '0mm';

        return ['at' => [$right, '0mm'], 'size' => ['40mm', '40mm'], 'to' => '60mm'];
    }
}
