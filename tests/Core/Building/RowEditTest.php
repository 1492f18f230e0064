<?php

declare(strict_types=1);

namespace Tests\Core\Building;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Opening;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Every tool that is offered for an opening works on a row in bays too, and a second press never spoils what the first did. */
final class RowEditTest extends TestCase
{
    /** A wall of 20 ft with a row of four windows of 3 ft: bays of 5 ft, the first at 1 ft. */
    private static function hut(): stdClass
    {
        $row = ['id' => 'r1', 'style' => 'sash', 'sill' => '3ft', 'count' => 4];
        $single = ['id' => 'w1', 'style' => 'sash', 'from' => '4ft', 'sill' => '3ft'];
        $frame = ['panes' => [2, 2], 'stile' => '3in', 'bar' => '3in'];
        $walls = [
            ['edge' => 'front', 'finish' => 'brick-stretcher', 'rows' => [$row]],
            ['edge' => 'back', 'finish' => 'brick-stretcher', 'openings' => [$single]],
        ];
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        foreach ([
            'styles' => ['sash' => ['kind' => 'window', 'w' => '3ft', 'h' => '4ft', 'frame' => $frame]],
            'blocks' => [[
                'id' => 'main', 'footprint' => ['rect' => ['20ft', '12ft']], 'eaves' => '18ft',
                'roof' => ['kind' => 'gable', 'pitch' => 40], 'walls' => $walls,
            ]],
        ] as $key => $value) {
            $document = BuildingGenerator::with($document, $key, json_decode((string) json_encode($value)));
        }

        return $document;
    }

    /**
     * @param  list<array<string, mixed>>  $edits
     * @param  list<float>  $feet  from the left end
     */
    #[DataProvider('provideEdits')]
    #[DataProvider('provideWaysToStand')]
    public function testTheRowAnswers(array $edits, array $feet, float $sill = 3.0): void
    {
        $document = self::edited(self::hut(), $edits)->document;
        Kits::of($document);
        $openings = self::openings($document, 'front');
        self::assertEqualsWithDelta($feet, array_map(static fn (Opening $o): float => round($o->from->mm / 304.8, 4), $openings), 1e-3);
        foreach ($openings as $opening) {
            self::assertEqualsWithDelta($sill, $opening->sill->mm / 304.8, 1e-6);
        }
    }

    /** @return iterable<string, array{0: list<array<string, mixed>>, 1: list<float>, 2?: float}> */
    public static function provideEdits(): iterable
    {
        $on = ['wall' => 'main.front', 'id' => 'r1'];
        yield 'as it is' => [[['op' => 'set', 'path' => 'name', 'value' => 'x']], [1.0, 6.0, 11.0, 16.0]];
        yield 'two thirds of a brick to the left' => [
            [['op' => 'move-opening', 'bricks' => -0.6667] + $on], [0.5, 5.5, 10.5, 15.5],
        ];
        yield 'moved twice, and up by four courses' => [
            [['op' => 'move-opening', 'bricks' => 1, 'courses' => 4] + $on, ['op' => 'move-opening', 'bricks' => -1] + $on],
            [1.0, 6.0, 11.0, 16.0], 4.0,
        ];
        yield 'one fewer' => [[['op' => 'repeat-opening', 'count' => 3] + $on], [11.0 / 6.0, 8.5, 8.5 + 20.0 / 3.0]];
        yield 'gone' => [[['op' => 'remove-opening'] + $on], []];
        yield 'broken, and the second moved by itself' => [
            [['op' => 'break-row'] + $on, ['op' => 'move-opening', 'wall' => 'main.front', 'id' => 'r1-2', 'bricks' => 1]],
            [1.0, 6.75, 11.0, 16.0],
        ];
        yield 'from a place on' => [
            [
                ['op' => 'set', 'path' => 'blocks.0.walls.0.rows.0.from', 'value' => '2ft'],
                ['op' => 'set', 'path' => 'blocks.0.walls.0.rows.0.pitch', 'value' => '4ft 6in'],
            ],
            [2.0, 6.5, 11.0, 15.5],
        ];
    }

    /** @return iterable<string, array{0: list<array<string, mixed>>, 1: list<float>}> */
    public static function provideWaysToStand(): iterable
    {
        $on = ['wall' => 'main.front', 'id' => 'r1'];
        yield 'from where it stands on, then moved' => [
            [['op' => 'stand-row', 'how' => 'from'] + $on, ['op' => 'set', 'path' => 'blocks.0.walls.0.rows.0.from', 'value' => '6in']],
            [0.5, 5.5, 10.5, 15.5],
        ];
        yield 'between margins as wide as they are, then narrower ones' => [
            [
                ['op' => 'stand-row', 'how' => 'margin'] + $on,
                ['op' => 'set', 'path' => 'blocks.0.walls.0.rows.0.margin', 'value' => '2ft 6in'],
            ],
            [2.5, 6.5, 10.5, 14.5],
        ];
        yield 'moved, and in equal bays again' => [
            [['op' => 'move-opening', 'bricks' => 1] + $on, ['op' => 'stand-row', 'how' => 'bays'] + $on], [1.0, 6.0, 11.0, 16.0],
        ];
        yield 'closer together about the middle' => [
            [['op' => 'set', 'path' => 'blocks.0.walls.0.rows.0.pitch', 'value' => '4ft']], [2.5, 6.5, 10.5, 14.5],
        ];
    }

