<?php

declare(strict_types=1);

namespace Tests\Support;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Derivation;
use RuntimeException;
use stdClass;

/** Kits for tests: of the shipped examples and of documents. */
final class Kits
{
    public static function exampleText(string $name): string
    {
        $text = file_get_contents(dirname(__DIR__, 2)."/docs/examples/$name.json");

        return $text === false ? throw new RuntimeException("No example $name") : $text;
    }

    public static function example(string $name): Derivation
    {
        $text = self::exampleText($name);

        return Derivation::of(BuildingReader::fromText($text), $text);
    }

    public static function of(stdClass $document): Derivation
    {
        return Derivation::of(BuildingReader::fromDocument($document), (string) json_encode($document));
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
        $kit = json_decode((string) json_encode($derivation->document), true);
        assert(is_array($kit));

        /** @var array<string, mixed> $kit */
        return $kit;
    }
}
