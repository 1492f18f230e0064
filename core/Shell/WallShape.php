<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;
use LogicException;

/** The outline of a piece of wall with its doors let into the foot, and its other openings as holes. */
final readonly class WallShape
{
    /**
     * @param  list<string>  $labels  of each edge of the outline, as WallSection has them; `opening` at doors
     * @param  list<Ring>  $holes
     * @param  array<string, int>  $holeOf  the index of an opening's hole, by the opening's id
     * @param  list<OpeningForm>  $openings  that stand in this piece
     * @param  Ring  $whole  as if there were none
     */
    private function __construct(
        public Outline $outline,
        public array $labels,
        public array $holes,
        public array $holeOf,
        public array $openings,
        public Ring $whole,
    ) {
    }

    /**
     * @param  list<OpeningForm>  $openings  of the wall
     * @param  callable(OpeningForm): float  $grow  by how much each is larger than finished
     * @param  Edge  $left  what the ends at the corners are
     */
    public static function of(Patch $patch, array $openings, callable $grow, Edge $left, Edge $right): self
    {
        $openings = self::openingsIn($patch, $openings);
        $doors = array_values(array_filter($openings, static fn (OpeningForm $o): bool => $o->reachesFoot()));
        $walk = [];
        $n = $patch->outline->count();
        $first = self::first($patch);
        for ($k = 0; $k < $n; $k++) {
            $i = ($first + $k) % $n;
            [$from, $to] = [$patch->outline->point($i), $patch->outline->point($i + 1)];
            $label = $patch->labels[$i];
            $at = $from;
            if ($label === 'foot') {
                foreach ($doors as $door) {
                    if ($door->left >= $from->x && $door->right() <= $to->x) {
                        $walk[] = [$at, new Edge('foot', 'foot'), 'foot'];
                        array_push($walk, ...self::notch($door, $grow($door)));
                        $at = new Vec2($door->right() + $grow($door), 0.0);
                    }
                }
            }
            $isBehind = self::isBehind($label, $patch->labels[($i + $n - 1) % $n], $patch->labels[($i + 1) % $n]);
            $walk[] = [$at, $isBehind ? new Edge('top', 'clearance') : self::edge($label, $from, $to, $left, $right), $label];
        }
        $walk = self::distinct($walk);
        $holes = [];
        $holeOf = [];
        foreach ($openings as $opening) {
            if (! $opening->reachesFoot()) {
                $holeOf[$opening->id] = count($holes);
                $holes[] = $opening->ring($grow($opening));
            }
        }

        return new self(
            new Outline(new Ring(array_column($walk, 0)), array_column($walk, 1)),
            array_column($walk, 2),
            $holes,
            $holeOf,
            $openings,
            $patch->outline,
        );
    }

    /**
     * With further holes, where what they are for lies in it.
     *
     * @param  list<Ring>  $rings
     */
    public function pierced(array $rings): self
    {
        $isIn = fn (Ring $ring): bool => array_filter($ring->points, fn (Vec2 $p): bool => ! $this->whole->contains($p)) === [];
        $holes = [...$this->holes, ...array_values(array_filter($rings, $isIn))];

        return count($holes) === count($this->holes)
            ? $this
            : new self($this->outline, $this->labels, $holes, $this->holeOf, $this->openings, $this->whole);
    }

    /**
     * With openings that are not open in it, but for some of each.
     *
     * @param  list<OpeningForm>  $openings  that stand in this piece
     * @param  callable(OpeningForm): list<Ring>  $holes
     */
    public function framing(array $openings, callable $holes): self
    {
        $all = array_merge([], ...array_map($holes, $openings));

        return $openings === [] ? $this : new self(
            $this->outline, $this->labels, [...$this->holes, ...$all], $this->holeOf, [...$this->openings, ...$openings], $this->whole,
        );
    }

    /** Its outline alone: doors are part of that. */
    public function plain(): self
    {
        return new self($this->outline, $this->labels, [], [], [], $this->whole);
    }

    /**
     * With bevelled edges; null where nothing would be left of one of them on either face.
     *
     * @param  array{float, float}  $depths  of the card's faces
     * @param  callable(string, float): float  $out  how far out the edges of a label lie at a depth, of the square blank
     */
    public function bevelled(array $depths, callable $out): ?self
    {
        $offsets = [];
        foreach ($depths as $depth) {
            $byLabel = [];
            foreach ($this->labels as $label) {
                $byLabel[$label] ??= $out($label, $depth);
            }
            $offsets[] = array_map(static fn (string $label): float => $byLabel[$label], $this->labels);
        }
        if (array_filter(array_merge(...$offsets), static fn (float $by): bool => abs($by) > Tolerance::SAME) === []) {
            return $this;
        }
        $faces = array_map(fn (array $by): Ring => Offset::lines($this->outline->ring, $by), $offsets);
        foreach ($faces as $face) {
            foreach (array_keys($this->labels) as $edge) {
                if (! Offset::keeps($this->outline->ring, $face, $edge)) {
                    return null;
                }
            }
        }

        return new self(
            new Outline($faces[0], $this->outline->edges, $faces[1]),
            $this->labels,
            $this->holes,
            $this->holeOf,
            $this->openings,
            $this->whole,
        );
    }

    /** With nothing to meet at the edges of a label. */
    public function freed(string $label): self
    {
        $edges = array_map(
            static fn (Edge $edge, string $of): Edge => $of === $label ? new Edge($edge->name, 'clearance') : $edge,
            $this->outline->edges,
            $this->labels,
        );

        return new self(
            new Outline($this->outline->ring, $edges, $this->outline->inside),
            $this->labels,
            $this->holes,
            $this->holeOf,
            $this->openings,
            $this->whole,
        );
    }

    /** Whether a top is of what runs past an inner corner only, where it rises again under the other block's roof. */
    private static function isBehind(string $label, string $before, string $after): bool
    {
        return $label === SideKind::Top->value
            && (Side::isOfKind($before, SideKind::Past) || Side::isOfKind($after, SideKind::Past))
            && (Side::isOfKind($before, SideKind::Plane) || Side::isOfKind($after, SideKind::Plane));
    }

    /**
     * @param  list<OpeningForm>  $openings  of the wall
     * @return list<OpeningForm> those that stand in a piece of it
     */
    public static function openingsIn(Patch $patch, array $openings): array
    {
        return array_values(array_filter($openings, static fn (OpeningForm $o): bool => $patch->outline->contains(
            new Vec2(($o->left + $o->right()) / 2.0, ($o->sill + $o->top()) / 2.0),
        )));
    }

    /** The side to begin at: the foot, furthest left; without a foot the lowest corner. */
    private static function first(Patch $patch): int
    {
        $best = 0;
        $least = [2, INF, INF];
        foreach ($patch->outline->points as $i => $p) {
            $rank = [$patch->labels[$i] === 'foot' ? 0 : 1, $patch->labels[$i] === 'foot' ? 0.0 : $p->y, $p->x];
            if ($rank < $least) {
                [$best, $least] = [$i, $rank];
            }
        }

        return $best;
    }

    private static function edge(string $label, Vec2 $from, Vec2 $to, Edge $left, Edge $right): Edge
    {
        $rises = $to->y - $from->y;

        return match (Side::of($label)->kind) {
            SideKind::Foot => new Edge('foot', 'foot'),
            SideKind::Left => $left,
            SideKind::Right => $right,
            // No slope is cut over so short a top.
            SideKind::Plane => new Edge(
                abs($rises) < Tolerance::FIGURE ? 'rake' : ($rises > 0.0 ? 'rake-right' : 'rake-left'),
                $from->distanceTo($to) > Tolerance::PASSING ? null : 'clearance',
            ),
            SideKind::On, SideKind::Atop => new Edge('stands'),
            SideKind::Open => new Edge('tip', 'clearance'),
            SideKind::Wall => new Edge('against'),
            SideKind::Party => new Edge('beside', 'clearance'),
            SideKind::Past => new Edge('past the corner', 'clearance'),
            SideKind::Under => new Edge('under', 'clearance'),
            SideKind::Rim => new Edge('top', 'top'),
            SideKind::Top, SideKind::Opening => new Edge(Side::of($label)->kind->value),
            SideKind::Eaves, SideKind::Verge, SideKind::Deck, SideKind::Cut, SideKind::Pierced,
            SideKind::Over, SideKind::Clear, SideKind::Beneath, SideKind::Beside, SideKind::Within, SideKind::Below
                => throw new LogicException("A wall has no side “{$label}”"),
        };
    }

    /**
     * @param  list<array{Vec2, Edge, string}>  $walk
     * @return non-empty-list<array{Vec2, Edge, string}>
     */
    private static function distinct(array $walk): array
    {
        $kept = [];
        foreach ($walk as $i => $entry) {
            if ($entry[0]->distanceTo($walk[($i + 1) % count($walk)][0]) > 0.00001) {
                $kept[] = $entry;
            }
        }
        assert($kept !== []);

        return $kept;
    }

    /** @return list<array{Vec2, Edge, string}> up the left jamb, over the head, down the right jamb */
    private static function notch(OpeningForm $opening, float $grow): array
    {
        $shape = $opening->shape;
        $by = new Vec2($opening->left, $opening->sill);
        $head = array_reverse($shape->head($shape->width + $grow, -$grow, $grow));
        $walk = [[new Vec2($opening->left - $grow, 0.0), new Edge($opening->id.'-jamb-left', 'opening'), 'opening']];
        foreach ($head as $i => $point) {
            $walk[] = [
                $point->plus($by),
                new Edge($i === count($head) - 1 ? $opening->id.'-jamb-right' : $opening->id.'-head', 'opening'),
                'opening',
            ];
        }

        return $walk;
    }
}
