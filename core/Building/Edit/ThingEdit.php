<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\AtOnePlace;
use Chartula\Core\Building\Feature\Kind;
use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Field\Node;
use Chartula\Core\Measure\LengthFormat;
use stdClass;

/**
 * What screens do to things with a place of their own: adding, moving, copying, repeating and removing them. Those of a block are named by
 * it, those of the plot without.
 */
final readonly class ThingEdit
{
    public const OPS = ['add-thing', 'move-thing', 'copy-thing', 'repeat-thing', 'remove-thing'];

    private const MOST_REPEATS = 50;

    /** Lengths that a step of bricks moves, and those that a step of courses does, by what a thing stands on. */
    private const STEPS = [
        'wall' => [['from', 'to'], ['up']], 'corner' => [[], ['up', 'up_to']], 'slope' => [['from'], ['in']],
        'roof-line' => [['from', 'to'], []], 'track' => [['along'], ['off']],
    ];

    private function __construct(private stdClass $document, private Node $edit, private Kinds $kinds, private Ruler $ruler)
    {
    }

    public static function apply(stdClass $document, string $op, Node $edit, Kinds $kinds): void
    {
        $self = new self($document, $edit, $kinds, Ruler::of($document));
        $entry = $self->entry($op === 'add-thing');
        if ($entry === null) {
            return;
        }
        match ($op) {
            'add-thing' => $self->add($entry),
            'move-thing' => $self->move($entry),
            'copy-thing' => $self->copy($entry),
            'repeat-thing' => $self->repeat($entry),
            default => $self->remove($entry),
        };
    }

    /** @param  bool  $isNew  whether it is still to come */
    private function entry(bool $isNew): ?ThingEntry
    {
        $block = $this->edit->get('block');
        $owner = $block === null ? $this->document : $this->block($block);
        if ($owner === null || $isNew) {
            return $owner === null ? null : new ThingEntry($owner, null, $this->kinds);
        }
        $id = $this->edit->get('id')?->text(32) ?? '';
        // All keep the names that their places gave them: one more takes none of those, and one less leaves them.
        foreach (Ruler::listed($owner->features ?? null) as $i => $thing) {
            $thing->id ??= 'thing-'.($i + 1);
        }
        foreach (Ruler::listed($owner->features ?? null) as $thing) {
            if ($thing->id === $id) {
                return new ThingEntry($owner, $thing, $this->kinds);
            }
        }
        ($this->edit->get('id') ?? $this->edit)->fault('edit.no-such', ['given' => $id]);

        return null;
    }

    private function block(Node $node): ?stdClass
    {
        $id = $node->text(32);
        foreach (Ruler::listed($this->document->blocks ?? null) as $i => $block) {
            if (($block->id ?? 'block-'.($i + 1)) === $id) {
                return $block;
            }
        }
        $node->fault('edit.no-such', ['given' => (string) $id]);

        return null;
    }

    private function add(ThingEntry $list): void
    {
        $this->edit->isObject(['op', 'kind'], ['block', 'on']);
        $name = $this->edit->get('kind')?->text(32) ?? '';
        $kind = $this->kinds->find($name);
        $on = $this->edit->get('on')?->value;
        $thing = (object) [
            'kind' => $name, 'id' => WallEntry::freeId("$name-", $list->all()), 'on' => $on instanceof stdClass ? clone $on : new stdClass,
        ];
        $anchor = ThingEntry::anchorOf($thing, $kind, $list->isOfABlock());
        if ($kind === null || $anchor === null || ! $this->isAnchorOf($anchor, $kind, $list->isOfABlock())) {
            ($this->edit->get('kind') ?? $this->edit)->fault('edit.no-such', ['given' => $name]);

            return;
        }
        foreach ((new ThingPlaces($this->ruler, $list->owner))->usual($anchor, $thing->on, $kind instanceof AtOnePlace) as $key => $value) {
            $thing->on->{$key} ??= $value;
        }
        $list->add($thing);
    }

    private function isAnchorOf(Anchor $anchor, Kind $kind, bool $isOfABlock): bool
    {
        return in_array($anchor, $kind->anchors(), true)
            && in_array($anchor, $isOfABlock ? Anchor::OF_BLOCKS : Anchor::OF_THE_PLOT, true);
    }

    /** By bricks along and courses up, or by so many millimetres on the plot. */
    private function move(ThingEntry $entry): void
    {
        $this->edit->isObject(['op', 'id'], ['block', 'bricks', 'courses', 'by']);
        $on = $entry->on();
        $anchor = $entry->anchor();
        $wall = $this->wallUnder($entry);
        $by = array_map(static fn (Node $n): float => $n->number() ?? 0.0, $this->edit->get('by')?->items(2, 2) ?? []);
        foreach (['bricks', 'courses'] as $i => $unit) {
            $steps = $this->edit->get($unit)?->number() ?? 0.0;
            $keys = self::STEPS[$anchor->value ?? ''][$i] ?? [];
            $off = $steps === 0.0 || $keys === [] ? 0.0 : OpeningEdit::step($this->ruler, $wall, $steps, $unit);
            // At the end of its wall it stops as it is; what is centred on something is counted from that.
            $isCentred = isset($on->over) && $keys !== [] && $keys[0] === 'from';
            $off = $keys === [] ? 0.0 : ($isCentred ? $off : max($off, -$this->ruler->read($on->{$keys[0]} ?? null)));
            foreach ($off === 0.0 ? [] : $keys as $key) {
                $this->shift($on, $key, $off);
            }
        }
        foreach (['at' => Anchor::Floor, 'spot' => Anchor::Ground] as $key => $its) {
            if ($anchor === $its && count($by) === 2 && is_array($on->{$key} ?? null)) {
                $on->{$key} = array_map(
                    fn (mixed $text, float $mm): string => $this->plus(is_string($text) ? $text : '0mm', $mm, $its === Anchor::Ground),
                    array_values($on->{$key}),
                    $by,
                );
            }
        }
        if ($anchor === Anchor::Track && count($by) === 2) {
            $on->along = $this->plus(is_string($on->along ?? null) ? $on->along : '0mm', $by[0], true);
            $on->off = $this->plus(is_string($on->off ?? null) ? $on->off : '0mm', $by[1], true);
        }
    }

    /** An end that is not said stays at the end of the wall, and holds the other there too. */
    private function shift(stdClass $on, string $key, float $off): void
    {
        if (in_array($key, ['from', 'to'], true) && ! isset($on->from) && ! isset($on->to) && ! isset($on->over)) {
            return;
        }
        if (isset($on->{$key}) || ! in_array($key, ['to', 'up_to'], true)) {
            $before = is_string($on->{$key} ?? null) ? $on->{$key} : '0ft';
            $mm = $this->ruler->read($before) + $off;
            $on->{$key} = LengthFormat::like($before, isset($on->over) && $key === 'from' ? $mm : max(0.0, $mm));
        }
    }

    private function plus(string $before, float $mm, bool $isModel): string
    {
        return $isModel
            ? LengthFormat::trimmed($this->ruler->readModel($before) + $mm, 4).'mm'
            : LengthFormat::like($before, $this->ruler->read($before) + $mm);
    }

    /** Above itself or beside itself, or on another wall, where it may stand from the other end. */
    private function copy(ThingEntry $entry): void
    {
        $this->edit->isObject(['op', 'id'], ['block', 'to', 'mirrored']);
        $copy = self::cloned($entry->thing ?? new stdClass);
        $to = $this->edit->get('to') === null ? null : WallEntry::of($this->document, $this->edit->get('to'));
        $list = $entry;
        if ($this->edit->get('to') !== null) {
            if ($to === null || ! $this->onto($copy, $entry, $to)) {
                return;
            }
            $list = new ThingEntry($to->block, null, $this->kinds);
        } else {
            $this->moveOn($entry, $copy->on, 1, null);
        }
        $copy->id = WallEntry::freeId((string) preg_replace('/\d+$/D', '', is_string($copy->id) ? $copy->id : 'thing-'), $list->all());
        $list->add($copy);
    }

    /** Whether it could be put on another wall: as high, and as far from the end that is meant. */
    private function onto(stdClass $copy, ThingEntry $entry, WallEntry $to): bool
    {
        $on = $copy->on instanceof stdClass ? $copy->on : new stdClass;
        $anchor = $entry->anchor();
        if (! in_array($anchor, [Anchor::Wall, Anchor::Openings], true)) {
            $this->edit->get('to')?->fault('edit.no-such', ['given' => $to->name]);

            return false;
        }
        $isMirrored = $this->edit->get('mirrored')?->value === true;
        $places = new ThingPlaces($this->ruler, $entry->owner);
        $on->edge = $to->name;

        $lengths = [$this->ruler->lengthOfWall($entry->owner, $places->edge($entry->on())), $to->length()];

        return match (true) {
            $anchor === Anchor::Openings => $places->onto($on, $to, $this->edit),
            $this->isAtOnePlace($entry) => $places->at($on, $lengths, $this->centreOf($entry), $isMirrored),
            default => $places->along($on, $lengths, $isMirrored),
        };
    }

    /** For one more of it, so many times as far as it is to be; where nothing is said as is usual. */
    private function moveOn(ThingEntry $entry, mixed $on, int $times, ?string $every): void
    {
        $places = new ThingPlaces($this->ruler, $entry->owner);
        if ($entry->anchor() === Anchor::Wall && $this->isAtOnePlace($entry)) {
            $places->beside($on, $times, $every);
        } else {
            $places->aside($entry->anchor(), $on, $times, $every);
        }
    }

    private function isAtOnePlace(ThingEntry $entry): bool
    {
        $kind = $entry->thing->kind ?? null;

        return is_string($kind) && $this->kinds->find($kind) instanceof AtOnePlace;
    }

    /** The middle of the opening that it is centred on, from the left end of its wall; null where it is on none. */
    private function centreOf(ThingEntry $entry): ?float
    {
        $over = $entry->on()->over ?? null;

        $all = $this->ruler->openingsOf($this->wallUnder($entry), $this->document->styles ?? null);

        return is_string($over) ? ($all[$over] ?? null)?->middle() : null;
    }

    private function repeat(ThingEntry $entry): void
    {
        $this->edit->isObject(['op', 'id', 'count', 'every'], ['block']);
        $count = $this->edit->get('count')?->whole(2, self::MOST_REPEATS) ?? 1;
        $every = $this->edit->get('every')?->text(60);
        if ($every === null || $this->ruler->read($every) <= 0.0) {
            $this->edit->get('every')?->fault('length.not-above-zero', ['given' => $every ?? '']);

            return;
        }
        for ($k = 1; $k < $count; $k++) {
            $copy = self::cloned($entry->thing ?? new stdClass);
            $this->moveOn($entry, $copy->on, $k, $every);
            $copy->id = WallEntry::freeId((string) preg_replace('/\d+$/D', '', is_string($copy->id) ? $copy->id : 'thing-'), $entry->all());
            $entry->add($copy);
        }
    }

    private function remove(ThingEntry $entry): void
    {
        $this->edit->isObject(['op', 'id'], ['block']);
        $entry->put(array_values(array_filter($entry->all(), static fn (stdClass $one): bool => $one !== $entry->thing)));
    }

    /** The entry of the wall that it is on, for its courses. */
    private function wallUnder(ThingEntry $entry): stdClass
    {
        foreach (Ruler::listed($entry->owner->walls ?? null) as $wall) {
            if (($wall->edge ?? null) === ($entry->on()->edge ?? null)) {
                return $wall;
            }
        }

        return (object) ['finish' => $entry->isOfABlock() ? Ruler::finishOf($entry->owner) : ''];
    }

    private static function cloned(stdClass $thing): stdClass
    {
        $copy = json_decode((string) json_encode($thing));
        assert($copy instanceof stdClass);
        $copy->on = ($copy->on ?? null) instanceof stdClass ? $copy->on : new stdClass;

        return $copy;
    }
}
