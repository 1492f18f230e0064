<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A set of sheets that came out of the printer.
 *
 * @property string $id
 * @property string $building_id
 * @property string $client_id
 * @property int $revision
 * @property string $what
 * @property int $pieces
 * @property Carbon $created_at
 */
final class PrintRun extends Model
{
    use HasUlids;

    public const UPDATED_AT = null;

    protected $table = 'prints';

    protected $fillable = ['building_id', 'client_id', 'revision', 'what', 'pieces'];
}
