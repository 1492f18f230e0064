<?php

declare(strict_types=1);

namespace App\Changes;

use App\Models\Building;
use App\Models\Revision;
use Chartula\Core\Building\Difference\DocumentDifference;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;

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
        $done = Edits::apply(JsonText::decode($base->text), $edits);

        return new WorkedChange($done->document, JsonText::encode($done->document), DocumentDifference::summary($done->changes), 'edit');
    }

    public function toArray(): array
    {
        return ['edits' => $this->edits];
    }
}
