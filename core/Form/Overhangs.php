<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

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
                ...$own->roots(), ...$solid->roots(),
            ];
            $lines = array_values(array_filter(array_map(static fn (Line $l): ?Line => $l->within($both), $lines)));
            foreach (Overlay::patches($lines, $isFree) as $both) {
                $offs = array_map(static fn (Vec2 $p): float => $facet->heightAt($p) - $other->heightAt($p), $both->outline->points);
                if (min($offs) < -self::CROSSES && max($offs) > self::CROSSES) {
                    $meeting = $facet->levelWith($other, $both->outline->bounds());
                    array_push($stubs, ...Overlay::patches([...$meeting, ...$both->lines()],
                        static fn (Vec2 $at): bool => $both->outline->contains($at) && $facet->heightAt($at) < $other->heightAt($at)));
                } elseif (min($offs) > -self::CROSSES && max($offs) < self::CROSSES) {
                    array_push($stubs, ...self::beyond($both, $other, $own, $solid));
                } elseif (max($offs) < self::CROSSES && self::foldsAway($both, $offs, [$own, $solid])) {
                    $stubs[] = $both;
                }
            }
        }

        return $stubs;
    }

    /**
     * What of an overhang that lies in one plane with another's is beyond a wall at which the blocks stand against each other: on
     * that wall's line they meet in a seam. Where they do not stand so, the first has it.
     *
     * @return list<Patch>
     */
    private static function beyond(Patch $both, Facet $other, Solid $own, Solid $solid): array
    {
        $shared = array_values(array_filter(
            array_keys($own->ring->points),
            static fn (int $edge): bool => $solid->standsAgainst($own->ring->point($edge), $own->ring->point($edge + 1)),
        ));
        if ($shared === []) {
            return $own->index > $solid->index ? [$both] : [];
        }
        $seams = array_map(
            static function (int $edge) use ($own, $other): Line {
                [$a, $b] = [$own->ring->point($edge), $own->ring->point($edge + 1)];

                return new Line($a->plus($a->minus($b)), $b->plus($b->minus($a)), Side::plane($other->id()));
            },
            $shared,
        );

        return Overlay::patches([...$seams, ...$both->lines()], static function (Vec2 $at) use ($both, $own, $shared): bool {
            $isBeyond = array_filter($shared, static fn (int $edge): bool => $own->behind($edge, $at) < 0.0) !== [];

            return $isBeyond && $both->outline->contains($at);
        });
    }

    /**
     * Whether an overhang comes out of another from a line on, and lies below it: round a hip that the other goes on past.
     *
     * @param  list<float>  $offs  by how much it is higher at its corners
     * @param  non-empty-list<Solid>  $solids
     */
    private static function foldsAway(Patch $both, array $offs, array $solids): bool
    {
        foreach ($both->lines() as $i => $line) {
            if (max(abs($offs[$i]), abs($offs[($i + 1) % count($offs)])) < self::CROSSES) {
                $middle = $line->from->plus($line->to)->times(0.5);

                return min(array_map(static fn (Solid $s): float => $s->ring->distanceTo($middle), $solids)) > Tolerance::PLANE;
            }
        }

        return false;
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
                ...$own->roots(), ...$solid->roots(),
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

    /**
     * Finds where a square-cut eaves, which leans out of its plane, would come into the card of another block's overhang or eaves.
     *
     * @return list<Patch>
     */
    public static function leans(Facet $facet, Solid $own, Solid $solid, float $roof): array
    {
        $leans = [];
        $reach = static fn (Facet $f): callable => static fn (string $label): float => $label === 'eaves' ? $roof * $f->pitch->sin() : 0.0;
        $whole = Offset::patch($facet->whole, $reach($facet))->outline ?? $facet->whole->outline;
        foreach ($whole->bounds()->meets($solid->ring->bounds()->grown($roof)) ? $solid->roof->facets : [] as $other) {
            $its = Offset::patch($other->whole, $reach($other))->outline ?? $other->whole->outline;
            $both = $whole->bounds()->shared($its->bounds());
            [$above, $below] = [$roof / $other->pitch->cos(), -$roof / $facet->pitch->cos()];
            if ($both === null || ! $facet->mayBeWithin($other, $both, $below, $above)) {
                continue;
            }
            $lines = [
                ...self::plain($whole),
                ...self::plain($facet->whole->outline),
                ...self::plain($its),
                ...self::plain($other->whole->outline),
                ...self::plain($own->ring),
                ...self::plain($solid->ring),
                ...$facet->levelWith($other, $both, $above),
                ...$facet->levelWith($other, $both, $below),
            ];
            array_push($leans, ...Overlay::patches(
                array_values(array_filter(array_map(static fn (Line $l): ?Line => $l->within($both), $lines))),
                static function (Vec2 $at) use ($whole, $facet, $its, $own, $solid, $other, $above, $below): bool {
                    $higher = $facet->heightAt($at) - $other->heightAt($at);
                    // Of two eaves that lean into each other the first is cut.
                    $isMine = $own->index < $solid->index || $other->whole->outline->contains($at);

                    return $isMine && $higher > $below && $higher < $above
                        && $whole->contains($at) && ! $facet->whole->outline->contains($at)
                        && $its->contains($at) && ! $own->contains($at) && ! $solid->contains($at)
                        && ! $own->isBesideTail($at) && ! $solid->isBesideTail($at);
                },
            ));
        }

        return $leans;
    }

    /** @return list<Line> */
    public static function plain(Ring $ring): array
    {
        return array_map(
            static fn (int $i): Line => new Line($ring->point($i), $ring->point($i + 1), SideKind::Open->value),
            array_keys($ring->points),
        );
    }
}
