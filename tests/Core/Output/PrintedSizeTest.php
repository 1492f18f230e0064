<?php

declare(strict_types=1);

namespace Tests\Core\Output;

use Chartula\Core\Output\PdfWriter;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Measures the printed page, as a steel rule would: on the rasterised PDF, at 20 dots a millimetre. */
final class PrintedSizeTest extends TestCase
{
    private const DOTS = 20;

    #[TestWith(['100mm', '100mm', 1.0, 1.0])]
    #[TestWith(['99.3mm', '100.4mm', 100.0 / 99.3, 100.0 / 100.4])]
    public function testAPartsOwnEdgeAndTheRulesAreOneToOne(string $proofX, string $proofY, float $fx, float $fy): void
    {
        $document = BuildingGenerator::with(Kits::box('100mm', '60mm', '40mm', 40.0), 'methods.template.side', 'front');
        $document = BuildingGenerator::with($document, 'sheets', (object) ['proof' => (object) ['x' => $proofX, 'y' => $proofY]]);
        $derived = Kits::of($document);
        $drawings = $derived->printed->drawings();
        if ($drawings === []) {
            self::fail('no sheets');
        }
        $pdf = PdfWriter::write($drawings, 'Box');
        $page = self::rasterised($pdf);

        $placed = null;
        foreach ($derived->printed->plan->sheets[0]->parts as $part) {
            $placed = $part->part->part->id === 'main.front.core' ? $part : $placed;
        }
        self::assertNotNull($placed);
        [$w, $h] = $placed->turn % 180 !== 0 ? [40.0, 100.0] : [100.0, 40.0];
        // Across the part a quarter up, clear of its label; along it a quarter in.
        $y = self::at(297.0, $placed->y + $h / 4.0, $fy);
        $x = self::at(210.0, $placed->x + $w / 4.0, $fx);
        self::assertEqualsWithDelta(
            $w * $fx,
            self::span($page->row(297.0 - $y), self::at(210.0, $placed->x, $fx), self::at(210.0, $placed->x + $w, $fx)),
            0.1,
        );
        self::assertEqualsWithDelta(
            $h * $fy,
            self::span($page->column($x), 297.0 - self::at(297.0, $placed->y + $h, $fy), 297.0 - self::at(297.0, $placed->y, $fy)),
            0.1,
        );
        // The rule across: its line runs in the margin, 4.6 above the foot.
        $rule = $page->row(297.0 - self::at(297.0, 4.6, $fy));
        self::assertEqualsWithDelta(100.0 * $fx, self::span($rule, self::at(210.0, 8.0, $fx), self::at(210.0, 108.0, $fx)), 0.1);
    }

    private static function at(float $size, float $mm, float $factor): float
    {
        return $size / 2.0 + ($mm - $size / 2.0) * $factor;
    }

    /**
     * Between the dark places nearest to where two lines are looked for.
     *
     * @param  list<float>  $dark  millimetres
     */
    private static function span(array $dark, float $from, float $to): float
    {
        $near = static function (float $mm) use ($dark): float {
            $best = INF;
            foreach ($dark as $at) {
                $best = abs($at - $mm) < abs($best - $mm) ? $at : $best;
            }

            return $best;
        };
        self::assertLessThan(1.0, abs($near($from) - $from));

        return $near($to) - $near($from);
    }

    private static function rasterised(string $pdf): GreyPage
    {
        $file = tempnam(sys_get_temp_dir(), 'page');
        file_put_contents($file, $pdf);
        $picture = (
            new Process(['pdftoppm', '-gray', '-f', '1', '-l', '1', '-r', (string) (self::DOTS * 25.4), $file])
        )->mustRun()->getOutput();
        unlink($file);

        return new GreyPage($picture, self::DOTS);
    }
}
