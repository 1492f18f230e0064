<?php

declare(strict_types=1);

namespace App\Changes;

use App\Models\Building;
use App\Models\Revision;
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
        $done = Edits::apply($document, $isWhole ? Additions::placed($document, $asked) : $edits);

        return new WorkedChange($done->document, JsonText::encode($done->document), DocumentDifference::summary($done->changes), 'edit');
    }

    public function toArray(): array
    {
        return ['edits' => $this->edits];
    }
}
