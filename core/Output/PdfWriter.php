<?php

declare(strict_types=1);

namespace Chartula\Core\Output;

use Chartula\Core\Drawing\Drawing;

/** Writes drawings as a PDF at 1:1, a page each. */
final readonly class PdfWriter
{
    /**
     * The same drawings give the same bytes: the file carries the moment that is handed in, and no chance.
     *
     * @param  non-empty-list<Drawing>  $drawings
     * @param  int  $timestamp  seconds since 1970, for the file's dates
     */
    public static function write(array $drawings, string $title, int $timestamp = 0): string
    {
        $pdf = new PdfCanvas($title, $timestamp);
        foreach ($drawings as $drawing) {
            $pdf->draw($drawing);
        }

        return $pdf->bytes();
    }
}
