<?php

declare(strict_types=1);

namespace Tests\Api;

/** The plot as screens ask for it. */
final class PlotTest extends ApiTestCase
{
    public function testAPlaceIsJudgedWithEveryEdit(): void
    {
        $building = $this->buildingOf($this->person());
        $answer = $this->edit($building, 1, [['op' => 'set', 'path' => 'plot', 'value' => null]])->assertCreated();
        self::assertMatches('api.schema.json#/$defs/building', self::decoded($answer));
        $answer->assertJsonPath('derived.plot', null)->assertJsonPath('derived.stages.plot', 'no place yet');
        $answer = $this->edit($building, 2, [['op' => 'add-plot']])->assertCreated();
        self::assertMatches('api.schema.json#/$defs/building', self::decoded($answer));
        $answer->assertJsonPath('derived.plot.fits', true)
            ->assertJsonPath('derived.docket.0.key', 'plot')
            ->assertJsonPath('derived.stages.plot', 'fits');
        $answer = $this->edit($building, 3, [['op' => 'move-on-plot', 'x' => 60, 'y' => 0]])->assertCreated();
        self::assertMatches('api.schema.json#/$defs/building', self::decoded($answer));
        $answer->assertJsonPath('derived.plot.fits', false)
            ->assertJsonPath('derived.plot.clearances.0.with', 'right')
            ->assertJsonPath('derived.docket.0.state', 'stop');
        $answer = $this->edit(
            $building,
            4,
            [
                [
                    'op' => 'set',
                    'path' => 'plot.tracks',
                    'value' => [['id' => 't', 'from' => ['0mm', '0mm'], 'course' => [['left' => '90mm', 'degrees' => 10]]]],
                ],
            ],
        )->assertCreated();
        $answer->assertJsonPath('faults.0.path', 'plot.tracks.0.course.0');
    }

    public function testScalesAndStockAreAnswered(): void
    {
        $building = $this->buildingOf($this->person());
        $scales = $this->getJson("/api/buildings/$building->id/scales?also=64")->assertOk();
        self::assertMatches('api.schema.json#/$defs/scales', self::decoded($scales));
        $scales->assertJsonPath('rows.2.scale', '1:64');
        $this->getJson("/api/buildings/$building->id/scales?also=5000")->assertStatus(422);
        $relief = $this->getJson("/api/buildings/$building->id/relief?depth=24mm")->assertOk();
        self::assertMatches('api.schema.json#/$defs/relief', self::decoded($relief));
        $relief->assertJsonPath('rows.0.school', 'slice')->assertJsonPath('even', []);
        $this->getJson("/api/buildings/$building->id/relief?depth=0mm")->assertStatus(422);
        $this->getJson("/api/buildings/$building->id/relief?depth=deep")->assertStatus(422)->assertJsonPath('problems.0.path', 'depth');
        $compromises = $this->getJson("/api/buildings/$building->id/compromises?wall=main.front&across=72mm")->assertOk();
        self::assertMatches('api.schema.json#/$defs/compromises', self::decoded($compromises));
        $compromises->assertJsonPath('rows.0.key', 'mix');
        $this->getJson("/api/buildings/$building->id/compromises?wall=main.top&across=72mm")
            ->assertStatus(422)
            ->assertJsonPath('problems.0.path', 'wall');
        $taken = $this->edit(
            $building,
            1,
            [['op' => 'set', 'path' => 'compression', 'value' => ['steps' => $compromises->json('rows.0.steps')]]],
        )->assertCreated();
        self::assertEqualsWithDelta(
            72.0,
            self::figure($taken, 'derived.plot.extents.x1') - self::figure($taken, 'derived.plot.extents.x0'),
            0.001,
        );
        $this->getJson("/api/buildings/$building->id/compromises?wall=main.front&across=72mm")
            ->assertOk()
            ->assertJsonPath('rows', [])
            ->assertJsonPath('differences.0.real', '18ft');
        $sight = $this->getJson("/api/buildings/$building->id/sight")->assertOk();
        self::assertMatches('api.schema.json#/$defs/sight', self::decoded($sight));
        $sight->assertJsonPath('faces.0.key', 'main.front')
            ->assertJsonPath('faces.0.wants', 'full')
            ->assertJsonPath('view.section.eyes.0.text', 'eye, 350 up')
            ->assertJsonPath('perspectives', []);
        $this->edit($building, 2, [['op' => 'set', 'path' => 'perspective', 'value' => ['depth' => '30mm', 'axis' => '10mm']]])
            ->assertCreated()
            ->assertJsonPath('faults', []);
        $sight = $this->getJson("/api/buildings/$building->id/sight")->assertOk();
        self::assertMatches('api.schema.json#/$defs/sight', self::decoded($sight));
        $sight->assertJsonPath('perspectives.0.depths.0.scale', 1);
        $this->edit($building, 3, [['op' => 'set', 'path' => 'perspective.apparent', 'value' => '20mm']])
            ->assertCreated()
            ->assertJsonPath('faults.0.path', 'perspective.apparent');
        $material = $this->getJson("/api/buildings/$building->id/material?world=real&text=6in")->assertOk();
        self::assertMatches('api.schema.json#/$defs/material', self::decoded($material));
        $this->getJson("/api/buildings/$building->id/material?world=model&text=3/64in")->assertOk()->assertJsonPath('imperial', '3.57 in');
        $this->getJson("/api/buildings/$building->id/material?world=model&text=three")
            ->assertStatus(422)
            ->assertJsonPath('problems.0.path', 'text');
    }
}
