<?php

declare(strict_types=1);

namespace Tests\Core\Building;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\SetField;
use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Building\FeatureReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Schema\DocumentFields;
use Chartula\Core\Building\Schema\DocumentSchema;
use Chartula\Core\Building\Schema\FieldPlace;
use Chartula\Core\Building\Schema\FieldTables;
use Chartula\Core\Building\StyleFields;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\KindListType;
use Chartula\Core\Field\KindOption;
use Chartula\Core\Field\ListType;
use Chartula\Core\Problem\Problem;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** What is described once is the same in the reader, in the schema and on the page of formats. */
final class DescribedFieldsTest extends TestCase
{
    private const ROOT = __DIR__.'/../../../';

    /** Places in the fullest document that there is, where the fields of each description are tried. */
    private const PLACES = [
        'papers.*' => 'papers.0', 'palettes.*' => 'palettes.0', 'styles.*' => 'styles.sash',
        'blocks.*.walls.*.openings.*' => 'blocks.0.walls.0.openings.0', 'blocks.*.roof' => 'blocks.0.roof',
        'methods' => 'methods', 'plot' => 'plot', 'relief' => 'relief', 'blocks.*' => 'blocks.0', '' => '',
    ];

    /** Where things of the fullest document are, by what they may stand on. */
    private const ON = [
        'wall' => ['edge' => 'front'], 'openings' => ['edge' => 'front', 'openings' => ['w1', 'w1-2']],
        'roof-line' => ['edge' => 'front', 'line' => 'ridge'], 'corner' => ['corner' => 3],
    ];

    /** By what a field holds: something that it cannot hold. */
    private const WRONG = [
        'length' => 9, 'number' => 'steep', 'count' => 1.5, 'flag' => 'yes', 'text' => 7, 'choice' => 'nothing of the kind',
        'pair' => ['1mm'], 'items' => 'here', 'map' => 3, 'group' => 3, 'list' => 'none', 'stock' => 7, 'colour' => 'red',
        'id' => 'Not An Id', 'reference' => 7, 'kinds' => 'none',
    ];

    public function testTheSchemaIsTheOneOfTheDescriptions(): void
    {
        $frame = (string) file_get_contents(self::ROOT.'docs/schema/building.frame.json');
        $schema = (string) file_get_contents(self::ROOT.'docs/schema/building.schema.json');
        self::assertSame(DocumentSchema::of($frame), $schema, 'bin/chartula schema');
    }

    public function testTheTablesAreThoseOfTheDescriptions(): void
    {
        $page = (string) file_get_contents(self::ROOT.'docs/formats.md');
        self::assertSame(FieldTables::filled($page), $page, 'bin/chartula schema docs/formats.md');
        foreach (DocumentFields::places() as $place) {
            self::assertStringContainsString("<!-- fields: {$place->set->name} -->\n| ", $page);
        }
    }

    public function testEveryPlaceIsTried(): void
    {
        $described = array_map(static fn (FieldPlace $place): string => $place->path, DocumentFields::places());
        self::assertSame($described, array_keys(self::PLACES));
        self::assertSame([], self::faultsAt(self::full()));
    }

    #[DataProvider('provideFields')]
    public function testAWrongValueIsAFaultAtItsFieldAndAgainstTheSchema(string $path, mixed $value, ?string $when, ?string $holds): void
    {
        $document = self::full();
        if (str_starts_with($path, 'styles.sash.sill.')) {
            // It is not said twice.
            $document = BuildingGenerator::with($document, 'styles.sash.dress', []);
            $document = BuildingGenerator::with($document, 'styles.sash.sill', json_decode('{"h": "3in"}'));
        }
        if ($when !== null) {
            $document = BuildingGenerator::with($document, $when, $holds);
        }
        $document = BuildingGenerator::with($document, $path, $value);
        $here = array_filter(self::faultsAt($document), static fn (string $at): bool => $at === $path || str_starts_with($at, "$path."));
        self::assertNotSame([], $here);
        self::assertFalse(self::matchesTheSchema($document));
    }

    /** @return iterable<string, array{string, mixed, ?string, ?string}> the path, a wrong value, and what another field has to hold */
    public static function provideFields(): iterable
    {
        foreach (DocumentFields::places() as $place) {
            yield from self::within($place->set, self::PLACES[$place->path] ?? '');
        }
    }

    /** @return iterable<string, array{string, mixed, ?string, ?string}> */
    private static function within(FieldSet $set, string $at): iterable
    {
        foreach ($set->fields as $field) {
            $what = $field->type->form()['what'];
            $path = ltrim("$at.{$field->key}", '.');
            if (isset(self::WRONG[$what])) {
                $when = $field->when;
                yield $path => [$path, self::WRONG[$what], $when === null ? null : "$at.{$when->key}", $when?->values[0]];
            }
            if ($field->type instanceof GroupType && $field->when === null) {
                yield from self::within($field->type->set, $path);
            } elseif ($field->type instanceof ListType) {
                yield from self::within($field->type->set, "$path.0");
            } elseif ($field->type instanceof KindListType && SetField::get(self::full(), "$path.0") !== null) {
                foreach (array_keys($field->type->kinds) as $i => $kind) {
                    yield from self::within($field->type->kinds[$kind]->set, "$path.$i");
                }
            }
        }
    }

