<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Footprint;
use Chartula\Core\Geometry\Interval;
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
        public Scale $scale,
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
        return $this->millimetres($text, World::Real);
    }

    /** Model millimetres. */
    public function readModel(mixed $text): float
    {
        return $this->millimetres($text, World::Model);
    }

    private function millimetres(mixed $text, World $native): float
    {
        if (! is_string($text)) {
            return 0.0;
        }
        try {
            return $this->lengths->parse($text, '', $native)->in($native, $this->scale);
        } catch (InvalidInput) {
            return 0.0;
        }
    }

    /** @return list<stdClass> the objects of a list in a document; nothing where it is none */
    public static function listed(mixed $list): array
    {
        return array_values(array_filter(is_array($list) ? $list : [], static fn (mixed $one): bool => $one instanceof stdClass));
    }

    public function widthOf(mixed $style): float
    {
        return $style instanceof stdClass ? $this->read($style->w ?? null) : 0.0;
    }

    /** @return list<string> names of a block's edges */
    public static function edges(stdClass $block): array
    {
        $footprint = ($block->footprint ?? null) instanceof stdClass ? $block->footprint : new stdClass;
        if (! is_array($footprint->polygon ?? null)) {
            return Footprint::RECT;
        }
        $names = is_array($footprint->edges ?? null) ? array_values($footprint->edges) : [];

        return array_map(
            static fn (int $i): string => is_string($names[$i] ?? null) ? $names[$i] : "edge-$i",
            array_keys(array_values($footprint->polygon)),
        );
    }

    /** Gives what the block's walls are faced with: the first wall that says so decides. */
    public static function finishOf(stdClass $block): string
    {
        foreach (is_array($block->walls ?? null) ? $block->walls : [] as $wall) {
            if ($wall instanceof stdClass && is_string($wall->finish ?? null)) {
                return $wall->finish;
            }
        }

        return 'bare';
    }

    /**
     * The corners of a block in its own axes.
     *
     * @return list<array{float, float}>
     */
    public function cornersOf(stdClass $block): array
    {
        $footprint = ($block->footprint ?? null) instanceof stdClass ? $block->footprint : new stdClass;
        if (is_array($footprint->rect ?? null)) {
            [$w, $d] = [$this->read($footprint->rect[0] ?? null), $this->read($footprint->rect[1] ?? null)];

            return [[0.0, 0.0], [$w, 0.0], [$w, $d], [0.0, $d]];
        }

        return array_map(
            fn (mixed $c): array => is_array($c) ? [$this->read($c[0] ?? null), $this->read($c[1] ?? null)] : [0.0, 0.0],
            is_array($footprint->polygon ?? null) ? array_values($footprint->polygon) : [],
        );
    }

    /** A length of a block's outline as it was written, after which others are written. */
    public function textOf(stdClass $block): string
    {
        $footprint = ($block->footprint ?? null) instanceof stdClass ? $block->footprint : new stdClass;
        $lists = [$footprint->rect ?? [], ...is_array($footprint->polygon ?? null) ? $footprint->polygon : []];
        foreach ($lists as $list) {
            foreach (is_array($list) ? $list : [] as $text) {
                if (is_string($text) && $this->read($text) > 0.0) {
                    return $text;
                }
            }
        }

        return '0ft';
    }

    public function lengthOfWall(stdClass $block, int $edge): float
    {
        $footprint = ($block->footprint ?? null) instanceof stdClass ? $block->footprint : new stdClass;
        if (is_array($footprint->rect ?? null)) {
            return $this->read($footprint->rect[$edge % 2] ?? null);
        }
        $corners = is_array($footprint->polygon ?? null) ? array_values($footprint->polygon) : [];
        $at = fn (mixed $corner): array =>
            is_array($corner) ? [$this->read($corner[0] ?? null), $this->read($corner[1] ?? null)] : [0.0, 0.0];
        [$a, $b] = [$at($corners[$edge] ?? null), $at($corners[($edge + 1) % max(1, count($corners))] ?? null)];

        return hypot($b[0] - $a[0], $b[1] - $a[1]);
    }

    /** Which way a block's edge looks on the plan, degrees from x to y. */
    public function outwards(stdClass $block, int $edge): float
    {
        $footprint = ($block->footprint ?? null) instanceof stdClass ? $block->footprint : new stdClass;
        $turn = is_numeric($block->turn ?? null) ? (float) $block->turn : 0.0;
        if (! is_array($footprint->polygon ?? null)) {
            return $turn + 90.0 * $edge - 90.0;
        }
        $corners = array_values($footprint->polygon);
        $at = fn (mixed $corner): array =>
            is_array($corner) ? [$this->read($corner[0] ?? null), $this->read($corner[1] ?? null)] : [0.0, 0.0];
        [$a, $b] = [$at($corners[$edge] ?? null), $at($corners[($edge + 1) % max(1, count($corners))] ?? null)];

        return $turn + rad2deg(atan2($b[1] - $a[1], $b[0] - $a[0])) - 90.0;
    }

    /**
     * Where an opening, and its repeats, stand along the wall.
     *
     * @return list<Interval>
     */
    public function extentsOf(stdClass $opening, mixed $styles): array
    {
        $style = $styles instanceof stdClass && is_string($opening->style ?? null) ? ($styles->{$opening->style} ?? null) : null;
        $from = $this->read($opening->from ?? null);
        $width = $this->widthOf($style);
        $repeat = ($opening->repeat ?? null) instanceof stdClass ? $opening->repeat : new stdClass;
        $count = is_int($repeat->count ?? null) ? max(1, min(200, $repeat->count)) : 1;
        $pitch = $this->read($repeat->pitch ?? null);

        return array_map(static fn (int $i): Interval => Interval::of($from + $i * $pitch, $width), range(0, $count - 1));
    }

    /**
     * Where every opening of a wall, and each of its repeats, stands, by what they are called.
     *
     * @return array<string, Interval>
     */
    public function openingsOf(stdClass $wall, mixed $styles): array
    {
        $all = [];
        foreach (self::listed($wall->openings ?? null) as $i => $opening) {
            $id = is_string($opening->id ?? null) ? $opening->id : 'o'.($i + 1);
            foreach ($this->extentsOf($opening, $styles) as $k => $extent) {
                $all[$id.($k === 0 ? '' : '-'.($k + 1))] = $extent;
            }
        }

        return $all;
    }
}
