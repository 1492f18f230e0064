<?php

declare(strict_types=1);

namespace Tests\Core\Things;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Problem\InvalidInput;
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
use Tests\Support\Things\Rod;

/**
 * What goes through walls and roofs: card and paper give way, and the dry fit excuses the hole only for what really fills it.
 * docs/formulas.md#places
 */
final class PiercingTest extends TestCase
{
    private const WALL = '{"edge": "right", "from": "2ft", "up": "4ft"}';

    private const SLOPE = '{"anchor": "slope", "edge": "front", "from": "9ft", "in": "3ft"}';

    private const RIDGE = '{"anchor": "roof-line", "edge": "front", "line": "ridge", "from": "5ft"}';

    /** 18 in = 6, from 8 to 14 along and from 16 to 22 up, with 0.15 of room: in every card and in the paper. */
    public function testAWallIsCutThrough(): void
    {
        $derived = self::derived(self::WALL);
        self::assertSame([], $derived->dryFit->findings);
        foreach (['main.right.face', 'main.right.core', 'main.right.paper'] as $id) {
            $part = $derived->kit->part($id)->part;
            $frame = $derived->kit->form->walls()[1]->frame;
            $holes = array_map(static fn (Ring $r): array => array_map(
                static fn (float $x): float => round($x, 6),
                [$frame->project($part->placements[0]->at($r->bounds()->centre()))->x, $r->bounds()->width(), $r->bounds()->height()],
            ), $part->holes);
            self::assertContains([11.0, 6.3, 6.3], $holes, $id);
        }
    }

    /**
     * Over the plan from 33 to 39 and from 9 to 15. Of a slope of 40° the plan’s 6.3 are 6.3 / cos 40° up it; its card of 1 mm, cut square,
     * has to let the upright pass at both faces, which lie sin 40° apart in plan: 0.6428 / cos 40° more.
     */
    public function testASlopeIsCutThroughUpright(): void
    {
        $derived = self::derived(self::SLOPE);
        self::assertSame([], $derived->dryFit->findings);
        $part = $derived->kit->part('main.front-slope.carrier')->part;
        self::assertCount(1, $part->holes);
        $box = $part->holes[0]->bounds();
        $cos = cos(deg2rad(40.0));
        $lean = $part->thickness * sin(deg2rad(40.0));
        self::assertEqualsWithDelta([6.3, (6.3 + $lean) / $cos], [$box->width(), $box->height()], 1e-6);
    }

    /** Where it goes through the ridge both slopes give way, and none of them has a hole: a notch of four more corners. */
    public function testBothSlopesGiveWayAtARidge(): void
    {
        $derived = self::derived(self::RIDGE);
        self::assertSame([], $derived->dryFit->findings);
        foreach (['front', 'back'] as $edge) {
            $part = $derived->kit->part("main.$edge-slope.carrier")->part;
            self::assertSame([8, 0], [$part->outline->ring->count(), count($part->holes)]);
        }
    }

    /** 0.15 of room a side is left to it, and 0.15 more is glue; thinner than that, or not through, and the hole is a hole. */
    #[DataProvider('provideRods')]
    public function testAHoleIsExcusedOnlyForWhatFillsIt(string $on, float $reach, float $thin, bool $isSound): void
    {
        $codes = array_map(static fn (Finding $f): string => $f->code, self::derived($on, new Rod($reach, $thin))->dryFit->findings);
        self::assertSame($isSound, ! in_array('outside.cover', $codes, true), implode(' ', $codes));
    }

    /** @return iterable<string, array{string, float, float, bool}> */
    public static function provideRods(): iterable
    {
        foreach (['wall' => self::WALL, 'slope' => self::SLOPE, 'ridge' => self::RIDGE] as $where => $on) {
            yield "$where, as thick as it says" => [$on, 8.0, 0.0, true];
            yield "$where, a little thinner" => [$on, 8.0, 0.2, true];
            yield "$where, half a millimetre thinner" => [$on, 8.0, 0.5, false];
            yield "$where, half as thick" => [$on, 8.0, 3.0, false];
        }
        yield 'wall, in front of it alone' => [self::WALL, 0.4, 0.0, false];
        yield 'slope, under it alone' => [self::SLOPE, 0.2, 0.0, false];
    }

    /** Wherever it goes through a roof of a house as people measure them, the roof gives way to it, and to nothing more. */
    #[Group('property')]
    public function testEveryRoofGivesWay(): void
    {
        $tried = 0;
        foreach (range(0, Sample::isDeep() ? 799 : 59) as $seed) {
            $document = (new HouseGenerator($seed))->document();
            $random = new Randomizer(new Mt19937($seed + 77));
            $on = ['anchor' => 'slope', 'edge' => ['front', 'back', 'left', 'right'][$random->getInt(0, 3)],
                'from' => (5 * $random->getInt(60, 500)).'mm', 'in' => (5 * $random->getInt(20, 260)).'mm'];
            $w = (205 + 5 * $random->getInt(0, 90)).'mm';
            $thing = json_decode((string) json_encode([['kind' => 'rod', 'id' => 'r', 'w' => $w, 'on' => $on]]));
            try {
                $bare = self::coverOf($document);
                $pierced = self::coverOf(BuildingGenerator::with($document, 'blocks.0.features', $thing));
            } catch (InvalidInput) {
                continue;
            }
            if ($bare === [] && $pierced !== null) {
                $tried++;
                self::assertSame([], $pierced, "seed $seed");
            }
        }
        self::assertGreaterThan(8, $tried);
    }

    /** @return ?list<string> what is wrong with its outside; null where it has a rod that goes through nothing */
    private static function coverOf(stdClass $document): ?array
    {
        $derived = Derivation::of(BuildingReader::fromDocument($document, self::kinds(new Rod(24.0))), JsonText::encode($document));
        $isThere = isset($document->blocks) && $derived->kit->form->sites !== [];
        $isSaid = str_contains((string) json_encode($document), '"rod"');
        $outside = array_filter($derived->dryFit->findings, static fn (Finding $f): bool => str_starts_with($f->code, 'outside.'));

        return $isSaid && ! $isThere ? null : array_values(array_map(static fn (Finding $f): string => $f->text, $outside));
    }

    private static function derived(string $on, Rod $rod = new Rod): Derivation
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $said = ['methods.supports' => 'none', 'blocks.0.features' => json_decode("[{\"kind\": \"rod\", \"id\": \"r\", \"on\": $on}]")];
        foreach ($said as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return Derivation::of(BuildingReader::fromDocument($document, self::kinds($rod)), JsonText::encode($document));
    }

    private static function kinds(Rod $rod): Kinds
    {
        return Kinds::known()->with($rod);
    }
}
