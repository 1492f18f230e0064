<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Chartula\Core\Problem\Check;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** What is too narrow to be cut is left out and said. */
final class SliverChecksTest extends TestCase
{
    /** A step of 0.2 in a front of 1.0 card under a hip: neither its wall nor its plane is cut. */
    public function testAStepNarrowerThanTheCardIsNamed(): void
    {
        $derived = Kits::of(self::stepped('0.2mm'));
        self::assertSame([], $derived->dryFit->toArray()['findings']);
        $said = [];
        foreach ($derived->checks as $check) {
            if ($check->code === 'card.too-narrow') {
                $said[] = [$check->level, $check->at, round((float) $check->mm, 2)];
            }
        }
        // The plane over it runs between its hip and its valley, askew to the step: 0.2 · sin 45°.
        self::assertSame([Check::WARN, 'main.edge-1', 0.14], $said[0] ?? null);
        self::assertSame([Check::NOTE, 'main.edge-1', 0.2], $said[1] ?? null);
        self::assertSame([], array_filter($derived->kit->parts, static fn ($p): bool => str_starts_with($p->part->id, 'main.edge-1')));
    }

    public function testAStepThatIsCutIsNot(): void
    {
        $derived = Kits::of(self::stepped('6mm'));
        self::assertNotContains('card.too-narrow', array_map(static fn (Check $c): string => $c->code, $derived->checks));
    }

    private static function stepped(string $by): stdClass
    {
        $ring = [['0mm', '0mm'], ['40mm', '0mm'], ['40mm', $by], ['100mm', $by], ['100mm', '60mm'], ['0mm', '60mm']];
        $document = BuildingGenerator::with(Kits::box('100mm', '60mm', '40mm', 40.0), 'blocks.0.footprint', (object) ['polygon' => $ring]);

        $document = BuildingGenerator::with($document, 'blocks.0.roof', (object) ['kind' => 'hip', 'pitch' => 40]);
        // Model sizes at a usual scale: steps of fractions of a millimetre are none on a building itself.
        $document = json_decode(str_replace('mm"', 'mm model"', (string) json_encode(BuildingGenerator::with($document, 'scale', '1:76.2'))));
        assert($document instanceof stdClass);

        return $document;
    }
}
