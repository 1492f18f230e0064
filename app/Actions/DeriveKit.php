<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Database;
use App\Models\Building as Saved;
use App\Models\StoredKit;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\BuildingView;
use Chartula\Core\Drawing\PlotView;
use Chartula\Core\Kit\Compare\PrintedPlace;
use Chartula\Core\Kit\Prints;
use Chartula\Core\Labelling\Labels;
use Chartula\Core\Output\Docket;
use Chartula\Core\Output\Thoughts;
use Chartula\Core\Packing\Effort;
use Chartula\Core\PrintedKit;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Recall\Recall;
use Chartula\Core\Sheets\Wanted;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use LogicException;
use PDOException;

/** What a sound building gives, derived once for each text and core version and then kept. */
class DeriveKit
{
    /** @var array<string, string> what this request has answered already, by the text's fingerprint: it is large to fetch again */
    private array $answered = [];

    /** @var array<string, array<string, array{string, string, int, string}>> of each of those its parts, as parts() gives them */
    private array $parts = [];

    /** @var ?array<string, mixed> what the last derivation of this request worked out */
    private ?array $last = null;

    public function __construct(private readonly PackedSheets $packed)
    {
    }

    /**
     * @return string the answer as JSON: kit, dry_fit, plot, view, docket, stages
     *
     * @throws InvalidInput with every fault
     */
    public function execute(Building $building, string $text): string
    {
        $answer = $this->answer($building, $text, []);
        $labels = $this->labels($text);

        return $labels === [] ? $answer : $this->answer($building, $text, $labels);
    }

