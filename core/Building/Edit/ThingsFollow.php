<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Building\FeatureReader;
use Chartula\Core\Measure\LengthFormat;
use stdClass;

/**
 * Things follow what they stand on: one whose wall, corner, opening, floor, track or thing is taken away by an edit goes with it, and a
 * corner that is counted anew is found again between the same walls. Nothing that the edit itself says of a thing is touched.
 */
final readonly class ThingsFollow
{
    public function __construct(private Kinds $kinds)
    {
    }

    public function apply(stdClass $before, stdClass $after): void
    {
        $was = $this->byId(Ruler::listed($before->blocks ?? null), 'block-');
        foreach ($this->byId(Ruler::listed($after->blocks ?? null), 'block-') as $id => $block) {
            if (isset($was[$id])) {
                $this->centre($before, $was[$id], $block);
                $this->block($was[$id], $block);
            }
        }
        $tracks = fn (stdClass $d): array => array_keys($this->byId(
            Ruler::listed(($d->plot ?? null) instanceof stdClass ? $d->plot->tracks ?? null : null),
            'track-',
        ));
        $gone = array_diff($tracks($before), $tracks($after));
        $isGone = fn (stdClass $thing): bool => ($after->plot ?? null) === null && ($before->plot ?? null) !== null
            || in_array(self::on($thing)->track ?? null, $gone, true);
        $this->keep($after, static fn (stdClass $thing): bool => ! $isGone($thing));
    }

    /** What is centred on an opening that is taken away stays where it stood. */
    private function centre(stdClass $document, stdClass $before, stdClass $after): void
    {
        foreach (Ruler::listed($after->features ?? null) as $thing) {
            $on = self::on($thing);
            [$was, $is] = [self::openings($before, $on->edge ?? null), self::openings($after, $on->edge ?? null)];
            if (! in_array($on->over ?? null, $was, true) || in_array($on->over, $is, true)) {
                continue;
            }
            $ruler = Ruler::of($document);
            $from = is_string($on->from ?? null) ? $on->from : '0ft';
            $on->from = LengthFormat::like($from, self::middle($document, $before, $on) + $ruler->read($from));
            unset($on->over);
        }
    }

    /** Where the middle of the opening was on which something is centred, real millimetres from the left end of its wall. */
    private static function middle(stdClass $document, stdClass $before, stdClass $on): float
    {
        foreach (BuildingReader::reading($document)->building->blocks ?? [] as $block) {
            foreach ($block->id === ($before->id ?? null) ? $block->walls : [] as $wall) {
                if ($wall->name === ($on->edge ?? null)) {
                    return FeatureReader::centres($wall)[is_string($on->over) ? $on->over : ''] ?? 0.0;
                }
            }
        }

        return 0.0;
    }

    private function block(stdClass $before, stdClass $after): void
    {
        $old = $this->byId(Ruler::listed($before->features ?? null), 'thing-');
        $edges = [Ruler::edges($before), Ruler::edges($after)];
        $gone = [];
        $isLeft = function (stdClass $thing, string $id) use ($old, $edges, $before, $after, &$gone): bool {
            $was = $old[$id] ?? null;
            // What was said of it just now is its own affair, right or wrong.
            if ($was === null || json_encode(self::on($was)) !== json_encode(self::on($thing))) {
                return true;
            }
            $isLeft = $this->stands($thing, $edges, [$before, $after]) && ! in_array(self::on($thing)->feature ?? null, $gone, true);
            array_push($gone, ...$isLeft ? [] : [$id]);

            return $isLeft;
        };
        // What stands on a thing may be said before that.
        do {
            $count = count($gone);
            $this->keep($after, $isLeft);
        } while (count($gone) > $count);
        $ids = array_keys($this->byId(Ruler::listed($after->features ?? null), 'thing-'));
        $this->keep($after, static function (stdClass $thing) use ($old, $ids): bool {
            $under = self::on($thing)->feature ?? null;

            return ! is_string($under) || ! isset($old[$under]) || in_array($under, $ids, true);
        });
    }

    /**
     * Whether what it stands on is still there; a corner is then counted anew.
     *
     * @param  array{list<string>, list<string>}  $edges  names before and after
     * @param  array{stdClass, stdClass}  $blocks
     */
    private function stands(stdClass $thing, array $edges, array $blocks): bool
    {
        $on = self::on($thing);
        $anchor = ThingEntry::anchorOf($thing, ThingEntry::kindOf($thing, $this->kinds), true);
        if ($anchor === Anchor::Corner && is_int($on->corner ?? null) && $edges[0] !== $edges[1]) {
            $corner = self::sameCorner($edges, $on->corner);
            $on->corner = $corner ?? $on->corner;

            return $corner !== null;
        }
        $isGone = static fn (mixed $name, array $was, array $is): bool => in_array($name, $was, true) && ! in_array($name, $is, true);
        if ($isGone($on->edge ?? null, ...$edges)) {
            return false;
        }
        if ($anchor === Anchor::Openings) {
            [$was, $is] = array_map(static fn (stdClass $b): array => self::openings($b, $on->edge ?? null), $blocks);
            foreach (is_array($on->openings ?? null) ? $on->openings : [] as $opening) {
                if ($isGone($opening, $was, $is)) {
                    return false;
                }
            }
        }
        $storeys = array_map(static fn (stdClass $b): array => array_column(Ruler::listed($b->storeys ?? null), 'id'), $blocks);

        return ! $isGone($on->storey ?? null, ...$storeys);
    }

    /**
     * The corner between two edges of the same names.
     *
     * @param  array{list<string>, list<string>}  $edges
     */
    private static function sameCorner(array $edges, int $corner): ?int
    {
        $between = static fn (array $names, int $at): array => [$names[($at + count($names) - 1) % count($names)], $names[$at] ?? ''];
        foreach (isset($edges[0][$corner]) ? array_keys($edges[1]) : [] as $at) {
            if ($between($edges[0], $corner) === $between($edges[1], $at)) {
                return $at;
            }
        }

        return null;
    }

    /** @return list<string> the ids of the openings of a wall, one by one, as far as the document says them */
    private static function openings(stdClass $block, mixed $edge): array
    {
        $ids = [];
        foreach (Ruler::listed($block->walls ?? null) as $wall) {
            if (($wall->edge ?? null) !== $edge) {
                continue;
            }
            foreach (['openings' => 'o', 'rows' => 'r'] as $list => $letter) {
                foreach (Ruler::listed($wall->{$list} ?? null) as $i => $opening) {
                    $id = is_string($opening->id ?? null) ? $opening->id : $letter.($i + 1);
                    $repeat = ($opening->repeat ?? null) instanceof stdClass ? $opening->repeat->count ?? 1 : 1;
                    $count = $list === 'rows' ? $opening->count ?? 1 : $repeat;
                    for ($k = 1; $k <= (is_int($count) ? min($count, 200) : 1); $k++) {
                        $ids[] = $list === 'rows' ? "$id-$k" : $id.($k === 1 ? '' : "-$k");
                    }
                }
            }
        }

        return $ids;
    }

    /** @param  callable(stdClass, string): bool  $isLeft  of things, with their ids */
    private function keep(stdClass $owner, callable $isLeft): void
    {
        if (! isset($owner->features)) {
            return;
        }
        $things = $this->byId(Ruler::listed($owner->features), 'thing-');
        $left = array_filter($things, static fn (stdClass $thing, string $id): bool => $isLeft($thing, $id), ARRAY_FILTER_USE_BOTH);
        if (count($left) < count($things)) {
            (new ThingEntry($owner, null, $this->kinds))->put(array_values($left));
        }
    }

    private static function on(stdClass $thing): stdClass
    {
        return ($thing->on ?? null) instanceof stdClass ? $thing->on : new stdClass;
    }

    /**
     * @param  list<stdClass>  $all
     * @return array<string, stdClass>
     */
    private function byId(array $all, string $word): array
    {
        $found = [];
        foreach ($all as $i => $one) {
            $found[is_string($one->id ?? null) ? $one->id : $word.($i + 1)] = $one;
        }

        return $found;
    }
}
