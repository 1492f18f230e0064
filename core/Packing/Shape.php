<?php

declare(strict_types=1);

namespace Chartula\Core\Packing;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use LogicException;

/** What a piece covers in one turning, as convex pieces that may overlap, from the lower left of the box round them. Millimetres. */
final readonly class Shape
{
    /**
     * @param  string  $key  equal for equal shapes
     * @param  non-empty-list<non-empty-list<Vec2>>  $pieces  each counter-clockwise
     */
    private function __construct(
        public string $key,
        public float $width,
        public float $height,
        public float $area,
        public array $pieces,
        private float $perimeter,
    ) {
    }

    /**
     * @param  non-empty-list<Region>  $regions  which together are covered
     * @param  float  $least  nothing is put into holes narrower than this
     * @param  float  $grown  so much is covered round them
     */
    public static function of(array $regions, float $least = INF, float $grown = 0.0): self
    {
        $box = Box2::around(array_merge(...array_map(static fn (Region $r): array => $r->outline->points, $regions)));
        $pieces = [];
        $area = 0.0;
        foreach ($regions as $region) {
            $holes = array_values(array_filter(
                $region->holes,
                static fn (Ring $hole): bool => min($hole->bounds()->width(), $hole->bounds()->height()) >= $least,
            ));
            $region = (new Region($region->outline, $holes))->moved($grown - $box->x0, $grown - $box->y0);
            $area += $region->area();
            array_push($pieces, ...array_map(
                static fn (array $piece): array => $grown > 0.0 ? Hull::around($piece)->grown($grown)->points : $piece,
                self::convex($region),
            ));
        }
        if ($pieces === []) {
            throw new LogicException('A shape without area');
        }
        $key = hash('xxh128', serialize(array_map(
            static fn (array $piece): array => array_map(static fn (Vec2 $p): array => [round($p->x, 6), round($p->y, 6)], $piece),
            $pieces,
        )));

        [$width, $height] = [$box->width() + 2.0 * $grown, $box->height() + 2.0 * $grown];

        return new self($key, $width, $height, $area, $pieces, (new Ring($pieces[0]))->perimeter());
    }

    public static function box(float $width, float $height): self
    {
        $ring = Ring::rectangle(0.0, 0.0, $width, $height);

        $key = hash('xxh128', serialize([$width, $height]));

        return new self($key, $width, $height, $width * $height, [$ring->points], $ring->perimeter());
    }

    public function isBox(): bool
    {
        return abs($this->width * $this->height - $this->area) < Tolerance::FIGURE;
    }

    /** The least area that is taken where others keep their distance: half of it round a convex shape. docs/formulas.md#packing */
    public function areaWithin(float $gap): float
    {
        return count($this->pieces) > 1 ? $this->area : $this->area + $this->perimeter * $gap / 2.0 + M_PI * $gap * $gap / 4.0;
    }

    public function goesOn(Bin $bin): bool
    {
        return $this->width <= $bin->width + Tolerance::FIGURE && $this->height <= $bin->height + Tolerance::FIGURE;
    }

    /** @return list<non-empty-list<Vec2>> */
    private static function convex(Region $region): array
    {
        $hull = Hull::around($region->outline->points);
        if ($region->holes === [] && self::areaOf($hull->points) - $region->area() < Tolerance::FIGURE) {
            return [$hull->points];
        }
        $pieces = [];
        foreach ($region->trapezoids() as $ring) {
            $whole = null;
            foreach ($pieces as $i => $piece) {
                $whole = self::joined($piece, $ring->points);
                if ($whole !== null) {
                    $pieces[$i] = $whole;
                    break;
                }
            }
            if ($whole === null) {
                $pieces[] = $ring->points;
            }
        }

        return $pieces;
    }

    /**
     * Two pieces as one, where that is convex.
     *
     * @param  non-empty-list<Vec2>  $a
     * @param  non-empty-list<Vec2>  $b
     * @return ?non-empty-list<Vec2>
     */
    private static function joined(array $a, array $b): ?array
    {
        $hull = Hull::around([...$a, ...$b])->points;

        return self::areaOf($hull) - self::areaOf($a) - self::areaOf($b) < Tolerance::FIGURE ? $hull : null;
    }

    /** @param  non-empty-list<Vec2>  $points */
    private static function areaOf(array $points): float
    {
        return (new Ring($points))->area();
    }
}
