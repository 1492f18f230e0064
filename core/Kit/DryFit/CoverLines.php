<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Massing\Surface;
use Chartula\Core\Measure\Tolerance;

/** What lies along the upright lines of one surface: what is wanted of it, the card in its plane, and what the kit says of it. */
final class CoverLines
{
    /** Square cuts part by no more than so many thicknesses. */
    private const SQUARE_CUT = 4.0;

    /** Where a bevelled foot ends over a hip, card is open by no more than this, mm. */
    private const CHIP_MM = 0.25;

    /** What closes a wall stands no further behind its outside than so many times its thickness. */
    private const BEHIND = 2.0;

    /** A hole no wider than this, mm, glue and paint close. */
    private const PINHOLE_MM = 0.2;

    /** A board behind a gap, or a paper over it, is looked for this far apart, mm. */
    private const STEP_MM = 0.5;

    /** @var list<Piece> those near the stretch in hand */
    private array $near = [];

    /** @var list<Piece> */
    private readonly array $pieces;

    private readonly Frame $frame;

    /** @var list<float> of the lines */
    public readonly array $places;

    /** @var list<Region> the card in the plane */
    private readonly array $plates;

    /** @var list<Region> what the kit says is outside, its gaps too */
    private readonly array $told;

    /** @var list<Region> what the kit says is open */
    private readonly array $gaps;

    /** @var list<array{Surface, Vec2}> with where their axes begin in this one's */
    private readonly array $flush;

    /** @var list<Vec3> */
    private array $ways = [];

    /** @var array{array<int, list<Interval>>, array<int, list<Interval>>, array<int, list<Interval>>} card, told and gaps by line */
    private readonly array $crossed;

    /**
     * @param  list<Surface>  $flush
     * @param  list<array{KitShape, Frame, non-empty-list<Vec3>}>  $said
     * @param  array{list<Piece>, list<Piece>}  $pieces  that may lie in its plane, and all that come near it
     */
    public function __construct(private readonly Surface $surface, array $flush, array $said, array $pieces)
    {
        [$card, $this->pieces] = $pieces;
        $this->frame = $surface->frame();
        $this->flush = array_map(fn (Surface $s): array => [$s, $this->frame->project($s->frame()->origin)], $flush);
        $this->plates = Plates::in($this->frame, $card, $surface->kind());
        $told = $gaps = [];
        foreach ($said as [$shape, $frame]) {
            $told[] = new Region(
                $this->drawn($shape->ring('outline'), $frame),
                array_map(fn (Ring $r): Ring => $this->drawn($r, $frame), $shape->rings('holes')),
            );
            foreach ($shape->children('gaps') as $gap) {
                $gaps[] = new Region($this->drawn($gap->ring('outline'), $frame));
            }
        }
        [$this->told, $this->gaps] = [$told, $gaps];
        $this->places = $surface->places($this->plates);
        $this->crossed = [
            Stretches::upright($this->plates, $this->places),
            Stretches::upright($told, $this->places),
            Stretches::upright($gaps, $this->places),
        ];
    }

    /**
     * What is wrong along a line: card missing, card standing out, the kit's word, its gaps.
     *
     * @return array{list<Interval>, list<Interval>, list<Interval>, list<Interval>}
     */
    public function at(int $line): array
    {
        return $this->compared(
            $this->places[$line],
            $this->crossed[0][$line],
            $this->crossed[1][$line],
            $this->crossed[2][$line],
        );
    }

    /** @return array{list<Interval>, list<Interval>, list<Interval>, list<Interval>} the same along any line */
    public function beside(float $x): array
    {
        return $this->compared(
            $x,
            Stretches::upright($this->plates, [$x])[0],
            Stretches::upright($this->told, [$x])[0],
            Stretches::upright($this->gaps, [$x])[0],
        );
    }

