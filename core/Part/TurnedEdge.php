<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Form\Claims\Tone;

/** How an edge of an opening runs on into it, where it is a thing's own: with its joints, in its colours. */
final readonly class TurnedEdge
{
    /** @param  list<float>  $joints  where along the edge they are, from 0 to 1 */
    public function __construct(public array $joints, public Tone $tone)
    {
    }

    /** @return array{joints: list<float>, colours: array{string, string}} */
    public function toArray(): array
    {
        $joints = array_map(static fn (float $at): float => round($at, 6), $this->joints);

        return ['joints' => $joints, 'colours' => [$this->tone->unit, $this->tone->joint]];
    }
}
