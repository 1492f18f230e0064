<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Homography;

/**
 * What is printed on pieces that are cut from one paper: of one face a band for each row, one over the other as they lie on the paper.
 * The part's own frame, model millimetres.
 */
final readonly class StackedArt implements Artwork
{
    use CopiesWith;

    /**
     * @param  FaceArt  $whole  as it comes out, in the axes of what the pieces make together
     * @param  non-empty-list<array{Box2, float}>  $bands  where each is printed, and how far above its place on the face
     * @param  int  $rows  how many of them are not in reserve
     */
    public function __construct(public FaceArt $whole, public array $bands, public int $rows, private float $dx = 0.0)
    {
    }

    /** @return list<array{Box2, FaceArt}> where each band is printed, and what is */
    public function faces(): array
    {
        return array_map(fn (array $band): array => [$band[0], $this->whole->moved($this->dx, $band[1])], $this->bands);
    }

    public function moved(float $dx, float $dy): self
    {
        return $this->with(dx: $this->dx + $dx, bands: array_map(static fn (array $band): array => [
            new Box2($band[0]->x0 + $dx, $band[0]->y0 + $dy, $band[0]->x1 + $dx, $band[0]->y1 + $dy), $band[1] + $dy,
        ], $this->bands));
    }

    public function beyond(string $edge): float
    {
        return 0.0;
    }

    public function ends(): array
    {
        [$from, $to] = $this->whole->ends();

        return [$from + $this->dx, $to + $this->dx];
    }

    public function receding(): ?Homography
    {
        return null;
    }

    public function cutColour(): string
    {
        return $this->whole->cutColour();
    }

    public function toArray(): array
    {
        return ['kind' => 'bands', 'bands' => array_map(static fn (array $band): array => [
            'at' => array_map(static fn (float $f): float => round($f, 4), [$band[0]->x0, $band[0]->y0, $band[0]->x1, $band[0]->y1]),
            'up' => round($band[1], 4),
        ], $this->bands), 'of' => $this->whole->toArray()];
    }
}
