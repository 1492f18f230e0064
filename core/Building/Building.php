<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

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
    ) {
    }

    public function withRelief(?Relief $relief): self
    {
        return new self($this->name, $this->note, $this->scale, $this->gauge, $this->methods, $this->styles, $this->blocks, $this->sheets, $this->plot, $relief);
    }

    /** @param  non-empty-list<Block>  $blocks */
    public function withBlocks(array $blocks): self
    {
        return new self($this->name, $this->note, $this->scale, $this->gauge, $this->methods, $this->styles, $blocks, $this->sheets, $this->plot, $this->relief);
    }
}
