<?php

declare(strict_types=1);

namespace Tests\Core\Kit;

use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\Part;
use Chartula\Core\Problem\Check;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\House\Outside;
use Tests\Support\Kits;

/** Blocks and roofs that meet, worked by hand: 1:1, one card of 1 everywhere, no label. */
final class MeetingBlocksTest extends TestCase
{
    /** @param  list<array<string, mixed>>  $blocks */
    #[DataProvider('provideMeetings')]
    public function testTheyGoTogetherAndAreClosed(array $blocks): void
    {
        self::whole(['corner' => 'butt', 'panels' => 'square'], ...$blocks);
        self::whole(['corner' => 'mitre', 'panels' => 'bevelled'], ...$blocks);
    }

    /** @return iterable<string, array{list<array<string, mixed>>}> */
    public static function provideMeetings(): iterable
    {
        $main = self::block('main', [90.5, 55.5], [0.0, 0.0], 40.5, self::gable('x', 3.5, 2.5));
        $wing = self::wing(...);
        $into = ['edges' => [['edge' => 'back', 'kind' => 'wall']]];
        yield 'a wing flush and level' => [[$main, $wing(40.5, self::gable('y', 3.5, 2.5) + $into)]];
        yield 'a wing flush, 4.5 higher' => [[$main, $wing(45.0, self::gable('y', 3.5, 2.5) + $into)]];
        yield 'a wing flush, 9 lower' => [[$main, $wing(31.5, self::gable('y', 3.5, 2.5) + $into)]];
        yield 'a wing flush and hipped' => [[$main, $wing(40.5, ['kind' => 'hip', 'pitch' => 40] + $into)]];
        yield 'a wing in the middle, higher' => [[$main, $wing(44.5, self::gable('y', 3.5, 2.5) + $into, 23.5)]];
        yield 'a wing in the middle, lower, nothing overhanging' => [[
            [...$main, 'roof' => self::gable('x')],
            $wing(30.5, self::gable('y') + $into, 23.5),
        ]];
        yield 'a cross wing taller than its host' => [[
            $main,
            self::block('wing', [60.5, 30.5], [15.5, -30.5], 52.5, self::gable('y', 3.5, 2.5) + $into),
        ]];
        yield 'a hip against a taller wall without an edge that says so' => [[
            [...$main, 'eaves' => '70.5mm'],
            $wing(40.5, ['kind' => 'hip', 'pitch' => 35], 23.5),
        ]];
        yield 'blocks that cross, through one side' => [[
            $main,
            self::block('wing', [30.5, 60.5], [25.5, -20.5], 40.5, self::gable('y', 3.5, 2.5)),
        ]];
        yield 'blocks that cross, through and through' => [[
            $main,
            self::block('wing', [30.5, 100.5], [25.5, -20.5], 46.5, self::gable('y')),
        ]];
        yield 'two hips side by side' => [[
            self::block('one', [60.5, 50.5], [0.0, 0.0], 40.5, ['kind' => 'hip', 'pitch' => 40, 'overhang' => ['eaves' => '3.5mm']]),
            self::block('two', [60.5, 50.5], [60.5, 0.0], 40.5, ['kind' => 'hip', 'pitch' => 40, 'overhang' => ['eaves' => '3.5mm']]),
        ]];
        yield 'a row with two pitches' => [[
            self::block('one', [50.5, 50.5], [0.0, 0.0], 40.5, self::gable('x', 3.0, 3.0)),
            self::block('two', [50.5, 50.5], [50.5, 0.0], 40.5, ['pitch' => 30] + self::gable('x', 3.0, 3.0)),
        ]];
        yield 'a row of unequal depths, a mitred corner beside a neighbour' => [[
            self::block('one', [50.5, 50.5], [0.0, 0.0], 40.5, self::gable('x', 3.0, 2.0)),
            self::block('two', [50.5, 48.0], [50.5, 1.25], 52.5, self::gable('x', 3.0, 2.0)),
        ]];
        yield 'parapets beside each other' => [[
            self::block('one', [50.5, 50.5], [0.0, 0.0], 40.5, ['kind' => 'flat', 'parapet' => '12.5mm']),
            self::block('two', [50.5, 40.5], [50.5, 3.5], 52.5, ['kind' => 'flat', 'parapet' => '3mm']),
        ]];
        yield 'a flat dormer with a parapet, and one with a hip' => [[
            self::block('main', [110.5, 60.5], [0.0, 0.0], 40.5, self::gable('x', 3.5, 2.5)),
            self::block('flat', [20.5, 22.5], [12.5, 4.5], 62.5, ['kind' => 'flat', 'parapet' => '3mm']),
            self::block('hip', [20.5, 22.5], [60.5, 4.5], 57.5, ['kind' => 'hip', 'pitch' => 35, 'overhang' => ['eaves' => '1mm']]),
        ]];
    }

