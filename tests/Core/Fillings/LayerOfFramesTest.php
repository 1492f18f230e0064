<?php

declare(strict_types=1);

namespace Tests\Core\Fillings;

use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Part\Part;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;
use Tests\Support\Sample;

/** Windows and doors as a layer of their own: a wall of 0.5, frames of 0.5 and a core of 1. docs/formulas.md#layers-of-frames */
final class LayerOfFramesTest extends TestCase
{
    /**
     * A window of 12 by 20 of two by two panes, stiles 1.2, bars 0.6: panes of (12 − 2.6 − 0.6) / 2 = 4.4 by 8.4, cut in the layer of
     * frames, which is whole but for them. Its glass lies 1.0 deep, 12 + 2 · 1 − 1.2 wide, in a core that is open by 1 more all round.
     */
    public function testItsPanesAreCutInTheLayer(): void
    {
        $derived = self::framed(['frame' => (object) ['panes' => [2, 2], 'stile' => '1.2mm', 'bar' => '0.6mm']]);
        self::assertSame([], $derived->dryFit->findings);
        $layer = self::part($derived, 'frames');
        self::assertCount(4, $layer->holes);
        foreach ($layer->holes as $hole) {
            self::assertEqualsWithDelta([4.4, 8.4], [$hole->bounds()->width(), $hole->bounds()->height()], 1e-9);
        }
        $lefts = array_map(static fn (Ring $r): float => $r->bounds()->x0, $layer->holes);
        sort($lefts);
        self::assertEqualsWithDelta(21.3, $lefts[0] ?? 0.0, 1e-9);
        $core = self::part($derived, 'core')->holes[0]->bounds();
        $glass = self::part($derived, 'glazing.w');
        self::assertEqualsWithDelta([14.0, 22.0, 12.8, 20.8], [$core->width(), $core->height(), $glass->width(), $glass->height()], 1e-9);
        self::assertEqualsWithDelta(1.0, $glass->placements[0]->origin->y, 1e-9);
        self::assertNull(self::find($derived, 'main.front.frame.w'));
        // Of the face it lies against all but the opening.
        $laps = array_filter($derived->kit->joints, static fn ($j): bool => $j->b->part === 'main.front.frames');
        self::assertEqualsWithDelta(100.0 * 40.0 - 12.0 * 20.0, array_values($laps)[0]->contact_mm2 ?? 0.0, 1e-6);
    }

    /** The planks of a door are printed on the layer, which goes down to the ground there; of a panelled one the leaf lies behind it. */
    public function testALeafIsPartOfTheLayer(): void
    {
        $planks = self::framed(['kind' => 'door', 'h' => '28mm', 'leaf' => (object) ['board' => '3mm']], '0mm');
        self::assertSame([], $planks->dryFit->findings);
        $layer = self::part($planks, 'frames');
        // 11.8 in planks of 3: four, with three joints between them.
        self::assertSame([[], 3], [$layer->holes, count(array_filter($layer->marks, static fn ($m): bool => $m->text === 'plank'))]);
        self::assertEqualsWithDelta(100.0 * 40.0, $layer->region()->area(), 1e-6);
        $leaf = (object) ['kind' => 'panelled', 'panels' => [1, 2], 'rail' => '1.5mm'];
        $panelled = self::framed(['kind' => 'door', 'h' => '28mm', 'leaf' => $leaf], '0mm');
        self::assertSame([], $panelled->dryFit->findings);
        self::assertCount(2, self::part($panelled, 'frames')->holes);
        self::assertEqualsWithDelta(1.0, self::part($panelled, 'leaf.w')->placements[0]->origin->y, 1e-9);
    }

    /** What its kind wants held otherwise, or what turns, is not cut in the layer. */
    public function testAKindMaySayOtherwise(): void
    {
        $derived = self::framed(['held' => 'behind', 'frame' => (object) ['stile' => '1.2mm']]);
        self::assertSame([], $derived->dryFit->findings);
        self::assertEqualsWithDelta(12.0, self::part($derived, 'frames')->holes[0]->bounds()->width(), 1e-9);
        self::assertNotNull(self::find($derived, 'main.front.frame.w'));
    }

    /** Where the next opening leaves no room for its glass behind the layer, it stands for itself, and it says so. */
    public function testWithoutRoomBehindItStandsForItself(): void
    {
        $document = self::document(['frame' => (object) ['stile' => '1.2mm']], '10mm');
        $document = BuildingGenerator::with($document, 'blocks.0.walls.0.openings.1', (object) [
            'id' => 'v', 'style' => 'w', 'from' => '32.9mm', 'sill' => '10mm',
        ]);
        $derived = Kits::of($document);
        $said = array_map(static fn (Check $c): string => $c->code, $derived->checks);
        self::assertContains('held.otherwise', $said);
        self::assertNotNull(self::find($derived, 'main.front.frame.w'));
    }

