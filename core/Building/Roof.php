<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\Angle;
use Chartula\Core\Measure\RealLength;

/** A roof over a footprint, edge by edge. Real sizes. */
final readonly class Roof
{
    use CopiesWith;

    /**
     * @param  'x'|'y'  $ridge  the way it runs over a rectangle, in the block's own axes
     * @param  ?RealLength  $rise  where the rise was given instead of the pitch
     * @param  list<RoofEdge>  $edges  one for each edge of the footprint
     * @param  ?array{Angle, RealLength}  $upper  the second pitch of a mansard, and how high above the eaves it begins
     * @param  RealLength  $parapet  how far the walls of a flat roof stand above its deck
     * @param  ?string  $paper  one of a person's own, in which the finish is printed
     * @param  ?string  $palette  one of a person's own, whose colours it has
     * @param  ?RealLength  $row  from row to row of slates or tiles; null where that is usual for them
     * @param  ?RealLength  $unit  how wide each is, likewise
     * @param  ?string  $ridge_colour  of the tiles of ridges and hips, as #rrggbb; null where they are as the covering's usually are
     */
    public function __construct(
        public RoofKind $kind,
        public string $ridge,
        public Angle $pitch,
        public ?RealLength $rise,
        public array $edges,
        public ?array $upper,
        public RealLength $parapet,
        public Finish $finish,
        public string $path,
        public ?string $paper = null,
        public ?string $palette = null,
        public RoofLaid $laid = RoofLaid::Paper,
        public Valleys $valleys = Valleys::Close,
        public ?string $ridge_colour = null,
        public ?RealLength $row = null,
        public ?RealLength $unit = null,
    ) {
    }

    /** Whether nothing of it rises over its walls, which go up past it. */
    public function isBehindWalls(): bool
    {
        return $this->kind === RoofKind::None || ($this->kind === RoofKind::Flat && $this->parapet->mm > 0.0);
    }

    /** Whether one panel rises from an edge to a ridge. */
    public function risesFrom(int $edge): bool
    {
        return $this->edges[$edge]->slopesFromEaves() && $this->kind->isPitched() && $this->kind !== RoofKind::Mansard;
    }

    /** Every plane so many times as steep, and all that is measured up from the eaves so many times as high. */
    public function steeperBy(float $factor): self
    {
        $angle = static fn (Angle $a): Angle => Angle::ofDegrees(rad2deg(atan($factor * $a->tan())));
        $length = static fn (RealLength $l): RealLength => RealLength::ofMillimetres($factor * $l->mm);

        return $this->with(
            pitch: $angle($this->pitch),
            rise: $this->rise === null ? null : $length($this->rise),
            upper: $this->upper === null ? null : [$angle($this->upper[0]), $length($this->upper[1])],
            edges: array_map(static fn (RoofEdge $e): RoofEdge => $e->with(
                pitch: $angle($e->pitch),
                from: $e->from === null ? null : $length($e->from),
            ), $this->edges),
        );
    }

    /** Whether it runs on over an edge into what stands there; a lean-to ends at the wall that it leans on. */
    public function runsOn(RoofEdge $edge): bool
    {
        return $edge->kind === RoofEdge::WALL && $this->kind !== RoofKind::LeanTo;
    }
}