    /** Copied it stands over itself; there is no room for a third. */
    public function testACopyOfARowStandsOverItUntilThereIsNoRoom(): void
    {
        $copy = ['op' => 'copy-opening', 'wall' => 'main.front', 'id' => 'r1'];
        $document = self::edited(self::hut(), [$copy])->document;
        Kits::of($document);
        $sills = array_map(static fn (Opening $o): float => $o->sill->mm / 304.8, self::openings($document, 'front'));
        self::assertEqualsWithDelta([3.0, 3.0, 3.0, 3.0, 8.0, 8.0, 8.0, 8.0], $sills, 1e-6, 'four courses of 3 in over heads at 7 ft');
        self::assertRefused('edit.no-room-up', static fn () => self::edited($document, [$copy]));
        $again = self::edited($document, [['op' => 'copy-opening', 'wall' => 'main.front', 'id' => 'r2']])->document;
        Kits::of($again);
        self::assertCount(12, self::openings($again, 'front'));
        self::assertRefused('edit.no-room-up', static fn () => self::edited($again, [['id' => 'r3'] + $copy]));
    }

    /** Pressed until nothing goes any more: the building is sound after every press, and then it says that there is no place. */
    #[TestWith(['add-opening', 'main.back', 2])]
    #[TestWith(['copy-opening', 'main.back', 3])]
    #[TestWith(['add-opening', 'main.front', 0])]
    public function testAnotherPressTakesTheNextFreePlaceOrSaysThatThereIsNone(string $op, string $wall, int $more): void
    {
        $document = self::hut();
        $edit = ['op' => $op, 'wall' => $wall] + ($op === 'add-opening' ? ['style' => 'sash'] : ['id' => 'w1']);
        for ($i = 0; $i < $more; $i++) {
            $document = self::edited($document, [$edit])->document;
            Kits::of($document);
        }
        self::assertCount(1 + $more, self::openings($document, 'back'));
        self::assertRefused('edit.no-room', static fn () => self::edited($document, [$edit]));
    }

    /**
     * A wing before the left 9 ft of a wall of 20 ft: the row stands beside it, and more of it stand closer there. Free are 18 in from the
     * right end and 9 in from the wing: 9 ft 9 in to 18 ft 6 in, 8 ft 9 in; two windows of 3 ft in bays of 4 ft 4 1/2 in begin 8 1/4 in on.
     */
    public function testARowStandsBesideAnotherBlock(): void
    {
        $document = BuildingGenerator::with(self::hut(), 'blocks.0.walls.0.rows', []);
        $blocks = [...(array) $document->blocks, (object) [
            'id' => 'wing', 'footprint' => (object) ['rect' => ['9ft', '8ft']], 'eaves' => '16ft', 'at' => ['0ft', '-8ft'],
            'roof' => (object) [
                'kind' => 'gable', 'ridge' => 'y', 'pitch' => 40, 'edges' => [(object) ['edge' => 'back', 'kind' => 'wall']],
            ],
        ]];
        $document = BuildingGenerator::with($document, 'blocks', $blocks);
        $after = self::edited($document, [['op' => 'add-row', 'wall' => 'main.front']])->document;
        $feet = static fn (Opening $o): float => $o->from->mm / 304.8;
        $froms = static fn (stdClass $of): array => array_map($feet, self::openings($of, 'front'));
        self::assertEqualsWithDelta([9.75 + 8.25 / 12.0, 9.75 + 8.25 / 12.0 + 4.375], $froms($after), 0.01);
        Kits::of($after);
        $fewer = self::edited($after, [['op' => 'repeat-opening', 'wall' => 'main.front', 'id' => 'r1', 'count' => 1]])->document;
        $again = self::edited($fewer, [['op' => 'repeat-opening', 'wall' => 'main.front', 'id' => 'r1', 'count' => 2]])->document;
        Kits::of($again);
        self::assertCount(2, $froms($again));
    }

    /** A row where there is room for one: beside a single window over it; on a wall of windows over those, and then no more. */
    public function testARowIsAddedWhereThereIsRoom(): void
    {
        $add = static fn (string $edge): array => ['op' => 'add-row', 'wall' => "main.$edge"];
        $document = self::edited(self::hut(), [$add('right')])->document;
        Kits::of($document);
        $sills = array_map(static fn (Opening $o): float => $o->sill->mm / 304.8, self::openings($document, 'right'));
        self::assertSame([2.75, 2.75], $sills, 'three of 3 ft would come nearer than two bricks to the ends of 12 ft');
        $document = self::edited($document, [$add('front'), $add('back')])->document;
        Kits::of($document);
        self::assertCount(7, self::openings($document, 'front'));
        self::assertCount(4, self::openings($document, 'back'));
        $document = self::edited($document, [$add('front')])->document;
        Kits::of($document);
        self::assertRefused('edit.no-room', static fn () => self::edited($document, [$add('front')]));
    }

