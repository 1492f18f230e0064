<?php

declare(strict_types=1);

namespace Tests\Core\Building;

use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Openings set in order on the office's back, 18 ft long, by a screen's presses. docs/formulas.md#along-a-wall */
final class PlacesOfOpeningsTest extends TestCase
{
    /** Three of 3 ft in 18 ft: spaces of 2 ft 3 in, at 2ft 3in, 7ft 6in and 12ft 9in; one at another height stays where it is. */
    public function testEqualSpaces(): void
    {
        $document = self::pressed([['2ft', '2ft'], ['6ft', '2ft 3in'], ['13ft', '2ft'], ['11ft', '9ft 3in']], 'a2', 'spaces');
        self::assertSame(['2ft 3in', '7ft 6in', '12ft 9in', '11ft'], self::from($document));
        self::assertSame([], Kits::of(BuildingGenerator::with($document, 'blocks.0.eaves', '16ft'))->dryFit->findings);
        // Once more nothing changes.
        $again = Edits::apply($document, self::edit('a1', 'spaces'))->document;
        self::assertSame(self::from($document), self::from($again));
    }

    /** The middle of what is below is at 7 ft 6 in, of what is over the other at 14 ft 6 in: the nearer one counts. */
    public function testOverTheNearest(): void
    {
        $document = self::pressed([['6ft', '2ft'], ['13ft', '2ft'], ['7ft 1in', '9ft 3in']], 'a3', 'over');
        self::assertSame(['6ft', '13ft', '6ft'], self::from($document));
        $this->expectException(InvalidInput::class);
        $this->expectExceptionMessage('nothing stands above or below it');
        self::pressed([['6ft', '2ft'], ['13ft', '3ft']], 'a1', 'over');
    }

    /** Half bricks of 4 1/2 in: 5 ft 1 in is nearest to fourteen, 5 ft 3 in. */
    public function testToHalfBricks(): void
    {
        self::assertSame(['5ft 3in'], self::from(self::pressed([['5ft 1 1/4in', '2ft']], 'a1', 'bricks')));
        self::assertSame(['0in'], self::from(self::pressed([['2in', '2ft']], 'a1', 'bricks')));
    }

    /** 1 ft to the left is 4.00, and meant; 7 in is 2.33, and asked about. */
    public function testWhatIsNearlyInLineIsAskedAbout(): void
    {
        foreach (['5ft' => [], '5ft 5in' => ['It stands 2.33 mm to the left of the sash below it. Is that meant?'], '6ft' => []] as $from => $said) {
            $document = self::document([['6ft', '2ft'], [$from, '9ft 3in']]);
            $checks = Kits::of(BuildingGenerator::with($document, 'blocks.0.eaves', '16ft'))->checks;
            $found = array_filter($checks, static fn (Check $c): bool => $c->code === 'opening.out-of-line');
            self::assertSame($said, array_map(static fn (Check $c): string => $c->text, array_values($found)), $from);
        }
    }

    /** @param  list<array{string, string}>  $openings  from the left end, and above the base */
    private static function document(array $openings): stdClass
    {
        $all = [];
        foreach ($openings as $i => [$from, $sill]) {
            $all[] = (object) ['id' => 'a'.($i + 1), 'style' => 'sash', 'from' => $from, 'sill' => $sill];
        }

        return BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'blocks.0.walls.2.openings', $all);
    }

    /** @param  list<array{string, string}>  $openings */
    private static function pressed(array $openings, string $id, string $how): stdClass
    {
        return Edits::apply(self::document($openings), self::edit($id, $how))->document;
    }

    /** @return list<stdClass> */
    private static function edit(string $id, string $how): array
    {
        return [(object) ['op' => 'place-opening', 'wall' => 'main.back', 'id' => $id, 'how' => $how]];
    }

    /** @return list<mixed> */
    private static function from(stdClass $document): array
    {
        $text = json_decode(JsonText::encode($document), true);
        assert(is_array($text));

        return array_column($text['blocks'][0]['walls'][2]['openings'], 'from'); // @phpstan-ignore-line
    }
}
