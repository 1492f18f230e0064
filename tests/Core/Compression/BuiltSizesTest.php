<?php

declare(strict_types=1);

namespace Tests\Core\Compression;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Form\Form;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Output\FaultWords;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;
use Tests\Support\Sample;

/** What was measured on the built model is the truth. */
final class BuiltSizesTest extends TestCase
{
    private const QUICK = 12;

    private const ALL = 300;

    /** @param  array<string, string|float>  $facts  what was measured, by `block edge figure` */
    private static function measured(stdClass $document, array $facts): stdClass
    {
        $edits = [];
        foreach ($facts as $at => $measured) {
            [$block, $edge, $figure] = explode(' ', $at);
            $edits[] = (object) [
                'op' => 'as-built', 'block' => $block, 'edge' => $edge, 'figure' => $figure,
                'measured' => is_string($measured) ? $measured : "{$measured}mm", 'reason' => 'cut a hair short', 'date' => '2026-11-30',
            ];
        }

        return Edits::apply($document, $edits)->document;
    }

    private static function office(): stdClass
    {
        return JsonText::decode(Kits::exampleText('weigh-office'));
    }

    /**
     * A figure that was measured gives the kit of a plan that has it.
     *
     * @param  array<string, float>  $facts
     * @param  array<string, mixed>  $planned  what the plan would have to say
     */
    #[DataProvider('figures')]
    public function testGivesTheKitOfAPlanThatHasIt(array $facts, array $planned): void
    {
        $other = self::office();
        foreach ($planned as $path => $value) {
            $other = BuildingGenerator::with($other, $path, $value);
        }
        [$is, $wanted] = [Kits::of(self::measured(self::office(), $facts)), Kits::of($other)];
        self::assertTrue($is->dryFit->goesTogether());
        self::assertEqualsWithDelta(self::shapes($wanted), self::shapes($is), 0.002);
    }

    /** @return iterable<string, array{array<string, float>, array<string, mixed>}> */
    public static function figures(): iterable
    {
        $mm = static fn (float $model): string => sprintf('%.9Fmm', $model * 76.2);
        yield 'a front, and so the back' => [['main front length' => 71.4], ['blocks.0.footprint.rect.0' => $mm(71.4)]];
        yield 'a back, whose right end is the front’s left: openings of the front stay where they stand' => [
            ['main back length' => 72.35],
            [
                'blocks.0.footprint.rect.0' => $mm(72.35), 'blocks.0.at' => [$mm(-0.35), '0mm'],
                'blocks.0.walls.0.openings.0.from' => $mm(10.35), 'blocks.0.walls.0.openings.1.from' => $mm(56.35),
            ],
        ];
        yield 'the walls’ height' => [['main left height' => 37.63], ['blocks.0.eaves' => $mm(37.63)]];
        yield 'the gables’ points: 72 × 48, 38 to the eaves' => [
            ['main right apex' => 57.9], ['blocks.0.roof.pitch' => rad2deg(atan((57.9 - 38.0) / 24.0))],
        ];
        yield 'a panel, 24 in plan and 3 out at 40°: 35.246 as planned' => [
            ['main front up' => 35.0],
            ['blocks.0.roof.edges' => [(object) ['edge' => 'front', 'overhang' => $mm(35.0 * cos(deg2rad(40.0)) - 24.0)]]],
        ];
        yield 'a panel along its eaves, 72 and 2 out at either end' => [
            ['main back along' => 76.42], ['blocks.0.roof.overhang.verge' => $mm(2.21)],
        ];
        yield 'a wall and then its gable: the pitch over what was measured' => [
            ['main right length' => 48.3, 'main left apex' => 58.0],
            [
                'blocks.0.footprint.rect.1' => $mm(48.3), 'blocks.0.roof.pitch' => rad2deg(atan(20.0 / 24.15)),
            ],
        ];
    }

    /** @return list<array{string, list<array{float, float}>, list<list<array{float, float}>>, list<array{float, float, float}>}> */
    private static function shapes(Derivation $derived): array
    {
        return array_map(static fn (LabelledPart $p): array => [
            $p->part->id, $p->part->outline->ring->toArray(), array_map(static fn (Ring $r): array => $r->toArray(), $p->part->holes),
            array_map(static fn (Vec3 $at): array => [$at->x, $at->y, $at->z], $p->part->corners()),
        ], $derived->kit->parts);
    }

    /** Every wall that belongs to it moves along, and what stands on it. */
    public function testWhatLiesBeyondMovesAlong(): void
    {
        $plain = Kits::example('creamery')->kit->form;
        $form = Kits::of(self::measured(JsonText::decode(Kits::exampleText('creamery')), ['hall front length' => 143.4]))->kit->form;
        $left = static fn (Form $of, int $block): float => $of->blocks[$block]->ring->bounds()->x0;
        // The house leans on the hall’s right end, and the dispatch on the house.
        self::assertEqualsWithDelta([-0.6, -0.6], [$left($form, 1) - $left($plain, 1), $left($form, 2) - $left($plain, 2)], 1e-9);
        $halt = Kits::of(self::measured(JsonText::decode(Kits::exampleText('halt')), ['platform front height' => 10.6]))->kit->form;
        // The shelter’s floor lies 12 up, on boards of its own over the platform’s 11.
        self::assertEqualsWithDelta([10.6, 11.6], [$halt->blocks[0]->eaves, $halt->blocks[1]->base], 1e-9);
    }

