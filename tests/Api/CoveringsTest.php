<?php

declare(strict_types=1);

namespace Tests\Api;

use Chartula\Core\Building\JsonText;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Coverings by themselves, as screens ask for them. */
final class CoveringsTest extends ApiTestCase
{
    public function testOneIsShownInColoursOfOnesOwn(): void
    {
        $document = BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'palettes', json_decode(
            '[{"id": "c1", "name": "Green", "colours": [{"colour": "#00ff00"}], "joint": "#123456"}]',
        ));
        $building = $this->buildingOf($this->person(), JsonText::encode($document));
        $at = "/api/buildings/$building->id/coverings";
        $shown = fn (string $of): string => (string) $this->get("$at/$of")->assertOk()->getContent();
        self::assertStringNotContainsString('#123456', $shown('brick-english.svg'));
        foreach (['brick-english', 'slate', 'stone-random'] as $finish) {
            self::assertStringContainsString('#123456', $shown("$finish.svg?palette=c1"));
        }
        // One that is not there changes nothing; what is no id is refused.
        self::assertSame($shown('slate.svg'), $shown('slate.svg?palette=none'));
        $this->getJson("$at/slate.svg?palette=..%2F")->assertStatus(422);
        $this->getJson("$at/marble.svg")->assertNotFound();
    }

    public function testAPieceOfEachComesOnAPage(): void
    {
        $building = $this->buildingOf($this->person());
        $answer = $this->get("/api/buildings/$building->id/coverings.pdf")->assertOk();
        self::assertSame('application/pdf', $answer->headers->get('Content-Type'));
        self::assertStringContainsString('coverings-r1.pdf', (string) $answer->headers->get('Content-Disposition'));
        self::assertStringStartsWith('%PDF', (string) $answer->getContent());
        $bare = JsonText::decode(Kits::exampleText('weigh-office'));
        foreach (range(0, 3) as $wall) {
            $bare = BuildingGenerator::with($bare, "blocks.0.walls.$wall.finish", 'bare');
        }
        $building = $this->buildingOf($this->person('Bede Osier'), JsonText::encode($bare));
        $this->getJson("/api/buildings/$building->id/coverings.pdf")->assertNotFound()
            ->assertJsonPath('message', 'Nothing is covered yet.');
    }

    public function testWhatIsSeenFromADistance(): void
    {
        $building = $this->buildingOf($this->person());
        $this->getJson("/api/buildings/$building->id/seen?distance=600")->assertOk()->assertJsonPath('seen.least_mm', 0.1746);
        foreach (['', '?distance=0', '?distance=near', '?distance=1e9'] as $wrong) {
            $this->getJson("/api/buildings/$building->id/seen$wrong")->assertStatus(422);
        }
    }
}
