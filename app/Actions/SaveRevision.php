<?php

declare(strict_types=1);

namespace App\Actions;

use App\Changes\Change;
use App\Changes\FixedPartsWouldChange;
use App\Changes\RevisionConflict;
use App\Changes\WorkedChange;
use App\Http\Requests\SaveRevisionRequest;
use App\Models\Building;
use App\Models\Revision;
use App\Models\User;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Kit\Compare\PartChange;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use PDOException;
use stdClass;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/**
 * Appends a revision to a building. A client's id makes a resend whose answer was lost harmless; a save on another base
 * than the current one is refused with both versions. A revision may hold faults; they are stored with it.
 */
final class SaveRevision
{
    /**
     * @var array<string, list<array{path: string, code: string, text: string}>> by the text's fingerprint, what this
     *     request has found already
     */
    private array $found = [];

    public function __construct(
        private readonly DeriveKit $derive,
        private readonly CompareRevisions $compare,
        private readonly MadeParts $made,
    ) {
    }

    /**
     * @throws InvalidInput where the text is no document, or the change cannot be made
     * @throws RevisionConflict where the base is not the current revision
     * @throws FixedPartsWouldChange where it would and the person was not asked
     */
    public function execute(Building $building, User $author, SaveRevisionRequest $asked): Revision
    {
        $ahead = $this->deriveAhead($building, $asked);

        return DB::transaction(function () use ($building, $author, $asked, $ahead): Revision {
            $building = Building::query()->whereKey($building->id)->lockForUpdate()->firstOrFail();
            $known = $building->revisions()->where('client_id', $asked->clientId())->first();
            if ($known !== null) {
                return $known;
            }

            // Revisions never change: on the same one it is the same change.
            $isSame = $ahead !== null && $asked->base() === $building->current;
            $change = $isSame ? $ahead : self::worked($building, $asked->base(), $asked->change());
            if (! $asked->evenFixed()) {
                $this->spareFixed($building, $change);
            }

            return $this->append($building, $author, $asked->clientId(), $change);
        });
    }

    /** The long work is done before the building is held: whoever else saves it meanwhile waits for the short one only. */
    private function deriveAhead(Building $building, SaveRevisionRequest $asked): ?WorkedChange
    {
        if ($asked->base() !== $building->current || $building->revisions()->where('client_id', $asked->clientId())->exists()) {
            return null;
        }
        try {
            $change = self::worked($building, $asked->base(), $asked->change());
            $this->faults($change->document, $change->text);

            return $change;
        } catch (InvalidInput) {
            // Said where it is saved.
            return null;
        }
    }

    /**
     * What a change would give, without saving it.
     *
     * @throws InvalidInput where the change cannot be made
     * @throws RevisionConflict where the base is not the current revision
     */
    public function preview(Building $building, int $base, Change $asked): Revision
    {
        $change = self::worked($building, $base, $asked);
        $faults = $this->faults($change->document, $change->text);

        return $building->latest()->replicate()->forceFill([
            'number' => $base, 'summary' => $change->summary, 'text' => $change->text, 'faults' => $faults,
            'is_sound' => $faults === [], 'created_at' => now(),
        ]);
    }

    public function first(Building $building, User $author, string $clientId, stdClass $document, string $text, string $summary): Revision
    {
        return $this->write($building, $author, $clientId, $document, $text, $summary, []);
    }

    private static function worked(Building $building, int $base, Change $asked): WorkedChange
    {
        if ($base !== $building->current) {
            $was = $building->revisions()->where('number', $base)->first()
                ?? throw InvalidInput::at('base', 'history.no-such', ['given' => $base]);
            throw new RevisionConflict($was, $building->latest(), $asked->on($building, $was), $asked);
        }

        return $asked->on($building, $building->latest());
    }

    /** @throws FixedPartsWouldChange */
    private function spareFixed(Building $building, WorkedChange $change): void
    {
        $before = $building->pieces->where('state', 'fixed')->isEmpty() ? null : $building->lastSound();
        if ($before === null || $this->faults($change->document, $change->text) !== []) {
            return;
        }
        $parts = $this->made->fixedThatWouldBeStale($building, $before->text, $change->text);
        $changes = array_values(
            array_filter(
                $this->compare->parts($before->text, $change->text),
                static fn (PartChange $c): bool => in_array($c->id, $parts, true),
            ),
        );
        if ($changes !== []) {
            throw new FixedPartsWouldChange(array_map(static fn (PartChange $c): array => $c->toArray(), $changes));
        }
    }

    private function append(Building $building, User $author, string $clientId, WorkedChange $change): Revision
    {
        $base = $building->latest();
        $number = $base->number + 1;
        $revision = $this->write($building, $author, $clientId, $change->document, $change->text, $change->summary, [
            'kind' => $change->kind, 'stands_for' => $change->standsFor ?? $number, 'before' => $base->stands_for, 'redo' => $change->redo,
        ]);
        if ($revision->is_sound && $base->is_sound) {
            [$old, $new] = [$this->derive->parts($base->text), $this->derive->parts($revision->text)];
            $revision->update([
                'parts_changed' => count(
                    array_filter(array_keys($old + $new), static fn (string $id): bool => ($old[$id] ?? null) !== ($new[$id] ?? null)),
                ),
            ]);
        }

        return $revision;
    }

    /** @param  array<string, mixed>  $history */
    private function write(
        Building $building,
        User $author,
        string $clientId,
        stdClass $document,
        string $text,
        string $summary,
        array $history,
    ): Revision {
        $faults = $this->faults($document, $text);
        $revision = Revision::query()->create($history + [
            'building_id' => $building->id, 'number' => $building->current + 1, 'client_id' => $clientId, 'author_id' => $author->id,
            'summary' => mb_substr($summary === '' ? 'no change' : $summary, 0, 2000),
            // PostgreSQL's jsonb takes no NUL characters; the accepted text keeps them.
            'text' => $text, 'document' => JsonText::withoutNul(JsonText::encode($document)),
            'faults' => $faults, 'is_sound' => $faults === [],
            'kind' => 'edit', 'stands_for' => $building->current + 1, 'before' => null, 'redo' => [], 'name' => null,
            'parts_changed' => null,
        ]);
        $name = is_string($document->name ?? null) && $document->name !== '' ? $document->name : $building->name;
        $building->update(['current' => $revision->number, 'name' => mb_substr($name, 0, 200)]);
        $building->project()->touch();

        return $revision;
    }

    /**
     * What is wrong with a document. Where the core itself breaks on it that is a fault too: what was written is kept, and what it broke on
     * is noted down for whoever mends it.
     *
     * @return list<array{path: string, code: string, text: string, facts?: array<string, string|int|float>}>
     */
    private function faults(stdClass $document, string $text): array
    {
        return $this->found[hash('xxh128', $text)] ??= $this->tried($document, $text);
    }

    /** @return list<array{path: string, code: string, text: string, facts?: array<string, string|int|float>}> */
    private function tried(stdClass $document, string $text): array
    {
        try {
            $this->derive->execute(BuildingReader::fromDocument($document), $text);
        } catch (InvalidInput $e) {
            return array_map(static fn (Problem $p): array => $p->kept(), $e->problems);
        } catch (Throwable $e) {
            if ($e instanceof PDOException || $e instanceof HttpExceptionInterface) {
                throw $e;
            }
            Log::error('The core broke on a document', ['exception' => $e, 'document' => $text]);

            return [(new Problem('', 'core.broken'))->kept()];
        }

        return [];
    }
}