    public function testSaysInItsSumWhatWasMeasured(): void
    {
        $kit = Kits::of(self::measured(self::office(), ['main front length' => 71.4]))->kit;
        self::assertSame(
            ['op' => 'given', 'mm' => 71.4, 'text' => 'as built 71.4 mm (2026-11-30: cut a hair short)'],
            $kit->part('main.front.face')->part->workings['width']->steps[0],
        );
    }

    /**
     * @param  array<string, string|float>  $facts
     * @param  array<string, mixed>  $also
     * @param  array{string, string, string}  $wanted  path, code and words
     */
    #[DataProvider('contradictions')]
    public function testRefusesWhatContradicts(string $example, array $facts, array $also, array $wanted): void
    {
        [$path, $code, $words] = $wanted;
        $document = self::measured(JsonText::decode(Kits::exampleText($example)), $facts);
        foreach ($also as $at => $value) {
            $document = BuildingGenerator::with($document, $at, $value);
        }
        try {
            Kits::of($document);
            self::fail('Taken');
        } catch (InvalidInput $e) {
            self::assertSame([$path, $code], [$e->problems[0]->path, $e->problems[0]->code]);
            self::assertStringContainsString($words, $e->problems[0]->line());
        }
        // One press takes it out again, and then it is as it was.
        $cure = FaultWords::of($document, [$e->problems[0]->kept()])[0]['cure'] ?? self::fail('No cure');
        self::assertSame('Take that figure out', $cure['words']);
        $cured = BuildingReader::reading(Edits::apply($document, [$cure['edit']])->document);
        self::assertSame([], array_filter($cured->faults, static fn (Problem $p): bool => str_starts_with($p->path, $path)));
    }

    /**
     * @param  array<string, string|float>  $facts
     * @return array{string, array<string, string|float>, array<string, mixed>, array{string, string, string}}
     */
    private static function inOffice(array $facts, string $path, string $code, string $words): array
    {
        return ['weigh-office', $facts, [], [$path, $code, $words]];
    }

    /** @return iterable<string, array{string, array<string, string|float>, array<string, mixed>, array{string, string, string}}> */
    public static function contradictions(): iterable
    {
        yield 'two walls of a rectangle' => self::inOffice(
            ['main front length' => 71.4, 'main back length' => 71.6],
            'blocks.0.walls.2.built.length', 'built.contradicts', 'the length of front, measured 71.4 mm, makes it 71.4 mm',
        );
        yield 'two heights of a block' => self::inOffice(
            ['main left height' => 37.6, 'main front height' => 37.9], 'blocks.0.walls.3.built.height', 'built.contradicts', 'of front',
        );
        yield 'another wall' => self::inOffice(
            ['main front length' => 60.0], 'blocks.0.walls.0.built.length', 'built.far', 'where the plan gives 72 mm, and up to 7.2 mm',
        );
        yield 'a gable that is none' => self::inOffice(
            ['main front apex' => 50.0], 'blocks.0.walls.0.built.apex', 'built.no-apex', 'no gable',
        );
        yield 'the end of a panel that is none' => self::inOffice(
            ['main left up' => 50.0], 'blocks.0.roof.edges.0.built.up', 'built.no-up', 'no single panel',
        );
        yield 'along a verge' => self::inOffice(
            ['main left along' => 50.0], 'blocks.0.roof.edges.0.built.along', 'built.no-along', 'measure those',
        );
        yield 'a panel that ends within its walls: 72 reach them' => self::inOffice(
            ['main back along' => 71.9],
            'blocks.0.roof.edges.0.built.along', 'built.no-reach', 'would end within its walls',
        );
        yield from self::besideThePlan();
    }

