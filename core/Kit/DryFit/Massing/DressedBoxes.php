<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\HeadShape;
use Chartula\Core\Building\Opening;
use Chartula\Core\Field\Said;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\RealLength;

/**
 * From where to where things stand round an opening, worked out from its figures alone: the dry fit asks no claim. Of kinds that it does
 * not know it says nothing. The face's frame, model millimetres. docs/formulas.md#dressings
 */
final class DressedBoxes
{
    /** How far what is over the head already reaches up from it, and beyond the jambs. */
    private float $over = 0.0;

    private float $beside = 0.0;

    /** Of the head's curve, where that is a part of one circle; 0 where it is not. */
    private readonly float $radius;

    private function __construct(
        private readonly Building $building,
        private readonly Box2 $box,
        private readonly HeadShape $shape,
        private readonly float $rise,
    ) {
        $isCircle = in_array($shape, [HeadShape::Segmental, HeadShape::Round, HeadShape::Cambered], true);
        $this->radius = $isCircle && $rise > 0.0 ? ($box->width() ** 2 / 4.0 + $rise ** 2) / (2.0 * $rise) : 0.0;
    }

    /** Whether its curve stands upright where it springs, and is of more than one circle. */
    private function isUpright(): bool
    {
        return $this->radius <= 0.0 && $this->shape !== HeadShape::Flat;
    }

    /** The radius of either side of a pointed head. */
    private function side(): float
    {
        return ($this->box->width() ** 2 / 4.0 + $this->rise ** 2) / $this->box->width();
    }

    /** How high a curve so far outside the head's reaches. */
    private function top(float $out): float
    {
        return $this->shape !== HeadShape::Pointed
            ? $this->box->y1 + $out
            : $this->box->y1 - $this->rise + sqrt(($this->side() + $out) ** 2 - ($this->side() - $this->box->width() / 2.0) ** 2);
    }

    /** A band over a head that springs upright, from its springing up. */
    private function band(float $out): Box2
    {
        return new Box2($this->box->x0 - $out, $this->box->y1 - $this->rise, $this->box->x1 + $out, $this->top($out));
    }

    /**
     * @param  list<Feature>  $dress  what stands round it
     * @param  Ring  $ring  the opening, finished
     * @return list<DressedBox>
     */
    public static function of(Building $building, Opening $opening, array $dress, Ring $ring): array
    {
        $rise = ($opening->style->riseMm() ?? 0.0) / $building->scale->ratio;

        return (new self($building, $ring->bounds(), $opening->style->head, $rise))->all($dress);
    }

    /**
     * Several openings as if they were one, under a flat head.
     *
     * @param  list<Box2>  $there  what stands round them already
     * @return list<DressedBox>
     */
    public static function over(Building $building, Feature $feature, Box2 $box, array $there): array
    {
        $self = new self($building, $box, HeadShape::Flat, 0.0);
        array_map($self->goOver(...), $there);

        return $self->all([$feature]);
    }

    /**
     * @param  list<Feature>  $features
     * @return list<DressedBox>
     */
    private function all(array $features): array
    {
        $all = [];
        foreach ($features as $feature) {
            foreach ($this->boxes($feature) as $id => $box) {
                $all[] = new DressedBox($id, $box, in_array($feature->said->text('as'), ['raised', 'both'], true), $feature);
                $this->goOver($box);
            }
        }

        return $all;
    }

    private function goOver(Box2 $box): void
    {
        if ($box->y1 > $this->box->y1 && $box->y0 < $this->box->y1 + $this->over + 1.0) {
            $this->over = max($this->over, $box->y1 - $this->box->y1);
            $this->beside = max($this->beside, $this->box->x0 - $box->x0);
        }
    }

    /** @return array<string, Box2> */
    private function boxes(Feature $feature): array
    {
        $said = $feature->said;
        $box = $this->box;
        $mm = fn (string $key): float => $this->mm($said->real($key));

        return match ($feature->kind->name()) {
            'sill' => ['sill' => new Box2($box->x0 - $mm('beyond'), $box->y0 - $mm('h'), $box->x1 + $mm('beyond'), $box->y0)],
            'lintel' => ['lintel' => new Box2($box->x0 - $mm('bearing'), $box->y1, $box->x1 + $mm('bearing'), $box->y1 + $mm('h'))],
            'arch' => ['arch' => $this->arch($said)],
            'keystone' => ['keystone' => $this->keystone($mm('w'), $mm('depth'))],
            'hood-mould' => ['hood-mould' => $this->hood($mm('h'), $this->beside + $mm('beyond'))],
            'surround' => ['surround' => new Box2($box->x0 - $mm('w'), $box->y0, $box->x1 + $mm('w'), $this->top($mm('w')))],
            'quoins' => $this->quoins(max($mm('long'), $mm('short'))),
            default => [],
        };
    }

