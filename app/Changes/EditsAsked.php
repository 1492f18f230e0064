<?php

declare(strict_types=1);

namespace App\Changes;

use App\Models\Building;
use App\Models\Revision;
use App\Models\StoredKit;
use Chartula\Core\Additions;
use Chartula\Core\Building\Difference\DocumentDifference;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use stdClass;

/** Edits made one after the other. */
final readonly class EditsAsked implements Change
{
    /** @param  list<mixed>  $edits  as they were sent */
    public function __construct(private array $edits)
    {
    }

    public function on(Building $building, Revision $base): WorkedChange
    {
        $edits = json_decode((string) json_encode($this->edits, JSON_PRESERVE_ZERO_FRACTION));
        $document = JsonText::decode($base->text);
        $asked = is_array($edits) ? array_values(array_filter($edits, static fn (mixed $e): bool => $e instanceof stdClass)) : [];
        $isWhole = is_array($edits) && count($asked) === count($edits);
        $done = Edits::apply($document, $isWhole ? Additions::placed($document, $asked, self::closes($base)) : $edits);

        return new WorkedChange($done->document, JsonText::encode($done->document), DocumentDifference::summary($done->changes), 'edit');
    }

    /** Whether a revision is sound and its kit goes together, as far as that is kept. */
    private static function closes(Revision $base): ?bool
    {
        $answer = $base->is_sound ? StoredKit::of($base->text)->value('answer') : null;

        return is_string($answer) ? str_contains($answer, '"findings":[]') : ($base->is_sound ? null : false);
    }

    public function toArray(): array
    {
        return ['edits' => $this->edits];
    }
}
