<?php

declare(strict_types=1);

namespace Chartula\Core\Output\Plotter;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Sheets\CutStep;
use Chartula\Core\Sheets\CuttingOrder;
use Chartula\Core\Sheets\Frame;
use Chartula\Core\Sheets\Sheet;

/**
 * Writes one sheet for a cutting plotter, in HPGL: tool 1 scores, tool 2 cuts, each line as often as its stock asks, in
 * cutting order. 40 units a millimetre, origin at the sheet's lower left, the printed side up; what has to be scored on the
 * other side is left to the hand, and a comment says so.
 */
final readonly class PlotterWriter
{
    public const UNITS_PER_MM = 40.0;

    public const SCORE = 1;

    public const CUT = 2;

    public static function write(Sheet $sheet, string $name): string
    {
        $lines = [
            'IN;',
            sprintf(
                'CO"%s, sheet %d, %s, %s x %s mm";',
                self::comment($name),
                $sheet->number,
                implode(', ', array_map(static fn (Frame $f): string => $f->stock->id, $sheet->frames)),
                self::mm($sheet->page->width),
                self::mm($sheet->page->height),
            ),
        ];
        $steps = array_filter(CuttingOrder::of($sheet), static fn (CutStep $s): bool => ! $s->isOnOtherSide());
        $left = count(CuttingOrder::of($sheet)) - count($steps);
        if ($left > 0) {
            $lines[] = sprintf('CO"%d %s scored on the other side of this sheet, by hand";', $left, $left === 1 ? 'fold is' : 'folds are');
        }
        $tool = 0;
        $stock = $sheet->stock();
        foreach ($steps as $step) {
            if ($step->placed->part->part->stock !== $stock) {
                $stock = $step->placed->part->part->stock;
                $lines[] = 'SP0;';
                $lines[] = 'CO"from here on '.$stock->id.'";';
                $tool = 0;
            }
            $wanted = $step->what === 'score' ? self::SCORE : self::CUT;
            if ($wanted !== $tool) {
                $lines[] = "SP$wanted;";
                $tool = $wanted;
            }
            $passes = $step->what === 'score' ? 1 : $step->placed->part->part->stock->cutPasses();
            $lines[] = self::stroke($step, $passes);
        }
        $lines[] = 'SP0;';

        return implode("\n", $lines)."\n";
    }

    private static function stroke(CutStep $step, int $passes): string
    {
        $points = array_map(static fn (Vec2 $p): string => self::units($step->placed->toSheet($p)), $step->points());
        $line = 'PU'.$points[0].';';
        for ($pass = 1; $pass <= $passes; $pass++) {
            // A closed line ends where it begins; an open one is followed there and back.
            $line .= 'PD'.implode(',', array_slice($pass % 2 === 1 ? $points : array_reverse($points), 1)).';';
        }

        return $line.'PU;';
    }

    private static function units(Vec2 $point): string
    {
        return (int) round($point->x * self::UNITS_PER_MM).','.(int) round($point->y * self::UNITS_PER_MM);
    }

    private static function mm(float $mm): string
    {
        return rtrim(rtrim(number_format($mm, 1, '.', ''), '0'), '.');
    }

    /** A comment stands between quotes and ends a command at a semicolon in old readers; ASCII only. */
    private static function comment(string $text): string
    {
        return (string) preg_replace('/[^A-Za-z0-9 .,()-]+/', ' ', $text);
    }
}
