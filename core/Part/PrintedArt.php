<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Homography;

/** What is printed on the paper of a thing that is raised: the thing itself, in its own tone as far as the paper goes. */
final readonly class PrintedArt implements Artwork
{
    /** @param  array{float, float}  $ends  from where to where it is seen from the front; what lies beyond is turned round its edges */
    public function __construct(public PrintedShape $shape, private array $ends)
    {
    }

    public function moved(float $dx, float $dy): self
    {
        return new self($this->shape->moved($dx, $dy), [$this->ends[0] + $dx, $this->ends[1] + $dx]);
    }

    public function beyond(string $edge): float
    {
        return 0.0;
    }

    public function ends(): array
    {
        return $this->ends;
    }

    public function receding(): ?Homography
    {
        return null;
    }

    public function cutColour(): string
    {
        return $this->shape->tone->joint;
    }

    public function toArray(): array
    {
        return ['kind' => 'thing'] + $this->shape->toArray();
    }
}
