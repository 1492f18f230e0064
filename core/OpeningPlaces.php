<?php

declare(strict_types=1);

namespace Chartula\Core;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\Opening;
use Chartula\Core\Compression\Compressor;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use stdClass;

/**
 * Finds where a new opening can stand in a building that has given something up, so that all of that can still be given: the usual place
 * first, then by whole bricks from it. Where there is none it stands in the usual place, and the fault there says what can be taken back.
 */
final readonly class OpeningPlaces
{
    public const OPS = ['add-opening', 'copy-opening'];

    /** So many bricks to either side are looked at. */
    private const BRICKS = 80;

    public static function placed(stdClass $document, stdClass $edit): stdClass
    {
        if (isset($edit->at) || self::stepsOf($document) === [] || ! self::gives($document)) {
            return $edit;
        }
        try {
            $usual = Edits::apply($document, [$edit])->document;
        } catch (InvalidInput) {
            return $edit;
        }
        $from = self::newest($document, $usual)?->from->mm;
        if ($from === null || self::gives($usual)) {
            return $edit;
        }
        $brick = BuildingReader::scaleAndGauge($document, new Problems)[1]->brick_mm;
        for ($i = 1; $i <= self::BRICKS; $i++) {
            foreach ([1.0, -1.0] as $way) {
                $at = $from + $way * $i * $brick;
                $try = (object) (['at' => $at] + get_object_vars($edit));
                if ($at >= 0.0 && self::goes($document, $try)) {
                    return $try;
                }
            }
        }

        return $edit;
    }

    private static function goes(stdClass $document, stdClass $try): bool
    {
        try {
            return self::gives(Edits::apply($document, [$try])->document);
        } catch (InvalidInput) {
            return false;
        }
    }

    /** Whether all that is given up can be given. */
    private static function gives(stdClass $document): bool
    {
        $reading = BuildingReader::reading($document);
        $problems = new Problems;
        if ($reading->building !== null && $reading->faults === []) {
            Compressor::of($reading->building, $problems);
        }

        return $reading->faults === [] && $problems->all() === [];
    }

    /** @return list<mixed> */
    private static function stepsOf(stdClass $document): array
    {
        $compression = $document->compression ?? null;
        $steps = $compression instanceof stdClass ? $compression->steps ?? null : null;

        return is_array($steps) ? array_values($steps) : [];
    }

    /** The opening that has come to it. */
    private static function newest(stdClass $before, stdClass $after): ?Opening
    {
        $known = array_map(static fn (Opening $o): string => $o->path, self::openings($before));
        foreach (self::openings($after) as $opening) {
            if (! in_array($opening->path, $known, true)) {
                return $opening;
            }
        }

        return null;
    }

    /** @return list<Opening> */
    private static function openings(stdClass $document): array
    {
        $all = [];
        foreach (BuildingReader::reading($document)->building->blocks ?? [] as $block) {
            foreach ($block->walls as $wall) {
                array_push($all, ...$wall->openings);
            }
        }

        return $all;
    }
}
