<?php

declare(strict_types=1);

namespace Tests\Core\Things;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Schema\DocumentFields;
use Chartula\Core\Building\StyleFields;
use Chartula\Core\Derivation;
use Chartula\Core\Output\FieldFinder;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Sheets\PlacedPart;
use Chartula\Core\Sheets\Sheet;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;
use Tests\Support\Things\Plaque;

/** A kind that nobody else knows: it is read, described, found, drawn, cut, proven and counted without another file. */
final class NewThingTest extends TestCase
{
    public function testItIsReadAndItsFaultsStandAtItsFields(): void
    {
        $building = BuildingReader::fromDocument(self::document(), self::kinds());
        self::assertSame('plaque', $building->styles['sash']->dress[0]->kind->name());
        $wrong = BuildingGenerator::with(self::document(), 'styles.sash.dress.0.w', 9);
        $faults = BuildingReader::reading($wrong, self::kinds())->faults;
        self::assertSame(['styles.sash.dress.0.w'], array_map(static fn (Problem $p): string => $p->path, $faults));
        self::assertNotSame([], BuildingReader::reading(self::document())->faults, 'who does not know it refuses it');
    }

    public function testItIsDescribedAndFound(): void
    {
        $list = StyleFields::dressings(self::kinds());
        self::assertStringContainsString('"plaque"', (string) json_encode($list->schema()));
        self::assertContains('plaque', array_keys($list->kinds));
        self::assertStringContainsString('"title":"Plaque"', (string) json_encode($list->form()));
        self::assertSame('w', DocumentFields::at(self::document(), 'styles.sash.dress.0.w', self::kinds())?->field->key);
        $found = array_column(FieldFinder::found('enamel', self::kinds()), 1);
        self::assertSame('Plaque, of a kind of opening', $found[0]['text'] ?? null);
    }

    /** 12 in wide, 6 in high, over the middle of a window from 10 to 22 whose crown is at 31: from 14 to 18, from 31 to 33. */
    public function testItIsPrintedCutProvenAndLaidOnSheets(): void
    {
        $building = BuildingReader::fromDocument(self::document(), self::kinds());
        $derived = Derivation::of($building, JsonText::encode(self::document()));
        self::assertSame([], $derived->dryFit->findings);
        $art = $derived->kit->part('main.front.paper')->part->art;
        self::assertInstanceOf(FaceArt::class, $art);
        $box = $art->dressings[0]->ring->bounds();
        self::assertEquals([14.0, 31.0, 18.0, 33.0], [round($box->x0, 6), round($box->y0, 6), round($box->x1, 6), round($box->y1, 6)]);
        $part = $derived->kit->part('main.front.plaque.w1');
        self::assertSame([2, 3.8, 1.8], [$part->part->qty(), round($part->part->width(), 6), round($part->part->height(), 6)]);
        $laid = array_merge(...array_map(static fn (Sheet $s): array => $s->parts, $derived->printed->plan->sheets));
        $labels = array_map(static fn (PlacedPart $p): string => $p->part->label, $laid);
        self::assertCount(2, array_keys($labels, $part->label, true));
    }

    /** 0.1 of the wall's paper, its card and its own paper before the wall; on the plot, whose foremost piece of wall it is. */
    public function testThePlotCountsIt(): void
    {
        $plot = json_decode('{"size": ["200mm", "200mm"], "at": ["-50mm", "-50mm"]}');
        $document = BuildingGenerator::with(self::document(), 'plot', $plot);
        $derived = Derivation::of(BuildingReader::fromDocument($document, self::kinds()), JsonText::encode($document));
        $foremost = INF;
        foreach ($derived->fit->finished->pieces ?? [] as $piece) {
            $foremost = $piece->group === PartGroup::Roof ? $foremost : min($foremost, $piece->box->y0);
        }
        $thick = $derived->kit->part('main.front.plaque.w1')->part->thickness;
        self::assertEqualsWithDelta(50.0 - 0.1 - $thick - 0.1, $foremost, 1e-6);
    }

    private static function kinds(): Kinds
    {
        return Kinds::known()->with(new Plaque);
    }

    private static function document(): stdClass
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $document = BuildingGenerator::with($document, 'styles.door.dress', []);

        return BuildingGenerator::with($document, 'styles.sash.dress', json_decode('[{"kind": "plaque", "as": "both"}]'));
    }
}
