<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A piece of card or paper that has been made, and the part as it was when it was.
 *
 * @property int $id
 * @property string $building_id
 * @property string $part
 * @property int $copy
 * @property 'printed'|'cut'|'papered'|'fixed' $state  how far it is made
 * @property ?string $print_id
 * @property array<string, mixed> $record
 * @property ?int $revision  of which it was made, where that is known
 * @property ?array{string, string} $kept  the cut and the print in place of which it is kept as it is
 */
final class Piece extends Model
{
    protected $fillable = ['building_id', 'part', 'copy', 'state', 'print_id', 'record', 'revision', 'kept'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['record' => 'array', 'copy' => 'integer', 'revision' => 'integer', 'kept' => 'array'];
    }
}
