<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Sight;

use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Problem\InvalidInput;

/**
 * A depth that looks deeper than it is, to an eye before it: straight lines stay straight and all that recede aim at one point on
 * the eye's axis. Model millimetres; y to the back from the mouth, x from the eye's axis, z from the floor of the mouth.
 * docs/formulas.md#perspective
 */
final readonly class ForcedPerspective
{
    /** A stronger illusion breaks as soon as the eye moves. */
    public const MOST_RATIO = 3.0;

    public const LEAST_SCALE = 0.8;

    /**
     * @param  float  $distance  of the eye before the mouth
     * @param  float  $depth  true
     * @param  float  $apparent  greater than that
     * @param  float  $axis  height of the eye's axis above the floor of the mouth
     */
    private function __construct(
        public float $distance,
        public float $depth,
        public float $apparent,
        public float $axis,
    ) {
    }

    /** @throws InvalidInput at "apparent" where that is no deeper: perspective.no-deeper */
    public static function of(float $distance, float $depth, float $apparent, float $axis): self
    {
        return $apparent > $depth ? new self($distance, $depth, $apparent, $axis) : throw InvalidInput::at('apparent', 'perspective.no-deeper', ['apparent' => round($apparent, 2), 'depth' => round($depth, 2)]);
    }

    /** How far behind the mouth all receding lines meet. */
    public function vanishing(): float
    {
        return $this->depth * ($this->distance + $this->apparent) / ($this->apparent - $this->depth);
    }

    /** What a thing at an apparent depth is built at, as a share of the scale at the mouth. */
    public function scaleAt(float $apparent): float
    {
        return 1.0 / (1.0 + ($this->apparent - $this->depth) / ($this->apparent * ($this->distance + $this->depth)) * $apparent);
    }

    /** Where a thing at an apparent depth truly stands. */
    public function trueDepth(float $apparent): float
    {
        return $this->vanishing() * (1.0 - $this->scaleAt($apparent));
    }

    /** The share at a true depth. */
    public function scaleAtTrue(float $depth): float
    {
        return 1.0 - $depth / $this->vanishing();
    }

    public function backScale(): float
    {
        return $this->scaleAtTrue($this->depth);
    }

    /** Where a place of the mouth's opening comes to lie at a true depth. */
    public function at(float $x, float $z, float $depth): Vec3
    {
        $share = $this->scaleAtTrue($depth);

        return new Vec3($x * $share, $depth, $this->axis + ($z - $this->axis) * $share);
    }

    /** By how much a receding line rises to the back; it falls where it is above the axis. */
    public function rise(float $z): float
    {
        return ($this->axis - $z) * (1.0 - $this->backScale());
    }

    /** How deep it looks from another distance. */
    public function apparentFrom(float $distance): float
    {
        return ($distance + $this->depth) / $this->backScale() - $distance;
    }

    public function isStrong(): bool
    {
        return $this->apparent / $this->depth > self::MOST_RATIO + 1e-9 || $this->backScale() < self::LEAST_SCALE - 1e-9;
    }

    /**
     * Everything about it in figures.
     *
     * @return array{vanishing_mm: float, back_scale: float, back_ratio: float, rise_mm: float, depths: list<array{apparent_mm: float, true_mm: float, scale: float}>, pieces: list<array{name: string, front_mm: float, back_mm: float, long_mm: float, other_mm: float}>, strong: bool, texts: list<string>}
     */
    public function toArray(float $width, float $height, float $ratio): array
    {
        $depths = array_map(function (int $i): array {
            $apparent = $this->apparent * $i / 6.0;

            return ['apparent_mm' => round($apparent, 2), 'true_mm' => round($this->trueDepth($apparent), 3), 'scale' => round($this->scaleAt($apparent), 4)];
        }, range(0, 6));
        $pieces = [];
        foreach ($this->inside($width, $height) as $name => $edges) {
            $pieces[] = ['name' => $name, 'front_mm' => round($edges['front'], 2), 'back_mm' => round($edges['back'], 2), 'long_mm' => round($edges['long'], 2), 'other_mm' => round($edges['other'], 2)];
        }
        $texts = [
            sprintf('All receding lines meet %.1f mm behind the mouth, %.1f mm above its floor: aim courses, kerbs and gutters there.', $this->vanishing(), $this->axis),
            sprintf('At the back everything is %.1f %% of its size, figures 1:%.1f; the floor %s by %.2f mm.', 100.0 * $this->backScale(), $ratio / $this->backScale(), $this->rise(0.0) < 0.0 ? 'falls' : 'rises', abs($this->rise(0.0))),
            sprintf('From half the distance it looks %.0f mm deep, from twice the distance %.0f.', $this->apparentFrom($this->distance / 2.0), $this->apparentFrom($this->distance * 2.0)),
        ];
        if ($this->isStrong()) {
            $texts[] = sprintf('That is stronger than holds when the eye moves: keep the apparent depth to %.0f times the true one, and the back to %.0f %% of its size. It works for a low eye or a camera.', self::MOST_RATIO, 100.0 * self::LEAST_SCALE);
        }
        $texts[] = 'End it in black.';

        return ['vanishing_mm' => round($this->vanishing(), 3), 'back_scale' => round($this->backScale(), 5), 'back_ratio' => round($ratio / $this->backScale(), 2), 'rise_mm' => round($this->rise(0.0), 3), 'depths' => $depths, 'pieces' => $pieces, 'strong' => $this->isStrong(), 'texts' => $texts];
    }

    /**
     * The inside of a mouth, $width by $height about the eye's axis: floor, left, right and top, each from its front edge round, in its true shape.
     *
     * @return array<'floor'|'left'|'right'|'top', array{front: float, back: float, long: float, other: float}> lengths of the front and back edge, and of the two that recede
     */
    public function inside(float $width, float $height): array
    {
        $half = $width / 2.0;
        $edges = ['floor' => [[-$half, 0.0], [$half, 0.0]], 'right' => [[$half, 0.0], [$half, $height]], 'top' => [[$half, $height], [-$half, $height]], 'left' => [[-$half, $height], [-$half, 0.0]]];
        $found = [];
        foreach ($edges as $name => [[$x0, $z0], [$x1, $z1]]) {
            [$a, $b] = [$this->at($x0, $z0, 0.0), $this->at($x1, $z1, 0.0)];
            [$c, $d] = [$this->at($x1, $z1, $this->depth), $this->at($x0, $z0, $this->depth)];
            $found[$name] = ['front' => $a->distanceTo($b), 'back' => $c->distanceTo($d), 'long' => $b->distanceTo($c), 'other' => $a->distanceTo($d)];
        }

        return $found;
    }
}
