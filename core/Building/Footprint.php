<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\RealLength;

/** The outline of a block on the ground, in its own axes, real sizes; counter-clockwise, edge i from corner i to corner i + 1. */
final readonly class Footprint
{
    public const RECT = ['front', 'right', 'back', 'left'];

    /**
     * @param  non-empty-list<array{RealLength, RealLength}>  $corners
     * @param  non-empty-list<string>  $edges  their names
     * @param  ?array{RealLength, RealLength}  $rect  width and depth where it was given as those
     */
    private function __construct(
        public array $corners,
        public array $edges,
        public ?array $rect,
    ) {
    }

    public static function rect(RealLength $width, RealLength $depth): self
    {
        $zero = RealLength::ofMillimetres(0.0);

        return new self([[$zero, $zero], [$width, $zero], [$width, $depth], [$zero, $depth]], self::RECT, [$width, $depth]);
    }

    /**
     * @param  non-empty-list<array{RealLength, RealLength}>  $corners
     * @param  non-empty-list<string>  $edges
     */
    public static function polygon(array $corners, array $edges): self
    {
        return new self($corners, $edges, null);
    }

    /** Real millimetres. */
    public function ring(): Ring
    {
        return new Ring(array_map(static fn (array $c): Vec2 => new Vec2($c[0]->mm, $c[1]->mm), $this->corners));
    }

    public function count(): int
    {
        return count($this->corners);
    }

    /** The real length of an edge, as it was entered where it was. */
    public function length(int $edge): RealLength
    {
        return $this->rect === null ? RealLength::ofMillimetres($this->ring()->edgeLength($edge)) : $this->rect[$edge % 2];
    }

    /** Says what a person calls an edge's length. */
    public function measure(int $edge): string
    {
        return $this->rect === null ? $this->edges[$edge] : ($edge % 2 === 0 ? 'width' : 'depth');
    }

    /** Interior angle at a corner, degrees. */
    public function angle(int $corner): float
    {
        $ring = $this->ring();
        $in = $ring->point($corner)->minus($ring->point($corner - 1));
        $out = $ring->point($corner + 1)->minus($ring->point($corner));

        return 180.0 - rad2deg(atan2($in->cross($out), $in->dot($out)));
    }
}