    /**
     * @param  array<string, string>  $labels  that are on prints, by part
     *
     * @throws InvalidInput
     */
    private function answer(Building $building, string $text, array $labels): string
    {
        $key = $labels === [] ? $text : $text."\n".json_encode($labels, JSON_THROW_ON_ERROR);
        $fingerprint = StoredKit::fingerprint($key);
        $version = self::version();
        $stored = $this->answered[$fingerprint] ?? StoredKit::of($key)->value('answer');
        if (is_string($stored)) {
            return $this->answered[$fingerprint] = $stored;
        }
        $derived = $this->derive($building, $text, $version, $labels);
        // The kit is text already, and most of the answer.
        $rest = json_encode([
            'dry_fit' => $derived->dryFit->toArray(),
            'plot' => PlotView::of($derived->fit, $derived->recall),
            'view' => BuildingView::of($derived->building, $derived->kit),
            'docket' => Docket::of($derived),
            'thoughts' => Thoughts::of($derived),
            'stages' => Docket::stages($derived),
            'card' => Docket::card($derived),
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        $answer = '{"kit":'.$derived->json.','.substr($rest, 1);
        $parts = [];
        foreach ($derived->kit->parts as $part) {
            $parts[$part->part->id] = [$part->cut, $part->print, $part->part->qty(), $part->label];
        }
        $this->parts[$fingerprint] = $parts;
        self::keep([
            'fingerprint' => $fingerprint, 'core_version' => $version, 'answer' => $answer,
            'parts' => json_encode($parts), 'created_at' => now(),
        ]);

        return $this->answered[$fingerprint] = $answer;
    }

    /**
     * The labels that are on prints of the building that is asked for, where its kit would have others.
     *
     * @return array<string, string> by part; none where nothing is printed, or all would be the same
     *
     * @throws InvalidInput
     */
    private function labels(string $text): array
    {
        $building = request()->route('building');
        $printed = $building instanceof Saved ? $building->printedLabels() : [];
        if ($printed === []) {
            return [];
        }
        $fresh = array_map(static fn (array $part): string => $part[3], $this->parts($text));

        return Labels::differ($fresh, $printed) ? $printed : [];
    }

    /**
     * For the next time; where the database takes nothing more, it is worked out anew then.
     *
     * @param  array<string, mixed>  $kit
     */
    private static function keep(array $kit): void
    {
        try {
            // Asked first, since a refusal in the middle of a transaction ends that; a full disk is only found by trying.
            if (DB::transactionLevel() === 0 || DB::scalar("select current_setting('transaction_read_only')") !== 'on') {
                StoredKit::query()->insertOrIgnore($kit);
            }
        } catch (PDOException $e) {
            if (! Database::takesNothing($e)) {
                throw $e;
            }
        }
    }

    /**
     * With what this person's last derivation of this building worked out, most of which an edit leaves as it was; what this one works out
     * is kept for the next.
     *
     * @param  array<string, string>  $labels  that are on prints, by part
     *
     * @throws InvalidInput
     */
    private function derive(Building $building, string $text, string $version, array $labels): Derivation
    {
        $recall = new Recall($this->last ?? self::recall($version)->before());
        $derived = Derivation::of($building, $text, $recall, new Wanted(prints: new Prints($labels)));
        $this->last = $recall->answers();
        $key = self::recallKey();
        if ($key !== null) {
            // After the answer has gone out.
            app()->terminating(static fn (): bool => Cache::put($key, [$version, serialize($recall->answers())], now()->addDay()));
        }

        return $derived;
    }

    /**
     * What this person's last derivation of this building worked out, or of a text that was no building yet: it may have become this one.
     * Nothing where nobody is signed in.
     *
     * @param  array<string, mixed>  $more  that is known of it
     */
    private static function recall(string $version, array $more = []): Recall
    {
        $key = self::recallKey();
        $kept = $key === null ? null : Cache::get($key) ?? Cache::get(self::newKey());
        // Only what the same core wrote can be read back.
        $before = is_array($kept) && ($kept[0] ?? null) === $version && is_string($kept[1] ?? null) ? unserialize($kept[1]) : [];
        /** @var array<string, mixed> $answers */
        $answers = is_array($before) ? $before : [];

        return new Recall($answers + $more);
    }

    private static function recallKey(): ?string
    {
        $person = Auth::id();
        $building = request()->route('building');

        return match (true) {
            $person === null => null,
            $building instanceof Saved => "recall.$person.$building->id",
            default => self::newKey(),
        };
    }

    private static function newKey(): string
    {
        return 'recall.'.Auth::id().'.new';
    }

    /** @throws InvalidInput */
    public function fromText(string $text): string
    {
        // What this request has just answered is not read again.
        $answered = $this->answered[StoredKit::fingerprint($text)] ?? null;

        return $answered !== null && $this->labels($text) === [] ? $answered : $this->execute(BuildingReader::fromText($text), $text);
    }

    /**
     * The kit alone, as it was written.
     *
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    public function kit(string $text): array
    {
        $answer = json_decode($this->fromText($text), true, 512, JSON_THROW_ON_ERROR);

        /** @var array{kit: array<string, mixed>} $answer */
        return $answer['kit'];
    }

    /**
     * What its parts are recognised by, derived anew where it is not kept any more.
     *
     * @return array<string, array{string, string, int, string}> cut, print, number and label by part
     *
     * @throws InvalidInput
     */
    public function parts(string $text): array
    {
        $fingerprint = StoredKit::fingerprint($text);
        $parts = $this->parts[$fingerprint] ?? StoredKit::partsOf($text);
        if ($parts === null) {
            unset($this->answered[$fingerprint]);
            $this->answer(BuildingReader::fromText($text), $text, []);
        }

        return $parts ?? $this->parts[$fingerprint] ?? throw new LogicException('A kit that was just derived has no parts');
    }

    /**
     * @param  ?Effort  $packing  how its sheets are packed: as well as is known where it is null
     *
     * @throws InvalidInput
     */
    public function derivation(string $text, ?Effort $packing = null): Derivation
    {
        return Derivation::of(BuildingReader::fromText($text), $text, ...$this->packing($text, $packing));
    }

    /**
     * The kit as it is printed, unproven: much less work than derivation().
     *
     * @param  ?Effort  $packing  how its sheets are packed: as well as is known where it is null
     *
     * @throws InvalidInput
     */
    public function printed(string $text, ?Effort $packing = null): PrintedKit
    {
        return PrintedKit::of(BuildingReader::fromText($text), ...$this->packing($text, $packing));
    }

    /** @return array{Recall, Wanted} what is known already, and how sheets are packed: what is printed and good stays where it lies */
    private function packing(string $text, ?Effort $asked): array
    {
        $kept = $this->printedPlaces($text);
        $building = request()->route('building');
        $taken = $building instanceof Saved ? $building->printedSheets() : [];
        // What is printed says how it was packed.
        $asked = $kept === [] ? $asked : null;
        $packed = $asked === Effort::Quick ? null : $this->packed->answers($text);
        $effort = $asked ?? ($packed === null ? Effort::Quick : Effort::Thorough);

        return [self::recall(self::version(), $packed ?? []), new Wanted($effort, prints: new Prints($this->labels($text), $kept, $taken))];
    }

    /**
     * Where what has been printed of the building that is asked for, and is still good, lies.
     *
     * @return array<string, PrintedPlace> by id and copy
     *
     * @throws InvalidInput
     */
    public function printedPlaces(string $text): array
    {
        $building = request()->route('building');
        if (! $building instanceof Saved || $building->pieces->isEmpty()) {
            return [];
        }
        $parts = $this->parts($text);
        $places = [];
        foreach ($building->pieces as $piece) {
            $place = $piece->place();
            if ($place !== null && $piece->isGood($parts)) {
                $places["$piece->part#$piece->copy"] = $place;
            }
        }

        return $places;
    }

    private static function version(): string
    {
        return config()->string('chartula.core_version');
    }
}
