<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Tolerance;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Problem\Problems;

/** What cannot be made although every field is sound: openings that leave their wall, walls shorter than their corners. */
final readonly class FormFaults
{
    public static function collect(Building $building, BlockForm $form, Problems $problems): void
    {
        foreach ($form->walls as $edge => $wall) {
            $ends = [
                self::thickness($building, $form->wall($edge - 1)),
                self::thickness($building, $form->wall($edge + 1)),
            ];
            self::checkLength($building, $wall, array_sum($ends), $problems);
            foreach ($wall->openings as $opening) {
                self::checkPlace($building->scale, $wall, $opening, $ends, $problems);
            }
            self::checkOverlaps($wall, $problems);
        }
    }

    private static function thickness(Building $building, WallForm $wall): float
    {
        return $building->methods->stacks[$wall->wall->stack]->thickness_mm;
    }

    private static function checkLength(Building $building, WallForm $wall, float $corners, Problems $problems): void
    {
        if ($wall->length->mm <= $corners + 1.0) {
            $problems->add($building->block->path.'.footprint', 'wall.too-short', ['length' => round($wall->length->mm, 2), 'corners' => round($corners, 2)]);
        }
    }

    /** @param  array{float, float}  $ends thickness of the neighbours' card at the left and the right end */
    private static function checkPlace(Scale $scale, WallForm $wall, OpeningForm $opening, array $ends, Problems $problems): void
    {
        $path = $opening->opening->path;
        $past = $opening->right() - $wall->length->mm;
        if ($past > Tolerance::SAME) {
            $problems->add($path.'.from', 'opening.past-end', ['over' => round($past * $scale->ratio, 2), 'length' => round($wall->length->mm * $scale->ratio, 2)]);

            return;
        }
        foreach ([[$opening->left, $ends[0]], [-$past, $ends[1]]] as [$left, $thickness]) {
            if ($left < $thickness - Tolerance::SAME) {
                $problems->add($path.'.from', 'opening.in-corner', ['left' => round($left, 2), 'thickness' => round($thickness, 2)]);
            }
        }
        $over = -INF;
        $lowest = INF;
        foreach ($opening->ring()->points as $point) {
            $top = $wall->heightAt($point->x);
            $over = max($over, $point->y - $top);
            $lowest = min($lowest, $top);
        }
        if ($over > -Tolerance::SAME) {
            $problems->add($path.'.sill', 'opening.above-wall', ['over' => round(max(0.0, $over) * $scale->ratio, 2), 'height' => round($lowest * $scale->ratio, 2)]);
        }
    }

    private static function checkOverlaps(WallForm $wall, Problems $problems): void
    {
        foreach ($wall->openings as $i => $a) {
            foreach (array_slice($wall->openings, $i + 1) as $b) {
                $across = min($a->right(), $b->right()) - max($a->left, $b->left);
                $up = min($a->top(), $b->top()) - max($a->sill, $b->sill);
                if ($across > -Tolerance::SAME && $up > -Tolerance::SAME) {
                    $problems->add($b->opening->path.'.from', 'opening.overlap', ['other' => $a->id, 'over' => round(max(0.0, min($across, $up)), 2)]);
                }
            }
        }
    }
}
