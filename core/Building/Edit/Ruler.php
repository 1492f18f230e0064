<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Measure\Gauge;
use Chartula\Core\Measure\LengthText;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Measure\World;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use stdClass;

/** Reads real lengths in a document that may have faults elsewhere; what cannot be read counts as nothing. */
final readonly class Ruler
{
    private LengthText $lengths;

    private function __construct(
        public Gauge $gauge,
        private Scale $scale,
    ) {
        $this->lengths = new LengthText($gauge);
    }

    public static function of(stdClass $document): self
    {
        [$scale, $gauge] = BuildingReader::scaleAndGauge($document, new Problems);

        return new self($gauge, $scale);
    }

    /** Real millimetres. */
    public function read(mixed $text): float
    {
        if (! is_string($text)) {
            return 0.0;
        }
        try {
            $parsed = $this->lengths->parse($text, '');
        } catch (InvalidInput) {
            return 0.0;
        }

        return $parsed->world === World::Model ? $parsed->mm * $this->scale->ratio : $parsed->mm;
    }

    public function widthOf(mixed $style): float
    {
        return $style instanceof stdClass ? $this->read($style->w ?? null) : 0.0;
    }

    public function lengthOfWall(mixed $block, int $edge): float
    {
        $footprint = $block instanceof stdClass ? ($block->footprint ?? null) : null;
        $rect = $footprint instanceof stdClass && is_array($footprint->rect ?? null) ? $footprint->rect : [];

        return $this->read($rect[$edge % 2] ?? null);
    }

    /**
     * Where an opening, and its repeats, stand along the wall.
     *
     * @return list<array{float, float}>
     */
    public function extentsOf(stdClass $opening, mixed $styles): array
    {
        $style = $styles instanceof stdClass && is_string($opening->style ?? null) ? ($styles->{$opening->style} ?? null) : null;
        $from = $this->read($opening->from ?? null);
        $width = $this->widthOf($style);
        $repeat = ($opening->repeat ?? null) instanceof stdClass ? $opening->repeat : new stdClass;
        $count = is_int($repeat->count ?? null) ? max(1, min(200, $repeat->count)) : 1;
        $pitch = $this->read($repeat->pitch ?? null);

        return array_map(static fn (int $i): array => [$from + $i * $pitch, $from + $i * $pitch + $width], range(0, $count - 1));
    }
}
