<?php

declare(strict_types=1);

namespace Chartula\Core\Part\Pattern;

use Chartula\Core\Building\CopiesWith;

/** A person's own paper: a picture in a size at which its courses are those of the building, again and again or once. */
final readonly class Picture implements Pattern
{
    use CopiesWith;

    /**
     * @param  string  $sha256  of the picture's file
     * @param  array{float, float}  $size  of one copy
     * @param  float  $foot  how far above a copy's foot its first course begins
     * @param  bool  $isTiled  whether it is laid again and again
     * @param  string  $tone  all of it as one colour, as #rrggbb
     * @param  float  $joint  beside whatever stands over it
     */
    public function __construct(
        public string $sha256,
        public array $size,
        public float $foot,
        public bool $isTiled,
        private string $tone,
        private float $joint = 0.0,
    ) {
    }

    public function rule(): array
    {
        return [
            'kind' => 'picture', 'sha256' => $this->sha256, 'size' => [round($this->size[0], 4), round($this->size[1], 4)],
            'foot' => round($this->foot, 4), 'tiled' => $this->isTiled,
        ];
    }

    public function colours(): array
    {
        return ['colours' => [$this->tone]];
    }

    public function palette(): Palette
    {
        return Palette::of($this->tone, 0.0);
    }

    /** A picture has its own. */
    public function inPalette(Palette $palette, ?string $ground): self
    {
        return $this;
    }

    public function ground(): string
    {
        return $this->tone;
    }

    public function joint(): float
    {
        return $this->joint;
    }
}