    /** The document wants a window there: a layer that has gone, or that is cut right out, is found. */
    public function testALayerWithNothingInItIsFound(): void
    {
        $derived = self::framed(['frame' => (object) ['stile' => '1.2mm']]);
        $kit = Kits::serialised($derived);
        /** @var list<array{id: string, holes: list<list<array{float, float}>>}> $parts */
        $parts = $kit['parts'];
        foreach ($parts as $i => $part) {
            if ($part['id'] === 'main.front.frames') {
                $parts[$i]['holes'] = [[[19.0, 9.0], [33.0, 9.0], [33.0, 31.0], [19.0, 31.0]]];
            }
        }
        $report = DryFit::of(Assembly::of(['parts' => $parts] + $kit), $derived->described);
        self::assertContains('filling.missing', array_map(static fn (Finding $f): string => $f->code, $report->findings));
    }

    public function testTheOutermostLayerIsNone(): void
    {
        foreach ([0 => 'stack.frames-first', 2 => 'stack.frames-twice'] as $layer => $code) {
            try {
                Kits::of(BuildingGenerator::with(self::document([], '10mm'), "methods.wall.$layer.role", 'frames'));
                self::fail('It was made');
            } catch (InvalidInput $e) {
                self::assertSame([["methods.wall.$layer.role", $code]], [[$e->problems[0]->path, $e->problems[0]->code]]);
            }
        }
    }

    /** One layer more keeps it. */
    public function testOneLayerMoreKeepsIt(): void
    {
        $edit = (object) ['op' => 'stack-layers', 'stack' => 'wall', 'stocks' => ['card-0.5', 'card-0.5', 'greyboard-1', 'greyboard-1']];
        $document = Edits::apply(self::document([], '10mm'), [$edit])->document;
        self::assertStringContainsString('"role":"frames"', (string) json_encode($document->methods));
    }

    /** Houses on awkward figures: what closed closes with its frames in a layer. */
    #[Group('property')]
    public function testGeneratedHousesClose(): void
    {
        $made = 0;
        for ($i = 0; $i < (Sample::isDeep() ? 120 : 12); $i++) {
            $seed = 11 * (($i + (Sample::isDeep() ? 0 : Sample::seed())) % 120);
            $document = (new HouseGenerator($seed))->document();
            $framed = BuildingGenerator::with($document, 'methods.wall', self::layers());
            try {
                $isSound = Kits::of($document)->dryFit->findings === [];
                $findings = Kits::of($framed)->dryFit->findings;
            } catch (InvalidInput) {
                continue;
            }
            self::assertSame([], $isSound ? $findings : [], "seed $seed");
            $made++;
        }
        self::assertGreaterThan(3, $made);
    }

    private static function part(Derivation $derived, string $name): Part
    {
        return $derived->kit->part("main.front.$name")->part;
    }

    private static function find(Derivation $derived, string $id): ?Part
    {
        foreach ($derived->kit->parts as $labelled) {
            if ($labelled->part->id === $id) {
                return $labelled->part;
            }
        }

        return null;
    }

    /** @return list<stdClass> */
    private static function layers(): array
    {
        return [
            (object) ['id' => 'face', 'stock' => 'card-0.5', 'role' => 'face'],
            (object) ['id' => 'frames', 'stock' => 'card-0.5', 'role' => 'frames'],
            (object) ['id' => 'core', 'stock' => 'greyboard-1', 'role' => 'core'],
        ];
    }

    /** @param  array<string, mixed>  $style  what is said of it besides its size */
    private static function framed(array $style, string $sill = '10mm'): Derivation
    {
        return Kits::of(self::document($style, $sill));
    }

    /** @param  array<string, mixed>  $style */
    private static function document(array $style, string $sill): stdClass
    {
        $document = Kits::box('100mm', '60mm', '40mm', 40.0);
        foreach ([
            'methods.wall' => self::layers(),
            'styles' => (object) ['w' => (object) ($style + ['kind' => 'window', 'w' => '12mm', 'h' => '20mm'])],
            'blocks.0.walls' => [(object) [
                'edge' => 'front', 'openings' => [(object) ['id' => 'w', 'style' => 'w', 'from' => '20mm', 'sill' => $sill]],
            ]],
        ] as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return $document;
    }
}
