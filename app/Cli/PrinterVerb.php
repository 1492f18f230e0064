<?php

declare(strict_types=1);

namespace App\Cli;

use App\Devices\SimulatedPrinter;
use RuntimeException;

/** `chartula printer FILE --out DIR`: prints a PDF on the simulated printer. */
final readonly class PrinterVerb extends Verb
{
    public const USAGE = <<<'TEXT'
        Usage: chartula printer FILE --out DIR [--across MM] [--along MM] [--margin MM] [--dpi N] [--page N]

          FILE      a PDF, such as sheets.pdf; - reads it from standard input
          --out     an existing folder, for page-01.png …
          --across  how long 100 mm come out across the page, 95 to 105 (100)
          --along   and along it (100)
          --margin  what the printer cannot reach, mm (4)
          --dpi     dots an inch of the pictures, 50 to 600 (200)
          --page    that page alone (all)

        TEXT;

    protected function work(array $words): int
    {
        $options = Options::read($words, ['--out', '--across', '--along', '--margin', '--dpi', '--page']);
        $folder = $options->value('--out') ?? throw new RuntimeException('--out DIR is needed');
        if (! is_dir($folder) || ! is_writable($folder)) {
            throw new RuntimeException("$folder is not a folder that can be written to");
        }
        $printer = new SimulatedPrinter(
            $options->number('--across', 100.0, 95.0, 105.0),
            $options->number('--along', 100.0, 95.0, 105.0),
            $options->number('--margin', 4.0, 0.0, 50.0),
            (int) $options->number('--dpi', 200.0, 50.0, 600.0),
        );
        $pdf = $options->contents($this->in);
        $last = SimulatedPrinter::pages($pdf);
        $only = (int) $options->number('--page', 0.0, 1.0, (float) $last);
        foreach ($only === 0 ? range(1, $last) : [$only] as $page) {
            $file = sprintf('%s/page-%02d.png', rtrim($folder, '/'), $page);
            if (file_put_contents($file, $printer->page($pdf, $page)) === false) {
                throw new RuntimeException("$file could not be written");
            }
            $this->say("$file\n");
        }

        return 0;
    }
}
