<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Ring;

/** What is printed on clear sheet: bars, leads, curtains, or all of it as one tone; between them one looks through. */
final readonly class GlassArt implements Artwork
{
    private const CUT = '#8a9096';

    /**
     * @param  list<array{string, list<Ring>}>  $shapes  in their colours, #rrggbb, each over those before it
     * @param  array{float, float}  $ends
     */
    public function __construct(public array $shapes, private array $ends)
    {
    }

    public function moved(float $dx, float $dy): self
    {
        return new self(
            array_map(static fn (array $one): array => [
                $one[0], array_map(static fn (Ring $r): Ring => $r->moved($dx, $dy), $one[1]),
            ], $this->shapes),
            [$this->ends[0] + $dx, $this->ends[1] + $dx],
        );
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
        return self::CUT;
    }

    public function toArray(): array
    {
        return ['kind' => 'glass', 'shapes' => array_map(static fn (array $one): array => [
            'colour' => $one[0], 'rings' => array_map(static fn (Ring $r): array => $r->toArray(), $one[1]),
        ], $this->shapes)];
    }
}
