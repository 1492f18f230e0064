<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Difference\Change;
use Chartula\Core\Building\Difference\DocumentDifference;
use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Field\Node;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use stdClass;

/**
 * Changes to a document, as screens ask for them: setting a field; moving, adding, copying, repeating and removing
 * openings by bricks and courses; blocks, their shapes and what the roof does over their edges; kinds of openings; materials;
 * the plot and the building's place on it; things with a place of their own, which follow what they stand on; what forms do.
 * Works on the document, sound or not, and says what became different.
 */
final readonly class Edits
{
    public const MOST = 200;

    private const OPS = [
        'set', 'move-opening', 'place-opening', 'add-opening', 'add-row', 'copy-opening', 'repeat-opening', 'remove-opening',
        'break-row', 'stand-row',
        ...BlockEdit::OPS,
        ...PlotEdit::OPS,
        ...KindEdit::OPS,
        ...StackEdit::OPS,
        ...FormEdit::OPS,
        ...ThingEdit::OPS,
    ];

    /** @param  list<Change>  $changes  what became different by it */
    private function __construct(
        public stdClass $document,
        public array $changes,
    ) {
    }

    /**
     * @param  stdClass  $document  left as it is
     * @param  mixed  $edits  a list of objects with `op`
     * @param  ?Kinds  $kinds  of things that there are; all that the program knows where nothing is said
     *
     * @throws InvalidInput at edits.N: what cannot be done
     */
    public static function apply(stdClass $document, mixed $edits, ?Kinds $kinds = null): self
    {
        $kinds ??= Kinds::known();
        $before = $document;
        $document = JsonText::decode(JsonText::encode($document));
        $problems = new Problems;
        foreach ((new Node($edits, 'edits', $problems))->items(self::MOST, 1) as $edit) {
            $op = $edit->get('op')?->choice(self::OPS);
            if ($op === null) {
                if ($edit->get('op') === null) {
                    $edit->missing('op');
                }

                continue;
            }
            match (true) {
                $op === 'set' => SetField::apply($document, $edit),
                in_array($op, PlotEdit::OPS, true) => PlotEdit::apply($document, $op, $edit),
                in_array($op, KindEdit::OPS, true) => KindEdit::apply($document, $op, $edit),
                in_array($op, ThingEdit::OPS, true) => ThingEdit::apply($document, $op, $edit, $kinds),
                in_array($op, FormEdit::OPS, true) => FormEdit::apply($document, $op, $edit),
                in_array($op, StackEdit::OPS, true) => StackEdit::apply($document, $op, $edit),
                in_array($op, BlockEdit::OPS, true) => BlockEdit::apply($document, $op, $edit),
                default => OpeningEdit::apply($document, $op, $edit),
            };
        }
        $problems->throwIfAny();
        (new ThingsFollow($kinds))->apply($before, $document);

        return new self($document, DocumentDifference::of($before, $document));
    }
}
