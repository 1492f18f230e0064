<?php

declare(strict_types=1);

namespace Chartula\Core\Output;

use Chartula\Core\Derivation;
use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\NoPictures;
use Chartula\Core\Drawing\Pictures;
use Chartula\Core\Output\Plotter\PlotterWriter;

/** Every file that is made of a kit, by its name. docs/formats.md, section 4 */
final readonly class KitFiles
{
    /** Those in which the sheets are drawn. */
    private const DRAWN = ['svg', 'pdf', 'dxf'];

    public const FORMATS = ['json', 'svg', 'pdf', 'dxf', 'csv', 'obj', 'plt', 'marking', 'templates'];

    /**
     * @param  list<string>  $formats  some of FORMATS
     * @param  ?string  $footer  revision and date for every page; the first of the building's fingerprint where it is null, so that equal
     *     input gives equal bytes
     * @return array<string, string> contents by file name
     */
    public static function of(Derivation $derived, array $formats, ?string $footer = null, Pictures $pictures = new NoPictures): array
    {
        $footer ??= 'revision '.substr($derived->fingerprint(), 7, 8);
        $files = [];
        $drawings = array_intersect(self::DRAWN, $formats) === [] ? [] : $derived->printed->drawings($footer);
        foreach (array_intersect(self::FORMATS, $formats) as $format) {
            $files += match ($format) {
                'json' => [
                    'kit.json' => json_encode(
                        json_decode($derived->json, false, 512, JSON_THROW_ON_ERROR),
                        JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
                    )
                        ."\n",
                ],
                'svg' => self::numbered('svg', array_map(static fn (Drawing $d): string => SvgWriter::write($d, $pictures), $drawings)),
                'pdf' => self::pdf($derived, $drawings, $footer, $pictures),
                'dxf' => ['sheets.dxf' => DxfWriter::write($drawings)],
                'marking' => self::pages('marking-out', $derived->printed->markingOut($footer), $derived),
                'templates' => self::pages('templates', $derived->printed->templates($footer), $derived),
                'csv' => ['cutlist.csv' => CsvWriter::write($derived->kit->parts, $derived->printed->plan)],
                'obj' => ['model.obj' => ObjWriter::write($derived->serialised())],
                'plt' => self::numbered(
                    'plt',
                    array_map(
                        static fn ($sheet): string => PlotterWriter::write($sheet, $derived->building->name),
                        $derived->printed->plan->sheets,
                    ),
                ),
            };
        }

        return $files;
    }

    /**
     * @param  list<string>  $contents
     * @return array<string, string>
     */
    private static function numbered(string $ending, array $contents): array
    {
        $files = [];
        foreach ($contents as $i => $content) {
            $files[sprintf('sheet-%02d.%s', $i + 1, $ending)] = $content;
        }

        return $files;
    }

    /**
     * @param  list<Drawing>  $drawings
     * @return array<string, string> none where there are none
     */
    private static function pages(string $name, array $drawings, Derivation $derived): array
    {
        return $drawings === [] ? [] : ["$name.pdf" => PdfWriter::write($drawings, $derived->building->name)];
    }

    /**
     * @param  list<Drawing>  $drawings
     * @return array<string, string> none where no part fits a page
     */
    private static function pdf(Derivation $derived, array $drawings, string $footer, Pictures $pictures): array
    {
        return $drawings === []
            ? []
            : ['sheets.pdf' => PdfWriter::write(
                [...$derived->printed->before($footer), ...$drawings], $derived->building->name, pictures: $pictures,
            )];
    }
}
