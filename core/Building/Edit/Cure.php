<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Bays;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Whereabouts;
use Chartula\Core\Field\Node;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Problem\Problems;
use stdClass;

/** The nearest way out of a fault, where there is one that a person would take without thinking: what it is called, and its edit. */
final readonly class Cure
{
    /** These are cured by another place along the wall. */
    private const ALONG = ['opening.past-end', 'opening.in-corner', 'opening.overlap', 'opening.hidden', 'opening.kept-out'];

    /** And these by another sill. */
    private const UP = ['opening.above-wall', 'opening.head-thin'];

    private function __construct(public string $words, public stdClass $edit)
    {
    }

    public static function of(stdClass $document, Problem $problem): ?self
    {
        $keys = explode('.', $problem->path);
        if ($problem->code === 'compress.too-much') {
            return self::takenBack($document, $problem, (int) ($keys[2] ?? 0));
        }
        if (preg_match('/^blocks\.\d+\.(walls|roof\.edges)\.\d+\.built\.[a-z]+/', $problem->path, $built) === 1) {
            return new self('Take that figure out', (object) ['op' => 'set', 'path' => $built[0], 'value' => null]);
        }
        if ($problem->code === 'bought.size') {
            $isOnGround = ($problem->facts['ground'] ?? 0) === 1;

            return new self('Make its opening fit', (object) ['op' => 'fit-kind', 'style' => $keys[1] ?? '', 'ground' => $isOnGround]);
        }
        $list = $keys[4] ?? '';
        if (($keys[0] !== 'blocks') || ! isset($keys[5]) || ! in_array($list, ['openings', 'rows'], true)) {
            return null;
        }
        $wall = Whereabouts::of($document, $problem->path)->wall;
        // What is looked for is looked for without it.
        $copy = JsonText::decode(JsonText::encode($document));
        $on = $wall === null ? null : WallEntry::of($copy, new Node($wall, '', new Problems));
        $own = $on === null ? null : ($list === 'rows' ? $on->rows() : $on->openings())[(int) $keys[5]] ?? null;
        if ($on === null || $own === null) {
            return null;
        }
        $path = implode('.', array_slice($keys, 0, 6));

        return match (true) {
            $problem->code === 'row.no-room' => self::fewer($on, $own, $path),
            in_array($problem->code, self::UP, true) => self::lower($on, $own, $path),
            in_array($problem->code, self::ALONG, true) && $list === 'openings' => self::aside($on, $own, $path),
            default => null,
        };
    }

    /** Gives up no more than can be given. */
    private static function takenBack(stdClass $document, Problem $problem, int $step): ?self
    {
        $compression = $document->compression ?? null;
        $steps = $compression instanceof stdClass && is_array($compression->steps ?? null) ? array_values($compression->steps) : [];
        $own = ($steps[$step] ?? null) instanceof stdClass ? $steps[$step] : new stdClass;
        $most = $problem->facts['most'] ?? null;
        if (! is_float($most) && ! is_int($most)) {
            return null;
        }
        // Rounded down to what can be written, it can still be given.
        $course = 25.4 / 4.0;
        $most = floor($most / $course) * $course;
        if ($most < $course) {
            return new self('Take that back', (object) ['op' => 'set', 'path' => "compression.steps.$step.off", 'value' => true]);
        }

        $by = LengthFormat::like(self::text($own, 'by'), $most);

        return self::set("compression.steps.$step.by", 'Take some of it back, and give up only %s', $by);
    }

    private static function aside(WallEntry $on, stdClass $own, string $path): ?self
    {
        $on->wall->openings = array_values(array_filter($on->openings(), static fn (stdClass $o): bool => $o !== $own));
        [, $height, $sill] = $on->size($own);
        $extents = $on->ruler->extentsOf($own, $on->document->styles ?? null);
        $width = $extents[count($extents) - 1]->to - $extents[0]->from;
        $from = min($extents[0]->from, $on->length());
        $at = $on->free()->nearest($from, $width, $sill, $sill + $height);

        return $at === null ? null : self::set("$path.from", 'Move it to %s', LengthFormat::like(self::text($own, 'from'), $at));
    }

    /** Two courses under the eaves. */
    private static function lower(WallEntry $on, stdClass $own, string $path): ?self
    {
        [, $height] = $on->size($own);
        $course = $on->ruler->gauge->course_mm;
        $sill = floor(($on->eaves() - $height - 2.0 * $course) / $course) * $course;

        $above = $sill - $on->floorUnder($own);
        $written = LengthFormat::like(self::text($own, 'sill'), $above);

        return $sill < $course || $above < 0.0 ? null : self::set("$path.sill", 'Lower its sill to %s', $written);
    }

    private static function fewer(WallEntry $on, stdClass $own, string $path): ?self
    {
        [$width] = $on->size($own);
        for ($count = (is_int($own->count ?? null) ? $own->count : 1) - 1; $count > 0; $count--) {
            if (Bays::of($on->length(), $width + $on->ruler->gauge->brick_mm, $count, [])->fit($on->length())) {
                return new self("Make it $count", (object) ['op' => 'set', 'path' => "$path.count", 'value' => $count]);
            }
        }

        return null;
    }

    private static function text(stdClass $own, string $key): string
    {
        return is_string($own->{$key} ?? null) ? $own->{$key} : '0ft';
    }

    private static function set(string $path, string $words, string $value): self
    {
        return new self(sprintf($words, $value), (object) ['op' => 'set', 'path' => $path, 'value' => $value]);
    }
}
