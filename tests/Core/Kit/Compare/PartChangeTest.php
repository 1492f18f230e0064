<?php

declare(strict_types=1);

namespace Tests\Core\Kit\Compare;

use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Kit\Compare\PartChange;
use Chartula\Core\Kit\Compare\PartRecord;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

final class PartChangeTest extends TestCase
{
    public function testAKitIsTheSameAsItself(): void
    {
        $parts = self::parts(self::office());
        self::assertSame([], PartChange::all($parts, $parts));
    }

    public function testAMovedWindowChangesItsWallAndItsPaperAlone(): void
    {
        // The door from 14 ft to 14 ft 3 in: 76.2 / 76.2 = 1 mm to the right, which leaves the leaf as it was.
        $changes = PartChange::all(
            self::parts(self::office()),
            self::parts(BuildingGenerator::with(self::office(), 'blocks.0.walls.0.openings.1.from', '14ft 3in')),
        );
        self::assertSame(
            ['main.front.face' => 'cut', 'main.front.core' => 'cut', 'main.front.paper' => 'both'],
            array_column(array_map(static fn (PartChange $c): array => [$c->id, $c->kind], $changes), 1, 0),
        );
        foreach ($changes as $change) {
            self::assertEqualsWithDelta(1.0, $change->mm, 0.002, $change->id);
            self::assertSame('its outline moved 1.00 mm', $change->text);
        }
    }

    public function testSaysByHowMuch(): void
    {
        $wider = BuildingGenerator::with(self::office(), 'blocks.0.footprint.rect.0', '18ft 6in');
        $by = self::byId(PartChange::all(self::parts(self::office()), self::parts($wider)));
        self::assertSame('2.00 mm wider', $by['main.front.core']->text);
        self::assertSame('both', $by['main.front.paper']->kind);
        // The first window moves along its wall; both shells of it follow.
        $moved = self::byId(
            PartChange::all(
                self::parts(self::office()),
                self::parts(BuildingGenerator::with(self::office(), 'blocks.0.walls.1.openings.0.from', '4ft 9in')),
            ),
        );
        self::assertSame('the opening moved 1.00 mm', $moved['main.right.core']->text);
        // Of the front's two windows the second alone, 6 ft 4 1/2 in on instead of 6 ft: 114.3 / 76.2.
        $second = BuildingGenerator::with(self::office(), 'blocks.0.walls.0.openings.0.repeat.pitch', '6ft 4 1/2in');
        $changed = self::byId(PartChange::all(self::parts(self::office()), self::parts($second)));
        self::assertSame('the second opening from the left moved 1.50 mm', $changed['main.front.core']->text);
        $stock = Edits::apply(
            self::office(),
            json_decode('[{"op": "set", "path": "stock.card-0~.5.thickness", "value": "0.6mm"}]'),
        )->document;
        // With the label of 0.12 that stays on: 0.60 + 0.12 for 0.52 + 0.12.
        self::assertSame(
            '0.72 mm thick instead of 0.64 mm',
            self::byId(PartChange::all(self::parts(self::office()), self::parts($stock)))['main.front.face']->text,
        );
    }

    public function testPrintAloneIsToldFromCut(): void
    {
        $redder = BuildingGenerator::with(self::office(), 'methods.skin.brick', '#a04030');
        $changes = PartChange::all(self::parts(self::office()), self::parts($redder));
        self::assertCount(4, $changes);
        foreach ($changes as $change) {
            self::assertSame(['print', 0.0, 'printed differently; the cut is the same'], [$change->kind, $change->mm, $change->text]);
        }
    }

    public function testWhatIsNewAndWhatIsGone(): void
    {
        $bare = BuildingGenerator::with(self::office(), 'methods.base', 'none');
        $gone = self::byId(PartChange::all(self::parts(self::office()), self::parts($bare)));
        self::assertSame('gone', $gone['main.base.floor']->kind);
        self::assertSame('added', self::byId(PartChange::all(self::parts($bare), self::parts(self::office())))['main.base.floor']->kind);
    }

    public function testWhatWasKeptReadsBackTheSame(): void
    {
        $parts = self::parts(self::office());
        $kept = array_map(
            static fn (PartRecord $r): PartRecord => PartRecord::read((array) json_decode((string) json_encode($r->kept()), true)),
            $parts,
        );
        self::assertSame([], PartChange::all($parts, $kept));
    }

    /** @return array<string, PartRecord> */
    private static function parts(stdClass $document): array
    {
        return PartRecord::ofKit(Kits::serialised(Kits::of($document)));
    }

    /**
     * @param  list<PartChange>  $changes
     * @return array<string, PartChange>
     */
    private static function byId(array $changes): array
    {
        return array_combine(array_map(static fn (PartChange $c): string => $c->id, $changes), $changes);
    }

    private static function office(): stdClass
    {
        return JsonText::decode(Kits::exampleText('weigh-office'));
    }
}
