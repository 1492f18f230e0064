<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Feature;

use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\CountType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\FieldType;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\ListOfType;
use Chartula\Core\Field\NumberType;
use Chartula\Core\Field\PairType;
use Chartula\Core\Field\ReferenceType;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\TextType;

/** What is said of where a thing is. Lengths of the real thing; on the plot, of the model. */
final readonly class PlaceFields
{
    /** More openings than this nobody takes together. */
    private const MOST_OPENINGS = 20;

    private const MOST_CORNERS = 200;

    /**
     * @param  non-empty-list<Anchor>  $anchors  that it may have
     * @param  bool  $isRun  whether it may run along a wall or a line of the roof
     * @return FieldSet of which each field applies where one of its own anchors is meant
     */
    public static function set(array $anchors, bool $isRun = true): FieldSet
    {
        $words = [];
        foreach ($anchors as $anchor) {
            $words[$anchor->value] = $anchor->words();
        }
        $anchor = Field::optional('anchor', 'it is', ChoiceType::of($words), $anchors[0]->value);
        $isOne = count($anchors) === 1;
        $fields = [$isOne ? $anchor->offTheForm() : $anchor];
        foreach (self::fields() as [$field, $of]) {
            $here = array_values(array_filter($of, static fn (Anchor $a): bool => in_array($a, $anchors, true)));
            if ($field->key === ($isRun ? 'over' : 'to')) {
                continue;
            }
            if ($isOne && $here !== []) {
                $fields[] = $field;
            } elseif ($here !== []) {
                $fields[] = $field->when('anchor', array_map(static fn (Anchor $a): string => $a->value, $here), 'thing.not-its-own');
            }
        }

        return new FieldSet('place', ...$fields);
    }

    /** @return list<array{Field, list<Anchor>}> what is said of a place, and for which anchors */
    private static function fields(): array
    {
        return [...self::named(), ...self::onThePlot(), ...self::reaching()];
    }

    /** @return list<array{Field, list<Anchor>}> on what it is */
    private static function named(): array
    {
        $some = new ListOfType(new TextType(40), 'Opening', self::MOST_OPENINGS, 2);
        $lines = array_map(static fn (RoofLineKind $kind): string => $kind->value, RoofLineKind::cases());
        $thing = new ReferenceType('features', 'the id of another thing');

        return [
            [
                Field::required('edge', 'edge', new TextType(32))->offTheForm()->saying('the wall, or the slope over it, by its name'),
                [Anchor::Wall, Anchor::Openings, Anchor::Slope, Anchor::RoofLine],
            ],
            [
                Field::required('openings', 'openings', $some)->offTheForm()->saying('the ids of those on that wall'),
                [Anchor::Openings],
            ],
            [Field::required('corner', 'corner', new CountType(0, self::MOST_CORNERS - 1))->offTheForm(), [Anchor::Corner]],
            [
                Field::optional('level', 'slope', new CountType(0, 1), 0)->offTheForm()->saying('1 above the break of a mansard'),
                [Anchor::RoofLine],
            ],
            [
                Field::required('line', 'along', ChoiceType::of(array_combine($lines, $lines)))->offTheForm()
                    ->saying('of the slope that `edge` names'),
                [Anchor::RoofLine],
            ],
            [
                Field::optional('nth', 'which', new CountType(1, 20), 1)->offTheForm()->saying('of such lines, from the left'),
                [Anchor::RoofLine],
            ],
            [Field::required('feature', 'on', $thing)->offTheForm(), [Anchor::Feature]],
            [Field::optional('storey', 'on the floor of', new TextType(32))->offTheForm(), [Anchor::Floor]],
        ];
    }

    /** @return list<array{Field, list<Anchor>}> places of a plan, and along a track */
    private static function onThePlot(): array
    {
        $track = new ReferenceType('plot.tracks', 'the id of a track');

        return [
            [Field::required('track', 'along', $track), [Anchor::Track]],
            [
                Field::required('at', 'where', self::pair(LengthType::real(Sign::Any)))->saying('in the block’s own axes'),
                [Anchor::Floor],
            ],
            [
                Field::required('spot', 'where', self::pair(LengthType::model(Sign::Any)))->saying('in the plot’s own axes'),
                [Anchor::Ground],
            ],
            [Field::optional('along', 'from where it begins', LengthType::model(Sign::ZeroOrMore), '0mm'), [Anchor::Track]],
            [Field::optional('off', 'beside it, to the left', LengthType::model(Sign::Any), '0mm'), [Anchor::Track]],
            [Field::optional('turn', 'turned by', NumberType::degrees(), 0), [Anchor::Floor, Anchor::Ground]],
        ];
    }

    /** @return list<array{Field, list<Anchor>}> from where to where it is */
    private static function reaching(): array
    {
        $length = LengthType::real(Sign::ZeroOrMore);

        return [
            [
                Field::optional('over', 'centred on', new TextType(40))->offTheForm()
                    ->saying('`middle` of the wall there, or the id of an opening of it; `from` then counts from that, to the right'),
                [Anchor::Wall, Anchor::Slope, Anchor::RoofLine],
            ],
            [
                Field::optional('from', 'from the left end', LengthType::real(Sign::Any), '0mm')
                    ->calledBeside('over', 'right of what it is centred on')
                    ->saying('as seen from outside; below 0 only where `over` says from what'),
                [Anchor::Wall, Anchor::Slope, Anchor::RoofLine],
            ],
            [
                Field::optional('to', 'to', LengthType::real())->meaning('far end')
                    ->saying('from the left end, too; the other end where nothing is said'),
                [Anchor::Wall, Anchor::RoofLine],
            ],
            [Field::optional('in', 'in from the wall', $length, '0mm')->saying('level, as a plan shows it'), [Anchor::Slope]],
            [
                Field::optional('up', 'foot above base', $length, '0mm')->saying('above the block’s base'),
                [Anchor::Wall, Anchor::Corner],
            ],
            [
                Field::optional('up_to', 'up to', LengthType::real())->meaning('the eaves')->saying('above the block’s base'),
                [Anchor::Corner],
            ],
        ];
    }

    private static function pair(FieldType $length): PairType
    {
        return new PairType($length, ['to the right', 'to the back']);
    }
}
