<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\PrintRunResource;
use App\Http\Resources\RevisionResource;
use App\Models\Building;
use App\Models\Piece;
use App\Models\PrintRun;
use App\Models\Project;
use App\Models\Revision;
use App\Pictures\KeptPictures;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use RuntimeException;
use Throwable;
use ZipArchive;

/** A whole project as one file: what every building is and was, and what has been made of it. docs/formats.md, section 6 */
final readonly class ExportProject
{
    public const FORMAT = 'chartula.project';

    /** @return string the path of a temporary file, for the caller to remove; where it cannot be written none is left */
    public function execute(Project $project): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'project');
        try {
            $this->write($project, $file);
        } catch (Throwable $e) {
            unlink($file);
            throw $e;
        }

        return $file;
    }

    private function write(Project $project, string $file): void
    {
        $zip = new ZipArchive;
        if ($zip->open($file, ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException('The archive could not be begun');
        }
        $buildings = [];
        foreach ($project->buildings()->reorder('id')->with('pieces')->get() as $i => $building) {
            $folder = rtrim(sprintf('buildings/%02d-%s', $i + 1, Str::slug($building->name)), '-');
            $buildings[] = $this->building($building, $folder, $zip);
        }
        $pictures = KeptPictures::of($project);
        foreach (self::pictures($project) as $sha256) {
            $jpeg = $pictures->jpeg($sha256);
            $jpeg === null ? null : $zip->addFromString("papers/$sha256.jpg", $jpeg);
        }
        $zip->addFromString(
            'project.json',
            json_encode(
                ['format' => self::FORMAT, 'version' => 1, 'name' => $project->name, 'buildings' => $buildings],
                JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            ),
        );
        if (! $zip->close()) {
            throw new RuntimeException('The archive could not be written');
        }
    }

    /** @return list<string> those that any state of any of its buildings names, by their SHA-256 */
    private static function pictures(Project $project): array
    {
        $named = DB::table('revisions')->join('buildings', 'buildings.id', '=', 'revisions.building_id')
            ->where('buildings.project_id', $project->id)
            ->crossJoin(DB::raw("lateral jsonb_path_query(revisions.document, '$.papers[*].sha256') as named(sha256)"))
            ->distinct()->selectRaw("named.sha256 #>> '{}' as sha256")->pluck('sha256')->all();

        return array_values(array_filter($named, is_string(...)));
    }

    /** @return array<string, mixed> */
    private function building(Building $building, string $folder, ZipArchive $zip): array
    {
        $revisions = [];
        foreach ($building->revisions()->orderBy('number')->lazy(50) as $revision) {
            assert($revision instanceof Revision);
            $zip->addFromString(sprintf('%s/%05d.json', $folder, $revision->number), $revision->text);
            $revisions[] = RevisionResource::make($revision)->resolve()
                + [
                    'client_id' => $revision->client_id, 'stands_for' => $revision->stands_for,
                    'before' => $revision->before, 'redo' => $revision->redo,
                    'faults' => array_map(static fn (array $f): array => array_diff_key($f, ['facts' => true]), $revision->faults),
                ];
        }
        $prints = $building->prints()->orderBy('created_at')->get();

        return [
            'folder' => $folder, 'name' => $building->name, 'revisions' => $revisions,
            'prints' => $prints->map(
                static fn (PrintRun $p): array => ['id' => $p->id, 'client_id' => $p->client_id] + PrintRunResource::make($p)->resolve(),
            )
                ->values()
                ->all(),
            'pieces' => $building->pieces
                ->map(
                    static fn (Piece $p): array =>
                        [
                            'part' => $p->part, 'copy' => $p->copy, 'state' => $p->state, 'print' => $p->print_id, 'record' => $p->record,
                            'revision' => $p->revision, 'kept' => $p->kept,
                        ],
                )
                ->values()
                ->all(),
        ];
    }
}
