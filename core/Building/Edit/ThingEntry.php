<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Kind;
use Chartula\Core\Building\Feature\Kinds;
use stdClass;

/** A thing with a place of its own in a document that is edited, and the list that it stands in. */
final readonly class ThingEntry
{
    /**
     * @param  stdClass  $owner  a block, or the document itself
     * @param  ?stdClass  $thing  null where one is still to come
     */
    public function __construct(public stdClass $owner, public ?stdClass $thing, private Kinds $kinds)
    {
    }

    /** @return list<stdClass> all that stand in the list */
    public function all(): array
    {
        return Ruler::listed($this->owner->features ?? null);
    }

    /** @param  list<stdClass>  $things */
    public function put(array $things): void
    {
        if ($things === []) {
            unset($this->owner->features);
        } else {
            $this->owner->features = $things;
        }
    }

    public function add(stdClass $thing): void
    {
        $this->put([...$this->all(), $thing]);
    }

    /** Where it is, as the document says it. */
    public function on(): stdClass
    {
        $on = $this->thing->on ?? null;

        return $on instanceof stdClass ? $on : new stdClass;
    }

    public function kind(): ?Kind
    {
        return self::kindOf($this->thing, $this->kinds);
    }

    public static function kindOf(?stdClass $thing, Kinds $kinds): ?Kind
    {
        $name = $thing->kind ?? null;

        return is_string($name) ? $kinds->find($name) : null;
    }

    /** On what it stands: what it says, or else the first that its kind may have in such a list. */
    public function anchor(): ?Anchor
    {
        return self::anchorOf($this->thing, $this->kind(), $this->isOfABlock());
    }

    public function isOfABlock(): bool
    {
        return ! isset($this->owner->blocks);
    }

    public static function anchorOf(?stdClass $thing, ?Kind $kind, bool $isOfABlock): ?Anchor
    {
        $said = ($thing->on ?? null) instanceof stdClass ? $thing->on->anchor ?? null : null;
        if (is_string($said)) {
            return Anchor::tryFrom($said);
        }
        foreach ($kind?->anchors() ?? [] as $anchor) {
            if (in_array($anchor, $isOfABlock ? Anchor::OF_BLOCKS : Anchor::OF_THE_PLOT, true)) {
                return $anchor;
            }
        }

        return null;
    }
}
