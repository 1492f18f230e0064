<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\PrintRunResource;
use App\Models\Building;
use App\Models\Piece;
use App\Models\PrintRun;
use App\Models\Revision;
use Chartula\Core\Bench\MadePiece;
use Chartula\Core\Bench\MadePieces;
use Chartula\Core\Kit\Compare\PartRecord;
use Chartula\Core\Kit\Compare\PrintedPlace;
use Chartula\Core\Kit\Prints;
use Chartula\Core\Packing\Effort;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Sheets\PlacedPart;
use Chartula\Core\Sheets\Sheet;
use Chartula\Core\Sheets\SheetPlan;
use Chartula\Core\Sheets\Wanted;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What has been made of a building, and the marking of it. */
final readonly class MadeParts
{
    public function __construct(private DeriveKit $derive)
    {
    }

    /** @return array<string, mixed> */
    public function shown(Building $building): array
    {
        $revision = $building->lastSoundOrFail();
        $records = $this->records($revision);
        $made = $this->made($building, $records);

        return [
            'revision' => $revision->number,
            'counts' => $made->counts(),
            'pieces' => array_map(static function (MadePiece $piece) use ($records): array {
                $record = $records[$piece->part] ?? $piece->change?->before;

                return [
                    'part' => $piece->part, 'copy' => $piece->copy, 'label' => $record->label ?? '',
                    'name' => $record->name ?? '', 'group' => $record->group ?? '', 'stock' => $record->stock ?? '',
                    'qty' => $record->qty ?? 1, 'state' => $piece->state, 'change' => $piece->differs() ? $piece->change?->toArray() : null,
                    'by' => $piece->by, 'kept' => $piece->isKept,
                ];
            }, $made->pieces),
            'prints' => $building->prints()
                ->orderByDesc('created_at')
                ->orderByDesc('id')
                ->limit(50)
                ->get()
                ->map(static fn (PrintRun $p): PrintRunResource => new PrintRunResource($p))
                ->values(),
        ];
    }

    /**
     * Marks sheets, or the stale pieces, as printed now. Pieces that were made before and are still good stay as they are.
     *
     * @param  'all'|'stale'|list<string>  $which  all, what is stale, or the ids of sheets
     * @param  ?Effort  $packing  how these sheets were packed; as well as is known where it is null
     *
     * @throws InvalidInput where a sheet is not there, or nothing is to be printed
     */
    public function printed(Building $building, string $clientId, string|array $which, ?Effort $packing = null): void
    {
        DB::transaction(function () use ($building, $clientId, $which, $packing): void {
            Building::query()->whereKey($building->id)->lockForUpdate()->firstOrFail();
            if ($building->prints()->where('client_id', $clientId)->exists()) {
                return;
            }
            $revision = $building->lastSoundOrFail();
            $derived = $this->derive->derivation($revision->text, $packing);
            $records = PartRecord::ofKit($derived->serialised());
            // What the kit no longer has is done with once what is stale has been printed.
            $gone = $which === 'stale' ? self::gone($building, $records) : [];
            $plan = $which === 'stale'
                ? SheetPlan::of($derived->building, $derived->kit, $this->stale($building))
                : $derived->printed->plan;
            $keys = self::onSheets($plan, $which);
            if ($keys === [] && $gone === []) {
                throw InvalidInput::at('sheets', 'print.nothing');
            }
            Piece::query()->whereKey($gone)->delete();
            if ($keys === []) {
                return;
            }
            $run = PrintRun::query()->create([
                'building_id' => $building->id, 'client_id' => $clientId, 'revision' => $revision->number,
                'what' => self::what($which), 'pieces' => count($keys),
            ]);
            self::record($building, $run, $records, $keys);
        });
        $building->unsetRelation('pieces');
    }

    /**
     * Takes down what came out of the printer, but for what was made before and is still good.
     *
     * @param  array<string, PartRecord>  $records
     * @param  list<array{string, int, PrintedPlace}>  $keys  parts, copies and places
     */
    private static function record(Building $building, PrintRun $run, array $records, array $keys): void
    {
        $good = [];
        foreach (self::of($records, $building->pieces)->pieces as $piece) {
            $good[$piece->key()] = $piece->state !== null && ! $piece->isStale();
        }
        foreach ($keys as [$part, $copy, $place]) {
            if (! ($good["$part#$copy"] ?? false)) {
                Piece::query()->updateOrCreate(
                    ['building_id' => $building->id, 'part' => $part, 'copy' => $copy],
                    [
                        'state' => 'printed', 'print_id' => $run->id, 'record' => $records[$part]->kept() + ['place' => $place->toArray()],
                        'revision' => $run->revision, 'kept' => null,
                    ],
                );
            }
        }
    }

    /**
     * Marks pieces as so far made; null takes the mark away. A piece that was never marked as printed is taken as the kit
     * has it now.
     *
     * @param  list<array{part: string, copy: int}>  $pieces
     * @param  ?value-of<MadePiece::STATES>  $state
     *
     * @throws InvalidInput at pieces.N where there is no such piece
     */
    public function mark(Building $building, array $pieces, ?string $state): void
    {
        DB::transaction(function () use ($building, $pieces, $state): void {
            Building::query()->whereKey($building->id)->lockForUpdate()->firstOrFail();
            $revision = $building->lastSoundOrFail();
            $records = $this->records($revision);
            foreach ($pieces as $i => ['part' => $part, 'copy' => $copy]) {
                $known = $building->pieces()->where('part', $part)->where('copy', $copy)->first();
                $record = $records[$part] ?? null;
                if ($known === null && ($record === null || $copy >= $record->qty)) {
                    throw InvalidInput::at("pieces.$i", 'piece.no-such', ['given' => $part]);
                }
                if ($state === null) {
                    $known?->delete();
                } elseif ($known !== null) {
                    $known->update(['state' => $state]);
                } else {
                    Piece::query()->create([
                        'building_id' => $building->id, 'part' => $part, 'copy' => $copy, 'state' => $state,
                        'print_id' => null, 'record' => $record?->kept(), 'revision' => $revision->number,
                    ]);
                }
            }
        });
        $building->unsetRelation('pieces');
    }

    /**
     * Keeps pieces as they were made in place of what the kit has now, or no longer does: what a new version of the program made
     * otherwise need not be made again. Once the kit has them otherwise again they are stale again.
     *
     * @param  list<array{part: string, copy: int}>  $pieces
     *
     * @throws InvalidInput at pieces.N where there is no such piece, or where an edit changed it
     */
    public function keep(Building $building, array $pieces, bool $isKept): void
    {
        DB::transaction(function () use ($building, $pieces, $isKept): void {
            Building::query()->whereKey($building->id)->lockForUpdate()->firstOrFail();
            $records = $this->records($building->lastSoundOrFail());
            $made = [];
            foreach ($this->made($building, $records)->pieces as $piece) {
                $made[$piece->key()] = $piece;
            }
            foreach ($pieces as $i => ['part' => $part, 'copy' => $copy]) {
                $piece = $made["$part#$copy"] ?? null;
                if ($piece?->state === null) {
                    throw InvalidInput::at("pieces.$i", 'piece.no-such', ['given' => $part]);
                }
                if ($isKept && $piece->by !== MadePiece::BY_PROGRAM) {
                    throw InvalidInput::at("pieces.$i", 'piece.not-by-program', ['given' => $piece->change->before->name ?? $part]);
                }
                $now = $piece->change?->after;
                $building->pieces()->where('part', $part)->where('copy', $copy)->update([
                    'kept' => $isKept ? json_encode([$now->cut ?? '', $now->print ?? '']) : null,
                ]);
            }
        });
        $building->unsetRelation('pieces');
    }

    /** What is to be made again alone, on sheets of its own with numbers that no printed one has. */
    public function stale(Building $building): Wanted
    {
        $prints = new Prints(sheets: $building->printedSheets());

        return new Wanted(only: $this->toMakeAgain($building), words: 'stale pieces', prints: $prints);
    }

    /** @return list<string> keys of pieces, for a reprint of just those */
    private function toMakeAgain(Building $building): array
    {
        return array_map(
            static fn (MadePiece $p): string => $p->key(),
            self::of($this->records($building->lastSoundOrFail()), $building->pieces)->toMakeAgain(),
        );
    }

    /**
     * A few words for the docket, from fingerprints alone; null where nothing has been made.
     *
     * @return ?array{key: string, over: string, text: string, state: string}
     */
    public function docket(Building $building, string $text): ?array
    {
        $pieces = $building->pieces;
        if ($pieces->isEmpty()) {
            return null;
        }
        $parts = $this->derive->parts($text);
        $stale = $pieces->reject(static fn (Piece $p): bool => $p->isGood($parts))->count();

        return [
            'key' => 'made', 'over' => 'since the last print',
            'text' => $stale === 0 ? "all {$pieces->count()} still good" : $stale.($stale === 1 ? ' piece' : ' pieces').' stale',
            'state' => $stale === 0 ? 'fits' : 'look',
        ];
    }

    /**
     * The parts of pieces that are fixed and good by one text, and would not be by another.
     *
     * @return list<string> ids of parts
     */
    public function fixedThatWouldBeStale(Building $building, string $before, string $after): array
    {
        $fixed = $building->pieces->where('state', 'fixed');
        [$old, $new] = $fixed->isEmpty() ? [[], []] : [$this->derive->parts($before), $this->derive->parts($after)];

        $stale = $fixed->filter(static fn (Piece $p): bool => $p->isGood($old) && ! $p->isGood($new));

        return array_values(array_unique($stale->map(static fn (Piece $p): string => $p->part)->all()));
    }

    /** @return array<string, PartRecord> */
    private function records(Revision $revision): array
    {
        return PartRecord::ofKit($this->derive->kit($revision->text));
    }

    /**
     * @param  array<string, PartRecord>  $records
     * @param  Collection<int, Piece>  $pieces
     */
    private static function of(array $records, Collection $pieces): MadePieces
    {
        $made = [];
        foreach ($pieces as $piece) {
            $made[] = self::entry($piece);
        }

        return MadePieces::of($records, $made);
    }

    /**
     * With what changed each piece that is no longer as the kit has it: an edit, or the program.
     *
     * @param  array<string, PartRecord>  $records
     */
    private function made(Building $building, array $records): MadePieces
    {
        $differ = [];
        foreach (self::of($records, $building->pieces)->pieces as $piece) {
            $differ[$piece->key()] = $piece->differs();
        }
        $made = [];
        foreach ($building->pieces as $piece) {
            $then = $differ["$piece->part#$piece->copy"] && $piece->revision !== null ? $this->then($building, $piece->revision) : null;
            [$cut, $print] = $then[$piece->part] ?? ['', ''];
            $made[] = self::entry($piece) + ['then' => $then === null ? null : [$cut, $print]];
        }

        return MadePieces::of($records, $made);
    }

    /**
     * What the program as it is now makes of a revision; null where that is refused now, or gone.
     *
     * @return ?array<string, array{string, string, int, string}> cut, print and number by part
     */
    private function then(Building $building, int $number): ?array
    {
        $text = $building->revisions()->where('number', $number)->value('text');
        try {
            return is_string($text) ? $this->derive->parts($text) : null;
        } catch (InvalidInput) {
            return null;
        }
    }

    /** @return array{part: string, copy: int, state: value-of<MadePiece::STATES>, record: PartRecord, kept: ?array{string, string}} */
    private static function entry(Piece $piece): array
    {
        return [
            'part' => $piece->part, 'copy' => $piece->copy, 'state' => $piece->state,
            'record' => PartRecord::read($piece->record), 'kept' => $piece->kept,
        ];
    }

    /**
     * @param  array<string, PartRecord>  $records
     * @return list<int> ids of pieces that the kit has no place for any more
     */
    private static function gone(Building $building, array $records): array
    {
        return array_values(
            $building->pieces
                ->filter(static fn (Piece $p): bool => $p->copy >= ($records[$p->part]->qty ?? 0))
                ->map(static fn (Piece $p): int => $p->id)
                ->all(),
        );
    }

    /**
     * What lies on sheets of a plan, and where.
     *
     * @param  'all'|'stale'|list<string>  $which
     * @return list<array{string, int, PrintedPlace}> parts, copies and places
     */
    private static function onSheets(SheetPlan $plan, string|array $which): array
    {
        $known = array_map(static fn (Sheet $s): string => (string) $s->number, $plan->sheets);
        foreach (is_array($which) ? array_diff($which, $known) : [] as $i => $missing) {
            throw InvalidInput::at("sheets.$i", 'print.no-sheet', ['given' => $missing, 'known' => implode(', ', $known)]);
        }
        $keys = [];
        foreach ($plan->sheets as $sheet) {
            if (! is_array($which) || in_array((string) $sheet->number, $which, true)) {
                array_push($keys, ...array_map(static fn (PlacedPart $p): array => [
                    $p->part->part->id, $p->copy,
                    new PrintedPlace($sheet->number, $p->x, $p->y, $p->turn, [$sheet->page->width, $sheet->page->height]),
                ], $sheet->wanted()));
            }
        }

        return $keys;
    }

    /** @param  'all'|'stale'|list<string>  $which */
    private static function what(string|array $which): string
    {
        return match (true) {
            $which === 'all' => 'all sheets',
            $which === 'stale' => 'stale pieces only',
            default => (count($which) === 1 ? 'sheet ' : 'sheets ').implode(', ', $which),
        };
    }
}
