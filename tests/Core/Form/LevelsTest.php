<?php

declare(strict_types=1);

namespace Tests\Core\Form;

use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Part\Mark;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\KitMutants;
use Tests\Support\Kits;

/** Ground that falls along a wall, plinths, and what is marked on the outside. */
final class LevelsTest extends TestCase
{
    #[TestWith(['butt'])]
    #[TestWith(['mitre'])]
    public function testAWallGoesDownToTheLowestGroundAndSomewhatFurther(string $corner): void
    {
        // 4 in at 1:76.2 is 1.333 mm, and 2 mm are buried.
        $derivation = Kits::of(BuildingGenerator::with(self::office(['0in', '-4in']), 'methods.corner', $corner));
        self::assertSame([], $derivation->dryFit->toArray()['findings']);
        $front = $derivation->kit->part('main.front.face')->part;
        $back = $derivation->kit->part('main.back.face')->part;
        self::assertEqualsWithDelta(3.3333, $front->height() - $back->height(), 0.0001);
        self::assertEqualsWithDelta(-3.3333, $front->placements[0]->origin->z, 0.0001);
        self::assertSame([], $front->marks, 'between card and paper nobody would see them');
        $paper = $derivation->kit->part('main.front.paper')->part;
        self::assertSame(['ground'], array_values(array_unique(array_column($paper->marks, 'text'))));
        self::assertEqualsWithDelta(3.3333, $paper->marks[0]->path[0]->y, 0.0001, 'at its left end the ground is where the base is');
        self::assertEqualsWithDelta(2.0, $paper->marks[count($paper->marks) - 1]->path[1]->y, 0.0001);
        self::assertEqualsWithDelta($front->height(), $paper->height(), 0.001, 'the paper goes down with the card');
    }

    public function testARaisedFootIsFound(): void
    {
        $derived = Kits::of(self::office(['0in', '-4in']));
        $missed = [];
        foreach (KitMutants::of(Kits::serialised($derived), 11) as $what => $mutant) {
            if (str_contains($what, 'axis 2') && DryFit::check($mutant, $derived->described)->goesTogether()) {
                $missed[] = $what;
            }
        }
        self::assertSame([], $missed);
    }

    public function testGroundAboveASillAndAPlinthOffItsWallAreFaults(): void
    {
        $document = BuildingGenerator::with(self::office(['6ft', '5ft']), 'blocks.0.plinth', '40ft');
        try {
            Kits::of($document);
            self::fail('It was made');
        } catch (InvalidInput $e) {
            self::assertContains('blocks.0.plinth', array_map(static fn (Problem $p): string => $p->path, $e->problems));
        }
        try {
            Kits::of(self::office(['6ft', '5ft']));
            self::fail('It was made');
        } catch (InvalidInput $e) {
            self::assertContains('blocks.0.walls.0.openings.0.sill', array_map(static fn (Problem $p): string => $p->path, $e->problems));
            self::assertStringContainsString('stands', $e->problems[0]->text());
        }
    }

    public function testAPlinthIsMarkedOnEveryWallButNotAcrossDoors(): void
    {
        $derivation = Kits::of(BuildingGenerator::with(self::office(null), 'blocks.0.plinth', '12in'));
        self::assertSame([], $derivation->dryFit->toArray()['findings']);
        foreach (['front', 'right', 'back', 'left'] as $edge) {
            self::assertSame([], $derivation->kit->part("main.$edge.face")->part->marks);
            $paper = $derivation->kit->part("main.$edge.paper")->part;
            self::assertSame('top of the plinth', $paper->marks[0]->text);
            self::assertEqualsWithDelta(4.0, $paper->marks[0]->path[0]->y, 0.0001, '12 in at 1:76.2');
            $ends = array_merge([], ...array_map(static fn (Mark $m): array => [$m->path[0]->x, $m->path[1]->x ?? 0.0], $paper->marks));
            sort($ends);
            self::assertEqualsWithDelta([0.0, $paper->width()], [$ends[0] ?? null, end($ends)], 1e-6, 'over its laps too');
        }
        $bare = Kits::of(BuildingGenerator::with(
            BuildingGenerator::with(self::office(null), 'blocks.0.plinth', '12in'), 'blocks.0.walls.2.finish', 'bare',
        ))->kit;
        $marks = $bare->part('main.back.face')->part->marks;
        self::assertSame(['top of the plinth'], array_column($marks, 'text'), 'no paper, so on the card');
    }

    public function testALowRoofIsMarkedOnTheHighWallItMeets(): void
    {
        $derivation = Kits::example('creamery');
        $marks = array_values(array_filter(
            $derivation->kit->part('hall.back.paper')->part->marks,
            static fn (Mark $m): bool => $m->text === 'underside of the Boiler house roof',
        ));
        self::assertCount(1, $marks);
        // The boiler house stands from 56 to 120 of the hall's back wall; its roof runs out 2 mm beyond, which nothing would hide.
        self::assertEqualsWithDelta([58.5, 117.5], [$marks[0]->path[0]->x, $marks[0]->path[1]->x], 1e-6);
    }

    /** @param  ?array{string, string}  $ground  along the front */
    private static function office(?array $ground): stdClass
    {
        $document = json_decode(Kits::exampleText('weigh-office'));
        assert($document instanceof stdClass);

        return $ground === null ? $document : BuildingGenerator::with($document, 'blocks.0.walls.0.ground', $ground);
    }
}
