<?php

declare(strict_types=1);

namespace Tests\Core\Field;

use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\ColourType;
use Chartula\Core\Field\CountType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\Fields;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\FlagType;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\ListOfType;
use Chartula\Core\Field\ListType;
use Chartula\Core\Field\MapType;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\NumberType;
use Chartula\Core\Field\Option;
use Chartula\Core\Field\PairType;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\StockType;
use Chartula\Core\Field\TextType;
use Chartula\Core\Field\Values;
use Chartula\Core\Measure\Gauge;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Stock\BuiltInStock;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A lamp that nobody else knows: read, described and refused by its own fields. */
final class FieldSetTest extends TestCase
{
    public function testEverythingThatIsSaidIsRead(): void
    {
        [$lamp, $faults] = self::read('{"kind": "hung", "chain": "1in", "drop": "1ft 3in", "reach": "2.5mm", "off": "-5in",
            "turn": 12.5, "bulbs": 2, "lit": true, "name": "Yard lamp", "glass": "#FFeedd", "of": "card-0.5", "at": ["1mm", "-2mm"],
            "bracket": {"h": "5in"}, "links": [{"l": "1in"}, {"l": "35br"}], "near": {"door": "4mm"}, "dates": ["a", "b"]}');
        self::assertSame([], $faults);
        self::assertSame(381.0, $lamp->real('drop')?->mm);
        self::assertSame(['1ft 3in', 'drop'], [$lamp->real('drop')->text, $lamp->real('drop')->path]);
        self::assertSame(2.5, $lamp->model('reach')?->mm);
        self::assertSame(-127.0, $lamp->real('off')?->mm);
        self::assertSame([12.5, 2, true, 'Yard lamp', '#ffeedd', 'card-0.5'], [
            $lamp->number('turn'), $lamp->count('bulbs'), $lamp->flag('lit'), $lamp->text('name'), $lamp->text('glass'),
            $lamp->stock('of')?->id,
        ]);
        self::assertSame([1.0, -2.0], array_map(static fn ($one): float => $one->mm, $lamp->models('at')));
        self::assertSame(127.0, $lamp->group('bracket')?->real('h')?->mm);
        self::assertSame([25.4, 8001.0], array_map(static fn (Fields $one): ?float => $one->real('l')?->mm, $lamp->list('links')));
        self::assertSame([0 => 'a', 1 => 'b'], $lamp->texts('dates'));
    }

    public function testWhatIsNotSaidIsUsualAndWasSaidByNobody(): void
    {
        [$lamp, $faults] = self::read('{"kind": "standing"}');
        self::assertSame([], $faults);
        self::assertSame([101.6, null, null], [$lamp->real('drop')?->mm, $lamp->real('drop')?->text, $lamp->real('drop')?->path]);
        self::assertSame([1, null, null], [$lamp->count('bulbs'), $lamp->text('name'), $lamp->group('bracket')]);
    }

    public function testWhatIsWrongIsUsualToo(): void
    {
        [$lamp, $faults] = self::read('{"kind": "standing", "drop": "far", "bulbs": 0}');
        self::assertSame(['drop', 'bulbs'], array_column($faults, 0));
        self::assertSame([101.6, 1], [$lamp->real('drop')?->mm, $lamp->count('bulbs')]);
    }

    /** @param  list<array{string, string}>  $wanted */
    #[DataProvider('provideFaults')]
    public function testWhatIsWrongIsSaidAtItsPlace(string $json, array $wanted): void
    {
        self::assertSame($wanted, self::read($json)[1]);
    }

