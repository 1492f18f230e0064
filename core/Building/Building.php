<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Building\Compression\Compression;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Measure\Gauge;
use Chartula\Core\Measure\Scale;

/** What a person describes: one real building, how it is to be made, and on what it is printed. Immutable. */
final readonly class Building
{
    /**
     * @param  array<string, Style>  $styles by id
     * @param  non-empty-list<Block>  $blocks
     */
    public function __construct(
        public string $name,
        public ?string $note,
        public Scale $scale,
        public Gauge $gauge,
        public Methods $methods,
        public array $styles,
        public array $blocks,
        public PrintSettings $sheets,
        public ?Plot $plot,
        public ?Relief $relief,
        public ?Perspective $perspective,
        public Compression $compression,
    ) {
    }

    /** Everything so many times as large, which is another scale; bricks and courses stay as they are on the model. */
    public function smallerBy(float $factor): self
    {
        return new self($this->name, $this->note, Scale::of($this->scale->ratio / $factor), new Gauge($this->gauge->brick_mm / $factor, $this->gauge->course_mm / $factor, $this->gauge->joint_mm / $factor),
            $this->methods, $this->styles, $this->blocks, $this->sheets, $this->plot, $this->relief, $this->perspective, $this->compression);
    }

    public function uncompressed(): self
    {
        return new self($this->name, $this->note, $this->scale, $this->gauge, $this->methods, $this->styles, $this->blocks, $this->sheets, $this->plot, $this->relief, $this->perspective, Compression::none());
    }

    public function withRelief(?Relief $relief): self
    {
        return new self($this->name, $this->note, $this->scale, $this->gauge, $this->methods, $this->styles, $this->blocks, $this->sheets, $this->plot, $relief, $this->perspective, $this->compression);
    }

    public function withPerspective(?Perspective $perspective): self
    {
        return new self($this->name, $this->note, $this->scale, $this->gauge, $this->methods, $this->styles, $this->blocks, $this->sheets, $this->plot, $this->relief, $perspective, $this->compression);
    }

    /** @param  non-empty-list<Block>  $blocks */
    public function withBlocks(array $blocks): self
    {
        return new self($this->name, $this->note, $this->scale, $this->gauge, $this->methods, $this->styles, $blocks, $this->sheets, $this->plot, $this->relief, $this->perspective, $this->compression);
    }
}
