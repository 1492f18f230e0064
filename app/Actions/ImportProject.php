<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Building;
use App\Models\Piece;
use App\Models\PrintRun;
use App\Models\Project;
use App\Models\Revision;
use App\Models\User;
use Chartula\Core\Bench\MadePiece;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Kit\Compare\PartRecord;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use UnexpectedValueException;
use ZipArchive;

/** Makes a project from such a file. The file is a stranger's: bounded before it is unpacked, and read whole or not at all. */
final readonly class ImportProject
{
    private const MOST_FILES = 20_000;

    private const MOST_BYTES = 256 * 1024 * 1024;

    private const MOST_MANIFEST = 32 * 1024 * 1024;

    public function __construct(private DeriveKit $derive)
    {
    }

    /** @throws InvalidInput where it is no such file, with what is wrong with it */
    public function execute(User $user, string $file): Project
    {
        $zip = new ZipArchive;
        if ($zip->open($file, ZipArchive::RDONLY) !== true) {
            throw InvalidInput::at('', 'archive.no-zip');
        }
        try {
            self::bound($zip);
            $manifest = self::manifest($zip);

            return DB::transaction(function () use ($user, $zip, $manifest): Project {
                $project = $user->projects()->create(['name' => $manifest['name']]);
                foreach ($manifest['buildings'] as $i => $entry) {
                    $this->building($project, $user, $zip, $entry, "buildings.$i");
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

    /** @return array{name: string, buildings: list<array<string, mixed>>} */
    private static function manifest(ZipArchive $zip): array
    {
        $manifest = json_decode(self::entry($zip, 'project.json', self::MOST_MANIFEST), true, 64);
        if (! is_array($manifest) || ($manifest['format'] ?? null) !== ExportProject::FORMAT || ($manifest['version'] ?? null) !== 1) {
            throw InvalidInput::at('project.json', 'archive.no-project', ['wanted' => ExportProject::FORMAT.', version 1']);
        }
        try {
            /** @var array{name: string, buildings: list<array<string, mixed>>} */
            return Validator::validate($manifest, [
                'name' => ['required', 'string', 'max:200'],
                'buildings' => ['present', 'array', 'list', 'max:500'],
                'buildings.*.folder' => ['required', 'string', 'regex:#^buildings/[0-9a-z-]{1,200}$#D'],
                'buildings.*.name' => ['required', 'string', 'max:200'],
                'buildings.*.revisions' => ['required', 'array', 'list', 'min:1', 'max:10000'],
                'buildings.*.revisions.*.number' => ['required', 'integer'],
                'buildings.*.revisions.*.client_id' => ['required', 'uuid'],
                'buildings.*.revisions.*.summary' => ['required', 'string', 'max:2000'],
                'buildings.*.revisions.*.name' => ['present', 'nullable', 'string', 'max:200'],
                'buildings.*.revisions.*.note' => ['sometimes', 'nullable', 'string', 'max:4000'],
                'buildings.*.revisions.*.kind' => ['required', Rule::in(['edit', 'undo', 'redo', 'restore'])],
                'buildings.*.revisions.*.stands_for' => ['required', 'integer', 'min:1', 'max:10000'],
                'buildings.*.revisions.*.before' => ['present', 'nullable', 'integer', 'min:1', 'max:10000'],
                'buildings.*.revisions.*.redo' => ['present', 'array', 'list', 'max:10000'],
                'buildings.*.revisions.*.redo.*' => ['integer', 'min:1', 'max:10000'],
                'buildings.*.revisions.*.parts_changed' => ['present', 'nullable', 'integer', 'min:0'],
                'buildings.*.revisions.*.is_sound' => ['required', 'boolean'],
                'buildings.*.revisions.*.faults' => ['present', 'array', 'list'],
                'buildings.*.revisions.*.at' => ['required', 'date'],
                'buildings.*.prints' => ['present', 'array', 'list', 'max:10000'],
                'buildings.*.prints.*.id' => ['required', 'ulid'],
                'buildings.*.prints.*.client_id' => ['required', 'uuid'],
                'buildings.*.prints.*.revision' => ['required', 'integer', 'min:1'],
                'buildings.*.prints.*.what' => ['required', 'string', 'max:200'],
                'buildings.*.prints.*.pieces' => ['required', 'integer', 'min:0'],
                'buildings.*.prints.*.at' => ['required', 'date'],
                'buildings.*.pieces' => ['present', 'array', 'list', 'max:20000'],
                'buildings.*.pieces.*.part' => ['required', 'string', 'max:200'],
                'buildings.*.pieces.*.copy' => ['required', 'integer', 'min:0', 'max:5000'],
                'buildings.*.pieces.*.state' => ['required', Rule::in(MadePiece::STATES)],
                'buildings.*.pieces.*.print' => ['present', 'nullable', 'ulid'],
                'buildings.*.pieces.*.record' => ['required', 'array'],
                'buildings.*.pieces.*.revision' => ['sometimes', 'nullable', 'integer', 'min:1'],
                'buildings.*.pieces.*.kept' => ['sometimes', 'nullable', 'array', 'list', 'size:2'],
                'buildings.*.pieces.*.kept.*' => ['present', 'nullable', 'string', 'max:100'],
            ]);
        } catch (ValidationException $e) {
            $problems = [];
            foreach ($e->errors() as $path => $texts) {
                $problems[] = new Problem(
                    "project.json.$path",
                    'archive.field',
                    ['what' => strtolower(implode(' ', array_filter((array) $texts, is_string(...))))],
                );
            }
            throw $problems === [] ? $e : new InvalidInput($problems);
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

    /** @param  array<string, mixed>  $entry */
    private function building(Project $project, User $user, ZipArchive $zip, array $entry, string $path): void
    {
        /**
         * @var array{folder: string, name: string, revisions: list<array{number: int, stands_for: int, before: ?int,
         *     redo: list<int>}&array<string, mixed>>, prints: list<array<string, mixed>>, pieces: list<array<string, mixed>>} $entry
         */
        $building = Building::query()->create([
            'project_id' => $project->id,
            'name' => $entry['name'],
            'current' => count($entry['revisions']),
        ]);
        foreach ($entry['revisions'] as $i => $revision) {
            if (
                $revision['number'] !== $i + 1
                || $revision['stands_for'] > $i + 1
                || ($revision['before'] ?? 0) > $i
                || ($revision['redo'] !== [] && max($revision['redo']) > $i)
            ) {
                throw InvalidInput::at("$path.revisions.$i", 'archive.numbers', ['wanted' => $i + 1]);
            }
            $this->revision(
                $building,
                $user,
                $revision,
                self::entry($zip, sprintf('%s/%05d.json', $entry['folder'], $i + 1), JsonText::MOST_BYTES),
                $i + 1 === count($entry['revisions']),
            );
        }
        $this->verifyLastSound($building);
        $prints = [];
        foreach ($entry['prints'] as $print) {
            $run = new PrintRun(
                array_intersect_key($print, array_flip(['client_id', 'revision', 'what', 'pieces'])) + ['building_id' => $building->id],
            );
            $run->setCreatedAt($print['at']);
            $run->save();
            $prints[is_string($print['id']) ? $print['id'] : ''] = $run->id;
        }
        foreach ($entry['pieces'] as $i => $piece) {
            try {
                $record = PartRecord::read((array) $piece['record'])->kept();
            } catch (UnexpectedValueException $e) {
                throw InvalidInput::at("$path.pieces.$i.record", 'archive.field', ['what' => $e->getMessage()]);
            }
            Piece::query()->create([
                'building_id' => $building->id, 'part' => $piece['part'], 'copy' => $piece['copy'],
                'state' => $piece['state'],
                'print_id' => is_string($piece['print']) ? ($prints[$piece['print']] ?? null) : null,
                'record' => $record,
                'revision' => $piece['revision'] ?? null,
                // An empty text is read as none.
                'kept' => is_array($piece['kept'] ?? null)
                    ? array_map(static fn (mixed $v): string => is_string($v) ? $v : '', $piece['kept'])
                    : null,
            ]);
        }
    }

    /** @param  array<string, mixed>  $entry */
    private function revision(Building $building, User $user, array $entry, string $text, bool $isLatest): void
    {
        $document = JsonText::decode($text);
        $revision = new Revision(
            array_intersect_key(
                $entry,
                array_flip([
                    'number', 'client_id', 'summary', 'name', 'note', 'kind', 'stands_for', 'before', 'redo',
                    'parts_changed', 'faults', 'is_sound',
                ]),
            )
                + [
                    'building_id' => $building->id, 'author_id' => $user->id, 'text' => $text,
                    'document' => str_replace('\u0000', '', JsonText::encode($document)),
                ],
        );
        if ($isLatest) {
            // What is shown first is worked out by this core, whatever the file says of it.
            $faults = $this->faults($text);
            $revision->fill(['faults' => $faults, 'is_sound' => $faults === []]);
        }
        $revision->setCreatedAt($entry['at']);
        $revision->save();
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

    /** @return list<array{path: string, code: string, text: string}> */
    private function faults(string $text): array
    {
        try {
            $this->derive->execute(BuildingReader::fromText($text), $text);
        } catch (InvalidInput $e) {
            return array_map(static fn (Problem $p): array => $p->toArray(), $e->problems);
        }

        return [];
    }
}
