<?php

declare(strict_types=1);

namespace Tests\Core\Part;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Fingerprint;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Stock\BuiltInStock;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class FingerprintTest extends TestCase
{
    public function testAHoleOffTheMiddleHasAHand(): void
    {
        // 72 × 38 with one hole left of the middle is not its mirror; with one in the middle it is.
        $handed = self::part(11.0);
        $other = self::part(72.0 - 11.0 - 12.0);
        self::assertNotSame(Fingerprint::cut($handed), Fingerprint::mirroredCut($handed));
        self::assertSame(Fingerprint::mirroredCut($handed), Fingerprint::cut($other));
        $even = self::part(30.0);
        self::assertSame(Fingerprint::cut($even), Fingerprint::mirroredCut($even));
    }

    #[TestWith([0.004, true])]
    #[TestWith([0.02, false])]
    public function testShapesAreToldApartToAHundredth(float $by, bool $same): void
    {
        self::assertSame($same, Fingerprint::cut(self::part(11.0)) === Fingerprint::cut(self::part(11.0 + $by)));
    }

    public function testPlaceNameAndMarksAreNoMatterOfTheKnife(): void
    {
        $here = self::part(11.0);
        $there = self::part(11.0, new Vec3(40.0, -3.0, 9.0), 'another', [new Mark([new Vec2(1.0, 1.0), new Vec2(5.0, 1.0)], 'seat')]);
        self::assertSame(Fingerprint::cut($here), Fingerprint::cut($there));
        self::assertNotSame(Fingerprint::print($here), Fingerprint::print($there));
    }

    public function testAPartStandsWhereItsShapeWasDrawn(): void
    {
        // Drawn from (5, 7): its own corner is (0, 0), and its placement moves as much.
        $part = self::part(11.0);
        self::assertSame([0.0, 0.0], $part->outline->ring->points[0]->toArray());
        self::assertSame([5.0, 0.0, 7.0], $part->placements[0]->origin->toArray());
        self::assertSame([11.0, 10.0], $part->holes[0]->points[0]->toArray());
    }

    /** @param  list<Mark>  $marks */
    private static function part(float $hole, ?Vec3 $at = null, string $name = 'Wall', array $marks = []): Part
    {
        $edges = [new Edge('foot', 'foot'), new Edge('right'), new Edge('top'), new Edge('left')];
        $figure = Figure::given(72.0, 'given');

        return Part::of(new PartName('w', 'main', 'front', 'core'), 'W', $name, PartGroup::Shell, BuiltInStock::all()['greyboard-1'], 1.0,
            new Outline(Ring::rectangle(5.0, 7.0, 77.0, 45.0), $edges),
            [new Frame($at ?? new Vec3(0.0, 0.0, 0.0), new Vec3(1.0, 0.0, 0.0), new Vec3(0.0, 0.0, 1.0))],
            ['width' => $figure], [Ring::rectangle(5.0 + $hole, 17.0, 17.0 + $hole, 30.0)], marks: $marks);
    }
}
