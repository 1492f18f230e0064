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
    /** Where a bevelled foot ends over a hip, card is open by no more than this, mm. */
    private const CHIP_MM = 0.25;

    /** A gap lies at the end of a surface where so many thicknesses to one side the surface is no more. */
    private const ASIDE = 2.0;

    /** Only gaps no longer than so many thicknesses are pinholes. */
    private const PINHOLE = 4.0;

    private readonly Frame $frame;

    /** @var list<float> of the lines */
    public readonly array $places;

    /** @var list<Region> what the kit says is outside, its gaps too */
    private readonly array $told;

    /** @var list<Region> what the kit says is open */
    private readonly array $gaps;

    /** @var list<array{Surface, Vec2}> with where their axes begin in this one's */
    private readonly array $flush;

    /** @var array{array<int, list<Interval>>, array<int, list<Interval>>, array<int, list<Interval>>} card, told and gaps by line */
    private readonly array $crossed;

    /**
     * @param  list<Surface>  $flush
     * @param  list<array{KitShape, Frame, non-empty-list<Vec3>}>  $said
     * @param  list<Region>  $plates  the card in its plane
     */
    public function __construct(private readonly Surface $surface, array $flush, array $said, private readonly array $plates)
    {
        $this->frame = $surface->frame();
        $this->flush = array_map(fn (Surface $s): array => [$s, $this->frame->project($s->frame()->origin)], $flush);
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
        $this->places = $surface->places($plates);
        $this->crossed = [
            Stretches::upright($plates, $this->places),
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

    /** @param  list<Interval>  $missing  along a line */
    public function gaps(float $x, array $missing): Gaps
    {
        return new Gaps($x, $missing, array_values(array_filter(
            $missing,
            fn (Interval $s): bool => $s->length() > Tolerance::COVER && $this->isAtEnd($x, $s) && $this->isNarrow($x, $s),
        )));
    }

    /** Whether a gap is so short that, where a valley ends at a ridge or three planes meet over a sharp corner, it may be a pinhole. */
    public function isShort(Interval $gap): bool
    {
        return $gap->length() <= self::PINHOLE * $this->surface->thickness();
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
            $beside = $this->wanted($x + $side * self::ASIDE * $this->surface->thickness())[0];
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
