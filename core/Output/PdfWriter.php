<?php

declare(strict_types=1);

namespace Chartula\Core\Output;

use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\NoPictures;
use Chartula\Core\Drawing\Pictures;

/** Writes drawings as a PDF at 1:1, a page each. */
final readonly class PdfWriter
{
    /**
     * The same drawings give the same bytes: the file carries the moment that is handed in, and no chance.
     *
     * @param  non-empty-list<Drawing>  $drawings
     * @param  int  $timestamp  seconds since 1970, for the file's dates
     */
    public static function write(array $drawings, string $title, int $timestamp = 0, Pictures $pictures = new NoPictures): string
    {
        $pdf = new PdfCanvas($title, $timestamp, $pictures);
        foreach ($drawings as $drawing) {
            $pdf->draw($drawing);
        }

        return $pdf->bytes();
    }
}
