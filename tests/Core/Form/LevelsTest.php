<?php

declare(strict_types=1);

namespace Tests\Core\Form;

use Chartula\Core\Kit\DryFit\DryFit;
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
        self::assertSame(['ground'], array_values(array_unique(array_column($front->marks, 'text'))));
        self::assertEqualsWithDelta(3.3333, $front->marks[0]->path[0]->y, 0.0001, 'at its left end the ground is where the base is');
        self::assertEqualsWithDelta(2.0, $front->marks[count($front->marks) - 1]->path[1]->y, 0.0001);
        $paper = $derivation->kit->part('main.front.paper')->part;
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
            $marks = $derivation->kit->part("main.$edge.face")->part->marks;
            self::assertSame('top of the plinth', $marks[0]->text);
            self::assertEqualsWithDelta(4.0, $marks[0]->path[0]->y, 0.0001, '12 in at 1:76.2');
        }
    }

    public function testALowRoofIsMarkedOnTheHighWallItMeets(): void
    {
        $derivation = Kits::example('creamery');
        $marks = array_merge(...array_map(static fn ($p): array => array_column($p->part->marks, 'text'), $derivation->kit->parts));
        self::assertContains('underside of the Boiler house roof', $marks);
    }

    /** @param  ?array{string, string}  $ground  along the front */
    private static function office(?array $ground): stdClass
    {
        $document = json_decode(Kits::exampleText('weigh-office'));
        assert($document instanceof stdClass);

        return $ground === null ? $document : BuildingGenerator::with($document, 'blocks.0.walls.0.ground', $ground);
    }
}
