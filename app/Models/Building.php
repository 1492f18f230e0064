<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * @property string $id
 * @property string $project_id
 * @property string $name
 * @property int $current
 * @property Carbon $updated_at
 * @property-read Project $project
 * @property-read Collection<int, Piece> $pieces
 */
final class Building extends Model
{
    use HasUlids;

    protected $fillable = ['project_id', 'name', 'current'];

    /** @return BelongsTo<Project, $this> */
    public function project(): BelongsTo
    {
        return $this->belongsTo(Project::class);
    }

    /** @return HasMany<Revision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(Revision::class);
    }

    /** @return HasMany<Piece, $this> */
    public function pieces(): HasMany
    {
        return $this->hasMany(Piece::class)->orderBy('id');
    }

    /** @return HasMany<PrintRun, $this> */
    public function prints(): HasMany
    {
        return $this->hasMany(PrintRun::class);
    }

    public function revision(int $number): Revision
    {
        return $this->revisions()->where('number', $number)->firstOrFail();
    }

    /** The last one that can be derived. */
    public function sound(): ?Revision
    {
        return $this->revisions()->where('is_sound', true)->orderByDesc('number')->first();
    }

    public function latest(): Revision
    {
        return $this->revision($this->current);
    }
}
