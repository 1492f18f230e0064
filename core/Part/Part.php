<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Stock\Stock;

/**
 * One piece to cut. Frame: the outside face (for floors, braces and strips the printed one), (0,0) the lower left of
 * its bounding box, x right, y up, model millimetres. Each placement is that frame standing in space; the card lies
 * behind it.
 */
final readonly class Part
{
    use CopiesWith;

    /**
     * @param  'W'|'B'|'R'|'P'|'F'|'D'|'G'|'M'|'T'  $letter  of its label
     * @param  list<Ring>  $holes
     * @param  non-empty-list<Frame>  $placements
     * @param  list<Score>  $scores
     * @param  list<array{Vec2, Vec2}>  $slits  cuts that do not close
     * @param  list<Mark>  $marks
     * @param  array<string, Figure>  $workings  by what they are the workings of
     */
    private function __construct(
        public string $id,
        public PartName $of,
        public string $letter,
        public string $name,
        public PartGroup $group,
        public Stock $stock,
        public float $thickness,
        public Outline $outline,
        public array $holes,
        public array $placements,
        public array $scores,
        public array $slits,
        public array $marks,
        public array $workings,
        public bool $mayTurn,
        public ?RoofSeat $roof,
        public Shape $shape,
        public ?Artwork $art,
    ) {
    }

    /**
     * A part from its shape in any coordinates of its plane, and the frames of that plane it stands in.
     *
     * @param  'W'|'B'|'R'|'P'|'F'|'D'|'G'|'M'|'T'  $letter
     * @param  non-empty-list<Frame>  $frames
     * @param  array<string, Figure>  $workings
     * @param  list<Ring>  $holes
     * @param  list<Score>  $scores
     * @param  list<array{Vec2, Vec2}>  $slits
     * @param  list<Mark>  $marks
     */
    public static function of(
        PartName $of, string $letter, string $name, PartGroup $group, Stock $stock, float $thickness, Outline $outline,
        array $frames, array $workings,
        array $holes = [], array $scores = [], array $slits = [], array $marks = [], bool $mayTurn = true, ?RoofSeat $roof = null,
        ?Shape $shape = null, ?Artwork $art = null,
    ): self {
        $shape ??= Shape::flat();
        $shape->repeats?->on($outline);
        $box = $outline->ring->bounds();
        $dx = -$box->x0;
        $dy = -$box->y0;

        return new self(
            $of->id, $of, $letter, $name, $group, $stock, $thickness,
            $outline->moved($dx, $dy),
            array_map(static fn (Ring $r): Ring => $r->moved($dx, $dy), $holes),
            // What many make together has its own outline.
            $shape->repeats === null ? array_map(static fn (Frame $f): Frame => $f->moved($box->x0, $box->y0), $frames) : $frames,
            array_map(static fn (Score $s): Score => $s->moved($dx, $dy), $scores),
            array_map(
                static fn (array $s): array => [new Vec2($s[0]->x + $dx, $s[0]->y + $dy), new Vec2($s[1]->x + $dx, $s[1]->y + $dy)],
                $slits,
            ),
            array_map(static fn (Mark $m): Mark => $m->moved($dx, $dy), $marks),
            $workings, $mayTurn, $roof,
            $shape->moved($dx, $dy),
            $art?->moved($dx, $dy),
        );
    }

    /** @param  non-empty-list<Edge>  $edges  what its sides are now said to be */
    public function withEdges(array $edges): self
    {
        return new self(
            $this->id, $this->of, $this->letter, $this->name, $this->group, $this->stock, $this->thickness,
            new Outline($this->outline->ring, $edges, $this->outline->inside),
            $this->holes, $this->placements, $this->scores, $this->slits, $this->marks, $this->workings, $this->mayTurn,
            $this->roof, $this->shape, $this->art,
        );
    }

    public function region(): Region
    {
        return new Region($this->outline->ring, $this->holes);
    }

    /** `outside` or `inside`; openings are cut square. */
    public function face(string $face): Region
    {
        return new Region($this->outline->face($face), $this->holes);
    }

    /** What is cut from the sheet, before edges are bevelled. */
    public function blank(): Region
    {
        return new Region($this->outline->blank(), $this->holes);
    }

    /** @return array<int, Bevel> by edge */
    public function bevels(): array
    {
        return $this->outline->bevels($this->thickness);
    }

    /**
     * Where the corners of the outside face stand.
     *
     * @return list<Vec3>
     */
    public function corners(int $copy = 0): array
    {
        $frame = $this->placements[$copy];

        return array_map(static fn (Vec2 $p): Vec3 => $frame->at($p), $this->outline->ring->points);
    }

    /** Whether what its template shows is for the eye of whoever looks at the model: marks of planks, or what it is covered with. */
    public function showsPrint(): bool
    {
        return ($this->art !== null && $this->stock->takesTemplate())
            || array_filter($this->marks, static fn (Mark $m): bool => $m->kind === MarkKind::Plank) !== [];
    }

    public function qty(): int
    {
        return count($this->placements);
    }

    public function width(): float
    {
        return $this->outline->ring->bounds()->width();
    }

    public function height(): float
    {
        return $this->outline->ring->bounds()->height();
    }
}
