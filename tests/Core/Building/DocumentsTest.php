<?php

declare(strict_types=1);

namespace Tests\Core\Building;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Starter;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

final class DocumentsTest extends TestCase
{
    public function testExamplesStarterAndGeneratedBuildingsMatchTheSchema(): void
    {
        $documents = [JsonText::decode(Kits::exampleText('weigh-office')), Starter::document('Shelter')];
        foreach (range(1, 15) as $seed) {
            $documents[] = (new BuildingGenerator($seed))->document();
        }
        foreach ($documents as $document) {
            self::assertSame('', self::faultsBySchema('building', $document));
            BuildingReader::fromDocument($document);
        }
    }

    public function testKitsMatchTheSchema(): void
    {
        self::assertSame('', self::faultsBySchema('kit', json_decode(Kits::example('weigh-office')->json)));
    }

    public function testTheSchemaRefusesWhatTheReaderRefuses(): void
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        foreach (['blocks.0.eaves' => 9, 'unknown' => true, 'methods.through' => 'all', 'blocks.0.roof.pitch' => 90] as $path => $value) {
            self::assertNotSame('', self::faultsBySchema('building', BuildingGenerator::with($document, $path, $value)), $path);
        }
    }

    /** @param  list<string>  $paths */
    #[DataProvider('provideFaults')]
    public function testEveryFaultIsReportedAtItsPath(string $path, mixed $value, array $paths): void
    {
        try {
            Kits::of(BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), $path, $value));
            self::fail("$path was taken");
        } catch (InvalidInput $e) {
            self::assertSame(
                $paths,
                array_values(array_unique(array_map(static fn (Problem $p): string => $p->path, $e->problems))),
                $e->getMessage(),
            );
        }
    }

    /** @return iterable<string, array{string, mixed, list<string>}> */
    public static function provideFaults(): iterable
    {
        $opening = 'blocks.0.walls.0.openings';
        yield 'past the end' => ["$opening.1.from", '17ft', ["$opening.1.from"]];
        yield 'into the corner' => ["$opening.0.from", '3in', ["$opening.0.from"]];
        yield 'over its neighbour' => ["$opening.1.from", '10ft', ["$opening.1.from"]];
        yield 'above the wall' => ["$opening.0.sill", '7ft', ["$opening.0.sill"]];
        yield 'a repeat that leaves' => ["$opening.0.repeat.pitch", '14ft', ["$opening.0.from"]];
        yield 'unknown style' => ["$opening.1.style", 'oriel', ["$opening.1.style"]];
        yield 'a pitch of 90' => ['blocks.0.roof.pitch', 90, ['blocks.0.roof.pitch']];
        yield 'pitch and rise' => ['blocks.0.roof.rise', '4ft', ['blocks.0.roof.rise']];
        yield 'no glass left' => ['styles.sash.frame.stile', '20in', ['styles.sash.frame']];
        yield 'a wall of card alone' => ['blocks.0.footprint.rect.1', '9in', ['blocks.0.footprint', 'blocks.0.walls.1.openings.0.from']];
        yield 'a kilometre' => ['blocks.0.footprint.rect.0', '1001m', ['blocks.0.footprint.rect.0']];
        yield 'half a million bricks' => [
            'gauge',
            (object) ['brick' => '3mm', 'course' => '3mm', 'joint' => '0.1mm'],
            array_map(static fn (int $i): string => "blocks.0.walls.$i.finish", range(0, 3)),
        ];
        yield 'a printer far out' => ['sheets', (object) ['proof' => (object) ['x' => '90mm']], ['sheets.proof.x']];
        yield 'a roof of no kind' => ['blocks.0.roof.kind', 'dome', ['blocks.0.roof.kind']];
        yield 'not made yet' => ['features', [(object) ['kind' => 'chimney']], ['features.0.kind']];
        yield 'a relief of no school' => [
            'relief',
            (object) ['depth' => '20mm', 'school' => 'crush', 'back' => 'wide'],
            ['relief.school', 'relief.back'],
        ];
        yield 'a name of nothing' => ['name', '', ['name']];
        yield 'too many layers' => ['methods.wall', array_fill(0, 5, (object) ['stock' => 'card-0.5', 'role' => 'core']), ['methods.wall']];
    }

    #[TestWith(['{"format": 1, "format": 2}', 'format', 'json.duplicate'])]
    #[TestWith(['{"a": {"b": [0, {"c": 1, "c": 2}]}}', 'a.b.1.c', 'json.duplicate'])]
    #[TestWith(['{"a": "\"b\": 1, \"b\": 2"', '', 'json.syntax'])]
    #[TestWith(['[]', '', 'wrong-type'])]
    #[TestWith(["{\"a\": \"\xff\"}", '', 'json.encoding'])]
    public function testRawTextIsReadStrictly(string $text, string $path, string $code): void
    {
        try {
            JsonText::decode($text);
            self::fail('It was read');
        } catch (InvalidInput $e) {
            self::assertSame([$path, $code], [$e->problems[0]->path, $e->problems[0]->code]);
        }
    }

    public function testDepthLengthAndEmptyObjects(): void
    {
        self::assertSame('{"a":{},"b":[]}', JsonText::encode(JsonText::decode('{"a":{},"b":[]}')));
        self::assertInstanceOf(stdClass::class, JsonText::decode(str_repeat('{"a":', 31).'1'.str_repeat('}', 31)));
        foreach ([
            str_repeat('{"a":', 40).'1'.str_repeat('}', 40) => 'json.too-deep',
            '{"a": "'.str_repeat('x', 2_100_000).'"}' => 'json.too-long',
        ] as $text => $code) {
            try {
                JsonText::decode($text);
                self::fail("$code was read");
            } catch (InvalidInput $e) {
                self::assertSame($code, $e->problems[0]->code);
            }
        }
    }

    private static function faultsBySchema(string $name, mixed $document): string
    {
        $validator = new Validator;
        $validator->resolver()?->registerPrefix('https://chartula.example/schema/', dirname(__DIR__, 3).'/docs/schema/');
        $error = $validator->validate($document, "https://chartula.example/schema/$name.schema.json")->error();

        return $error === null ? '' : (string) json_encode((new ErrorFormatter)->format($error));
    }
}
