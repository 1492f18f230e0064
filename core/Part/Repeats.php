<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use LogicException;

/** Many pieces that are cut from one strip, and the one body that they make where they are stuck: forty slates are not forty solids. */
final readonly class Repeats
{
    /**
     * @param  Outline  $body  what they fill together, its outside, in the axes of the placement
     * @param  list<Ring>  $holes  in it
     * @param  float  $thickness  of all that lies on each other there
     * @param  non-empty-list<array{Ring, Vec2}>  $register  of each piece, in the order in which they go on: what is cut of the strip, and
     *     where its lower left lies on the body
     */
    public function __construct(public Outline $body, public array $holes, public float $thickness, public array $register)
    {
    }

    /** Refuses pieces that are not on the strip. */
    public function on(Outline $strip): self
    {
        $box = $strip->ring->bounds();
        foreach ($this->register as $i => [$ring]) {
            $its = $ring->bounds();
            if (min($its->x0 - $box->x0, $its->y0 - $box->y0, $box->x1 - $its->x1, $box->y1 - $its->y1) < -Tolerance::EDGE) {
                throw new LogicException('Piece '.($i + 1).' of '.count($this->register).' is not on its strip');
            }
        }

        return $this;
    }

    /** The strip alone is moved; the body stays where it is. */
    public function moved(float $dx, float $dy): self
    {
        $register = [];
        foreach ($this->register as [$ring, $at]) {
            $register[] = [$ring->moved($dx, $dy), $at];
        }

        return new self($this->body, $this->holes, $this->thickness, $register);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'body' => [
                'outline' => $this->body->ring->toArray(),
                'holes' => array_map(static fn (Ring $r): array => $r->toArray(), $this->holes),
                'thickness' => round($this->thickness, 4),
                'edges' => $this->body->edgesToArray(),
            ],
            'register' => array_map(
                static fn (array $p): array => ['outline' => $p[0]->toArray(), 'at' => $p[1]->toArray()],
                $this->register,
            ),
        ];
    }
}