    private function arch(Said $said): Box2
    {
        $gauge = $this->building->gauge;
        $ratio = $this->building->scale->ratio;
        $of = $said->text('of');
        $depth = match (true) {
            $of === 'rowlock' => ($said->count('rings') ?? 1) * $gauge->brick_mm / 2.0 / $ratio,
            $said->real('depth') !== null => $this->mm($said->real('depth')),
            default => ($of === 'gauged' ? 4.0 * $gauge->course_mm : $gauge->brick_mm) / $ratio,
        };
        if ($this->isUpright()) {
            return $this->band($depth);
        }
        if ($this->radius > 0.0) {
            return $this->ring($this->radius, $this->radius + $depth);
        }
        $relieving = $this->radius($said->real('rise'));
        if ($relieving > 0.0) {
            $springing = $this->box->y1 + $this->over;
            $rise = $this->mm($said->real('rise'));

            return $this->ring($relieving, $relieving + $depth, $springing + $rise - $relieving);
        }
        $out = match ($of) {
            'gauged' => $depth / tan(deg2rad($said->number('skew') ?? 0.0)),
            'soldier' => $this->mm($said->real('bearing')),
            default => 0.0,
        };

        return new Box2($this->box->x0 - $out, $this->box->y1, $this->box->x1 + $out, $this->box->y1 + $depth);
    }

    private function keystone(float $wide, float $depth): Box2
    {
        $half = min($wide, $this->box->width()) / 2.0;
        $middle = $this->box->centre()->x;
        if ($this->shape === HeadShape::Pointed) {
            $out = $half + $depth / tan(deg2rad(80.0));
            $foot = $this->box->y1 - $this->rise + sqrt($this->side() ** 2 - ($half + $this->side() - $this->box->width() / 2.0) ** 2);

            return new Box2($middle - $out, $foot, $middle + $out, $this->box->y1 + $depth);
        }
        $crown = match ($this->shape) {
            HeadShape::ThreeCentred => $this->box->width() - ($this->rise - (1.0 - sqrt(0.75)) * $this->box->width()) / (sqrt(3.0) - 1.0),
            HeadShape::Elliptical => $this->box->width() ** 2 / 4.0 / $this->rise,
            default => $this->radius,
        };
        if ($crown > 0.0) {
            $out = $half * ($crown + $depth) / $crown;
            $foot = $this->box->y1 - $crown + sqrt($crown ** 2 - $half ** 2);

            return new Box2($middle - $out, $foot, $middle + $out, $this->box->y1 + $depth);
        }
        $out = $half + $depth / tan(deg2rad(80.0));

        return new Box2($middle - $out, $this->box->y1, $middle + $out, $this->box->y1 + $depth);
    }

    private function hood(float $high, float $out): Box2
    {
        $foot = $this->box->y1 + $this->over;
        if ($this->isUpright()) {
            // In a point what is over it reaches up farther than out.
            $below = $this->shape !== HeadShape::Pointed ? $this->over
                : hypot($this->over + $this->rise, $this->side() - $this->box->width() / 2.0) - $this->side();

            return $this->band($below + $high);
        }

        return $this->radius > 0.0
            ? $this->ring($this->radius + $this->over, $this->radius + $this->over + $high)
            : new Box2($this->box->x0 - $out, $foot, $this->box->x1 + $out, $foot + $high);
    }

    /** Of a circle that rises so far over the opening's width; 0 where it does not. */
    private function radius(?RealLength $rise): float
    {
        $mm = $this->mm($rise);

        return $mm > 0.0 ? ($this->box->width() ** 2 / 4.0 + $mm ** 2) / (2.0 * $mm) : 0.0;
    }

    /**
     * A piece of a ring between the lines from its centre through the springings.
     *
     * @param  ?float  $centre  its height; that of the head's curve where nothing is said
     */
    private function ring(float $inside, float $outside, ?float $centre = null): Box2
    {
        $sine = $this->box->width() / 2.0 / ($centre === null ? $this->radius : $inside);
        $centre ??= $this->box->y1 - $this->radius;
        $middle = $this->box->centre()->x;

        return new Box2(
            $middle - $outside * $sine,
            $centre + $inside * sqrt(1.0 - $sine ** 2),
            $middle + $outside * $sine,
            $centre + $outside,
        );
    }

    /** @return array<string, Box2> */
    private function quoins(float $out): array
    {
        $top = $this->box->y1 - ($this->shape === HeadShape::Flat ? 0.0 : $this->rise);

        return [
            'quoins-left' => new Box2($this->box->x0 - $out, $this->box->y0, $this->box->x0, $top),
            'quoins-right' => new Box2($this->box->x1, $this->box->y0, $this->box->x1 + $out, $top),
        ];
    }

    private function mm(?RealLength $length): float
    {
        return $length === null ? 0.0 : $this->building->scale->modelMm($length);
    }
}
