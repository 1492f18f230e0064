<?php

declare(strict_types=1);

namespace Tests\Core\Kit;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Kit\DryFit\DryFit;
use PHPUnit\Framework\TestCase;
use Tests\Support\Kits;

/** Nothing that is said of a kit on a screen speaks in its own names for things. */
final class PlainWordsTest extends TestCase
{
    public function testAPieceThatLiesWrongIsCalledByItsLabelAndItsPlace(): void
    {
        $kit = self::kit();
        $label = '';
        foreach ($kit['parts'] as $i => $part) {
            if ($part['id'] === 'main.front-slope.carrier') {
                $kit['parts'][$i]['placements'][0]['origin'][2] -= 3.0;
                $label = $part['label'];
            }
        }
        $report = DryFit::check($kit, BuildingReader::fromText(Kits::exampleText('weigh-office')))->toArray();
        $texts = implode("\n", array_column($report['findings'], 'text'));
        self::assertStringContainsString("Office, left wall, face goes 0.64 mm into $label Office, front slope, carrier", $texts);
        self::assertDoesNotMatchRegularExpression('/[a-z]\.[a-z]/', $texts);
        self::assertStringContainsString('by a brick', (string) $report['advice']);
    }

    public function testASurfaceIsCalledByItsBlockAndWall(): void
    {
        $kit = self::kit();
        $kit['parts'] = array_values(array_filter($kit['parts'], static fn (array $p): bool => $p['id'] !== 'main.front.face'));
        $report = DryFit::check($kit, BuildingReader::fromText(Kits::exampleText('weigh-office')))->toArray();
        $texts = implode("\n", array_column($report['findings'], 'text'));
        self::assertStringContainsString('On the outside of Office, front wall card is missing', $texts);
    }

    /** @return array{parts: list<array{id: string, label: string, placements: array{array{origin: array{float, float, float}}}}>} */
    private static function kit(): array
    {
        /** @var array{parts: list<array{id: string, label: string, placements: array{array{origin: array{float, float, float}}}}>} $kit */
        $kit = Kits::serialised(Kits::example('weigh-office'));

        return $kit;
    }

    public function testWhatGoesTogetherNeedsNoAdvice(): void
    {
        $report = Kits::example('weigh-office')->dryFit->toArray();
        self::assertSame([[], null], [$report['findings'], $report['advice']]);
    }
}
