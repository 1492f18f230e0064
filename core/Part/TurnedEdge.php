<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Form\Claims\Tone;

/** How an edge of an opening runs on into it, where it is a thing's own: of so many units, in its colours. */
final readonly class TurnedEdge
{
    public function __construct(public int $count, public Tone $tone)
    {
    }

    /** @return array{count: int, colours: array{string, string}} */
    public function toArray(): array
    {
        return ['count' => $this->count, 'colours' => [$this->tone->unit, $this->tone->joint]];
    }
}