    /** @return iterable<string, array{string, array<string, string|float>, array<string, mixed>, array{string, string, string}}> */
    private static function besideThePlan(): iterable
    {
        // 38 to the eaves, and 24 · tan 5° = 2.1 of rise.
        yield 'a gable that would not rise' => [
            'weigh-office', ['main left apex' => 37.4], ['blocks.0.roof.pitch' => 5],
            ['blocks.0.walls.3.built.apex', 'built.no-rise', 'nothing would rise over the eaves'],
        ];
        yield 'eaves below the head of a window' => [
            'weigh-office', ['main back height' => 34.5], ['blocks.0.walls.1.openings.0.sill' => '1850mm'],
            ['blocks.0.walls.2.built.height', 'built.no-room', 'no blank stretch'],
        ];
        yield 'what low relief cuts' => [
            'ropewalk-row', ['rope right length' => 35.7], [], ['blocks.1.walls.1.built.length', 'built.cut', 'before anything is cut off'],
        ];
        yield 'what low relief cuts afterwards' => [
            'ropewalk-row', ['rope right length' => 95.7], [], ['blocks.1.walls.1.built.length', 'built.not-taken', 'leaves 36 mm'],
        ];
        yield 'no day' => [
            'weigh-office', ['main front length' => 71.4], ['blocks.0.walls.0.built.length.date' => '31.11.26'],
            ['blocks.0.walls.0.built.length.date', 'date', 'write it as 2026-11-30'],
        ];
        yield 'no reason' => [
            'weigh-office', ['main front length' => 71.4], ['blocks.0.walls.0.built.length.reason' => ' '],
            ['blocks.0.walls.0.built.length.reason', 'built.no-reason', 'why it is not as planned'],
        ];
        yield 'no length' => self::inOffice(
            ['main front length' => '71.4'], 'blocks.0.walls.0.built.length.measured', 'length.no-unit', 'has no unit',
        );
    }

    /** Edges go by their names or by their numbers, and a kind may be called “built”. */
    public function testIsSaidOfTheEntryThatThereIs(): void
    {
        $document = BuildingGenerator::with(self::office(), 'blocks.0.walls.0.edge', 0);
        $measured = self::measured($document, ['main front length' => 71.4]);
        self::assertEqualsWithDelta(71.4, Kits::of($measured)->kit->form->blocks[0]->wall(0)->length->mm, 1e-9);
        $problem = new Problem('styles.built.w', 'length.not-above-zero', ['given' => '0mm']);
        self::assertNull(FaultWords::of(self::office(), [$problem->kept()])[0]['cure']);
    }

    /** Taken out, a figure leaves nothing behind. */
    public function testTakenOutItLeavesNothing(): void
    {
        $document = self::measured(self::office(), ['main front up' => 35.0, 'main back height' => 37.8]);
        $out = static fn (string $edge, string $figure): stdClass => (object) [
            'op' => 'as-built', 'block' => 'main', 'edge' => $edge, 'figure' => $figure, 'measured' => null,
        ];
        $after = Edits::apply($document, [$out('front', 'up'), $out('back', 'height')])->document;
        self::assertEquals(self::office(), $after);
    }

    /**
     * Houses as people measure them, a wall of each a little off: made, or refused where it was measured; and of a block by itself all
     * boards together measure what was measured.
     */
    #[Group('property')]
    public function testAnyHouseGoesTogetherAsItWasBuilt(): void
    {
        $taken = 0;
        for ($i = 0; $i < (Sample::isDeep() ? self::ALL : self::QUICK); $i++) {
            $seed = $i + Sample::seed();
            $random = new Randomizer(new Mt19937($seed));
            $document = (new HouseGenerator($seed))->document();
            try {
                $plain = Kits::of($document);
            } catch (InvalidInput) {
                continue;
            }
            $block = $plain->described->blocks[$random->getInt(0, count($plain->described->blocks) - 1)];
            $edge = $random->getInt(0, $block->footprint->count() - 1);
            $planned = $block->footprint->ring()->edgeLength($edge) / $plain->described->scale->ratio;
            $mm = round($planned + $random->getInt(-45, 45) / 100.0, 2);
            $at = "$block->id {$block->footprint->edges[$edge]} length";
            try {
                $built = Kits::of(self::measured($document, [$at => $mm]));
            } catch (InvalidInput $e) {
                self::assertStringContainsString('built', $e->problems[0]->path.' '.$e->problems[0]->code, "house $seed");

                continue;
            }
            $taken++;
            // Of what does not go together as it is planned, a hair may make one that does.
            self::assertTrue($built->dryFit->goesTogether() || ! $plain->dryFit->goesTogether(), "house $seed, as built");
            if ($block->footprint->rect !== null && count($plain->described->blocks) === 1 && $plain->described->relief === null) {
                self::assertEqualsWithDelta($mm, self::across($built, $edge), 0.01, "house $seed");
            }
        }
        self::assertGreaterThan(self::QUICK / 3, $taken);
    }

    /** How long all boards of walls are together, along or across. */
    private static function across(Derivation $derived, int $edge): float
    {
        $places = [];
        /**
         * @var list<array{group: string, outline: list<array{float, float}>, placements: list<array<string, array{float, float, float}>>}>
         *     $parts
         */
        $parts = Kits::serialised($derived)['parts'];
        $axis = $edge % 2;
        foreach ($parts as $part) {
            foreach ($part['group'] === 'shell' ? $part['placements'] : [] as $at) {
                foreach ($part['outline'] as [$x, $y]) {
                    $places[] = $at['origin'][$axis] + $x * $at['x'][$axis] + $y * $at['y'][$axis];
                }
            }
        }

        return $places === [] ? 0.0 : max($places) - min($places);
    }
}
