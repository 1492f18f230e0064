<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\RevisionResource;
use App\Models\Revision;
use Chartula\Core\Building\Difference\Change;
use Chartula\Core\Building\Difference\DocumentDifference;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Kit\Compare\PartChange;
use Chartula\Core\Kit\Compare\PartRecord;
use Chartula\Core\Output\FaultWords;

/** How two revisions of a building differ. */
final readonly class CompareRevisions
{
    public function __construct(private DeriveKit $derive)
    {
    }

    /** @return array<string, mixed> */
    public function execute(Revision $from, Revision $to): array
    {
        [$a, $b] = [$from->is_sound ? $this->derived($from->text) : null, $to->is_sound ? $this->derived($to->text) : null];

        return [
            'from' => self::side($from, $a['view'] ?? null),
            'to' => self::side($to, $b['view'] ?? null),
            'changes' => array_map(
                static fn (Change $c): array => $c->toArray(),
                DocumentDifference::of(JsonText::decode($from->text), JsonText::decode($to->text)),
            ),
            'parts' => $a === null || $b === null
                ? null
                : array_map(
                    static fn (PartChange $c): array => $c->toArray(),
                    PartChange::all(PartRecord::ofKit($a['kit']), PartRecord::ofKit($b['kit'])),
                ),
        ];
    }

    /**
     * @param  ?array<string, mixed>  $view
     * @return array<string, mixed>
     */
    private static function side(Revision $revision, ?array $view): array
    {
        $faults = FaultWords::of(JsonText::decode($revision->text), $revision->faults);

        return ['revision' => new RevisionResource($revision), 'faults' => $faults, 'view' => $view];
    }

    /**
     * Every part that differs between the kits of two sound texts.
     *
     * @return list<PartChange>
     */
    public function parts(string $before, string $after): array
    {
        return PartChange::all(PartRecord::ofKit($this->derived($before)['kit']), PartRecord::ofKit($this->derived($after)['kit']));
    }

    /** @return array{kit: array<string, mixed>, view: array<string, mixed>} */
    private function derived(string $text): array
    {
        $answer = json_decode($this->derive->fromText($text), true, 512, JSON_THROW_ON_ERROR);

        /** @var array{kit: array<string, mixed>, view: array<string, mixed>} */
        return $answer;
    }
}