    /** Whatever stands in for what is not said is sound itself. */
    #[DataProvider('provideDefaults')]
    public function testWhatStandsInIsSound(string $path, Field $field): void
    {
        $document = self::full();
        if ($field->when !== null) {
            $beside = substr($path, 0, (int) strrpos($path, '.')).'.'.$field->when->key;
            $document = BuildingGenerator::with($document, $beside, $field->when->values[0]);
        }
        $document = BuildingGenerator::with($document, $path, json_decode((string) json_encode($field->default)));
        self::assertSame([], array_values(array_filter(self::faultsAt($document), static fn (string $at): bool => $at === $path)));
        self::assertSame([], $field->type->schema() === [] ? ['no schema'] : []);
    }

    /** @return iterable<string, array{string, Field}> */
    public static function provideDefaults(): iterable
    {
        foreach (DocumentFields::places() as $place) {
            foreach ($place->set->fields as $field) {
                if ($field->default !== null) {
                    $path = (self::PLACES[$place->path] ?? '').".{$field->key}";
                    yield $path => [$path, $field];
                }
            }
        }
    }

    /** A document that says nearly everything. */
    private static function full(): stdClass
    {
        $said = [
            'palettes' => '[{"id": "c1", "name": "Reds", "colours": [{"colour": "#a65f4a"}], "burnt": {"colour": "#303030"},
                "bands": {"colour": "#303030"}, "diaper": {"colour": "#303030"}}]',
            'papers' => '[{"id": "p1", "name": "Old wall", "pixels": [9, 9], "mm_per_pixel": [1, 1], "sha256": "'
                .str_repeat('0a', 32).'"}]',
            'plot' => '{"size": ["180mm", "90mm"], "clear": {"front": "1mm"}, "allow": {}, "lift": {}, "gap": "1mm",
                "eye": {"distance": "600mm", "height": "350mm"},
                "vehicles": [{"id": "v1", "length": "200mm", "width": "30mm", "centres": "120mm"}],
                "neighbours": [{"id": "n1", "size": ["10mm", "10mm"], "to": "5mm", "of": {"building": "a", "revision": 1}}],
                "roads": [{"id": "r1", "line": [["0mm", "-20mm"], ["9mm", "-20mm"]], "width": "5mm"}],
                "tracks": [{"id": "t1", "from": ["0mm", "-40mm"], "course": [{"left": "900mm", "degrees": 10}], "vehicles": ["v1"]}],
                "obstacles": [{"id": "o1", "kind": "rod", "at": ["0mm", "0mm"], "across": "1mm", "to": "5mm"}],
                "runs": [{"id": "p1", "kind": "siding", "train": [{"vehicle": "v1", "count": 2}]}]}',
            'relief' => '{"depth": "30mm", "school": "slice"}',
            'methods.stacks' => '{}', 'methods.skin' => '{}', 'methods.template' => '{}', 'methods.trim' => '{}',
            'methods.ridge' => '{"stock": "card-0.25"}',
            'styles.sash' => '{"kind": "window", "w": "3ft", "h": "5ft", "head": {"shape": "segmental", "rise": "4in"},
                "frame": {"panes": [2, 2]}}',
            'styles.sash.dress' => (string) json_encode(array_map(
                static fn (string $kind): array => ['kind' => $kind],
                array_keys(StyleFields::dressings(Kinds::known())->kinds),
            )),
            'blocks.0.features' => (string) json_encode(array_map(
                static fn (KindOption $kind): array => ['kind' => $kind->kind, 'on' => self::ON[$kind->anchors[0] ?? ''] ?? []],
                array_values(FeatureReader::ofBlocks(Kinds::known())->kinds),
            )),
            'blocks.0.walls.0.openings.0.repeat' => '{"count": 2, "pitch": "6ft"}',
            'blocks.0.roof.overhang' => '{}', 'blocks.0.roof.edges' => '[{"edge": "back", "kind": "gable"}]',
        ];
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        foreach ($said as $path => $json) {
            $document = BuildingGenerator::with($document, $path, json_decode($json));
        }

        return $document;
    }

    /** @return list<string> */
    private static function faultsAt(stdClass $document): array
    {
        return array_map(static fn (Problem $p): string => $p->path, BuildingReader::reading($document)->faults);
    }

    private static function matchesTheSchema(stdClass $document): bool
    {
        $schema = (string) file_get_contents(self::ROOT.'docs/schema/building.schema.json');

        return (new Validator)->validate($document, $schema)->isValid();
    }
}
