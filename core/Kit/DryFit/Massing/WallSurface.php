<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\Stretches;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Recall\Recall;

/** The outside of a wall: from its foot up to the underside of its roof, where no other block stands before it. */
final readonly class WallSurface implements Surface
{
    /** What stands before a wall is looked for so far before it, mm: blocks in line are entered to within less. */
    private const BEFORE_MM = 0.02;

    /** Its own roof is looked for so far behind it. */
    private const BEHIND_MM = 0.0005;

    /** Nothing recedes so fast that its top falls by more than this for each millimetre. */
    private const FALLS = 0.2;

    private const DEEP_MM = 10_000.0;

    /** It is looked at so far apart, mm, and beside all that is upright in it. */
    private const GRID_MM = 1.0;

    /** As they are finished. */
    private Holes $openings;

    /** As large as their card may be cut. */
    private Holes $grown;

    /** Where low relief may have left one, as large. */
    private Holes $perhaps;

    /** @var list<Mass> */
    private array $others;

    private Vec2 $along;

    private Vec2 $out;

    private float $length;

    public function __construct(private Massing $massing, private Face $face)
    {
        $grown = static fn (Ring $r): Ring => Offset::lines($r, array_fill(0, $r->count(), $face->paper));
        $this->openings = new Holes($face->openings);
        $this->grown = new Holes(array_map($grown, $face->openings));
        $this->perhaps = new Holes(array_map($grown, $face->perhaps));
        [$this->along, $this->out, $this->length] = [$face->along(), $face->out(), $face->length()];
        $this->others = $massing->beside($face->mass, (new Ring([$face->from, $face->to]))->bounds());
    }

    public function name(): string
    {
        return $this->face->name;
    }

    public function kind(): string
    {
        return 'wall';
    }

    public function frame(): Frame
    {
        return $this->face->frame();
    }

    public function corners(): array
    {
        return [$this->frame()->origin];
    }

    public function thickness(): float
    {
        return $this->face->thickness;
    }

    public function reveal(float $x): float
    {
        $isAtCorner = $x < $this->face->corners[0] || $x > $this->length - $this->face->corners[1];

        return $isAtCorner ? INF : $this->fall($x);
    }

    /** How much of its top a wall cut square loses where behind it, within its outermost layer, another of its own planes is lower. */
    private function fall(float $x): float
    {
        $place = $this->face->from->plus($this->along->times($x));
        $own = $this->massing->masses[$this->face->mass];
        $over = $own->slopeOver($place->minus($this->out->times(self::BEHIND_MM)));
        $behind = $place->minus($this->out->times($this->face->outer));
        $next = $own->slopeOver($behind);

        return $over === null || $next === null || $over === $next ? 0.0 : max(0.0, $over->height($place) - $next->height($behind));
    }

    public function key(): string
    {
        return Recall::question('', $this->face, $this->massing->key($this->massing->masses[$this->face->mass], $this->others));
    }

    public function places(array $card): array
    {
        $length = $this->length;
        $events = [0.0, $length, $this->face->corners[0], $length - $this->face->corners[1]];
        foreach ([...$this->grown->rings, ...$this->perhaps->rings] as $ring) {
            $box = $ring->bounds();
            array_push($events, $box->x0, $box->x1);
        }
        foreach ([$this->massing->masses[$this->face->mass], ...$this->others] as $mass) {
            foreach ([$mass->ring, ...array_map(static fn (Slope $s): Ring => $s->plan, $mass->slopes)] as $ring) {
                foreach (Stretches::line($ring, $this->face->from, $this->along) as $stretch) {
                    array_push($events, $stretch->from, $stretch->to);
                }
            }
        }

        // What is cut into the card at upright edges, wherever that is.
        foreach ($card as $region) {
            foreach ($region->rings() as $ring) {
                foreach ($ring->points as $i => $p) {
                    array_push($events, ...(abs($ring->point($i + 1)->x - $p->x) < Tolerance::MEET ? [$p->x] : []));
                }
            }
        }

        return Stretches::places($events, new Interval(0.0, $length), self::GRID_MM);
    }

    public function at(float $x): array
    {
        if ($x < 0.0 || $x > $this->length) {
            return [[], []];
        }
        $place = $this->face->from->plus($this->along->times($x));
        $own = $this->massing->masses[$this->face->mass];
        $foot = $this->face->footAt($x);
        $top = $own->height($place, $place->minus($this->out->times(self::BEHIND_MM)));
        $whole = $top > $foot ? [new Interval($foot, $top)] : [];
        $hidden = [];
        // Its own roof may run on over it.
        foreach ([$own, ...$this->others] as $mass) {
            array_push($hidden, ...$this->hidden($mass, $place, $place->plus($this->out->times(self::BEFORE_MM))));
        }
        $behind = $place->minus($this->out->times(self::BEFORE_MM));
        foreach ($this->others as $mass) {
            if ($mass->ring->contains($behind)) {
                // Where two stand flush, the end of one's roof lies between their walls.
                $top = $mass->height($place, $behind);
                $hidden[] = new Interval($top, $top + $mass->over($behind, $this->massing->roof()));
            }
        }
        $cut = $this->grown->at($x);
        $perhaps = $this->perhaps->at($x);
        // Where tops recede, the end of the board round a corner is higher than this wall is by how it falls away there.
        $over = $own->moves !== [] && $this->reveal($x) > 0.0 ? [new Interval($top, $top + self::FALLS * $this->face->thickness)] : [];
        $under = $this->face->isOnGround ? [new Interval($foot - self::DEEP_MM, $foot)] : [];

        return [
            Stretches::without($whole, [...$hidden, ...$cut, ...$perhaps]),
            [...$hidden, ...Stretches::without($cut, $this->openings->at($x)), ...$perhaps, ...$under, ...$over],
        ];
    }

    /**
     * What of an upright line another block hides, with its roof's card.
     *
     * @return list<Interval>
     */
    private function hidden(Mass $mass, Vec2 $place, Vec2 $before): array
    {
        $roof = $this->massing->roof();
        if ($mass->ring->contains($before)) {
            $low = $mass->base < $this->massing->ground() + self::BEFORE_MM ? -self::DEEP_MM : $mass->base;

            return [Interval::between($low, $mass->height($place, $before) + $mass->over($before, $roof))];
        }
        if (! $mass->mayReach($before)) {
            return [];
        }
        foreach ($this->massing->hosts($mass) as $under) {
            $slope = $under->ring->contains($before) ? $mass->slopeOver($before) : null;
            if ($slope !== null) {
                $top = $slope->height($place) + $slope->over($roof);
                $low = $under->height($place, $before);

                return $top > $low ? [new Interval($low, $top)] : [];
            }
        }

        return [];
    }
}
