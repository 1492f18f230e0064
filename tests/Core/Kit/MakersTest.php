<?php

declare(strict_types=1);

namespace Tests\Core\Kit;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\Carcass;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\Made;
use Chartula\Core\Kit\Maker;
use Chartula\Core\Kit\Makers;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Repeats;
use Chartula\Core\Part\Shape;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Recall\Recall;
use Chartula\Core\Sheets\PlacedPart;
use Chartula\Core\Sheets\Sheet;
use Chartula\Core\Sheets\SheetPlan;
use LogicException;
use PHPUnit\Framework\TestCase;
use Tests\Support\Kits;

/** A maker that exists only here goes the whole way: forty slates of one strip, which stand as one body beside the house. */
final class MakersTest extends TestCase
{
    private const SLATES = 40;

    private const LONG_MM = 96.3;

    /** Cut from the strip, and of that seen once they lie on one another. */
    private const WIDE_MM = 2.9;

    private const GAUGE_MM = 2.1;

    public function testItsPartIsLabelledLaidOutAndFitted(): void
    {
        $building = self::box();
        $kit = Kit::derive($building, makers: [...Makers::all(), self::slates(self::LONG_MM)]);
        $slates = $kit->part('yard.slates');
        self::assertSame('G1', $slates->label);
        self::assertSame(count(Kit::derive($building)->parts) + 1, count($kit->parts));
        self::assertSame(['slates.many'], array_column($kit->checks, 'code'));
        self::assertNotSame($slates->cut, Kit::derive($building, makers: [self::slates(96.5)])->part('yard.slates')->cut);

        $placed = array_merge(...array_map(static fn (Sheet $sheet): array => $sheet->parts, SheetPlan::of($building, $kit)->sheets));
        $placed = array_filter($placed, static fn (PlacedPart $p): bool => $p->part->part->id === 'yard.slates');
        self::assertCount(1, $placed, 'one strip');

        $document = Kits::tried($kit);
        self::assertSame([], DryFit::check($document, $building)->findings);
        $piece = Assembly::of($document)->pieces['yard.slates#0'];
        // As wide as the slates are long, as high as their gauge, as thick as two lie on each other.
        self::assertEqualsWithDelta([0.0, self::LONG_MM, -30.84, -30.0, 0.0, self::SLATES * self::GAUGE_MM + 0.8], $piece->box, 1e-9);
    }

    /** A set longer than its strip is no part; and a kit that says so of one is wrong, and so is one whose pieces lie beside the body. */
    public function testASetIsNoLongerThanItsStrip(): void
    {
        try {
            Kit::derive(self::box(), makers: [self::slates(self::LONG_MM, 0.4)]);
            self::fail('It was made');
        } catch (LogicException $e) {
            self::assertSame('Piece 40 of 40 is not on its strip', $e->getMessage());
        }
        $building = self::box();
        $kit = Kits::tried(Kit::derive($building, makers: [...Makers::all(), self::slates(self::LONG_MM)]));
        $beyond = [[0.0, 114.2], [96.3, 114.2], [96.3, 117.1], [0.0, 117.1]];
        $before = [[0.0, 109.0], [96.3, 109.0], [96.3, 111.9], [0.0, 111.9]];
        $last = count((array) $kit['parts']) - 1;
        $spoilt = [['outline', $beyond, 'set.strip'], ['outline', $before, 'set.twice'], ['at', [1.0, 0.0], 'set.body']];
        foreach ($spoilt as [$key, $value, $code]) {
            /** @var array<string, mixed> $wrong */
            $wrong = array_replace_recursive($kit, ['parts' => [$last => ['form' => ['register' => [39 => [$key => $value]]]]]]);
            $found = array_map(static fn (Finding $f): string => $f->code, DryFit::check($wrong, $building)->findings);
            self::assertContains($code, $found);
        }
    }

    /** It is asked by all that it is handed, and not again while that is as it was. */
    public function testItIsAskedAgainOnlyWhereWhatItSeesHasChanged(): void
    {
        $asked = 0;
        $maker = new Maker('counting', static function (Carcass $carcass) use (&$asked): Made {
            $asked++;
            self::assertSame([], $carcass->form->walls()[0]->openings);

            return new Made(new PartSet);
        }, sees: static fn (Carcass $carcass): Carcass => $carcass->plain());
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $recall = new Recall;
        foreach ([
            [null, 1], [null, 1],
            [['op' => 'move-opening', 'wall' => 'main.front', 'id' => 'w1', 'bricks' => 0.25], 1],
            [['op' => 'set', 'path' => 'name', 'value' => 'Another'], 1],
            [['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '9ft 8 1/4in'], 2],
            [['op' => 'set', 'path' => 'methods.template.stays', 'value' => false], 3],
        ] as [$edit, $times]) {
            $document = $edit === null ? $document : Edits::apply($document, [(object) $edit])->document;
            $recall = new Recall($recall->answers());
            Kit::derive(BuildingReader::fromDocument($document), $recall, makers: [$maker]);
            self::assertSame($times, $asked, (string) json_encode($edit));
        }
    }

    public function testWhatForbidsItIsSaidBeforeAnythingIsMade(): void
    {
        $makes = static fn (): Made => throw new LogicException('It was made');
        $forbids = static fn (Carcass $c, Problems $p) => $p->add('blocks.0.eaves', 'too-many', ['given' => 2, 'limit' => 1]);
        $this->expectException(InvalidInput::class);
        Kit::derive(self::box(), makers: [new Maker('never', $makes, $forbids)]);
    }

    private static function box(): Building
    {
        return BuildingReader::fromDocument(Kits::box('100mm', '60mm', '40mm', 40.0));
    }

    private static function slates(float $long, float $short = 0.0): Maker
    {
        return new Maker('slates', static fn (Carcass $c): Made => new Made(
            new PartSet([self::strip($c->building, $long, $short)]),
            [new Check('slates.many', Check::NOTE, 'yard.slates', 'Forty slates')],
        ));
    }

    /** @param  float  $short  by how much the strip is too short */
    private static function strip(Building $building, float $long, float $short): Part
    {
        $clear = new Edge('side', 'clearance');
        $piece = static fn (int $i): array => [
            Ring::rectangle(0.0, $i * self::WIDE_MM, $long, ($i + 1) * self::WIDE_MM),
            new Vec2(0.0, $i * self::GAUGE_MM),
        ];
        $slit = static fn (int $i): array => [new Vec2(0.0, $i * self::WIDE_MM), new Vec2($long, $i * self::WIDE_MM)];
        $body = Outline::rectangle($long, self::SLATES * self::GAUGE_MM + 0.8, $clear, $clear, $clear, $clear);

        return Part::of(
            new PartName('yard.slates', null, null, 'slates'), 'G', 'Slates', PartGroup::Trim, $building->methods->frame, 0.42,
            Outline::rectangle($long, self::SLATES * self::WIDE_MM - $short, $clear, $clear, $clear, $clear),
            [new Frame(new Vec3(0.0, -30.84, 0.0), new Vec3(1.0, 0.0, 0.0), new Vec3(0.0, 0.0, 1.0))], [],
            slits: array_map($slit, range(1, self::SLATES - 1)),
            shape: Shape::repeated(new Repeats($body, [], 0.84, array_map($piece, range(0, self::SLATES - 1)))),
        );
    }
}
