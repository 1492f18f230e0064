<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Geometry\Homography;

/** One tone, with lines where courses meet. The part's own frame, model millimetres. */
final readonly class ToneArt implements Artwork
{
    /**
     * @param  float  $course  from line to line; 0 where there are none
     * @param  float  $datum  height of one of them
     * @param  float  $line  how thick they are
     * @param  array{float, float}  $ends  from where to where the face is seen
     */
    public function __construct(
        public Tone $tone,
        public float $course,
        public float $datum,
        public float $line,
        private array $ends,
    ) {
    }

    public function moved(float $dx, float $dy): self
    {
        return new self($this->tone, $this->course, $this->datum + $dy, $this->line, [$this->ends[0] + $dx, $this->ends[1] + $dx]);
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
        return $this->tone->joint;
    }

    public function toArray(): array
    {
        return [
            'kind' => 'tone', 'colours' => [$this->tone->unit, $this->tone->joint], 'course' => round($this->course, 4),
            'datum' => round($this->datum, 4), 'joint' => round($this->line, 4),
            'quoins' => [round($this->ends[0], 4), round($this->ends[1], 4)],
        ];
    }
}
