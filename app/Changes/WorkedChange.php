<?php

declare(strict_types=1);

namespace App\Changes;

use App\Models\Revision;
use Chartula\Core\Building\Difference\DocumentDifference;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Problem\InvalidInput;
use stdClass;

/** A change worked out against the revision it was made on: what the building would be, and what the history says of it. */
final readonly class WorkedChange
{
    /**
     * @param  'edit'|'undo'|'redo'|'restore'  $kind
     * @param  ?int  $standsFor  the revision whose content it shows again; null where it is new
     * @param  list<int>  $redo  what redo would bring back afterwards
     */
    public function __construct(
        public stdClass $document,
        public string $text,
        public string $summary,
        public string $kind,
        public ?int $standsFor = null,
        public array $redo = [],
    ) {
    }

    /** @throws InvalidInput where the text is no document */
    public static function replacing(Revision $base, string $text): self
    {
        $document = JsonText::decode($text);
        $differences = DocumentDifference::of(JsonText::decode($base->text), $document);

        return new self($document, $text, DocumentDifference::summary($differences), 'edit');
    }

    /**
     * The content of an earlier revision, shown again.
     *
     * @param  'undo'|'redo'  $kind
     * @param  list<int>  $redo
     */
    public static function showing(Revision $target, string $kind, array $redo, string $summary): self
    {
        return new self(JsonText::decode($target->text), $target->text, $summary, $kind, $target->stands_for, $redo);
    }
}
