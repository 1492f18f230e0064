<?php

declare(strict_types=1);

namespace Tests\Support;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Derivation;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\KitDocument;
use RuntimeException;
use stdClass;

/** Kits for tests: of their own buildings and of documents. */
final class Kits
{
    /** A building of the tests: the demo’s may change, what is worked out by hand may not. */
    public static function exampleText(string $name): string
    {
        $text = file_get_contents(dirname(__DIR__)."/Buildings/$name.json");

        return $text === false ? throw new RuntimeException("No example $name") : $text;
    }

    /** Nothing of a derivation ever changes, so that one of each does for all tests of a process. */
    public static function example(string $name): Derivation
    {
        static $known = [];
        $text = self::exampleText($name);

        /** @var array<string, Derivation> $known */
        return $known[$name] ??= Derivation::of(BuildingReader::fromText($text), $text);
    }

    public static function of(stdClass $document): Derivation
    {
        return Derivation::of(BuildingReader::fromDocument($document), (string) json_encode($document));
    }

    /** The same over an octagon of 30 a side, under a hip, of one card of 2. */
    public static function octagon(): stdClass
    {
        $s = 30.0 / sqrt(2.0);
        $far = 30.0 + $s;
        $ring = [
            [0.0, 0.0], [30.0, 0.0], [$far, $s], [$far, 30.0 + $s], [30.0, 30.0 + 2.0 * $s], [0.0, 30.0 + 2.0 * $s],
            [-$s, 30.0 + $s], [-$s, $s],
        ];
        $polygon = array_map(static fn (array $p): array => array_map(static fn (float $v): string => sprintf('%.4fmm', $v), $p), $ring);
        $document = self::box('100mm', '60mm', '40mm', 40.0);
        $document = BuildingGenerator::with($document, 'blocks.0.footprint', (object) ['polygon' => $polygon]);
        $document = BuildingGenerator::with($document, 'methods.wall', [(object) ['stock' => 'greyboard-2', 'role' => 'core']]);

        return BuildingGenerator::with($document, 'blocks.0.roof', (object) ['kind' => 'hip', 'pitch' => 40]);
    }

    /** A plain box: bare card, one layer, no label, no openings, at 1:1 so that real and model figures agree. */
    public static function box(
        string $width,
        string $depth,
        string $eaves,
        float $pitch,
        string $eavesOverhang = '0mm',
        string $verge = '0mm',
    ): stdClass {
        $document = json_decode(
            (string) json_encode([
                'format' => 'chartula.building', 'version' => 1, 'name' => 'Box', 'scale' => '1:1',
                'methods' => [
                    'wall' => [['id' => 'core', 'stock' => 'greyboard-1', 'role' => 'core']],
                    'roof' => [['id' => 'carrier', 'stock' => 'greyboard-1', 'role' => 'core']],
                    'template' => ['stays' => false],
                ],
                'blocks' => [
                    [
                        'id' => 'main', 'footprint' => ['rect' => [$width, $depth]], 'eaves' => $eaves,
                        'roof' => [
                            'kind' => 'gable', 'ridge' => 'x', 'pitch' => $pitch,
                            'overhang' => ['eaves' => $eavesOverhang, 'verge' => $verge],
                        ],
                    ],
                ],
            ]),
        );
        assert($document instanceof stdClass);

        return $document;
    }

    /**
     * The kit document as it reads back.
     *
     * @return array<string, mixed>
     */
    public static function serialised(Derivation $derivation): array
    {
        $kit = json_decode($derivation->json, true);
        assert(is_array($kit));

        /** @var array<string, mixed> $kit */
        return $kit;
    }

    /**
     * The document of a kit that was made without a derivation, as it reads back.
     *
     * @return array<string, mixed>
     */
    public static function tried(Kit $kit): array
    {
        $totals = KitDocument::totals($kit, ['sheets' => 0, 'sheets_bound' => 0, 'sheets_yield' => 0.0]);
        $document = KitDocument::of($kit->modelled->building, '', $kit) + ['totals' => $totals];

        /** @var array<string, mixed> */
        return json_decode(json_encode($document, JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR);
    }
}