    /**
     * @param  list<Interval>  $card
     * @param  list<Interval>  $told
     * @param  list<Interval>  $gaps
     * @return array{list<Interval>, list<Interval>, list<Interval>, list<Interval>}
     */
    private function compared(float $x, array $card, array $told, array $gaps): array
    {
        [$wanted, $either] = $this->wanted($x);
        // Nearly always card ends where the document says, and the kit says the same.
        if ($gaps === [] && max(Stretches::apart($wanted, $card), Stretches::apart($wanted, $told)) <= Tolerance::COVER) {
            return [[], [], [], []];
        }
        $missing = Stretches::without($wanted, $card);

        return [
            $missing,
            Stretches::without(Stretches::touching($card, $wanted), [...$wanted, ...$either]),
            [...Stretches::without($wanted, $told), ...Stretches::without(Stretches::touching($told, $wanted), [...$wanted, ...$either])],
            Stretches::without($gaps, [...$missing, ...$either]),
        ];
    }

    /** @return array{list<Interval>, list<Interval>} where card must be along a line, by all that lie flush, and where it may */
    private function wanted(float $x): array
    {
        $wanted = $either = [];
        foreach ($this->flush as [$surface, $from]) {
            [$its, $free] = $surface->at($x - $from->x);
            array_push($wanted, ...self::moved($its, $from->y));
            array_push($either, ...self::moved($free, $from->y));
        }

        return [Interval::joined($wanted), $either];
    }

    /**
     * What of missing stretches a board right behind them or a paper over them closes, where cards cut square may part.
     *
     * @param  list<Interval>  $missing
     * @return list<Interval>
     */
    public function closed(float $x, array $missing): array
    {
        return array_values(array_filter(
            $missing,
            fn (Interval $s): bool => $s->length() > Tolerance::COVER && $this->isAtEnd($x, $s) && $this->isNarrow($x, $s)
                && $this->isAllClosed($x, $s),
        ));
    }

    /**
     * What of open stretches, no longer than cards cut square may part, is not open any more so little to one side: where a valley
     * ends at a ridge, or three planes meet over a sharp corner, square cuts leave a pinhole, which glue fills.
     *
     * @param  list<Interval>  $open
     * @return list<Interval>
     */
    public function pinholes(float $x, array $open): array
    {
        $holes = [];
        $most = self::SQUARE_CUT * $this->surface->thickness();
        foreach ($open as $stretch) {
            $wide = $stretch->length() <= $most ? [$stretch] : [];
            foreach ($wide === [] ? [] : [-self::PINHOLE_MM / 2.0, self::PINHOLE_MM / 2.0] as $aside) {
                $missing = $this->beside($x + $aside)[0];
                $wide = Stretches::both($wide, Stretches::without($missing, $this->closed($x + $aside, $missing)));
            }
            if ($stretch->length() <= $most && array_filter($wide, self::isSeen(...)) === []) {
                $holes[] = $stretch;
            }
        }

        return $holes;
    }

    private static function isSeen(Interval $stretch): bool
    {
        return $stretch->length() > Tolerance::COVER;
    }

    /** Whether a gap lies where the surface ends, along the line or beside it: in the midst of a card there is none. */
    private function isAtEnd(float $x, Interval $stretch): bool
    {
        foreach ($this->wanted($x)[0] as $wanted) {
            if (min(abs($wanted->from - $stretch->from), abs($wanted->to - $stretch->to)) < Tolerance::COVER) {
                return true;
            }
        }
        foreach ([-1.0, 1.0] as $side) {
            $beside = $this->wanted($x + $side * self::BEHIND * $this->surface->thickness())[0];
            if (array_filter($beside, static fn (Interval $w): bool => $w->contains($stretch->middle())) === []) {
                return true;
            }
        }

        return false;
    }

    /** Whether a gap is no wider than cards cut square may part, along the line or across it. */
    private function isNarrow(float $x, Interval $stretch): bool
    {
        $reveal = $this->surface->reveal($x);
        if ($stretch->length() <= max($reveal, self::CHIP_MM)) {
            return true;
        }
        $wide = [$stretch];
        foreach ($reveal > 0.0 ? [-$reveal, $reveal] : [] as $aside) {
            $wide = Stretches::both($wide, $this->beside($x + $aside)[0]);
        }

        return $reveal > 0.0 && array_filter($wide, static fn (Interval $s): bool => $s->length() > $reveal) === [];
    }

