<?php

declare(strict_types=1);

namespace Tests\Core;

use Chartula\Core\Additions;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Cure;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** A new opening in a building that has given something up. */
final class OpeningPlacesTest extends TestCase
{
    /** A front of 30 ft 6 in with one window about its middle, 18 ft 3 in given up from the margins beside it. */
    private static function given(string $by = '18ft 3in'): stdClass
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        foreach ([
            'blocks.0.footprint.rect' => ['30ft 6in', '12ft'],
            'blocks.0.walls.0.openings' => [(object) ['id' => 'w1', 'style' => 'sash', 'from' => '13ft 9in', 'sill' => '2ft 9in']],
            'compression' => (object) ['steps' => [(object) ['op' => 'margins', 'block' => 'main', 'edge' => 'front', 'by' => $by]]],
        ] as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return $document;
    }

    /** In the usual place, 1 ft 6 in from the left, it would take 13 ft of margin; where it is put all stays given. */
    public function testItGoesWhereWhatIsGivenUpStaysGiven(): void
    {
        $document = self::given();
        $edit = (object) ['op' => 'add-opening', 'wall' => 'main.back', 'style' => 'sash'];
        $usual = Edits::apply($document, [$edit])->document;
        try {
            Kits::of($usual);
            self::fail('the usual place takes nothing back');
        } catch (InvalidInput $e) {
            self::assertSame('compress.too-much', $e->problems[0]->code);
        }
        for ($i = 1; $i <= 2; $i++) {
            $document = Edits::apply($document, Additions::placed($document, [$edit]))->document;
            Kits::of($document);
            self::assertCount($i, BuildingReader::fromDocument($document)->blocks[0]->walls[2]->openings);
        }
        $copy = (object) ['op' => 'copy-opening', 'wall' => 'main.front', 'id' => 'w1', 'to' => 'main.back'];
        $third = Edits::apply($document, Additions::placed($document, [$copy]))->document;
        self::assertCount(3, BuildingReader::fromDocument($third)->blocks[0]->walls[2]->openings);
    }

    /** Where there is no such place it stands in the usual one, and as much is taken back as it needs when that is pressed. */
    public function testElseSomeOfItIsTakenBackWhenThatIsPressed(): void
    {
        $document = self::given('22ft 6in');
        $edit = (object) ['op' => 'add-opening', 'wall' => 'main.back', 'style' => 'sash'];
        for ($i = 0; $i < 4; $i++) {
            $document = Edits::apply($document, Additions::placed($document, [$edit]))->document;
            try {
                Kits::of($document);
            } catch (InvalidInput $e) {
                $cure = Cure::of($document, $e->problems[0]);
                self::assertNotNull($cure);
                self::assertStringStartsWith('Take some of it back', $cure->words);
                Kits::of(Edits::apply($document, [$cure->edit])->document);

                return;
            }
        }
        self::fail('four more windows take nothing back');
    }

    /** A building that gives nothing up puts it where it always did. */
    public function testWithoutAnythingGivenUpNothingIsLookedFor(): void
    {
        $document = BuildingGenerator::with(self::given(), 'compression', null);
        $edit = (object) ['op' => 'add-opening', 'wall' => 'main.back', 'style' => 'sash'];
        self::assertSame([$edit], Additions::placed($document, [$edit]));
    }
}
