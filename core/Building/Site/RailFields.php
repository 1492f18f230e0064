<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\CountType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\ListOfType;
use Chartula\Core\Field\ListType;
use Chartula\Core\Field\NumberType;
use Chartula\Core\Field\ReferenceType;
use Chartula\Core\Field\Sign;
use stdClass;

/** What is said of what runs on rails. Lengths on the model; the plot's own axes. */
final readonly class RailFields
{
    private const MOST_PIECES = 50;

    private const MOST_VEHICLES = 100;

    private const COACH = ['length' => '230mm', 'width' => '36mm', 'height' => '50mm', 'centres' => '160mm', 'bogie' => '35mm'];

    private const TRACK = ['from' => ['0mm', '-40mm'], 'course' => [['straight' => '300mm']]];

    /** @return list<Field> */
    public static function lists(): array
    {
        $reckoned = 'Where there is none, a usual long coach is reckoned with.';
        $describe = 'How long it has to be for what stands in it. Describe the vehicles first.';
        $most = PlotFields::MOST;

        return [
            Field::optional('vehicles', 'Vehicles', new ListType(self::vehicle(), 'Vehicle', $most, 0, $reckoned, self::COACH)),
            Field::optional('tracks', 'Tracks', new ListType(self::track(), 'Track', $most, begins: self::TRACK)),
            Field::optional(
                'runs',
                'Platforms and sidings',
                new ListType(self::run(), 'Platform', $most, 0, $describe, self::platform(...)),
            ),
        ];
    }

    private static function vehicle(): FieldSet
    {
        return new FieldSet(
            'vehicle',
            ...PlotFields::named(),
            ...[
                Field::required('length', 'length', LengthType::model()),
                Field::required('width', 'width', LengthType::model()),
                Field::optional('height', 'height', LengthType::model()),
                Field::required('centres', 'bogies or axles apart', LengthType::model())
                    ->saying('from bogie to bogie, or from axle to axle'),
                Field::optional('bogie', 'a bogie’s wheelbase', LengthType::model(Sign::ZeroOrMore), '0mm'),
            ],
        );
    }

    private static function track(): FieldSet
    {
        $pieces = new ListType(self::piece(), 'Piece', self::MOST_PIECES, 1, begins: ['straight' => '100mm']);

        return new FieldSet(
            'track',
            ...PlotFields::named(),
            ...[
                Field::required('from', 'from', PlotFields::place('begins to the right', 'begins to the back')),
                Field::optional('heading', 'heading', NumberType::degrees(), 0)->saying('from x, counter-clockwise'),
                Field::optional('rail', 'rails above the baseboard', LengthType::model(Sign::Any), '0mm'),
                Field::optional('beside', 'clear beside vehicles', LengthType::model(Sign::ZeroOrMore), '1mm'),
                Field::optional('above', 'clear above them', LengthType::model(Sign::ZeroOrMore), '3mm'),
                Field::required('course', 'Its course', $pieces)->saying('each going on where the one before ends'),
                Field::optional('vehicles', 'vehicles', new ListOfType(self::ofVehicles(), 'Vehicle', PlotFields::MOST))
                    ->saying('that run on it; all where nothing is said')->offTheForm(),
            ],
        );
    }

    private static function piece(): FieldSet
    {
        return new FieldSet(
            'piece',
            Field::optional('straight', 'straight on', LengthType::model()),
            Field::optional('left', 'or left, radius', LengthType::model()),
            Field::optional('right', 'or right, radius', LengthType::model()),
            Field::optional('degrees', 'for', NumberType::degreesAbove(0.0, 180.0))->saying('of a curve'),
        );
    }

    private static function run(): FieldSet
    {
        $vehicles = new FieldSet(
            'train',
            Field::required('vehicle', 'of', self::ofVehicles()),
            Field::optional('count', 'how many', new CountType(1, self::MOST_VEHICLES), 1),
        );

        return new FieldSet(
            'run',
            ...[Field::required('kind', 'a', ChoiceType::of(['platform' => 'platform', 'siding' => 'siding']))],
            ...PlotFields::named(),
            ...[
                Field::optional('has', 'it has', LengthType::model()),
                // The usual distance from one vehicle to the next, couplings neither pressed nor pulled.
                Field::optional('gap', 'from one to the next', LengthType::model(Sign::ZeroOrMore), '4mm'),
                Field::optional('margin', 'at its ends, or beyond the points', LengthType::model(Sign::ZeroOrMore), '20mm'),
                Field::required('train', 'The train', new ListType($vehicles, 'Vehicles', self::MOST_PIECES, 1, begins: self::some(...))),
            ],
        );
    }

    private static function ofVehicles(): ReferenceType
    {
        return new ReferenceType('plot.vehicles', 'the id of a vehicle');
    }

    /** @return array<string, mixed> */
    private static function platform(stdClass $document): array
    {
        return ['kind' => 'platform', 'train' => [['count' => 3] + self::some($document)]];
    }

    /** @return array<string, mixed> */
    private static function some(stdClass $document): array
    {
        $plot = $document->plot ?? null;
        $vehicles = $plot instanceof stdClass ? $plot->vehicles ?? null : null;
        $id = is_array($vehicles) && ($vehicles[0] ?? null) instanceof stdClass ? $vehicles[0]->id ?? null : null;

        return ['vehicle' => is_string($id) ? $id : 'v1', 'count' => 1];
    }
}