    /**
     * A wing of 30 across a block of 60, front to 20 before it and back to 20 inside: its side walls run on behind the host's front wall,
     * past the inner corners, by T.
     */
    public function testAWallRunsPastAnInnerCornerWhereBlocksCross(): void
    {
        $derived = self::whole(
            ['through' => 'sides'],
            self::block('main', [100.0, 60.0], [0.0, 0.0], 40.0, self::gable('x')),
            self::block('wing', [30.0, 40.0], [35.0, -20.0], 25.0, self::gable('y')),
        );
        // The wing's sides reach from its front to 1 behind the host's outside.
        self::assertEqualsWithDelta(21.0, self::part($derived, 'wing.right.core')->width(), 0.001);
        self::assertEqualsWithDelta(21.0, self::part($derived, 'wing.left.core')->width(), 0.001);
        $front = self::outer($derived, 'main.front.core');
        self::assertCount(1, $front);
        // Its ridge comes to 37.587, under the top of the host's front wall, which stands on the wing's roof, 1 ÷ cos 40° thick upright.
        $taken = 30.0 * (25.0 + 1.0 / cos(deg2rad(40.0))) + 30.0 * 15.0 * tan(deg2rad(40.0)) / 2.0;
        self::assertEqualsWithDelta(98.0 * 40.0 - $taken, $front[0]->region()->area(), 0.01);
    }

    /** Its ridge would be 15 over the eaves against 11.547 of the host: there it ends in a gable, and says so. */
    public function testARoofThatWouldComeOutBehindEndsInAGable(): void
    {
        $derived = self::whole(
            [],
            self::block('main', [100.0, 40.0], [0.0, 0.0], 40.0, ['pitch' => 30] + self::gable('x')),
            self::block('wing', [30.0, 40.0], [20.0, -40.0], 40.0, [
                'pitch' => 45,
                'edges' => [['edge' => 'back', 'kind' => 'wall']],
            ] + self::gable('y')),
        );
        $said = array_values(array_filter($derived->checks, static fn (Check $c): bool => $c->code === 'roof.ended'));
        self::assertSame(['wing.back'], array_map(static fn (Check $c): string => $c->at, $said));
        self::assertStringContainsString('lower its eaves or its pitch', $said[0]->text);
        // What comes above the host's roof, 45° against 30°, is a wall of the wing.
        $back = self::outer($derived, 'wing.back.core');
        self::assertNotSame([], $back);
        foreach (['wing.left-slope.carrier', 'wing.right-slope.carrier'] as $id) {
            self::assertEqualsWithDelta(40.0, self::part($derived, $id)->width(), 0.001, 'it does not run on');
        }
    }

    public function testADeckLiesOnLedges(): void
    {
        $derived = self::whole(
            ['braces' => 'auto'],
            self::block('main', [104.987, 79.0], [0.0, 0.0], 46.0, ['kind' => 'flat', 'parapet' => '12mm']),
        );
        self::assertEqualsWithDelta(104.987 - 2.0 - 0.2, self::part($derived, 'main.deck.carrier')->width(), 0.001);
        foreach (['front' => 104.987, 'back' => 104.987, 'left' => 79.0, 'right' => 79.0] as $wall => $length) {
            $ledge = self::part($derived, "main.$wall.ledge");
            self::assertEqualsWithDelta($length - 2.0 * 1.1 - 2.0 * 1.2, $ledge->width(), 0.001);
            self::assertEqualsWithDelta(34.0, self::top($ledge), 0.001);
        }
        self::assertLessThan(34.0 - 3.0, self::top(self::part($derived, 'main.brace.corner')));
        self::assertNotContains('roof.deck-loose', array_map(static fn (Check $c): string => $c->code, $derived->checks));
    }

