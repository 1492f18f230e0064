<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Models\Building;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** Blocks, sections and mock-ups as screens ask for them. */
final class BlocksTest extends ApiTestCase
{
    /** How a building is known among others, as the list of a project asks for it; somebody else gets nothing. */
    public function testItsCardItsPictureAndItsWholeSides(): void
    {
        $building = $this->buildingOf($this->person());
        $card = $this->getJson("/api/buildings/$building->id/card")->assertOk();
        self::assertMatches('api.schema.json#/$defs/building_card', self::decoded($card));
        // 18 ft by 12 ft.
        $card->assertJsonPath('card.wide.imperial', '18ft')->assertJsonPath('card.deep.imperial', '12ft')->assertJsonPath('faults', null);
        $picture = $this->get("/api/buildings/$building->id/picture.svg")->assertOk();
        self::assertStringStartsWith('image/svg+xml', (string) $picture->headers->get('Content-Type'));
        self::assertStringContainsString('<svg', (string) $picture->getContent());
        foreach (['front', 'right', 'back', 'left'] as $side) {
            $whole = $this->getJson("/api/buildings/$building->id/whole/$side")->assertOk();
            self::assertMatches('api.schema.json#/$defs/whole', self::decoded($whole));
            $last = count((array) $whole->json('chains')) - 1;
            $whole->assertJsonPath("chains.$last.0.size.imperial", in_array($side, ['front', 'back'], true) ? '18ft' : '12ft');
        }
        $this->getJson("/api/buildings/$building->id/whole/above")->assertNotFound();
        $this->change($building, [['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => 'high']])->assertCreated();
        $this->getJson("/api/buildings/$building->id/card")->assertOk()
            ->assertJsonPath('faults', 'one thing has to be put right')->assertJsonPath('sound', 1);
    }

    public function testAWingIsAddedMovedAndRoofed(): void
    {
        $building = $this->buildingOf($this->person());
        $answer = $this->change($building, [['op' => 'add-block', 'kind' => 'wing', 'edge' => 'right']])->assertCreated();
        $answer->assertJsonPath('derived.dry_fit.ok', true)
            ->assertJsonPath('derived.view.plan.blocks.1.id', 'wing')
            ->assertJsonPath('revision.summary', 'wing added');
        self::assertContains(
            'wall line',
            array_column((array) $answer->json('derived.view.roof.lines'), 'kind'),
            'its roof dies into the gable',
        );
        $x = self::figure($answer, 'derived.view.plan.blocks.1.at.0.real_mm');
        $moved = $this->change($building, [['op' => 'move-block', 'block' => 'main', 'x' => 4]])->assertCreated();
        // Four times 3 in, and what stands against it goes along.
        self::assertEqualsWithDelta(304.8, self::figure($moved, 'derived.view.plan.blocks.1.at.0.real_mm') - $x, 0.01);
        $this->change($building, [['op' => 'roof-edge', 'block' => 'wing', 'edge' => 'right', 'kind' => 'hip']])
            ->assertCreated()
            ->assertJsonPath('derived.view.plan.blocks.1.edges.1.roof', 'hip')
            ->assertJsonPath('derived.dry_fit.ok', true);
        $this->change($building, [['op' => 'roof-edge', 'block' => 'attic', 'edge' => 'right', 'kind' => 'hip']])
            ->assertStatus(422)
            ->assertJsonPath('problems.0.code', 'edit.no-such');
    }

    public function testWhatCannotBeRoofedSaysWhyAndKeepsTheLastKit(): void
    {
        $building = $this->buildingOf($this->person());
        $this->change(
            $building,
            [
                ['op' => 'roof-edge', 'block' => 'main', 'edge' => 'front', 'kind' => 'gable'],
                ['op' => 'roof-edge', 'block' => 'main', 'edge' => 'back', 'kind' => 'gable'],
            ],
        )
            ->assertCreated()->assertJsonPath('faults.0.code', 'roof.open')->assertJsonPath('derived_from', 1);
    }

    public function testTheKitIsCutThroughWhereOneAsks(): void
    {
        $building = $this->buildingOf($this->person());
        $cut = $this->getJson("/api/buildings/$building->id/section?across=x&at=30")->assertOk();
        $names = array_filter(array_column((array) $cut->json('rings'), 'name'), is_string(...));
        self::assertSame(['floor', 'roof', 'wall'], array_values(array_unique(array_intersect(['floor', 'roof', 'wall'], $names))));
        // Across the ridge: from one finished eaves to the other, 48 and twice 3 and what leans out.
        self::assertEqualsWithDelta(
            48.0 + 2.0 * (3.0 + 1.17 * sin(deg2rad(40.0))),
            self::figure($cut, 'bounds.2') - self::figure($cut, 'bounds.0'),
            0.2,
        );
        $this->getJson("/api/buildings/$building->id/section?across=z&at=30")->assertStatus(422);
        $this->getJson("/api/buildings/$building->id/section?across=y&at=9000")->assertOk()->assertJsonPath('rings', []);
    }

    public function testTheMockUpIsUnfoldedAndWhatWasLearntIsKept(): void
    {
        $building = $this->buildingOf($this->person());
        // Its walls are 240 round, on a page that takes 275: all four hang together, whole and half as large.
        $this->getJson("/api/buildings/$building->id/mockup?size=100")
            ->assertOk()
            ->assertJsonPath('percent', 100)
            ->assertJsonPath('nets.0.faces', 4);
        $this->getJson("/api/buildings/$building->id/mockup?size=50")
            ->assertOk()
            ->assertJsonPath('nets.0.name', 'Walls')
            ->assertJsonPath('nets.0.faces', 4);
        self::assertStringStartsWith(
            '%PDF-',
            (string) $this
                ->get("/api/buildings/$building->id/mockup.pdf?size=50")
                ->assertOk()
                ->assertHeader('Content-Disposition', 'attachment; filename=weigh-office-mock-up-r1-50.pdf')
                ->getContent(),
        );
        self::assertStringContainsString(
            '<svg',
            (string) $this->get("/api/buildings/$building->id/mockup/1.svg?size=50")->assertOk()->getContent(),
        );
        $this->get("/api/buildings/$building->id/mockup/9.svg?size=50")->assertNotFound();
        $this->getJson("/api/buildings/$building->id/mockup?size=500")->assertStatus(422);
        $this->patchJson("/api/buildings/$building->id/revisions/1", ['note' => 'A foot lower, or the signal is hidden.'])
            ->assertOk()
            ->assertJsonPath('revision.note', 'A foot lower, or the signal is hidden.');
        $this->patchJson("/api/buildings/$building->id/revisions/1", ['name' => 'First try'])
            ->assertOk()
            ->assertJsonPath('revision.note', 'A foot lower, or the signal is hidden.');
        $this->change($building, [['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '8ft 6in']])->assertCreated();
        $this->getJson("/api/buildings/$building->id/revisions/1/compare/2")
            ->assertOk()
            ->assertJsonPath('from.revision.note', 'A foot lower, or the signal is hidden.');
        $this->patchJson("/api/buildings/$building->id/revisions/1", [])->assertStatus(422);
    }

    /**
     * @param  list<array<string, mixed>>  $edits
     * @return TestResponse<Response>
     */
    private function change(Building $building, array $edits): TestResponse
    {
        return $this->postJson(
            "/api/buildings/$building->id/revisions",
            ['client_id' => (string) Str::uuid(), 'base' => $building->refresh()->current, 'edits' => $edits],
        );
    }
}
