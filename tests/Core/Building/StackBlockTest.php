<?php

declare(strict_types=1);

namespace Tests\Core\Building;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** A stack that is a block becomes a chimney in one press. A foot is 4: the weigh office is 72 by 48, its base at 0. */
final class StackBlockTest extends TestCase
{
    /**
     * 3 ft by 2 ft at (6 ft, 3 ft), 24 ft high: its middle is 7 ft 6 in along the front and 4 ft in.
     *
     * @param  array<string, mixed>  $block
     * @param  array<string, mixed>  $expected
     */
    #[DataProvider('provideStacks')]
    public function testItHasTheSameOutside(array $block, array $expected): void
    {
        $document = self::document($block);
        $edited = Edits::apply($document, self::edits())->document;
        self::assertIsArray($edited->blocks);
        self::assertCount(1, $edited->blocks);
        $host = $edited->blocks[0];
        assert($host instanceof stdClass && is_array($host->features) && $host->features[0] instanceof stdClass);
        $thing = json_decode((string) json_encode($host->features[0]), true);
        self::assertIsArray($thing);
        foreach ($expected as $key => $value) {
            self::assertSame($value, $thing[$key], $key);
        }
        $derived = Derivation::of(BuildingReader::fromDocument($edited), JsonText::encode($edited));
        self::assertSame([], $derived->dryFit->findings);
        // Where its cap lies: over the corners of the block, as high as its walls were.
        $was = BuildingReader::fromDocument($document)->blocks[1];
        $corners = array_map(static fn ($p): array => [round($p->x / 76.2, 4), round($p->y / 76.2, 4)], $was->standing()->points);
        $cap = $derived->kit->part('main.stack-cap.chimney-1')->part;
        $is = array_map(static fn ($p): array => [round($p->x, 4), round($p->y, 4)], $cap->corners());
        sort($corners);
        sort($is);
        self::assertEqualsWithDelta($corners, $is, 0.001);
        self::assertEqualsWithDelta($was->eaves->mm / 76.2, $cap->placements[0]->origin->z, 0.001);
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>}> */
    public static function provideStacks(): iterable
    {
        $on = ['anchor' => 'slope', 'edge' => 'front', 'from' => '7ft 6in', 'in' => '4ft'];
        yield 'on the front slope' => [[], ['on' => $on, 'w' => '3ft', 'd' => '2ft', 'h' => '24ft', 'above' => 'base', 'pots' => 'none']];
        yield 'turned' => [['turn' => 30, 'at' => ['7ft', '3ft']], ['w' => '3ft', 'd' => '2ft', 'turn' => 30]];
        yield 'turned by a quarter' => [['turn' => 90, 'at' => ['9ft', '3ft']], ['w' => '2ft', 'd' => '3ft']];
        yield 'on the ridge' => [['at' => ['6ft', '5ft']], ['w' => '3ft', 'd' => '2ft']];
    }

    /** @param  array<string, mixed>  $block */
    #[DataProvider('provideOthers')]
    public function testWhatIsNoStackIsLeft(array $block): void
    {
        try {
            Edits::apply(self::document($block), self::edits());
            self::fail('it became a chimney');
        } catch (InvalidInput $e) {
            self::assertSame(['edit.no-stack'], array_map(static fn (Problem $p): string => $p->code, $e->problems));
        }
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function provideOthers(): iterable
    {
        yield 'beside the house' => [['at' => ['30ft', '0ft']]];
        yield 'with a gable' => [['roof' => ['kind' => 'gable', 'pitch' => 40]]];
        yield 'lower than its eaves' => [['eaves' => '8ft']];
        $five = [['0ft', '0ft'], ['3ft', '0ft'], ['3ft', '2ft'], ['1ft', '3ft'], ['0ft', '2ft']];
        yield 'with five corners' => [['footprint' => ['polygon' => $five]]];
    }

    /** @return list<stdClass> */
    private static function edits(): array
    {
        return [(object) ['op' => 'block-to-chimney', 'block' => 'stack']];
    }

    /** @param  array<string, mixed>  $more */
    private static function document(array $more): stdClass
    {
        $walls = array_map(static fn (string $edge): array => ['edge' => $edge, 'finish' => 'brick-stretcher', 'openings' => []],
            isset($more['footprint']) ? [] : ['front', 'right', 'back', 'left']);
        $stack = [
            'id' => 'stack', 'name' => 'Stack', 'footprint' => ['rect' => ['3ft', '2ft']], 'at' => ['6ft', '3ft'], 'eaves' => '24ft',
            'walls' => $walls, 'roof' => ['kind' => 'none'], ...$more,
        ];

        $office = JsonText::decode(Kits::exampleText('weigh-office'));

        return BuildingGenerator::with($office, 'blocks.1', json_decode((string) json_encode($stack)));
    }
}