    public function testLedgesKeepClearOfOpenings(): void
    {
        $block = self::block('main', [104.0, 79.0], [0.0, 0.0], 46.0, ['kind' => 'flat', 'parapet' => '12mm']);
        $block['walls'] = [['edge' => 'front', 'openings' => [['id' => 'w', 'style' => 'hatch', 'from' => '40mm', 'sill' => '20mm']]]];
        $derived = self::whole([], $block);
        // The hatch is 10 wide and 13 high, up to 1 below the deck: 2.5 to either side are kept free.
        self::assertEqualsWithDelta(40.0 - 2.5 - 1.1 - 1.2, self::part($derived, 'main.front.ledge')->width(), 0.001);
        self::assertEqualsWithDelta(104.0 - 1.1 - 1.2 - 52.5, self::part($derived, 'main.front.ledge-2')->width(), 0.001);
    }

    /**
     * @param  array<string, mixed>  $methods
     * @param  array<string, mixed>  ...$blocks
     */
    private static function whole(array $methods, array ...$blocks): Derivation
    {
        $document = Kits::box('10mm', '10mm', '10mm', 40.0);
        $document->methods = (object) ($methods + (array) $document->methods);
        $document->styles = (object) ['hatch' => (object) ['kind' => 'open', 'w' => '10mm', 'h' => '13mm']];
        $document->blocks = $blocks;
        $document = json_decode((string) json_encode($document));
        self::assertInstanceOf(stdClass::class, $document);
        $derived = Kits::of($document);
        $how = (string) json_encode($methods);
        self::assertSame([], array_map(static fn (Finding $f): string => $f->text, $derived->dryFit->findings), $how);
        self::assertSame([], Outside::open($derived->described, Kits::serialised($derived)), $how);

        return $derived;
    }

    /**
     * @param  array{float, float}  $size
     * @param  array{float, float}  $at
     * @param  array<string, mixed>  $roof
     * @return array<string, mixed>
     */
    private static function block(string $id, array $size, array $at, float $eaves, array $roof): array
    {
        return [
            'id' => $id,
            'footprint' => ['rect' => ["{$size[0]}mm", "{$size[1]}mm"]],
            'at' => ["{$at[0]}mm", "{$at[1]}mm"],
            'eaves' => "{$eaves}mm",
            'roof' => $roof,
        ];
    }

    /**
     * Before the front of a block.
     *
     * @param  array<string, mixed>  $roof
     * @return array<string, mixed>
     */
    private static function wing(float $eaves, array $roof, float $x = 0.0): array
    {
        return self::block('wing', [40.5, 30.5], [$x, -30.5], $eaves, $roof);
    }

    /** @return array<string, mixed> */
    private static function gable(string $ridge, float $eaves = 0.0, float $verge = 0.0): array
    {
        return ['kind' => 'gable', 'ridge' => $ridge, 'pitch' => 40, 'overhang' => ['eaves' => "{$eaves}mm", 'verge' => "{$verge}mm"]];
    }

    private static function top(Part $part): float
    {
        return max([-INF, ...array_map(static fn (Vec3 $p): float => $p->z, $part->corners())]);
    }

    private static function part(Derivation $derived, string $id): Part
    {
        $found = array_values(array_filter($derived->kit->parts, static fn (LabelledPart $p): bool => $p->part->id === $id));
        self::assertCount(1, $found, $id);

        return $found[0]->part;
    }

    /** @return list<Part> a wall's cards, in one piece or several */
    private static function outer(Derivation $derived, string $id): array
    {
        [$wall, $layer] = [substr($id, 0, (int) strrpos($id, '.')), substr($id, (int) strrpos($id, '.') + 1)];

        return array_values(array_map(
            static fn (LabelledPart $p): Part => $p->part,
            array_filter(
                $derived->kit->parts,
                static fn (LabelledPart $p): bool => preg_match('/^'.preg_quote($wall, '/').'(-\d+)?\.'.$layer.'$/', $p->part->id) === 1,
            ),
        ));
    }
}