    /** @return iterable<string, array{string, list<array{string, string}>}> */
    public static function provideFaults(): iterable
    {
        yield 'nothing required is said' => ['{}', [['kind', 'missing']]];
        yield 'an unknown key' => ['{"kind": "standing", "watt": 5}', [['watt', 'unknown-key']]];
        yield 'what nothing makes yet' => ['{"kind": "gas"}', [['kind', 'not-made-yet']]];
        yield 'a choice that is none' => ['{"kind": "odd"}', [['kind', 'wrong-choice']]];
        yield 'a bare number' => ['{"kind": "standing", "drop": 4}', [['drop', 'length.no-unit']]];
        yield 'less than nothing' => ['{"kind": "standing", "drop": "-4in"}', [['drop', 'length.negative']]];
        yield 'too many' => ['{"kind": "standing", "bulbs": 9}', [['bulbs', 'number-out-of-range']]];
        yield 'too far round' => ['{"kind": "standing", "turn": 91}', [['turn', 'number-out-of-range']]];
        yield 'not above' => ['{"kind": "standing", "lean": 0}', [['lean', 'number-out-of-range']]];
        yield 'half a place' => ['{"kind": "standing", "at": ["1mm"]}', [['at', 'too-few']]];
        yield 'a place in words' => ['{"kind": "standing", "at": ["1mm", "there"]}', [['at.1', 'length.not-understood']]];
        yield 'a stock that is none' => ['{"kind": "standing", "of": "gold"}', [['of', 'unknown-stock']]];
        yield 'a colour that is none' => ['{"kind": "standing", "glass": "red"}', [['glass', 'colour']]];
        yield 'within a group' => ['{"kind": "standing", "bracket": {}}', [['bracket.h', 'missing']]];
        yield 'within a list' => ['{"kind": "standing", "links": [{"l": "1in"}, {"l": true}]}', [['links.1.l', 'wrong-type']]];
        yield 'within a map' => ['{"kind": "standing", "near": {"door": "0mm"}}', [['near.door', 'length.not-above-zero']]];
        yield 'required where it applies' => ['{"kind": "hung"}', [['chain', 'missing']]];
        yield 'refused where it does not' => ['{"kind": "standing", "foot": "1in", "hook": "1in"}', [['hook', 'lamp.no-hook']]];
        yield 'waits where it does not' => ['{"kind": "standing", "chain": 7}', []];
        yield 'no object' => ['[]', [['', 'wrong-type']]];
    }

    public function testItsSchemaAndItsFormAreTheSame(): void
    {
        $set = self::lamp();
        $schema = $set->schema();
        self::assertSame(['kind'], $schema['required']);
        $keys = array_keys(get_object_vars($schema['properties']));
        self::assertContains('chain', $keys);
        $form = array_column($set->form(), null, 'key');
        self::assertSame(array_values(array_diff($keys, ['dates'])), array_keys($form), 'all but what is off the form');
        self::assertSame(
            [['value' => 'standing', 'words' => 'standing'], ['value' => 'hung', 'words' => 'hung up']],
            $form['kind']['holds']['choices'] ?? null,
            'what nothing makes is not offered',
        );
        self::assertSame(['key' => 'kind', 'values' => ['hung']], $form['chain']['when'] ?? null);
    }

    private static function lamp(): FieldSet
    {
        $hung = ['hung'];
        $bracket = new FieldSet('bracket', Field::required('h', 'h', LengthType::real()));
        $link = new FieldSet('link', Field::required('l', 'l', LengthType::real()));

        return new FieldSet(
            'lamp',
            Field::required('kind', 'it is', ChoiceType::among(
                new Option('standing', 'standing'),
                new Option('hung', 'hung up'),
                new Option('gas', 'of gas', null, false),
            )),
            Field::optional('drop', 'drop', LengthType::real(), '4in'),
            Field::optional('reach', 'reach', LengthType::model()),
            Field::optional('off', 'to the side', LengthType::real(Sign::Any)),
            Field::optional('turn', 'turned', NumberType::degrees(-90.0, 90.0)),
            Field::optional('lean', 'leans', NumberType::degreesAbove(0.0, 10.0)),
            Field::optional('bulbs', 'bulbs', new CountType(1, 8), 1),
            Field::optional('lit', 'lit', new FlagType),
            Field::optional('name', 'called', new TextType(20)),
            Field::optional('glass', 'glass', new ColourType),
            Field::optional('of', 'made of', new StockType),
            Field::optional('at', 'at', new PairType(LengthType::model(Sign::Any), ['right', 'back'])),
            Field::required('chain', 'chain', LengthType::real())->when('kind', $hung)->beginning('5in'),
            Field::optional('hook', 'hook', LengthType::real())->when('kind', $hung, 'lamp.no-hook'),
            Field::optional('foot', 'foot', LengthType::real())->offered('kind', ['standing']),
            Field::optional('bracket', 'bracket', GroupType::thing($bracket, 'has one')),
            Field::optional('links', 'links', new ListType($link, 'Link', 5)),
            Field::optional('near', 'near', new MapType(LengthType::model(), 'doors', 5)),
            Field::optional('dates', 'dates', new ListOfType(new TextType(5), 'Date', 5))->offTheForm(),
        );
    }

    /** @return array{Fields, list<array{string, string}>} what was read, and the path and the code of each fault */
    private static function read(string $json): array
    {
        $problems = new Problems;
        $node = new Node(json_decode($json), '', $problems);
        $values = new Values($problems, Scale::of(76.2), Gauge::imperial(), BuiltInStock::all());
        $read = self::lamp()->read($node, $values);

        return [
            $read ?? new Fields($node, []),
            array_map(static fn (Problem $p): array => [$p->path, $p->code], $problems->all()),
        ];
    }
}
