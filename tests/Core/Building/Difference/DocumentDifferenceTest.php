<?php

declare(strict_types=1);

namespace Tests\Core\Building\Difference;

use Chartula\Core\Building\Difference\Change;
use Chartula\Core\Building\Difference\DocumentDifference;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

final class DocumentDifferenceTest extends TestCase
{
    /** @param  list<array<string, mixed>>  $edits */
    #[DataProvider('provideEdits')]
    public function testSaysWhatChangedAsAPersonWould(array $edits, string $words): void
    {
        $after = Edits::apply(self::office(), json_decode((string) json_encode($edits)))->document;
        self::assertSame($words, DocumentDifference::summary(DocumentDifference::of(self::office(), $after)));
    }

    /** @return iterable<string, array{list<array<string, mixed>>, string}> */
    public static function provideEdits(): iterable
    {
        $set = static fn (string $path, mixed $value): array => ['op' => 'set', 'path' => $path, 'value' => $value];
        yield 'a place' => [[$set('blocks.0.walls.0.openings.0.from', '3ft 3in')], 'front, sash w1: from 2ft 6in to 3ft 3in'];
        yield 'two of one' => [
            [$set('blocks.0.walls.0.openings.0.from', '3ft'), $set('blocks.0.walls.0.openings.0.sill', '3ft')],
            'front, sash w1: from 2ft 6in to 3ft, sill from 2ft 9in to 3ft',
        ];
        yield 'a size of a kind' => [[$set('styles.sash.w', '3ft 3in')], 'sash: width from 3ft to 3ft 3in'];
        yield 'the footprint' => [[$set('blocks.0.footprint.rect.1', '13ft')], 'depth from 12ft to 13ft'];
        yield 'a number' => [[$set('blocks.0.roof.pitch', 45)], 'pitch from 40 to 45'];
        yield 'a stock with a point in its id' => [
            [$set('stock.card-0~.5.thickness', '0.55mm')],
            'card-0.5: thickness from 0.52mm to 0.55mm',
        ];
        yield 'a wall’s paper' => [[$set('blocks.0.walls.=back.finish', 'bare')], 'back: covering from brick, Flemish bond to bare card'];
        yield 'a roof’s covering' => [[$set('blocks.0.roof.finish', 'stone-slate')], 'covering of the roof stone slates'];
        $scan = ['id' => 'p1', 'name' => 'Old wall', 'sha256' => str_repeat('a', 64), 'pixels' => [9, 9], 'mm_per_pixel' => [1, 1]];
        $reds = ['id' => 'c1', 'name' => 'Reds', 'colours' => [['colour' => '#a65f4a']]];
        yield 'a paper of one’s own' => [
            [$set('papers.=p1', $scan), $set('papers.=p1.up', '21mm'), $set('blocks.0.walls.=back.paper', 'p1')],
            'back: paper “Old wall”; “Old wall” added',
        ];
        yield 'colours of one’s own' => [
            [$set('palettes.=c1', $reds), $set('blocks.0.roof.palette', 'c1')], 'colours of the roof “Reds”, “Reds” added',
        ];
        yield 'how slates are laid' => [
            [$set('blocks.0.roof.laid', 'strips'), $set('blocks.0.roof.row', '6in'), $set('methods.skin.soot', 30)],
            'soot under the eaves 30, slates and tiles laid strips, rows apart 6in',
        ];
        yield 'one gone, one new' => [
            [['op' => 'remove-opening', 'wall' => 'front', 'id' => 'd1'], ['op' => 'add-opening', 'wall' => 'left', 'style' => 'door']],
            'front: door d1 removed; left: door d1 added',
        ];
        yield 'many' => [
            array_map(
                static fn (string $key): array => $set("blocks.0.$key", '20ft'),
                ['eaves', 'base', 'footprint.rect.0', 'footprint.rect.1', 'roof.overhang.eaves'],
            ),
            'width from 18ft to 20ft, depth from 12ft to 20ft, eaves from 9ft 6in to 20ft, overhang eaves from 9in to 20ft; and 1 more',
        ];
        yield 'what is given up' => [
            [
                $set(
                    'compression.steps',
                    [
                        ['op' => 'piers', 'block' => 'main', 'edge' => 'front', 'by' => '1ft'],
                        ['op' => 'margins', 'block' => 'main', 'edge' => 'front', 'by' => '6in'],
                    ],
                ),
            ],
            'compression added',
        ];
        yield 'the place' => [
            [$set('plot.eye.travel', '200mm'), $set('plot.lift.way', 'front')],
            'plot eye travel from 400mm to 200mm, plot lift added',
        ];
        yield 'nothing' => [[$set('blocks.0.eaves', '9ft 6in')], ''];
        yield 'what was built' => [
            [
                [
                    'op' => 'as-built', 'block' => 'main', 'edge' => 'left', 'figure' => 'apex', 'measured' => '57.9mm', 'reason' => 'slip',
                    'date' => '2026-11-30',
                ],
            ],
            'left: height to the peak as built 57.9mm',
        ];
    }

