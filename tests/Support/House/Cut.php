<?php

declare(strict_types=1);

namespace Tests\Support\House;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;

/** What low relief does to places of a building, by its document: those behind a line are gone, the others drawn to the front. */
final readonly class Cut
{
    /** A place this near to the line is left out. */
    private const CLEAR_MM = 1.5;

    /** What begins no further before the line than this may be left out. */
    private const LEAST_MM = 9.0;

    private function __construct(
        private float $front,
        private float $line,
        private float $squeeze,
        public bool $isRoofedAnew,
    ) {
    }

    /**
     * Null where nothing is cut.
     *
     * @param  list<Volume>  $volumes
     */
    public static function of(Building $building, array $volumes): ?self
    {
        $relief = $building->relief;
        if ($relief === null) {
            return null;
        }
        $ys = [];
        $ridge = [-INF, 0.0, 0.0];
        foreach ($volumes as $volume) {
            foreach ($volume->ring->points as $p) {
                $ys[] = $p->y;
            }
            foreach ($volume->slopes as [$plan, $a, $b, $c]) {
                foreach ($plan->points as $p) {
                    $z = round($a + $b * $p->x + $c * $p->y, 3);
                    if ($z > $ridge[0]) {
                        $ridge = [$z, $p->y, $p->y];
                    } elseif ($z === $ridge[0]) {
                        $ridge = [$z, min($ridge[1], $p->y), max($ridge[2], $p->y)];
                    }
                }
            }
        }
        assert($ys !== []);
        $depth = $relief->depth->mm;
        $front = min($ys);
        $line = match ($relief->school) {
            'squeeze' => max($ys),
            'keep-ridge' => $ridge[0] === -INF ? $front + $depth : min(max($front + $depth, $ridge[1]), $ridge[2]),
            default => $front + $depth,
        };
        $squeeze = in_array($relief->school, ['squeeze', 'keep-ridge'], true) && $line > $front + 0.01 ? $depth / ($line - $front) : 1.0;

        return new self($front, $line, $squeeze, $relief->school === 'keep-pitch');
    }

    /** Whether a volume is left, or a part of it. */
    public function leaves(Volume $volume): bool
    {
        return $volume->ring->bounds()->y0 < $this->line - self::LEAST_MM;
    }

    /** Whether a place is left, and not by the line. */
    public function keeps(Vec2 $at): bool
    {
        return $at->y < $this->line - self::CLEAR_MM;
    }

    public function place(Vec3 $at): Vec3
    {
        return new Vec3($at->x, $this->front + ($at->y - $this->front) * $this->squeeze, $at->z);
    }
}
