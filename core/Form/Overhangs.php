<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** Finds overhangs of two blocks that run into each other outside both. docs/formulas.md#envelope */
final readonly class Overhangs
{
    /** Two overhangs run into each other where each is above the other by more than this, mm. */
    private const CROSSES = 0.001;

    /**
     * Finds the patches of an overhang beyond the line in which it meets another block's overhang.
     *
     * @return list<Patch>
     */
    public static function stubs(Facet $facet, Solid $own, Solid $solid, float $roof): array
    {
        $stubs = [];
        foreach ($solid->roof->facets as $other) {
            $both = $facet->whole->outline->bounds()->shared($other->whole->outline->bounds()->grown($roof));
            if ($both === null || ! $facet->crosses($other, $both)) {
                continue;
            }
            // How far out the tops of its eaves come.
            $reach = $roof * $other->pitch->sin();
            $its = Offset::patch($other->whole, static fn (string $label): float => $label === 'eaves' ? $reach : 0.0)->outline
                ?? $other->whole->outline;
            $isFree = static fn (Vec2 $at): bool => $facet->whole->outline->contains($at) && $its->contains($at)
                && ! $own->contains($at) && ! $solid->contains($at) && ! $own->isBesideTail($at) && ! $solid->isBesideTail($at);
            $lines = [
                ...self::plain($facet->whole->outline),
                ...self::plain($its),
                ...self::plain($own->ring),
                ...self::plain($solid->ring),
                ...array_merge(...array_map(self::plain(...), [...$own->tails, ...$solid->tails])),
            ];
            $lines = array_values(array_filter(array_map(static fn (Line $l): ?Line => $l->within($both), $lines)));
            foreach (Overlay::patches($lines, $isFree) as $both) {
                $offs = array_map(static fn (Vec2 $p): float => $facet->heightAt($p) - $other->heightAt($p), $both->outline->points);
                if (min($offs) < -self::CROSSES && max($offs) > self::CROSSES) {
                    $meeting = $facet->levelWith($other, $both->outline->bounds());
                    array_push($stubs, ...Overlay::patches([...$meeting, ...$both->lines()],
                        static fn (Vec2 $at): bool => $both->outline->contains($at) && $facet->heightAt($at) < $other->heightAt($at)));
                }
            }
        }

        return $stubs;
    }

    /**
     * Finds the patches of an overhang that have no room above a lower roof coming in under it, whose card is as thick as the
     * roof; they are cut away.
     *
     * @return list<Patch>
     */
    public static function notches(Facet $facet, Solid $own, Solid $solid, float $roof): array
    {
        $notches = [];
        foreach ($facet->whole->outline->bounds()->meets($solid->ring->bounds()) ? $solid->roof->facets : [] as $other) {
            $both = $facet->whole->outline->bounds()->shared($other->whole->outline->bounds());
            // The other's top, and by how much square ends lean into each other.
            $room = $roof / $other->pitch->cos() + $roof * ($other->pitch->sin() + $facet->pitch->sin());
            if ($both === null || ! $facet->mayBeWithin($other, $both, self::CROSSES, $room)) {
                continue;
            }
            $isUnder = static fn (Vec2 $at): bool => $facet->whole->outline->contains($at)
                    && $other->whole->outline->contains($at)
                    && ! $own->contains($at)
                    && ! $own->isBesideTail($at)
                    && ! $solid->isBesideTail($at);
            $lines = [
                ...self::plain($facet->whole->outline),
                ...self::plain($other->whole->outline),
                ...self::plain($own->ring),
                ...array_merge(...array_map(self::plain(...), [...$own->tails, ...$solid->tails])),
            ];
            $under = Overlay::patches(
                array_values(array_filter(array_map(static fn (Line $l): ?Line => $l->within($both), $lines))),
                $isUnder,
            );
            $offs = array_merge(
                ...array_map(
                    static fn (Patch $u): array =>
                        array_map(static fn (Vec2 $p): float => $facet->heightAt($p) - $other->heightAt($p), $u->outline->points),
                    $under,
                ),
            );
            // Where the two cross there is a valley.
            foreach ($offs !== [] && min($offs) > self::CROSSES && min($offs) < $room ? $under : [] as $patch) {
                array_push(
                    $notches,
                    ...Overlay::patches(
                        [...$facet->levelWith($other, $patch->outline->bounds(), $room), ...$patch->lines()],
                        static fn (Vec2 $at): bool =>
                            $patch->outline->contains($at) && $facet->heightAt($at) - $other->heightAt($at) < $room,
                    ),
                );
            }
        }

        return $notches;
    }

    /** @return list<Line> */
    public static function plain(Ring $ring): array
    {
        return array_map(static fn (int $i): Line => new Line($ring->point($i), $ring->point($i + 1), 'open'), array_keys($ring->points));
    }
}