    public function testSaysWhereAThingIsWithoutTheWordsOfTheFile(): void
    {
        $with = static fn (string $on): stdClass => JsonText::decode(
            '{"blocks": [{"id": "main", "features": [{"kind": "chimney", "id": "c1", "on": {"edge": "front", "line": "ridge", '.$on.'}}]}]}',
        );
        [$before, $after] = [$with('"over": "middle"'), $with('"from": "4ft"')];
        self::assertSame(
            'chimney on the front: centred on taken out, place along 4ft',
            DocumentDifference::summary(DocumentDifference::of($before, $after)),
        );
    }

    /** Whatever two documents are, taking every change across turns the one into the other. */
    public function testEveryChangeCanBeTakenAcross(): void
    {
        $checked = 0;
        foreach (range(1, 60) as $seed) {
            $before = (new BuildingGenerator($seed))->document();
            $after = (new BuildingGenerator($seed + 1000))->document();
            $changes = DocumentDifference::of($before, $after);
            $edits = array_map(static fn (Change $c): array => ['op' => 'set', 'path' => $c->path, 'value' => $c->after], $changes);
            foreach (array_chunk($edits, Edits::MOST) as $some) {
                $before = Edits::apply($before, json_decode((string) json_encode($some, JSON_PRESERVE_ZERO_FRACTION)))->document;
                $checked += count($some);
            }
            self::assertSame(
                [],
                array_map(static fn (Change $c): string => $c->text(), DocumentDifference::of($before, $after)),
                "seed $seed",
            );
        }
        self::assertGreaterThan(500, $checked);
    }

    public function testWhatIsRoundABuildingAndGivenUpOfItIsTakenAcrossToo(): void
    {
        [$before, $after] = [JsonText::decode(Kits::exampleText('creamery')), JsonText::decode(Kits::exampleText('ropewalk-row'))];
        $before->compression = json_decode(
            '{"steps": [{"op": "piers", "block": "hall", "edge": "front", "by": "1ft"}, {"op": "omit", "block": "dormer"}]}',
        );
        $after->compression = json_decode(
            '{"steps": [{"op": "omit", "block": "tar", "off": true}, {"op": "piers", "block": "hall", "edge": "front", "by": "2ft"}], "protect": []}',
        );
        foreach (DocumentDifference::of($before, $after) as $change) {
            $before = Edits::apply(
                $before,
                json_decode((string) json_encode([['op' => 'set', 'path' => $change->path, 'value' => $change->after]])),
            )->document;
        }
        self::assertSame([], array_map(static fn (Change $c): string => $c->text(), DocumentDifference::of($before, $after)));
    }

    public function testAnOpeningIsTheSameWhereverItStandsInItsList(): void
    {
        $turned = self::office();
        // @phpstan-ignore offsetAccess.nonOffsetAccessible, offsetAccess.nonOffsetAccessible, property.nonObject
        $wall = $turned->blocks[0]->walls[0];
        assert($wall instanceof stdClass && is_array($wall->openings));
        $wall->openings = array_reverse($wall->openings);
        $changes = DocumentDifference::of(self::office(), $turned);
        self::assertSame(['front: openings in another order'], array_map(static fn (Change $c): string => $c->text(), $changes));
    }

    public function testChangesOfTheSameFieldClashAndOthersDoNot(): void
    {
        $change = static fn (string $path): Change => new Change($path, '', '', 1, 2);
        self::assertTrue($change('blocks.=main.eaves')->clashesWith($change('blocks.=main.eaves')));
        self::assertTrue($change('blocks.=main.walls.=front')->clashesWith($change('blocks.=main.walls.=front.openings.=w1.from')));
        self::assertFalse(
            $change('blocks.=main.walls.=front.openings.=w1')->clashesWith($change('blocks.=main.walls.=front.openings.=w11')),
        );
    }

    private static function office(): stdClass
    {
        return JsonText::decode(Kits::exampleText('weigh-office'));
    }
}
