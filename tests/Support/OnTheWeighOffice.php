<?php

declare(strict_types=1);

namespace Tests\Support;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use PHPUnit\Framework\Attributes\AfterClass;
use stdClass;

/** Derivations of the weigh office with one thing on it, each made once for all tests of a class. */
trait OnTheWeighOffice
{
    /** @var array<string, Derivation> by their documents */
    private static array $derived = [];

    /** @return array<string, mixed> what is said of the thing where nothing else is */
    abstract private static function usual(): array;

    #[AfterClass]
    public static function forget(): void
    {
        self::$derived = [];
    }

    /**
     * @param  array<string, mixed>  $said
     * @param  array<string, mixed>  $more  of the document
     */
    private static function derived(array $said = [], array $more = []): Derivation
    {
        $document = self::document($said);
        foreach ($more as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }
        $text = JsonText::encode($document);

        return self::$derived[$text] ??= Derivation::of(BuildingReader::fromDocument($document), $text);
    }

    /** @param  array<string, mixed>  $said */
    private static function document(array $said = []): stdClass
    {
        return BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'blocks.0.features', [self::thing($said)]);
    }

    /** @param  array<string, mixed>  $said  what is null is not said */
    private static function thing(array $said = []): stdClass
    {
        $all = [...self::usual(), ...$said];
        $all['on'] = array_filter((array) ($all['on'] ?? []), static fn (mixed $value): bool => $value !== null);
        $thing = json_decode((string) json_encode(array_filter($all, static fn (mixed $value): bool => $value !== null)));
        assert($thing instanceof stdClass);

        return $thing;
    }
}
