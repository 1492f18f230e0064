<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Stretches;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Recall\Recall;

/** The underside of a roof's plane: over its block, over what hangs out free, and over other blocks as far as it comes out of them. */
final class SlopeSurface implements Surface
{
    /** Card cut square leaves a plane open before a valley for no more than so many thicknesses. */
    private const SQUARE_CUT = 4.0;

    /** It is looked at so far apart, mm, and beside all corners: from one to the next its sides are straight. */
    private const GRID_MM = 2.5;

    /** Between an edge and a place beyond it a roof is looked at in so many places. */
    private const LOOKED_AT = 12;

    private readonly Mass $mass;

    private readonly Frame $frame;

    /** @var list<Mass> */
    private readonly array $others;

    /** @var array<int, array{Ring, float, float}> outlines with how far across they lie, by object */
    private array $across = [];

    /** @param  bool  $isCut  false where it is so narrow that card may be on it or not */
    public function __construct(
        private readonly Massing $massing,
        int $mass,
        private readonly Slope $slope,
        private readonly bool $isCut,
    ) {
        $this->mass = $massing->masses[$mass];
        $this->frame = $slope->frame();
        $boxes = array_filter(array_map(
            static fn (Box2 $box): ?Box2 => $box->shared($slope->plan->bounds()),
            $massing->over($this->mass),
        ));
        $others = [];
        foreach ($boxes as $box) {
            foreach ($massing->beside($mass, $box) as $other) {
                $others[spl_object_id($other)] = $other;
            }
        }
        $this->others = array_values($others);
    }

    public function name(): string
    {
        return $this->mass->block->id.'.'.$this->slope->name.($this->slope->name === 'deck' ? '' : '-slope');
    }

    public function kind(): string
    {
        return 'slope';
    }

    public function frame(): Frame
    {
        return $this->frame;
    }

    public function corners(): array
    {
        return array_map(fn (Vec2 $p): Vec3 => new Vec3($p->x, $p->y, $this->slope->height($p)), $this->slope->plan->points);
    }

    public function thickness(): float
    {
        return $this->massing->roof();
    }

    public function reveal(float $x): float
    {
        return self::SQUARE_CUT * $this->massing->roof();
    }

    public function key(): string
    {
        return Recall::question('', $this->isCut, $this->slope, $this->massing->key($this->mass, $this->others));
    }

    public function places(array $card): array
    {
        $events = [];
        $rings = [$this->slope->plan];
        foreach ([$this->mass, ...$this->others] as $mass) {
            array_push($rings, $mass->ring, ...$mass->tails);
        }
        foreach ($rings as $ring) {
            foreach ($ring->points as $p) {
                $events[] = $this->across($p);
            }
        }
        foreach ($card as $region) {
            foreach ($region->rings() as $ring) {
                array_push($events, ...array_map(static fn (Vec2 $p): float => $p->x, $ring->points));
            }
        }
        $own = array_map($this->across(...), $this->slope->plan->points);
        // What runs on ends in its hosts.
        $over = [];
        foreach ($this->massing->over($this->mass) as $box) {
            foreach ([[$box->x0, $box->y0], [$box->x1, $box->y0], [$box->x1, $box->y1], [$box->x0, $box->y1]] as [$x, $y]) {
                $over[] = $this->across(new Vec2($x, $y));
            }
        }

        return Stretches::places($events, new Interval(max(min($own), min($over)), min(max($own), max($over))), self::GRID_MM);
    }

    /**
     * Where a line runs inside an outline.
     *
     * @param  array{Vec2, Vec2}  $line
     * @return list<Interval>
     */
    private function along(Ring $ring, array $line): array
    {
        $id = spl_object_id($ring);
        if (! isset($this->across[$id])) {
            $across = array_map($this->across(...), $ring->points);
            $this->across[$id] = [$ring, min($across), max($across)];
        }
        [, $from, $to] = $this->across[$id];
        $x = $this->across($line[0]);

        return $x < $from || $x > $to ? [] : Stretches::line($ring, ...$line);
    }

    private function across(Vec2 $at): float
    {
        return ($at->x - $this->frame->origin->x) * $this->frame->x->x + ($at->y - $this->frame->origin->y) * $this->frame->x->y;
    }

    public function at(float $x): array
    {
        $start = new Vec2($this->frame->origin->x + $this->frame->x->x * $x, $this->frame->origin->y + $this->frame->x->y * $x);
        $line = [$start, new Vec2($this->frame->y->x, $this->frame->y->y)];
        $all = $this->along($this->slope->plan, $line);
        $within = $this->along($this->mass->ring, $line);
        $hidden = $blocks = $beside = [];
        foreach ($all === [] ? [] : $this->others as $mass) {
            $in = $this->along($mass->ring, $line);
            array_push($blocks, ...$in);
            array_push($hidden, ...$this->hidden($mass, $line, Stretches::both($all, $in)));
            foreach ($mass->slopes as $slope) {
                array_push($beside, ...$this->along($slope->plan, $line));
            }
        }
        $out = Stretches::without($all, $within);
        $tails = array_merge(...array_map(fn (Ring $tail): array => $this->along($tail, $line), $this->mass->tails), ...[[]]);
        $hosts = array_map(fn (Mass $m): array => $this->along($m->ring, $line), $this->massing->hosts($this->mass));
        $onOthers = Stretches::both(Stretches::both($out, $tails), array_merge(...$hosts, ...[[]]));
        $free = Stretches::without($out, [...$tails, ...$blocks, ...$beside, ...$this->beyond($line)]);
        $rooted = array_filter(
            Stretches::without($onOthers, $hidden),
            fn (Interval $s): bool => $this->isRooted($line[0]->plus($line[1]->times($s->middle()))),
        );
        $wanted = [...Stretches::without([...Stretches::both($all, $within), ...$free], $hidden), ...$rooted];

        return $this->isCut ? [$wanted, Stretches::without($all, $wanted)] : [[], $all];
    }

