<?php

declare(strict_types=1);

namespace Tests\Api;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\ShippedKinds;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Kinds of openings: a building's own, those that are shipped, and those of another building. */
final class KindsTest extends ApiTestCase
{
    public function testThoseOfABuildingAndThoseThatAreShippedAreShown(): void
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $half = (object) ['kind' => 'window', 'w' => '4ft', 'h' => '3ft', 'blind' => (object) []];
        $document = BuildingGenerator::with($document, 'styles.half', $half);
        $building = $this->buildingOf($this->person(), JsonText::encode($document));
        $answer = $this->getJson("/api/buildings/$building->id/kinds")->assertOk();
        self::assertMatches('api.schema.json#/$defs/kinds', self::decoded($answer));
        $answer->assertJsonPath('kinds.0.id', 'sash')->assertJsonPath('kinds.2.name', 'half');
        self::assertCount(count(ShippedKinds::all()), (array) $answer->json('shipped'));
        // Bricks as the building has them, as large as it has them: 4 ft at 1:76.2 and its margin.
        $drawn = (string) $this->get("/api/buildings/$building->id/kinds/half.svg")->assertOk()->getContent();
        self::assertStringContainsString('width="17.2mm"', $drawn);
        self::assertStringContainsString('#a65f4a', $drawn);
        foreach (array_keys(ShippedKinds::all()) as $key) {
            $this->get("/api/buildings/$building->id/kinds/shipped/$key.svg")->assertOk()->assertHeader('Content-Type', 'image/svg+xml');
        }
        $this->getJson("/api/buildings/$building->id/kinds/none.svg")->assertNotFound();
        $this->getJson("/api/buildings/$building->id/kinds/shipped/none.svg")->assertNotFound();
        $this->actingAs($this->person('Bede Osier'));
        foreach (['kinds', 'kinds/half.svg', 'kinds/shipped/sash.svg'] as $path) {
            $this->getJson("/api/buildings/$building->id/$path")->assertNotFound();
        }
    }

    /** Whatever a building says of its openings, nothing of that is in the way of what is shown of a kind that is shipped. */
    public function testTheyAreShownForEveryBuildingOfTheDemo(): void
    {
        $person = $this->person();
        $files = glob(dirname(__DIR__, 2).'/docs/examples/*.json');
        self::assertIsArray($files);
        self::assertNotSame([], $files);
        foreach ($files as $file) {
            $building = $this->buildingOf($person, (string) file_get_contents($file));
            foreach (['bricked-up', 'tracery'] as $key) {
                $this->get("/api/buildings/$building->id/kinds/shipped/$key.svg")->assertOk();
            }
            foreach ((array) $this->getJson("/api/buildings/$building->id/kinds")->assertOk()->json('kinds.*.id') as $id) {
                self::assertIsString($id);
                $this->get("/api/buildings/$building->id/kinds/$id.svg")->assertOk();
            }
        }
    }

    public function testOneIsTakenOverFromAnotherBuilding(): void
    {
        $person = $this->person();
        $from = $this->buildingOf($person, Kits::exampleText('creamery'));
        $to = $this->buildingOf($person);
        $said = $this->getJson("/api/buildings/$from->id/kinds")->assertOk()->json('kinds.0.said');
        $this->edit($to, 1, [['op' => 'add-kind', 'as' => $said], ['op' => 'add-kind', 'like' => 'shop-front']])->assertCreated();
        $kinds = $this->getJson("/api/buildings/$to->id/kinds")->assertOk();
        $kinds->assertJsonPath('kinds.2.said', $said)->assertJsonPath('kinds.3.name', 'Shop front');
    }
}
