<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Building\Compression\Compression;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Measure\Gauge;
use Chartula\Core\Measure\Scale;

/** What a person describes: one real building, how it is to be made, and on what it is printed. Immutable. */
final readonly class Building
{
    use CopiesWith;

    /**
     * @param  array<string, Style>  $styles by id
     * @param  non-empty-list<Block>  $blocks
     * @param  array<string, list<string>>  $leave  remarks that stay as they are: the places, by their code
     * @param  float  $shrunk  how many times as large everything is modelled as it is at the layout's own scale, by its factors
     * @param  list<Feature>  $features  what stands on the plot
     * @param  array<string, OwnPaper>  $papers  a person's own, by id
     * @param  array<string, OwnPalette>  $palettes  likewise
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
        public float $shrunk = 1.0,
        public array $leave = [],
        public array $features = [],
        public array $papers = [],
        public array $palettes = [],
    ) {
    }

    /** Whether a paper lies on a wall: none does on a textured sheet, which shows itself. */
    public function papers(Wall $wall): bool
    {
        return $wall->isCovered() && ($this->methods->stacks[$wall->stack] ?? null)?->texture() === null;
    }

    /**
     * Gives the building with everything so many times as large, which is another scale; bricks and courses keep their size on the
     * model, and so do figures beside it.
     */
    public function smallerBy(float $factor): self
    {
        $gauge = $this->gauge;

        return $this->with(
            scale: Scale::of($this->scale->ratio / $factor),
            gauge: new Gauge($gauge->brick_mm / $factor, $gauge->course_mm / $factor, $gauge->joint_mm / $factor),
            shrunk: $this->shrunk * $factor,
        );
    }
}
