<?php

declare(strict_types=1);

namespace App\Cli;

use App\Pictures\FolderPictures;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\MissingPictures;
use Chartula\Core\Drawing\NoPictures;
use Chartula\Core\Drawing\Pictures;
use Chartula\Core\Output\KitFiles;
use Chartula\Core\Packing\Effort;
use Chartula\Core\Problem\Check;
use Chartula\Core\Sheets\Wanted;
use DateTimeImmutable;
use RuntimeException;

/** `chartula kit FILE --out DIR`: derives a kit and writes its files, all of them or none. docs/formats.md, section 4 */
final readonly class KitVerb extends Verb
{
    public const USAGE = <<<'TEXT'
        Usage: chartula kit FILE --out DIR [--only json,svg,…] [--revision TEXT] [--date YYYY-MM-DD]
                            [--packing quick|usual|thorough] [--assets DIR] [--strict]

          FILE      a building document; - reads it from standard input
          --out     a folder that does not exist yet or is replaced whole; with --only json, - writes to standard output
          --only    some of json (kit.json), svg (sheet-01.svg …), pdf (sheets.pdf), dxf (sheets.dxf),
                    csv (cutlist.csv), obj (model.obj), plt (sheet-01.plt …), marking (marking-out.pdf),
                    templates (templates.pdf)
          --revision, --date
                    what stands on every page; the first of the building's fingerprint where nothing is said
          --packing how long is looked for fewer sheets (usual: a few seconds; thorough: up to 20)
          --assets  where the pictures of your own papers lie, under any names: those whose SHA-256 the document names
          --strict  exit 1 where a check says that the kit should not be cut as it is

        Exit 0: written. Exit 2: refused, every fault on standard error, one a line, and nothing written.

        TEXT;

    private const REVISION_LETTERS = 24;

    protected function work(array $words): int
    {
        $options = Options::read($words, ['--out', '--only', '--revision', '--date', '--packing', '--assets'], ['--strict']);
        $folder = $options->value('--out') ?? throw new RuntimeException('a FILE and --out DIR are needed; see chartula --help');
        $formats = explode(',', $options->value('--only') ?? implode(',', KitFiles::FORMATS));
        $unknown = array_diff($formats, KitFiles::FORMATS);
        if ($unknown !== []) {
            throw new RuntimeException('“'.implode(',', $unknown).'” is not a format; known are '.implode(', ', KitFiles::FORMATS));
        }
        if ($folder === '-' && $formats !== ['json']) {
            throw new RuntimeException('only kit.json can go to standard output: add --only json');
        }
        $text = $options->contents($this->in);
        $derived = Derivation::of(BuildingReader::fromText($text), $text, wanted: new Wanted(self::effort($options)));
        $files = KitFiles::of($derived, $formats, self::footer($options), self::pictures($options, $derived, $formats));
        if ($folder === '-') {
            $this->say($files['kit.json']);
        } else {
            self::writeFolder($folder, $files);
        }
        foreach ($derived->dryFit->findings as $finding) {
            $this->complain('dry fit: '.$finding->text);
        }

        return $options->has('--strict') && (! $derived->dryFit->goesTogether() || self::hasStop($derived->checks)) ? 1 : 0;
    }

    /**
     * @param  list<string>  $formats
     *
     * @throws RuntimeException where one that would be printed is missing
     */
    private static function pictures(Options $options, Derivation $derived, array $formats): Pictures
    {
        $folder = $options->value('--assets');
        if ($folder !== null && ! is_dir($folder)) {
            throw new RuntimeException("--assets needs a folder, and $folder is none");
        }
        $pictures = $folder === null ? new NoPictures : FolderPictures::in($folder);
        $isPrinted = array_intersect(['svg', 'pdf'], $formats) !== [];
        $missing = $isPrinted ? MissingPictures::of($derived->building, $derived->kit->form, $pictures)[0] ?? null : null;
        if ($missing !== null) {
            $cure = $folder === null
                ? 'say with --assets DIR where it lies'
                : "no JPEG file in $folder has the SHA-256 {$missing->paper->sha256}";
            throw new RuntimeException("the picture of the paper “{$missing->paper->name}” on $missing->words is missing: $cure");
        }

        return $pictures;
    }

    private static function effort(Options $options): Effort
    {
        $packing = $options->value('--packing') ?? Effort::Usual->value;

        return Effort::tryFrom($packing) ?? throw new RuntimeException("“{$packing}” is no way of packing; known are ".implode(
            ', ',
            array_column(Effort::cases(), 'value'),
        ));
    }

    /** What is said of the revision, null where nothing is. */
    private static function footer(Options $options): ?string
    {
        [$revision, $date] = [$options->value('--revision'), $options->value('--date')];
        if ($revision !== null && (mb_strlen($revision) > self::REVISION_LETTERS || ! mb_check_encoding($revision, 'UTF-8'))) {
            throw new RuntimeException('a revision of more than '.self::REVISION_LETTERS.' letters does not go into the heading of a page');
        }
        $day = $date === null ? null : DateTimeImmutable::createFromFormat('!Y-m-d', $date);
        if ($date !== null && (! $day instanceof DateTimeImmutable || $day->format('Y-m-d') !== $date)) {
            throw new RuntimeException("“{$date}” is no date; write it like 2026-03-09");
        }
        $said = [...$revision === null ? [] : ["revision $revision"], ...$day instanceof DateTimeImmutable ? [$day->format('j M Y')] : []];

        return $said === [] ? null : implode(', ', $said);
    }

    /** @param  array<string, string>  $files */
    private static function writeFolder(string $folder, array $files): void
    {
        $folder = rtrim($folder, '/');
        if (file_exists($folder) && ! is_dir($folder)) {
            throw new RuntimeException("$folder is a file; --out needs a folder");
        }
        $parent = dirname($folder);
        if (! is_dir($parent) || ! is_writable($parent)) {
            throw new RuntimeException("$parent is not a folder that can be written to");
        }
        $temporary = $folder.'.new-'.bin2hex(random_bytes(4));
        if (! mkdir($temporary)) {
            throw new RuntimeException("$temporary could not be made");
        }
        foreach ($files as $name => $contents) {
            if (file_put_contents("$temporary/$name", $contents) !== strlen($contents)) {
                self::remove($temporary);
                throw new RuntimeException("$name could not be written; is the disk full?");
            }
        }
        // What a person may have put beside the files is not ours to remove.
        $foreign = is_dir($folder) ? self::others($folder) : [];
        if ($foreign !== []) {
            self::remove($temporary);
            throw new RuntimeException(
                "$folder holds other files (".implode(', ', array_slice($foreign, 0, 3)).'); choose a folder of its own',
            );
        }
        self::remove($folder);
        if (! rename($temporary, $folder)) {
            throw new RuntimeException("$temporary could not be renamed to $folder");
        }
    }

    /** @return list<string> names of files in the folder that this verb does not write */
    private static function others(string $folder): array
    {
        $known = '/^(kit\.json|marking-out\.pdf|templates\.pdf|sheets\.pdf|sheets\.dxf|cutlist\.csv|model\.obj|sheet-\d+\.(svg|plt))$/D';

        return array_values(array_filter(self::names($folder), static fn (string $name): bool => preg_match($known, $name) !== 1));
    }

    /** @return list<string> */
    private static function names(string $folder): array
    {
        $names = scandir($folder);

        return $names === false ? [] : array_values(array_diff($names, ['.', '..']));
    }

    private static function remove(string $folder): void
    {
        if (is_dir($folder)) {
            foreach (self::names($folder) as $name) {
                unlink("$folder/$name");
            }
            rmdir($folder);
        }
    }

    /** @param  list<Check>  $checks */
    private static function hasStop(array $checks): bool
    {
        return array_filter($checks, static fn (Check $c): bool => $c->level === Check::STOP) !== [];
    }
}
