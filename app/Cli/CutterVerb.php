<?php

declare(strict_types=1);

namespace App\Cli;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Output\Plotter\CutterDrawing;
use Chartula\Core\Output\Plotter\SimulatedCutter;
use Chartula\Core\Output\SvgWriter;
use Chartula\Core\Stock\BuiltInStock;
use RuntimeException;

/** `chartula cutter FILE`: runs a plotter file on the simulated cutter and says what it would do. */
final readonly class CutterVerb extends Verb
{
    public const USAGE = <<<'TEXT'
        Usage: chartula cutter FILE [--sheet WxH] [--stock ID] [--out FILE.svg]

          FILE     a plotter file, such as sheet-01.plt; - reads it from standard input
          --sheet  the sheet's size in millimetres, 210x297 where it is not said
          --stock  the stock on the bed, for the passes it needs
          --out    a drawing of every line, numbered in the order in which it is made

        Exit 0: nothing would go wrong. Exit 1: something would. Exit 2: the file is not understood.

        TEXT;

    protected function work(array $words): int
    {
        $options = Options::read($words, ['--sheet', '--stock', '--out']);
        $sheet = self::sheet($options->value('--sheet') ?? '210x297');
        $stock = $options->value('--stock');
        $known = BuiltInStock::all();
        if ($stock !== null && ! isset($known[$stock])) {
            throw new RuntimeException("“{$stock}” is not a stock; known are ".implode(', ', array_keys($known)));
        }
        $passes = static fn (Vec2 $at, ?string $said): int => ($known[$said ?? $stock ?? ''] ?? null)?->cutPasses() ?? 0;
        $run = SimulatedCutter::run($options->contents($this->in), $sheet, $passes);
        $this->report($run);
        $file = $options->value('--out');
        if ($file !== null && file_put_contents($file, SvgWriter::write(CutterDrawing::of($run, $sheet))) === false) {
            throw new RuntimeException("$file could not be written");
        }

        return $run->findings === [] ? 0 : 1;
    }

    private function report(SimulatedCutter $run): void
    {
        foreach ($run->strokes as $i => $stroke) {
            $this->say(
                sprintf(
                    "%4d  %s  %7.1f mm  %d pass%s  from %6.1f s\n",
                    $i + 1,
                    $stroke->toArray()['tool'] === 'score' ? 'score' : 'cut  ',
                    $stroke->length(),
                    $stroke->passes,
                    $stroke->passes === 1 ? '  ' : 'es',
                    $stroke->startS,
                ),
            );
        }
        $this->say(
            sprintf(
                "%d lines, %d min %02d s\n",
                count($run->strokes),
                intdiv((int) round($run->seconds), 60),
                (int) round($run->seconds) % 60,
            ),
        );
        foreach ($run->notes as $note) {
            $this->say("  $note\n");
        }
        foreach ($run->findings as $finding) {
            $this->say("! $finding\n");
        }
    }

    /** @return array{float, float} */
    private static function sheet(string $size): array
    {
        if (preg_match('/^(\d{2,4}(?:\.\d+)?)x(\d{2,4}(?:\.\d+)?)$/D', $size, $m) !== 1) {
            throw new RuntimeException("“{$size}” is not a size; write for example 210x297");
        }

        return [(float) $m[1], (float) $m[2]];
    }
}
