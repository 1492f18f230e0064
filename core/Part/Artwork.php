<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Homography;

/** What is printed on a part, as its rule. The part's own frame, model millimetres. */
interface Artwork
{
    /** It is printed so far beyond every cut, mm, and so much room is kept round it. */
    public const BLEED_MM = 1.5;

    /** Beyond that its folds are told by ticks so long. */
    public const TICK_MM = 1.0;

    public function moved(float $dx, float $dy): self;

    /** How much farther than beyond every cut it is printed at a side of that name. */
    public function beyond(string $edge): float;

    /** @return array{float, float} from where to where the face that it covers is seen; what lies beyond is lapped round */
    public function ends(): array;

    /** From the face as it is to the paper, where that is in forced perspective. */
    public function receding(): ?Homography;

    /** Of lines that are cut through it. */
    public function cutColour(): string;

    /** @return array<string, mixed> as `art` of docs/formats.md */
    public function toArray(): array;
}
