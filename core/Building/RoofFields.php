<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\ColourType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\ListType;
use Chartula\Core\Field\NamedType;
use Chartula\Core\Field\NodeType;
use Chartula\Core\Field\Option;
use Chartula\Core\Field\PitchType;
use Chartula\Core\Field\Sign;

/** What is said of a roof. Lengths of the real thing. */
final readonly class RoofFields
{
    /** What lies in rows that can be cut apart. */
    private const LIE = ['slate', 'stone-slate', 'plain-tile'];

    private const PITCHED = ['gable', 'hip', 'half-hip', 'lean-to', 'mansard'];

    public static function set(): FieldSet
    {
        $ridge = ChoiceType::of(['x' => 'along the front', 'y' => 'front to back']);
        $upper = new FieldSet(
            'upper',
            Field::required('pitch', 'upper pitch', new PitchType),
            Field::required('from', 'begins above the eaves', LengthType::real()),
        );
        $overhang = new FieldSet(
            'overhang',
            Field::optional('eaves', 'overhang at the eaves', LengthType::real(Sign::ZeroOrMore), '0mm'),
            Field::optional('verge', 'overhang at the verges', LengthType::real(Sign::ZeroOrMore), '0mm'),
        );

        return new FieldSet('roof', ...[
            Field::required('kind', 'kind', self::kinds()),
            Field::optional('pitch', 'pitch', new PitchType)->when('kind', self::PITCHED)->insteadOf('rise')->beginning(40)
                ->saying('or `rise`'),
            Field::optional('rise', 'or rise', LengthType::real())->when('kind', self::PITCHED)->insteadOf('pitch')
                ->saying('over a rectangle or a lean-to, in place of `pitch`'),
            Field::required('upper', 'upper slopes', GroupType::gathering($upper))->when('kind', ['mansard'])
                ->beginning((object) ['pitch' => 25, 'from' => '5ft']),
            Field::optional('parapet', 'parapet above it', LengthType::real(Sign::ZeroOrMore), '0mm')->when('kind', ['flat'])
                ->saying('how far walls stand above a flat roof'),
            Field::optional('ridge', 'ridge runs', $ridge, 'x')->when('kind', ['gable', 'half-hip'])->saying('in the block’s own axes'),
            Field::optional('low', 'lowest at', EdgeName::type())->offTheForm()
                ->saying('of a lean-to; across from its `wall` edge, else the front, where nothing is said'),
            Field::optional('overhang', 'overhang', GroupType::gathering($overhang), (object) [])->saying('level, from the footprint line'),
            ...self::covering(),
            Field::optional('edges', 'edges', new ListType(self::edge(), 'Edge', FootprintReader::MOST_CORNERS))->offTheForm()
                ->saying('where one does otherwise than the kind says'),
        ]);
    }

    /** @return list<Field> with what it is covered, and how that is laid */
    private static function covering(): array
    {
        return [
            Field::optional('finish', 'finish', Finish::choice(), 'bare')->offTheForm(),
            Field::optional('laid', 'laid', RoofLaid::choice(), 'paper')->offered('finish', self::LIE),
            Field::optional('row', 'rows apart', LengthType::real())->meaning('usual')
                ->offered('finish', [...self::LIE, 'pantile']),
            Field::optional('unit', 'each wide', LengthType::real())->meaning('usual')
                ->offered('finish', [...self::LIE, 'pantile']),
            Field::optional('ridge_colour', 'ridge and hip tiles', new ColourType)->meaning('as usual'),
            Field::optional('valleys', 'valleys', Valleys::choice(), Valleys::Close->value)
                ->saying('swept where slates or tiles lie in rows on paper'),
            Field::optional('paper', 'in a paper of your own', NamedType::paper())->offTheForm(),
            Field::optional('palette', 'in colours of your own', NamedType::palette())->offTheForm(),
        ];
    }

    private static function kinds(): ChoiceType
    {
        return ChoiceType::among(
            new Option('gable', 'gable', 'M3 20V13L12 5L21 13V20Z'),
            new Option('hip', 'hip', 'M3 20V14L9 6H15L21 14V20ZM3 14H21'),
            new Option('half-hip', 'half-hip', 'M3 20V14L8 9L10 6H14L16 9L21 14V20Z'),
            new Option('lean-to', 'lean-to', 'M4 20V14L20 6V20Z'),
            new Option('mansard', 'mansard', 'M4 20V13L7 8L12 5L17 8L20 13V20Z'),
            new Option('flat', 'flat', 'M4 20V8H20V20ZM2 8H22'),
            new Option('none', 'none', 'M4 20V7M20 20V7M4 20H20'),
        );
    }

    private static function edge(): FieldSet
    {
        $built = new NodeType(AsBuiltReader::schema(AsBuilt::OF_PANELS), 'figures as built');

        return new FieldSet(
            'edge',
            Field::required('edge', 'edge', EdgeName::type()),
            Field::optional('kind', 'the roof', ChoiceType::of(array_combine(RoofEdge::KINDS, RoofEdge::KINDS))),
            Field::optional('pitch', 'pitch of its own', new PitchType),
            Field::optional('overhang', 'overhang of its own', LengthType::real(Sign::ZeroOrMore)),
            Field::optional('from', 'begins above the eaves', LengthType::real())
                ->saying('of a half-hip; half the gable where nothing is said'),
            Field::optional('built', 'as built', $built),
        );
    }
}
