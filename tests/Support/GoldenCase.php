<?php

declare(strict_types=1);

namespace Tests\Support;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Output\DxfWriter;
use Chartula\Core\Output\ObjWriter;
use Chartula\Core\Output\PdfWriter;
use Chartula\Core\Output\SvgWriter;

/** A folder of tests/Golden: a building, and the files it must give, byte for byte; of large ones their digests. */
final readonly class GoldenCase
{
    /** A file larger than this is not kept itself. */
    private const LARGE = 150_000;

    private const DIGESTS = 'digests.txt';

    private function __construct(public string $folder)
    {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return array_map(
            static fn (string $file): self => new self(dirname($file)),
            self::glob(dirname(__DIR__).'/Golden/*/building.json'),
        );
    }

    /** @return list<string> names of the golden files */
    public function names(): array
    {
        return array_values(array_diff(array_map(basename(...), self::glob("$this->folder/*")), ['building.json']));
    }

    /** @return list<string> */
    private static function glob(string $pattern): array
    {
        $found = glob($pattern);

        return $found === false ? [] : $found;
    }

    /** @return array<string, string> contents by name */
    public function files(): array
    {
        $text = (string) file_get_contents("$this->folder/building.json");
        $derived = Derivation::of(BuildingReader::fromText($text), $text);
        $drawings = $derived->printed->drawings();
        $files = [];
        foreach (array_map(static fn (Drawing $d): string => SvgWriter::write($d), $drawings) as $i => $svg) {
            $files[sprintf('sheet-%02d.svg', $i + 1)] = $svg;
        }
        if ($drawings !== []) {
            $files['sheets.pdf'] = PdfWriter::write($drawings, $derived->building->name);
            $files['sheets.dxf'] = DxfWriter::write($drawings);
        }
        $files['model.obj'] = ObjWriter::write($derived->serialised());

        return self::kept($files);
    }

    /**
     * @param  array<string, string>  $files
     * @return array<string, string>
     */
    private static function kept(array $files): array
    {
        $digests = '';
        foreach ($files as $name => $contents) {
            if (strlen($contents) > self::LARGE) {
                $digests .= hash('sha256', $contents)."  $name\n";
                unset($files[$name]);
            }
        }

        $files += $digests === '' ? [] : [self::DIGESTS => $digests];
        ksort($files, SORT_STRING);

        return $files;
    }
}
