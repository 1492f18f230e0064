<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Stretches;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;

/** A chimney as its document describes it: its plan, its top, and the roof that it comes out of. Model millimetres. */
final readonly class StackBox
{
    use CopiesWith;

    /** Its sides are looked at so far apart for where the roof is highest, mm. */
    private const STEP_MM = 0.25;

    /**
     * @param  string  $name  of its block and its own
     * @param  Ring  $plan  counter-clockwise, from that side on which lies towards the foot of the slope
     * @param  float  $top  of its cap
     */
    private function __construct(
        public string $name,
        public Feature $feature,
        public Ring $plan,
        public float $top,
        private StackPlace $place,
        private Massing $massing,
        public ?BreastBox $breast = null,
        private ?Mass $against = null,
    ) {
    }

    /** @return list<self> of all chimneys that have a place on the massing */
    public static function all(Massing $massing): array
    {
        $all = [];
        foreach ($massing->masses as $mass) {
            foreach ($mass->block->features as $feature) {
                $place = $feature->kind->name() === 'chimney' ? StackPlace::of($massing, $mass, $feature) : null;
                $breast = $feature->kind->name() === 'wall-chimney' ? BreastBox::of($massing, $mass, $feature) : null;
                array_push(
                    $all,
                    ...$place === null ? [] : [self::at($massing, $mass, $feature, $place)],
                    ...$breast === null ? [] : [self::onLowerRoof($massing, $mass, $breast) ?? self::over($massing, $mass, $breast)],
                );
            }
        }

        return $all;
    }

    /** @return list<string> all that the document says, whether they have a place or not */
    public static function said(Massing $massing): array
    {
        $names = [];
        foreach ($massing->building->blocks as $block) {
            foreach ($block->features as $feature) {
                $isOne = in_array($feature->kind->name(), ['chimney', 'wall-chimney'], true);
                array_push($names, ...$isOne ? ["$block->id.$feature->id"] : []);
            }
        }

        return $names;
    }

    private static function at(Massing $massing, Mass $mass, Feature $feature, StackPlace $place): self
    {
        $mm = static fn (?RealLength $l): float => $l === null ? 0.0 : $massing->building->scale->modelMm($l);
        $said = $feature->said;
        [$w, $d] = [$place->along->times($mm($said->real('w')) / 2.0), $place->across()->times($mm($said->real('d')) / 2.0)];
        $plan = new Ring([
            $place->middle->minus($w)->minus($d), $place->middle->plus($w)->minus($d),
            $place->middle->plus($w)->plus($d), $place->middle->minus($w)->plus($d),
        ]);
        $plan = self::beforeCut($massing, $plan, StackDetails::beforeCut($massing->building, $feature));

        return (new self("{$mass->block->id}.$feature->id", $feature, $plan, 0.0, $place, $massing))->asHighAsSaid($mass);
    }

    /** What goes on over a breast. */
    private static function over(Massing $massing, Mass $mass, BreastBox $breast): self
    {
        $place = StackPlace::on($breast->middle(), $breast->along);
        $name = "{$mass->block->id}.{$breast->feature->id}";

        return (new self($name, $breast->feature, $breast->plan($breast->narrow), 0.0, $place, $massing, $breast))->asHighAsSaid($mass);
    }

    /** Of one that is no more than a stack, and has another block's roof under all of it. */
    private static function onLowerRoof(Massing $massing, Mass $mass, BreastBox $breast): ?self
    {
        if (! $breast->isPlain()) {
            return null;
        }
        $breast = $breast->beyond($massing->building->methods->paper->thickness_mm);
        $name = "{$mass->block->id}.{$breast->feature->id}";
        $place = StackPlace::on($breast->middle(), $breast->along);
        $self = new self($name, $breast->feature, $breast->plan($breast->narrow), 0.0, $place, $massing, null, $mass);
        foreach (array_keys($self->plan->points) as $i) {
            [$from, $to] = [$self->plan->point($i), $self->plan->point($i + 1)];
            $steps = (int) ceil($from->distanceTo($to) / self::STEP_MM);
            for ($k = 0; $k < $steps; $k++) {
                if ($self->roofAt($from->plus($to->minus($from)->times(($k + 0.5) / $steps))) === -INF) {
                    return null;
                }
            }
        }

        return $self->asHighAsSaid($mass);
    }

    private function asHighAsSaid(Mass $mass): self
    {
        $from = match ($this->feature->said->text('above')) {
            'base' => $mass->base,
            'roof' => max($this->highest(), $this->breast === null ? -INF : $mass->top),
            default => self::ridge($this->massing, $mass),
        };

        return $this->with(top: $from + $this->mm('h'));
    }

    /** What of a plan lies before the line at which low relief cuts the building, and far enough before it for what stands out. */
    private static function beforeCut(Massing $massing, Ring $plan, float $out): Ring
    {
        $cut = $massing->cut();
        if ($cut === null) {
            return $plan;
        }
        foreach (array_keys($plan->points) as $i) {
            $side = $plan->point($i + 1)->minus($plan->point($i));
            $over = $plan->point($i)->y - $cut + $out;
            if (-$side->x > $side->length() * (1.0 - Tolerance::UNIT) && $over > 0.0) {
                return Offset::lines($plan, array_map(static fn (int $k): float => $k === $i ? -$over : 0.0, [0, 1, 2, 3]));
            }
        }

        return $plan;
    }

    /** How far back low relief leaves anything, as y; null where it cuts nothing. */
    public function cut(): ?float
    {
        return $this->massing->cut();
    }

    public function mm(string $key): float
    {
        $length = $this->feature->said->real($key);

        return $length === null ? 0.0 : $this->massing->building->scale->modelMm($length);
    }

    /** What stands on it and out of it. */
    public function details(): StackDetails
    {
        return new StackDetails($this, $this->place, $this->massing->building);
    }

    /** One side’s plane: x from its left end as seen from outside, y up from the datum. */
    public function side(int $i): Frame
    {
        return self::plane($this->plan->point($i), $this->plan->point($i + 1));
    }

    /** An upright plane: x from its left end in plan, y up from the datum. */
    public static function plane(Vec2 $from, Vec2 $to): Frame
    {
        $way = $to->minus($from)->times(1.0 / $from->distanceTo($to));

        return new Frame(new Vec3($from->x, $from->y, 0.0), new Vec3($way->x, $way->y, 0.0), new Vec3(0.0, 0.0, 1.0));
    }

    /** A course of the building. */
    public function course(): float
    {
        return $this->massing->building->gauge->course_mm / $this->massing->building->scale->ratio;
    }

    /** The top of its cap, from the first corner of its plan. */
    public function cap(): Frame
    {
        [$from, $to] = [$this->plan->point(0), $this->plan->point(1)];
        $way = $to->minus($from)->times(1.0 / $from->distanceTo($to));

        return new Frame(new Vec3($from->x, $from->y, $this->top), new Vec3($way->x, $way->y, 0.0), new Vec3(-$way->y, $way->x, 0.0));
    }

    /** From where on its card is to be seen at a place of one of its sides, from the left end of that. */
    public function footAt(int $side, float $x): float
    {
        if ($this->breast !== null && $side !== 2) {
            return $this->breast->seam();
        }
        [$from, $to] = [$this->plan->point($side), $this->plan->point($side + 1)];
        $way = $to->minus($from)->times(1.0 / $from->distanceTo($to));
        // The roof behind a breast is that over its wall.
        $in = $this->breast === null ? Tolerance::EDGE : -$this->breast->behind - Tolerance::EDGE;
        $roof = $this->roofAt($from->plus($way->times($x))->plus((new Vec2(-$way->y, $way->x))->times($in)));

        return $this->breast === null ? $roof : max($roof, $this->breast->seam());
    }

    /** Below this its card may be wider than it is. */
    public function seam(): float
    {
        $tops = array_column($this->breast?->setOffs($this->course()) ?? [], 2);

        return max([-INF, ...$tops, ...$this->breast === null ? [] : [$this->breast->seam()]]);
    }

    /** How high the roof’s card is over a place: the highest of what lies there. */
    public function roofAt(Vec2 $at): float
    {
        $highest = -INF;
        foreach ($this->massing->masses as $mass) {
            // Its wall's own roof hangs out over it.
            foreach ($mass === $this->against ? [] : $mass->slopes as $slope) {
                $isHere = $slope->plan->contains($at) && ($mass->ring->contains($at) || ! $mass->mayReach($at) || array_filter(
                    $this->massing->hosts($mass), static fn (Mass $m): bool => $m->ring->contains($at),
                ) !== []);
                $highest = $isHere ? max($highest, $this->card($mass, $slope, $at)) : $highest;
            }
        }

        return $highest;
    }

    /** The card of a slope over a place; beside a ridge or a break it goes no higher than that of the slope beyond, carried on. */
    private function card(Mass $mass, Slope $slope, Vec2 $at): float
    {
        $roof = $this->massing->roof();
        $height = $slope->height($at) + $slope->over($roof);
        foreach ($mass->slopes as $other) {
            $isBeyond = $other !== $slope && $other->height($at) > $slope->height($at) - Tolerance::CUT
                && $other->plan->distanceTo($at) < $slope->over($roof) + $other->over($roof);
            $height = $isBeyond ? min($height, $other->height($at) + $other->over($roof)) : $height;
        }

        return $height;
    }

    /** How steep the steepest slope under it is. */
    public function steepest(): float
    {
        $steepest = 0.0;
        foreach ($this->massing->masses as $mass) {
            foreach ($mass->slopes as $slope) {
                $isUnder = $slope->plan->bounds()->gapTo($this->plan->bounds()) <= 0.0;
                $steepest = $isUnder ? max($steepest, $slope->rise->length()) : $steepest;
            }
        }

        return $steepest;
    }

    /** The highest of the roof along its sides, or so far beyond them. */
    public function highest(float $beyond = 0.0): float
    {
        $highest = -INF;
        $plan = Offset::lines($this->plan, array_fill(0, 4, $beyond));
        foreach (array_keys($plan->points) as $i) {
            [$from, $to] = [$plan->point($i), $plan->point($i + 1)];
            $way = $to->minus($from)->times(1.0 / $from->distanceTo($to));
            $in = new Vec2(-$way->y, $way->x);
            $length = $from->distanceTo($to);
            $at = fn (float $x): float => $this->roofAt($from->plus($way->times($x))->plus($in->times(Tolerance::EDGE)));
            $steps = (int) ceil($length / self::STEP_MM);
            $best = 0;
            for ($k = 1; $k <= $steps; $k++) {
                $best = $at($length * $k / $steps) > $at($length * $best / $steps) ? $k : $best;
            }
            // So near to it a roof rises and then falls: at its highest place both thirds beside it are lower.
            $low = max(Tolerance::EDGE, $length * ($best - 1) / $steps);
            $high = min($length - Tolerance::EDGE, $length * ($best + 1) / $steps);
            while ($high - $low > Tolerance::EDGE) {
                [$a, $b] = [$low + ($high - $low) / 3.0, $high - ($high - $low) / 3.0];
                [$low, $high] = $at($a) < $at($b) ? [$a, $high] : [$low, $b];
            }
            $highest = max($highest, $at($low), $at(Tolerance::EDGE), $at($length - Tolerance::EDGE));
        }

        return $highest;
    }

    /** The highest place of a roof over its own block, on its card. */
    private static function ridge(Massing $massing, Mass $mass): float
    {
        $highest = $mass->top;
        foreach ($mass->slopes as $slope) {
            $places = array_values(array_filter($slope->plan->points, $mass->ring->contains(...)));
            foreach ($mass->ring->points as $i => $from) {
                $way = $mass->ring->point($i + 1)->minus($from);
                foreach (Stretches::line($slope->plan, $from, $way) as $run) {
                    foreach ($run->to > 0.0 && $run->from < 1.0 ? [max(0.0, $run->from), min(1.0, $run->to)] : [] as $share) {
                        $places[] = $from->plus($way->times($share));
                    }
                }
            }
            foreach ($places as $p) {
                $highest = max($highest, $slope->height($p) + $slope->over($massing->roof()));
            }
        }

        return $highest;
    }
}
