<?php

declare(strict_types=1);

namespace Chartula\Core\Mockup;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;

/** A surface of the building as paper shows it: its outside, with what is drawn on it. In its frame, at the mock-up's size. */
final readonly class Face
{
    /**
     * @param  list<string>  $labels  of each edge, as the form has them
     * @param  list<Ring>  $drawn  openings
     */
    public function __construct(
        public string $name,
        public Frame $frame,
        public Ring $ring,
        public array $labels,
        public array $drawn,
    ) {
    }

    public function scaled(float $factor): self
    {
        $ring = static fn (Ring $r): Ring => new Ring(array_map(static fn (Vec2 $p): Vec2 => $p->times($factor), $r->points));
        $o = $this->frame->origin;

        return new self(
            $this->name,
            new Frame(new Vec3($o->x * $factor, $o->y * $factor, $o->z * $factor), $this->frame->x, $this->frame->y),
            $ring($this->ring),
            $this->labels,
            array_map($ring, $this->drawn),
        );
    }

    /** @return array{Vec3, Vec3} the ends of an edge in space */
    public function edge(int $i): array
    {
        return [$this->frame->at($this->ring->point($i)), $this->frame->at($this->ring->point($i + 1))];
    }
}