    /** Whether a place is farther than so much from every other plane and block, in plan. */
    public function isClearOfOthers(Vec2 $at, float $clear): bool
    {
        foreach ([$this->mass, ...$this->others] as $mass) {
            $slopes = array_filter($mass->slopes, fn (Slope $s): bool => $s !== $this->slope);
            $rings = array_map(static fn (Slope $s): Ring => $s->plan, $slopes);
            foreach ($mass === $this->mass ? $rings : [$mass->ring, ...$mass->tails, ...$rings] as $ring) {
                if ($ring->contains($at) || $ring->distanceTo($at) < $clear) {
                    return false;
                }
            }
        }

        return true;
    }

    /** Whether the roof comes to a place beyond its block without having died into another on the way. */
    private function isRooted(Vec2 $at): bool
    {
        foreach ($this->mass->runsOn as $edge) {
            $from = $this->mass->ring->point($edge);
            $along = $this->mass->ring->point($edge + 1)->minus($from);
            $along = $along->times(1.0 / $along->length());
            $beyond = -$along->cross($at->minus($from));
            $isRooted = $beyond > 0.0;
            for ($k = 1; $isRooted && $k < self::LOOKED_AT; $k++) {
                $place = $at->plus((new Vec2(-$along->y, $along->x))->times($beyond * $k / self::LOOKED_AT));
                foreach ($this->massing->hosts($this->mass) as $host) {
                    $isRooted = $isRooted
                        && ! (
                            $host->ring->contains($place) && $host->height($place, $place) > $this->slope->height($place) + Tolerance::EDGE
                        );
                }
            }
            if ($isRooted) {
                return true;
            }
        }

        return false;
    }

    /**
     * What of a line another block hides: where it fills a place higher than this plane.
     *
     * @param  array{Vec2, Vec2}  $line
     * @param  list<Interval>  $inside  that block
     * @return list<Interval>
     */
    private function hidden(Mass $mass, array $line, array $inside): array
    {
        $hidden = [];
        $left = $inside;
        foreach ($mass->isShut ? [] : $mass->slopes as $slope) {
            $over = $this->along($slope->plan, $line);
            $left = Stretches::without($left, $over);
            $on = Stretches::both($over, $inside);
            foreach ($this->massing->hosts($mass) as $under) {
                $tails = array_merge(...array_map(fn (Ring $t): array => $this->along($t, $line), $mass->tails));
                array_push($on, ...Stretches::both(Stretches::both($over, $tails), $this->along($under->ring, $line)));
            }
            foreach ($on as $stretch) {
                array_push($hidden, ...$this->below($line, $stretch, $slope->height(...)));
            }
        }
        foreach ($left as $stretch) {
            array_push($hidden, ...$this->below($line, $stretch, static fn (): float => $mass->top));
        }

        return $hidden;
    }

    /**
     * What of a stretch lies below something level or sloping.
     *
     * @param  array{Vec2, Vec2}  $line
     * @param  callable(Vec2): float  $height
     * @return list<Interval>
     */
    private function below(array $line, Interval $stretch, callable $height): array
    {
        $above = function (float $v) use ($line, $height): float {
            $at = $line[0]->plus($line[1]->times($v));

            return $this->slope->height($at) - $height($at);
        };
        [$a, $b] = [$above($stretch->from) + Tolerance::EDGE, $above($stretch->to) + Tolerance::EDGE];
        if ($a >= 0.0 && $b >= 0.0) {
            return [];
        }
        $cross = $a === $b ? $stretch->from : $stretch->from - $a * $stretch->length() / ($b - $a);

        return [match (true) {
            $a < 0.0 && $b < 0.0 => $stretch,
            $a < 0.0 => new Interval($stretch->from, $cross),
            default => new Interval($cross, $stretch->to),
        }];
    }

    /**
     * What of a line lies beyond an edge over which the roof runs on.
     *
     * @param  array{Vec2, Vec2}  $line
     * @return list<Interval>
     */
    private function beyond(array $line): array
    {
        $beyond = [];
        foreach ($this->mass->runsOn as $edge) {
            $from = $this->mass->ring->point($edge);
            $along = $this->mass->ring->point($edge + 1)->minus($from);
            [$in, $rises] = [$along->cross($line[0]->minus($from)), $along->cross($line[1])];
            $at = abs($rises) < Tolerance::ROUNDING ? ($in < 0.0 ? INF : -INF) : -$in / $rises;
            $beyond[] = $rises > 0.0 || abs($rises) < Tolerance::ROUNDING ? new Interval(-INF, $at) : new Interval($at, INF);
        }

        return $beyond;
    }
}
