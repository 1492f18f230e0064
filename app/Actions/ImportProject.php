<?php

declare(strict_types=1);

namespace App\Actions;

use App\Archive\Manifest;
use App\Models\Building;
use App\Models\Piece;
use App\Models\PrintRun;
use App\Models\Project;
use App\Models\Revision;
use App\Models\User;
use App\Pictures\KeepPicture;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Illuminate\Support\Facades\DB;
use ZipArchive;

/**
 * Makes a project from such a file. The file is a stranger's: bounded before it is unpacked, and read whole or not at all.
 *
 * @phpstan-import-type BuildingEntry from Manifest
 * @phpstan-import-type RevisionEntry from Manifest
 */
final readonly class ImportProject
{
    private const MOST_FILES = 20_000;

    private const MOST_BYTES = 256 * 1024 * 1024;

    /** Whoever sent it is told within this, and what was begun is taken back: nobody waits longer for an answer. */
    public const MOST_SECONDS = 50.0;

    /** Revisions are written so many at a time. */
    private const TOGETHER = 200;

    public function __construct(private DeriveKit $derive, private KeepPicture $keep)
    {
    }

    /**
     * How many files are in it.
     *
     * @throws InvalidInput where it is no such file
     */
    public static function count(string $file): int
    {
        $zip = self::opened($file);
        $count = $zip->numFiles;
        $zip->close();

        return $count;
    }

    /** @throws InvalidInput where it is no such file */
    private static function opened(string $file): ZipArchive
    {
        $zip = new ZipArchive;

        return $zip->open($file, ZipArchive::RDONLY) === true ? $zip : throw InvalidInput::at('', 'archive.no-zip');
    }

    /**
     * @param  ?callable(int): void  $told  is called with how many more revisions have been read
     * @param  float  $seconds  within which whoever sent it is told; what was begun is taken back after that
     *
     * @throws InvalidInput where it is no such file, with what is wrong with it
     */
    public function execute(User $user, string $file, ?callable $told = null, float $seconds = self::MOST_SECONDS): Project
    {
        $zip = self::opened($file);
        try {
            self::bound($zip);
            $manifest = Manifest::read(self::entry($zip, 'project.json', Manifest::MOST_BYTES));
            $until = microtime(true) + $seconds;

            return DB::transaction(function () use ($user, $zip, $manifest, $until, $told, $seconds): Project {
                $project = $user->projects()->create(['name' => $manifest->name]);
                $this->pictures($zip, $user);
                foreach ($manifest->buildings as $entry) {
                    $this->building($project, $user, $zip, $entry, static function (
                        int $more,
                        string $folder,
                    ) use ($until, $told, $seconds): void {
                        $told === null ? null : $told($more);
                        if (microtime(true) > $until) {
                            throw InvalidInput::at($folder, 'archive.too-slow', ['seconds' => (int) $seconds]);
                        }
                    });
                }

                return $project;
            });
        } finally {
            $zip->close();
        }
    }

    private static function bound(ZipArchive $zip): void
    {
        if ($zip->numFiles > self::MOST_FILES) {
            throw InvalidInput::at('', 'too-many', ['given' => $zip->numFiles, 'limit' => self::MOST_FILES]);
        }
        $bytes = 0;
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $bytes += (int) ($zip->statIndex($i)['size'] ?? 0);
        }
        if ($bytes > self::MOST_BYTES) {
            throw InvalidInput::at('', 'json.too-long', ['given' => $bytes, 'limit' => self::MOST_BYTES]);
        }
    }

    private static function entry(ZipArchive $zip, string $name, int $most): string
    {
        $stat = $zip->statName($name);
        if ($stat === false) {
            throw InvalidInput::at($name, 'archive.missing');
        }
        if ($stat['size'] > $most) {
            throw InvalidInput::at($name, 'json.too-long', ['given' => $stat['size'], 'limit' => $most]);
        }
        $text = $zip->getFromName($name, $most);

        return $text === false ? throw InvalidInput::at($name, 'archive.missing') : $text;
    }

    /** @throws InvalidInput where one is none, or another than its name says */
    private function pictures(ZipArchive $zip, User $user): void
    {
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $name = (string) $zip->getNameIndex($i);
            if (preg_match('~^papers/([0-9a-f]{64})\.jpg$~D', $name, $found) === 1) {
                $this->keep->adopt($user, $found[1], self::entry($zip, $name, KeepPicture::MOST_BYTES));
            }
        }
    }

    /**
     * @param  BuildingEntry  $entry
     * @param  callable(int, string): void  $read  is called with how many more revisions have been read, and of which folder
     *
     * @throws InvalidInput
     */
    private function building(Project $project, User $user, ZipArchive $zip, array $entry, callable $read): void
    {
        $building = Building::query()->create([
            'project_id' => $project->id,
            'name' => $entry['name'],
            'current' => count($entry['revisions']),
        ]);
        foreach (array_chunk($entry['revisions'], self::TOGETHER) as $revisions) {
            $rows = [];
            foreach ($revisions as $revision) {
                $file = sprintf('%s/%05d.json', $entry['folder'], $revision['number']);
                $isLatest = $revision['number'] === count($entry['revisions']);
                $rows[] = $this->row($building, $user, $revision, $isLatest, $file, self::entry($zip, $file, JsonText::MOST_BYTES));
            }
            Revision::query()->insert($rows);
            $read(count($revisions), $entry['folder']);
        }
        $this->verifyLastSound($building);
        $this->made($building, $entry);
    }

    /**
     * Prints, and pieces as far as they are made.
     *
     * @param  BuildingEntry  $entry
     */
    private function made(Building $building, array $entry): void
    {
        $prints = [];
        foreach ($entry['prints'] as $print) {
            $run = new PrintRun(
                array_intersect_key($print, array_flip(['client_id', 'revision', 'what', 'pieces'])) + ['building_id' => $building->id],
            );
            $run->setCreatedAt($print['at']);
            $run->save();
            $prints[$print['id']] = $run->id;
        }
        foreach ($entry['pieces'] as $piece) {
            Piece::query()->create([
                'building_id' => $building->id, 'part' => $piece['part'], 'copy' => $piece['copy'], 'state' => $piece['state'],
                'print_id' => $prints[$piece['print'] ?? ''] ?? null, 'record' => $piece['record'],
                'revision' => $piece['revision'], 'kept' => $piece['kept'],
            ]);
        }
    }

    /**
     * @param  RevisionEntry  $entry
     * @return array<string, mixed> as the table has it
     *
     * @throws InvalidInput by path in the file
     */
    private function row(Building $building, User $user, array $entry, bool $isLatest, string $file, string $text): array
    {
        try {
            $document = JsonText::decode($text);
        } catch (InvalidInput $e) {
            throw new InvalidInput(array_map(
                static fn (Problem $p): Problem => new Problem($p->path === '' ? $file : "$file.$p->path", $p->code, $p->facts),
                $e->problems,
            ));
        }
        $revision = new Revision(
            array_diff_key($entry, ['at' => true])
                + [
                    'building_id' => $building->id, 'author_id' => $user->id, 'text' => $text,
                    'document' => JsonText::withoutNul(JsonText::encode($document)),
                ],
        );
        if ($isLatest) {
            // What is shown first is worked out by this core, whatever the file says of it.
            $faults = $this->faults($text);
            $revision->fill(['faults' => $faults, 'is_sound' => $faults === []]);
        }
        $revision->setCreatedAt($entry['at']);

        return $revision->getAttributes();
    }

    /** Screens fall back on the last revision without faults, so that one is not taken on trust either. */
    private function verifyLastSound(Building $building): void
    {
        foreach ($building->revisions()->where('is_sound', true)->orderByDesc('number')->lazy(20) as $revision) {
            $faults = $this->faults($revision->text);
            if ($faults === []) {
                return;
            }
            $revision->update(['faults' => $faults, 'is_sound' => false]);
        }
    }

    /** @return list<array{path: string, code: string, text: string, facts: array<string, string|int|float>}> */
    private function faults(string $text): array
    {
        try {
            $this->derive->execute(BuildingReader::fromText($text), $text);
        } catch (InvalidInput $e) {
            return array_map(static fn (Problem $p): array => $p->kept(), $e->problems);
        }

        return [];
    }
}
