<?php

declare(strict_types=1);

namespace App\Devices;

use GdImage;
use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * A small printer that is not there: prints a page of a PDF with an error across and along, as real ones have, and leaves
 * the margin it cannot reach white. The picture is what would lie in the tray, at so many dots an inch.
 */
final readonly class SimulatedPrinter
{
    /**
     * @param  float  $across  how long 100 mm come out across the page, mm
     * @param  float  $along  and along it
     */
    public function __construct(
        private float $across = 100.0,
        private float $along = 100.0,
        private float $margin = 4.0,
        private int $dotsPerInch = 200,
    ) {
    }

    /**
     * @return string a PNG
     *
     * @throws RuntimeException where the page cannot be printed
     */
    public function page(string $pdf, int $page): string
    {
        $true = self::rasterised($pdf, $page, $this->dotsPerInch);
        [$w, $h] = [imagesx($true), imagesy($true)];
        $printed = imagecreatetruecolor($w, $h);
        $white = (int) imagecolorallocate($printed, 255, 255, 255);
        imagefilledrectangle($printed, 0, 0, $w, $h, $white);
        // The error is taken about the middle of the page, where the paper is fed.
        [$fw, $fh] = [(int) round($w * $this->across / 100.0), (int) round($h * $this->along / 100.0)];
        imagecopyresampled($printed, $true, intdiv($w - $fw, 2), intdiv($h - $fh, 2), 0, 0, $fw, $fh, $w, $h);
        $edge = (int) round($this->margin / 25.4 * $this->dotsPerInch);
        foreach ([[0, 0, $w, $edge - 1], [0, $h - $edge, $w, $h], [0, 0, $edge - 1, $h], [$w - $edge, 0, $w, $h]] as [$x0, $y0, $x1, $y1]) {
            if ($edge > 0) {
                imagefilledrectangle($printed, $x0, $y0, $x1, $y1, $white);
            }
        }
        imageresolution($printed, $this->dotsPerInch);
        ob_start();
        imagepng($printed, null, 6);

        return (string) ob_get_clean();
    }

    public static function pages(string $pdf): int
    {
        $text = self::asked(['pdfinfo', '-'], $pdf);

        return preg_match('/^Pages:\s+(\d+)$/m', $text, $m) === 1
            ? (int) $m[1]
            : throw new RuntimeException('That is no PDF that can be printed');
    }

    private static function rasterised(string $pdf, int $page, int $dots): GdImage
    {
        $picture = imagecreatefromstring(
            self::asked(['pdftoppm', '-png', '-singlefile', '-r', (string) $dots, '-f', (string) $page, '-l', (string) $page, '-'], $pdf),
        );

        return $picture === false ? throw new RuntimeException("Page $page could not be printed") : $picture;
    }

    /** @param  list<string>  $command */
    private static function asked(array $command, string $input): string
    {
        $process = new Process($command, timeout: 60);
        $process->setInput($input);
        if ($process->run() !== 0) {
            throw new RuntimeException('That is no PDF that can be printed');
        }

        return $process->getOutput();
    }
}
