<?php

declare(strict_types=1);

namespace Tests\Core\Sheets;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Sheets\PlacedPart;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Templates that are printed otherwise than their parts are. */
final class CorrectedPartsTest extends TestCase
{
    /** @param  array<string, string>  ...$corrections */
    private static function office(array ...$corrections): Derivation
    {
        $all = array_map(static fn (array $c): object => (object) ($c + [
            'part' => 'main.front.face', 'side' => 'right', 'by' => '0.3mm', 'reason' => 'comes out short', 'date' => '2026-11-30',
        ]), array_values($corrections));

        $office = JsonText::decode(Kits::exampleText('weigh-office'));

        return Kits::of(BuildingGenerator::with($office, 'sheets', (object) ['corrections' => $all]));
    }

    private static function printed(Derivation $derived): PlacedPart
    {
        foreach ($derived->printed->plan->sheets as $sheet) {
            foreach ($sheet->parts as $placed) {
                if ($placed->part->part->id === 'main.front.face') {
                    return $placed;
                }
            }
        }
        self::fail('On no sheet');
    }

    /**
     * 72 × 38 as it is; the jamb of its door stands 2.9 from its right end, and the foot is in two lengths.
     *
     * @param  array{float, float, float, float}  $box
     */
    #[TestWith(['right', '0.3mm', [0.0, 0.0, 72.3, 38.0]])]
    #[TestWith(['left', '-0.45mm', [0.45, 0.0, 72.0, 38.0]])]
    #[TestWith(['bottom', '0.25mm', [0.0, -0.25, 72.0, 38.0]])]
    #[TestWith(['top', '-1.1mm', [0.0, 0.0, 72.0, 36.9]])]
    public function testOnlyTheSheetChanges(string $side, string $by, array $box): void
    {
        $plain = Kits::example('weigh-office');
        $derived = self::office(['side' => $side, 'by' => $by]);
        $part = self::printed($derived)->part->part;
        self::assertEqualsWithDelta($box, self::sides($part->outline->ring->bounds()), 1e-9);
        // Windows are where they were; the door, which stands open at the foot, goes down with it.
        $points = static fn (Ring $r): array => array_map(static fn (Vec2 $p): array => $p->toArray(), $r->points);
        self::assertSame(array_map($points, $plain->kit->part('main.front.face')->part->holes), array_map($points, $part->holes));
        self::assertSame(Kits::serialised($plain)['parts'], Kits::serialised($derived)['parts']);
        self::assertTrue($derived->dryFit->goesTogether());
        self::assertEquals($plain->dryFit, $derived->dryFit);
        // What is drawn on the sheet is cut so, too.
        $placed = self::printed($derived);
        self::assertEqualsWithDelta([$box[2] - $box[0], $box[3] - $box[1]], [$placed->width(), $placed->height()], 1e-9);
    }

    /** @return list<float> */
    private static function sides(Box2 $box): array
    {
        return [$box->x0, $box->y0, $box->x1, $box->y1];
    }

    public function testTwoSidesOfOnePart(): void
    {
        $part = self::printed(self::office(['side' => 'left'], ['side' => 'right']))->part->part;
        self::assertEqualsWithDelta([-0.3, 0.0, 72.3, 38.0], self::sides($part->outline->ring->bounds()), 1e-9);
    }

    /** The jamb is 2.9 from the end: less than 3 can go, 2.95 cannot. */
    public function testWhatCannotBeSoIsSaidAndPrintedAsItIs(): void
    {
        $derived = self::office(['by' => '-2.95mm'], ['part' => 'main.gone.face']);
        self::assertEqualsWithDelta(72.0, self::printed($derived)->part->part->width(), 1e-9);
        $said = array_values(array_filter($derived->checks, static fn ($c): bool => str_starts_with($c->code, 'template.')));
        self::assertSame([['template.no-room', 'stop'], ['template.no-part', 'warn']], array_map(
            static fn ($c): array => [$c->code, $c->level],
            $said,
        ));
        self::assertStringContainsString('W1 Front wall, face is printed as it is', $said[0]->text);
        self::assertStringContainsString('take the correction out under Sheets', $said[1]->text);
    }

    /** @param  list<array<string, string>>  $corrections */
    #[TestWith([[['by' => '5mm']], 'sheets.corrections.0.by', 'template.far'])]
    #[TestWith([[[], ['by' => '0.1mm']], 'sheets.corrections.1.side', 'template.twice'])]
    #[TestWith([[['reason' => '']], 'sheets.corrections.0.reason', 'built.no-reason'])]
    #[TestWith([[['date' => '2026-02-30']], 'sheets.corrections.0.date', 'date'])]
    #[TestWith([[['side' => 'foot']], 'sheets.corrections.0.side', 'wrong-choice'])]
    public function testRefuses(array $corrections, string $path, string $code): void
    {
        try {
            self::office(...$corrections);
            self::fail('Taken');
        } catch (InvalidInput $e) {
            self::assertSame([$path, $code], [$e->problems[0]->path, $e->problems[0]->code]);
        }
    }
}
