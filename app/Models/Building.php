<?php

declare(strict_types=1);

namespace App\Models;

use App\Actions\NothingStandsYet;
use App\Rules\WholeNumber;
use Database\Factories\BuildingFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Http\Request;
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
    /** @use HasFactory<BuildingFactory> */
    use HasFactory;

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

    /** @return array<string, string> the label that is on what has been made, by part */
    public function printedLabels(): array
    {
        $labels = [];
        foreach ($this->pieces as $piece) {
            $label = $piece->record['label'] ?? null;
            $labels += is_string($label) && $label !== '' ? [$piece->part => $label] : [];
        }

        return $labels;
    }

    /** @return list<mixed> all of what has been made that sheets and lists depend on */
    public function printed(): array
    {
        return array_values($this->pieces->map(static function (Piece $piece): array {
            $record = $piece->record;

            $known = array_intersect_key($record, ['label' => 0, 'place' => 0, 'cut' => 0, 'print' => 0]);

            return [$piece->part, $piece->copy, $piece->kept, $known];
        })->all());
    }

    /** @return list<int> numbers of sheets that have been printed */
    public function printedSheets(): array
    {
        $numbers = [];
        foreach ($this->pieces as $piece) {
            $place = $piece->place();
            $numbers += $place === null ? [] : [$place->sheet => true];
        }

        return array_keys($numbers);
    }

    public function revision(int $number): Revision
    {
        return $this->revisions()->where('number', $number)->firstOrFail();
    }

    /** The last one that can be derived: what every kit, sheet and drawing is of. */
    public function lastSound(): ?Revision
    {
        return $this->revisions()->where('is_sound', true)->orderByDesc('number')->first();
    }

    /** @throws NothingStandsYet where none can */
    public function lastSoundOrFail(): Revision
    {
        return $this->lastSound() ?? throw new NothingStandsYet;
    }

    /** The revision that a request names as `r`; where it names none, the last sound one. */
    public function asked(Request $request): Revision
    {
        return $request->has('r') ? $this->revision(WholeNumber::read($request->query('r')) ?? 0) : $this->lastSoundOrFail();
    }

    public function latest(): Revision
    {
        return $this->revision($this->current);
    }
}
