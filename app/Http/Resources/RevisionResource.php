<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Revision;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A revision without its document.
 *
 * @property Revision $resource
 */
final class RevisionResource extends JsonResource
{
    public static $wrap = null;

    /** The columns that it needs. */
    public const COLUMNS = ['number', 'summary', 'name', 'note', 'kind', 'parts_changed', 'is_sound', 'created_at'];

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $revision = $this->resource;

        return [
            'number' => $revision->number,
            'summary' => $revision->summary,
            'name' => $revision->name,
            'note' => $revision->note,
            'kind' => $revision->kind,
            'parts_changed' => $revision->parts_changed,
            'is_sound' => $revision->is_sound,
            'at' => $revision->created_at->toIso8601String(),
        ];
    }
}
