<?php

declare(strict_types=1);

namespace Tests\Core\Bench;

use Chartula\Core\Bench\MadePiece;
use Chartula\Core\Bench\MadePieces;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Kit\Compare\PartRecord;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

final class MadePiecesTest extends TestCase
{
    public function testCountsHowManyAreAtLeastSoFar(): void
    {
        $kit = self::parts(self::office());
        $made = MadePieces::of($kit, [
            self::made($kit, 'main.base.floor', 'printed'), self::made($kit, 'main.front.core', 'cut'),
            self::made($kit, 'main.front.paper', 'papered'), self::made($kit, 'main.brace.corner', 'fixed', 2),
        ]);
        self::assertSame(['pieces' => 27, 'printed' => 4, 'cut' => 3, 'papered' => 2, 'fixed' => 1, 'stale' => 0], $made->counts());
        self::assertSame([], $made->toMakeAgain());
    }

    public function testWhatAnEditChangedIsStaleAndEverythingElseIsNot(): void
    {
        $before = self::parts(self::office());
        $all = [];
        foreach ($before as $id => $record) {
            for ($copy = 0; $copy < $record->qty; $copy++) {
                $all[] = self::made($before, $id, 'cut', $copy);
            }
        }
        // The right wall's window 3 in along: its two shells and its paper; frame and glass stay good.
        $after = self::parts(BuildingGenerator::with(self::office(), 'blocks.0.walls.1.openings.0.from', '4ft 9in'));
        $stale = array_map(static fn (MadePiece $p): string => $p->key(), MadePieces::of($after, $all)->stale());
        self::assertSame(['main.right.face#0', 'main.right.core#0', 'main.right.paper#0'], $stale);
        // Made and found as before again once the edit is taken back.
        self::assertSame([], MadePieces::of($before, $all)->stale());
    }

    public function testWhatWasNeverMadeCannotBeStale(): void
    {
        $made = MadePieces::of(self::parts(self::office()), []);
        self::assertSame([], $made->stale());
        self::assertSame(27, count($made->pieces));
        self::assertSame([null], array_values(array_unique(array_map(static fn (MadePiece $p): ?string => $p->state, $made->pieces))));
    }

    public function testWhatTheKitHasNoPlaceForIsStaleButNotMadeAgain(): void
    {
        $kit = self::parts(self::office());
        $without = self::parts(BuildingGenerator::with(self::office(), 'methods.base', 'none'));
        $made = MadePieces::of($without, [self::made($kit, 'main.base.floor', 'fixed'), self::made($kit, 'main.brace.corner', 'cut', 0)]);
        self::assertSame(['main.base.floor#0'], array_map(static fn (MadePiece $p): string => $p->key(), $made->stale()));
        self::assertSame([], $made->toMakeAgain());
        self::assertSame('gone', $made->stale()[0]->change?->kind);
    }

    /** By what the program as it is now makes of the document that a piece was made from it is known who changed it. */
    #[TestWith(['as it was', MadePiece::BY_EDIT])]
    #[TestWith(['as it is', MadePiece::BY_PROGRAM])]
    #[TestWith(['otherwise', MadePiece::BY_BOTH])]
    #[TestWith(['unknown', MadePiece::BY_EDIT])]
    public function testSaysWhoChangedIt(string $then, string $by): void
    {
        $before = self::parts(self::office());
        $after = self::parts(BuildingGenerator::with(self::office(), 'blocks.0.walls.1.openings.0.from', '4ft 9in'));
        $made = self::made($before, 'main.right.core', 'cut');
        $cuts = [
            'as it was' => [$made['record']->cut, $made['record']->print],
            'as it is' => [$after['main.right.core']->cut, $after['main.right.core']->print],
            'otherwise' => ['a', 'b'],
            'unknown' => null,
        ];
        self::assertSame($by, MadePieces::of($after, [$made + ['then' => $cuts[$then]]])->stale()[0]->by);
    }

    /** What is kept is kept in place of one cut and one print, and no other. */
    public function testWhatIsKeptIsGoodAsLongAsTheKitStaysAsItIs(): void
    {
        $before = self::parts(self::office());
        $after = self::parts(BuildingGenerator::with(self::office(), 'blocks.0.walls.1.openings.0.from', '4ft 9in'));
        $now = [$after['main.right.core']->cut, $after['main.right.core']->print];
        $made = self::made($before, 'main.right.core', 'cut') + ['kept' => $now];
        $pieces = MadePieces::of($after, [$made]);
        self::assertSame([[], []], [$pieces->stale(), $pieces->toMakeAgain()]);
        $later = self::parts(BuildingGenerator::with(self::office(), 'blocks.0.walls.1.openings.0.from', '5ft'));
        self::assertCount(1, MadePieces::of($later, [$made])->stale());
        // A part that the kit has no longer is kept in place of none.
        $gone = array_diff_key($after, ['main.right.core' => true]);
        self::assertSame([], MadePieces::of($gone, [['kept' => ['', '']] + $made])->stale());
        self::assertCount(1, MadePieces::of($gone, [$made])->stale());
    }

    /**
     * @param  array<string, PartRecord>  $kit
     * @param  value-of<MadePiece::STATES>  $state
     * @return array{part: string, copy: int, state: value-of<MadePiece::STATES>, record: PartRecord}
     */
    private static function made(array $kit, string $part, string $state, int $copy = 0): array
    {
        return ['part' => $part, 'copy' => $copy, 'state' => $state, 'record' => $kit[$part]];
    }

    /** @return array<string, PartRecord> */
    private static function parts(stdClass $document): array
    {
        return PartRecord::ofKit(Kits::serialised(Kits::of($document)));
    }

    private static function office(): stdClass
    {
        return JsonText::decode(Kits::exampleText('weigh-office'));
    }
}