    private function isAllClosed(float $x, Interval $stretch): bool
    {
        $steep = $this->surface->kind() === 'wall' ? 1.0 : $this->frame->normal->z;
        $reach = $stretch->length() + 3.0 * $this->surface->thickness() / $steep;
        $middle = $this->frame->at(new Vec2($x, $stretch->middle()));
        $this->near = array_values(array_filter($this->pieces, static fn (Piece $p): bool => $p->isNearTo($middle, $reach)));
        // Its ends are looked at as near as card may differ unseen.
        $from = $stretch->from + min(Tolerance::COVER, $stretch->length() / 3.0);
        $length = $stretch->length() - 2.0 * ($from - $stretch->from);
        $steps = (int) ceil($length / self::STEP_MM);
        for ($k = 0; $k <= $steps; $k++) {
            if (! $this->isClosed(new Vec2($x, $from + $length * $k / $steps))) {
                return false;
            }
        }

        return true;
    }

    private function isClosed(Vec2 $at): bool
    {
        $start = $this->frame->at($at);
        $deep = $this->surface->thickness();
        if ($this->surface->kind() === 'wall') {
            // Card of a wall lies behind its outside, and paper on it.
            return $this->isHit($start, $this->frame->normal, [-self::BEHIND * $deep, -Tolerance::PLANE]) || $this->isPapered($start);
        }
        // What closes a roof lies over its underside, in the way of whoever looks in, or is the top of its wall.
        foreach ($this->ways() as $way) {
            if ($this->isHit($start, $way, [$way->z === 1.0 ? -$deep : 0.0, 2.0 * $deep / $this->frame->normal->z])) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Vec3> the ways from which a roof is looked at: from above, square to it, and square between it and those beside it */
    private function ways(): array
    {
        if ($this->ways === []) {
            $this->ways = [new Vec3(0.0, 0.0, 1.0), $this->frame->normal];
            foreach ($this->pieces as $piece) {
                $normal = $piece->frame->normal;
                $between = $this->frame->normal->plus($normal);
                if ($piece->part->group === 'roof' && $normal->z > Tolerance::PLANE && $between->length() < 2.0 - Tolerance::EDGE) {
                    $this->ways[] = $between->times(1.0 / $between->length());
                }
            }
        }

        return $this->ways;
    }

    /**
     * Whether there is card somewhere on the way from a place.
     *
     * @param  array{float, float}  $range  from and to, along the way
     */
    private function isHit(Vec3 $start, Vec3 $way, array $range): bool
    {
        $steps = (int) ceil(($range[1] - $range[0]) / self::STEP_MM) * 4;
        for ($k = 0; $k <= $steps; $k++) {
            $place = $start->plus($way->times($range[0] + ($range[1] - $range[0]) * $k / $steps));
            foreach ($this->near as $piece) {
                if (! $piece->part->isPaper() && self::holds($piece, $place, Tolerance::PLANE)) {
                    return true;
                }
            }
        }

        return false;
    }

    private function isPapered(Vec3 $start): bool
    {
        foreach ($this->near as $piece) {
            if (
                $piece->part->isPaper()
                && self::holds($piece, $start->plus($this->frame->normal->times(Tolerance::PLANE)), Tolerance::COVER)
            ) {
                return true;
            }
        }

        return false;
    }

    private static function holds(Piece $piece, Vec3 $place, float $within): bool
    {
        foreach ($piece->facets as $facet) {
            $height = $facet->frame->height($place);
            if ($height < $within && $height > -$facet->thickness - $within) {
                $flat = $facet->frame->project($place);
                if ($facet->face('outside')->contains($flat) || $facet->face('inside')->contains($flat)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param  list<Interval>  $stretches
     * @return list<Interval>
     */
    private static function moved(array $stretches, float $by): array
    {
        return $by === 0.0
            ? $stretches
            : array_map(static fn (Interval $s): Interval => new Interval($s->from + $by, $s->to + $by), $stretches);
    }

    private function drawn(Ring $ring, Frame $from): Ring
    {
        return new Ring(array_map(fn (Vec2 $p): Vec2 => $this->frame->project($from->at($p)), $ring->points));
    }
}
