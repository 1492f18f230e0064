<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Part\Part;

/** One flat thing in space with what is written on it: an outline, holes, and which way it faces. Model millimetres. */
final readonly class Leaf
{
    /**
     * @param  non-empty-list<Vec3>  $outline
     * @param  list<non-empty-list<Vec3>>  $holes
     * @param  Vec3  $normal  of length 1, outwards
     */
    public function __construct(
        public array $outline,
        public array $holes,
        public Vec3 $normal,
        public string $label,
    ) {
    }

    public static function of(Part $part, Frame $frame, string $label, Vec3 $away = new Vec3(0.0, 0.0, 0.0)): self
    {
        $ring = static fn (Ring $r): array => array_map(static fn (Vec2 $p): Vec3 => $frame->at($p)->plus($away), $r->points);

        return new self($ring($part->outline->ring), array_map($ring, $part->holes), $frame->normal, $label);
    }
}
