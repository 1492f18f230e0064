<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Building;
use App\Models\Revision;
use Chartula\Core\Building\Difference\DocumentDifference;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Problem\InvalidInput;
use stdClass;

/** What a person does to a building, worked out against the revision it was done on. */
final readonly class RevisionChange
{
    /**
     * @param  'edit'|'undo'|'redo'|'restore'  $kind
     * @param  ?int  $standsFor  the revision whose content it shows again; null where it is new
     * @param  list<int>  $redo  what redo would bring back afterwards
     */
    private function __construct(
        public stdClass $document,
        public string $text,
        public string $summary,
        public string $kind,
        public ?int $standsFor = null,
        public array $redo = [],
    ) {
    }

    /**
     * @param  array{edits?: array<array-key, mixed>, document?: string, restore?: int, undo?: bool, redo?: bool, even_fixed?: bool}  $asked
     *
     * @throws InvalidInput where the text is no document, an edit cannot be made, or there is nothing to undo
     */
    public static function of(Building $building, Revision $base, array $asked): self
    {
        return match (true) {
            ($asked['undo'] ?? false) === true => self::undo($building, $base),
            ($asked['redo'] ?? false) === true => self::redo($building, $base),
            isset($asked['restore']) => self::restore($building, $base, $asked['restore']),
            isset($asked['document']) => self::document($base, $asked['document']),
            default => self::edits($base, array_values($asked['edits'] ?? [])),
        };
    }

    private static function document(Revision $base, string $text): self
    {
        $document = JsonText::decode($text);

        return new self($document, $text, DocumentDifference::summary(DocumentDifference::of(JsonText::decode($base->text), $document)), 'edit');
    }

    /** @param  list<mixed>  $edits */
    private static function edits(Revision $base, array $edits): self
    {
        // Edits come decoded as arrays; the core reads objects.
        $done = Edits::apply(JsonText::decode($base->text), json_decode((string) json_encode($edits, JSON_PRESERVE_ZERO_FRACTION)));

        return new self($done->document, JsonText::encode($done->document), DocumentDifference::summary($done->changes), 'edit');
    }

    private static function undo(Building $building, Revision $base): self
    {
        $shown = $building->revision($base->stands_for);
        if ($shown->before === null) {
            throw InvalidInput::at('undo', 'history.nothing', ['what' => 'undo']);
        }

        return self::again($base, $building->revision($shown->before), 'undo', [$shown->number, ...$base->redo], "undone: $shown->summary");
    }

    private static function redo(Building $building, Revision $base): self
    {
        $next = $base->redo[0] ?? throw InvalidInput::at('redo', 'history.nothing', ['what' => 'redo']);
        $target = $building->revision($next);

        return self::again($base, $target, 'redo', array_slice($base->redo, 1), "done again: $target->summary");
    }

    /** Going back to an earlier one is something new, which can be undone itself. */
    private static function restore(Building $building, Revision $base, int $number): self
    {
        $target = $building->revisions()->where('number', $number)->first() ?? throw InvalidInput::at('restore', 'history.no-such', ['given' => $number]);
        $words = $target->name === null ? "revision $number" : "“{$target->name}”, revision $number";

        return new self(JsonText::decode($target->text), $target->text, "back to $words", 'restore');
    }

    /**
     * @param  'undo'|'redo'  $kind
     * @param  list<int>  $redo
     */
    private static function again(Revision $base, Revision $target, string $kind, array $redo, string $summary): self
    {
        return new self(JsonText::decode($target->text), $target->text, $summary, $kind, $target->stands_for, $redo);
    }
}
