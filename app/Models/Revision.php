<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One state of a building, never changed: its accepted text, and its faults if it has any.
 *
 * @property int $id
 * @property string $building_id
 * @property int $number
 * @property string $client_id
 * @property ?int $author_id
 * @property string $summary
 * @property string $text
 * @property list<array{path: string, code: string, text: string, facts?: array<string, string|int|float>}> $faults
 * @property bool $is_sound
 * @property ?string $name
 * @property ?string $note  what was learnt from it
 * @property 'edit'|'undo'|'redo'|'restore' $kind
 * @property int $stands_for  the revision whose content this one shows, itself where it is new
 * @property ?int $before  the one that was shown before
 * @property list<int> $redo  what redo would bring back, the next first
 * @property ?int $parts_changed
 * @property Carbon $created_at
 */
final class Revision extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = [
        'building_id', 'number', 'client_id', 'author_id', 'summary', 'text', 'document', 'faults', 'is_sound', 'name',
        'note', 'kind', 'stands_for', 'before', 'redo', 'parts_changed',
    ];

    /** @return BelongsTo<Building, $this> */
    public function building(): BelongsTo
    {
        return $this->belongsTo(Building::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'faults' => 'array', 'redo' => 'array', 'is_sound' => 'boolean', 'number' => 'integer',
            'stands_for' => 'integer', 'before' => 'integer', 'parts_changed' => 'integer',
        ];
    }
}
