<?php

declare(strict_types=1);

namespace Tests\Core;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Derivation;
use Chartula\Core\Form\Claims\Site;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The buildings of the demo: whoever looks round sees them first. */
final class ShippedExamplesTest extends TestCase
{
    #[DataProvider('provideExamples')]
    public function testItGoesTogetherWithItsChimneys(string $name, int $chimneys): void
    {
        $text = (string) file_get_contents(dirname(__DIR__, 2)."/docs/examples/$name.json");
        $derived = Derivation::of(BuildingReader::fromText($text), $text);
        self::assertSame([], $derived->dryFit->findings);
        self::assertCount($chimneys, array_filter(
            $derived->kit->form->sites,
            static fn (Site $site): bool => in_array($site->feature->kind->name(), ['chimney', 'wall-chimney'], true),
        ));
    }

    /** @return iterable<string, array{string, int}> */
    public static function provideExamples(): iterable
    {
        yield 'weigh office' => ['weigh-office', 2];
        yield 'creamery' => ['creamery', 2];
        yield 'Ropewalk Row' => ['ropewalk-row', 2];
        yield 'halt' => ['halt', 0];
        yield 'harbour office' => ['harbour-office', 1];
        yield 'mission room' => ['mission-room', 0];
        yield 'boat shed' => ['boat-shed', 0];
    }
}