    /** A sill over an upper floor is as high as it looks: under it there is room, over it none, and on a block of one floor it stays up. */
    public function testASillOfAnUpperFloorIsMeasuredFromItsFoot(): void
    {
        $upper = ['id' => 'upper', 'floor' => '9ft 1 1/4in', 'height' => '8ft'];
        $document = BuildingGenerator::with(self::hut(), 'blocks.0.storeys', json_decode((string) json_encode([$upper])));
        $document = BuildingGenerator::with($document, 'blocks.0.walls.0.rows.0.storey', 'upper');
        $document = BuildingGenerator::with($document, 'blocks.0.walls.0.rows.0.sill', '2ft 3in');
        $feet = static fn (Opening $o): float => round($o->sill->mm / 304.8, 6);
        $sills = static fn (stdClass $of, string $edge): array =>
            array_values(array_unique(array_map($feet, self::openings($of, $edge))));
        $up = round(9.0 + 1.25 / 12.0 + 2.25, 6);
        self::assertSame([$up], $sills($document, 'front'));
        $copy = ['op' => 'copy-opening', 'wall' => 'main.front', 'id' => 'r1'];
        self::assertRefused('edit.no-room-up', static fn () => self::edited($document, [$copy]));
        $under = self::edited($document, [['op' => 'add-row', 'wall' => 'main.front']])->document;
        Kits::of($under);
        self::assertEqualsCanonicalizing([2.75, $up], $sills($under, 'front'));
        $low = ['op' => 'set', 'path' => 'blocks.0.walls.0.rows.0.sill', 'value' => '9in'];
        $twice = self::edited($document, [$low, ['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '20ft'], $copy])->document;
        self::assertEqualsWithDelta(5.75, $sills($twice, 'front')[1] - $sills($twice, 'front')[0] + 0.75, 1e-6, '4 ft and four courses on');
        $blocks = [...(array) $document->blocks, (object) [
            'id' => 'wing', 'footprint' => (object) ['rect' => ['20ft', '9ft']], 'eaves' => '18ft', 'at' => ['40ft', '0ft'],
            'roof' => (object) ['kind' => 'gable', 'pitch' => 40],
        ]];
        $beside = self::edited(BuildingGenerator::with($document, 'blocks', $blocks), [['to' => 'wing.front'] + $copy])->document;
        $openings = BuildingReader::fromDocument($beside)->blocks[1]->walls[0]->openings;
        self::assertCount(4, $openings);
        self::assertEqualsWithDelta($up, $openings[0]->sill->mm / 304.8, 0.01);
    }

    /** To another wall at the same place, or as in a mirror; a row in bays of that wall. */
    public function testAnOpeningOrARowGoesToAnotherWall(): void
    {
        $to = ['op' => 'copy-opening', 'wall' => 'main.back', 'id' => 'w1', 'to' => 'main.right'];
        $document = self::edited(self::hut(), [$to])->document;
        self::assertEqualsWithDelta(4.0, self::openings($document, 'right')[0]->from->mm / 304.8, 1e-6);
        $document = self::edited(self::hut(), [['mirrored' => true] + $to])->document;
        self::assertEqualsWithDelta(12.0 - 7.0, self::openings($document, 'right')[0]->from->mm / 304.8, 1e-6);
        $document = self::edited(self::hut(), [
            ['op' => 'remove-opening', 'wall' => 'main.back', 'id' => 'w1'],
            ['op' => 'copy-opening', 'wall' => 'main.front', 'id' => 'r1', 'to' => 'main.back'],
        ])->document;
        Kits::of($document);
        self::assertEqualsWithDelta(
            [1.0, 6.0, 11.0, 16.0],
            array_map(static fn (Opening $o): float => $o->from->mm / 304.8, self::openings($document, 'back')),
            1e-6,
        );
    }

    /** @param  list<array<string, mixed>>  $edits */
    private static function edited(stdClass $document, array $edits): Edits
    {
        return Edits::apply($document, json_decode((string) json_encode($edits)));
    }

    /** @return list<Opening> */
    private static function openings(stdClass $document, string $edge): array
    {
        foreach (BuildingReader::fromDocument($document)->blocks[0]->walls as $wall) {
            if ($wall->name === $edge) {
                return $wall->openings;
            }
        }
        self::fail("there is no wall $edge");
    }

    /** @param  callable(): mixed  $edit */
    private static function assertRefused(string $code, callable $edit): void
    {
        try {
            $edit();
        } catch (InvalidInput $e) {
            self::assertSame($code, $e->problems[0]->code);

            return;
        }
        self::fail("$code was not said");
    }
}
