<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** A person's own paper, scanned or photographed. docs/formats.md, section 2 */
final readonly class OwnPaper
{
    public const LONGEST_NAME = 60;

    /**
     * @param  string  $sha256  of the picture's file
     * @param  array{int, int}  $pixels  across and up
     * @param  array{float, float}  $mmPerPixel  of the paper as it was scanned, across and up
     * @param  bool  $isTiled  whether it is laid again and again; once otherwise
     * @param  ?float  $unit_mm  from unit to unit along a course, as measured on the paper; null where that was not measured
     * @param  ?float  $course_mm  from course to course, likewise
     * @param  float  $foot_mm  how far above the picture's foot a course begins, likewise
     * @param  string  $tone  all of it as one colour, as #rrggbb
     * @param  string  $licence  by what right it is printed; '' where nothing is said
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $sha256,
        public array $pixels,
        public array $mmPerPixel,
        public bool $isTiled,
        public ?float $unit_mm,
        public ?float $course_mm,
        public float $foot_mm,
        public string $tone,
        public string $licence,
        public string $path,
    ) {
    }

    /** @return array{float, float} how wide and high the paper is, as it was scanned, millimetres */
    public function size(): array
    {
        return [$this->pixels[0] * $this->mmPerPixel[0], $this->pixels[1] * $this->mmPerPixel[1]];
    }
}
