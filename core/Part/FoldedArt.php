<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Homography;

/** What is printed on a paper that goes round something: one face after the other, each as far as it says that it is seen. */
final readonly class FoldedArt implements Artwork
{
    /** @param  non-empty-list<Artwork>  $faces  from left to right */
    public function __construct(public array $faces)
    {
    }

    public function moved(float $dx, float $dy): self
    {
        return new self(array_map(static fn (Artwork $a): Artwork => $a->moved($dx, $dy), $this->faces));
    }

    public function beyond(string $edge): float
    {
        return max(array_map(static fn (Artwork $a): float => $a->beyond($edge), $this->faces));
    }

    public function ends(): array
    {
        return [$this->faces[0]->ends()[0], $this->faces[count($this->faces) - 1]->ends()[1]];
    }

    public function receding(): ?Homography
    {
        return null;
    }

    public function cutColour(): string
    {
        return $this->faces[0]->cutColour();
    }

    public function toArray(): array
    {
        return ['kind' => 'faces', 'faces' => array_map(static fn (Artwork $a): array => $a->toArray(), $this->faces)];
    }
}
