<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Actions\DeriveKit;
use App\Actions\MadeParts;
use App\Models\Building;
use App\Models\Revision;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Drawing\PlotView;
use Chartula\Core\Drawing\Sketch;
use Chartula\Core\Output\FaultWords;
use Chartula\Core\Problem\Problem;
use Illuminate\Http\Response;

/**
 * A building as screens need it: its document and faults as they stand, and what the last sound revision gives, headed
 * with that revision's number.
 */
final readonly class BuildingResource
{
    public function __construct(
        private DeriveKit $derive,
        private MadeParts $made,
    ) {
    }

    public function of(Building $building, Revision $revision, int $status = 200): Response
    {
        $sound = $revision->is_sound
            ? $revision
            : $building->revisions()->where('is_sound', true)->where('number', '<', $revision->number)->orderByDesc('number')->first();
        // Both texts are JSON already; they are put together without being read again.
        $derived = $sound === null ? 'null' : $this->derive->fromText($sound->text);
        $head = json_encode([
            'id' => $building->id, 'project_id' => $building->project_id, 'name' => $building->name,
            'revision' => new RevisionResource($revision), 'derived_from' => $sound?->number, ...self::faulty($revision),
            'history' => self::history($building, $revision),
            'made' => $sound === null ? null : $this->made->docket($building, $sound->text),
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
        $body = substr($head, 0, -1).',"document":'.$revision->text.',"derived":'.$derived.'}';

        return response($body, $status, ['Content-Type' => 'application/json', 'Cache-Control' => 'no-store']);
    }

    /**
     * What is wrong with a revision, in words, and a sketch of it as it is described; nothing of either where it is sound.
     *
     * @return array{faults: list<array<string, mixed>>, sketch: ?array<string, mixed>, plot_sketch: ?array<string, mixed>}
     */
    private static function faulty(Revision $revision): array
    {
        if ($revision->is_sound) {
            return ['faults' => [], 'sketch' => null, 'plot_sketch' => null];
        }
        $document = JsonText::decode($revision->text);
        $building = BuildingReader::reading($document)->building;
        $faults = array_map(static fn (array $f): Problem => new Problem($f['path'], $f['code'], $f['facts'] ?? []), $revision->faults);

        return [
            'faults' => FaultWords::of($document, $revision->faults),
            'sketch' => $building === null ? null : Sketch::of($building, $faults),
            'plot_sketch' => $building === null ? null : PlotView::sketched($building),
        ];
    }

    /**
     * What undo would take back and redo would bring back, in words; null where there is nothing.
     *
     * @return array{undo: ?string, redo: ?string}
     */
    private static function history(Building $building, Revision $revision): array
    {
        $shown = $revision->stands_for === $revision->number ? $revision : $building->revision($revision->stands_for);
        $next = $revision->redo[0] ?? null;

        return [
            'undo' => $shown->before === null ? null : $shown->summary,
            'redo' => $next === null ? null : $building->revision($next)->summary,
        ];
    }
}
