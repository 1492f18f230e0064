<?php

declare(strict_types=1);

namespace Chartula\Core\Kit;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;
use Chartula\Core\Problem\Problems;

/** What one building may ask for, checked on what would be derived before it is made. docs/formats.md */
final readonly class Limits
{
    /** More than any shelf of card: beyond it a description is a slip. */
    public const PARTS = 5_000;

    public const SHEETS = 500;

    /** About what a browser and a printer can still draw in seconds. */
    public const BRICKS = 500_000;

    public static function collect(Building $building, Problems $problems): void
    {
        $parts = 10 + 2 * count($building->methods->roof()->layers);
        foreach ($building->block->walls as $wall) {
            $parts += 1 + count($building->methods->stacks[$wall->stack]->layers);
            foreach ($wall->openings as $opening) {
                $parts += 2 * $opening->count;
            }
            self::bricks($building, $wall->finish, $wall->edge, $wall->path, $problems);
        }
        if ($parts > self::PARTS) {
            $problems->add($building->block->path.'.walls', 'limit.parts', ['given' => $parts, 'limit' => self::PARTS]);
        }
    }

    private static function bricks(Building $building, string $finish, int $edge, string $path, Problems $problems): void
    {
        if (! in_array($finish, Finish::DRAWN, true)) {
            return;
        }
        $length = $edge % 2 === 0 ? $building->block->width->mm : $building->block->depth->mm;
        $height = $building->block->eaves->mm - $building->block->base->mm
            + ($edge % 2 === ($building->block->roof->ridge === 'x' ? 1 : 0) ? $length / 2.0 * $building->block->roof->pitch->tan() : 0.0);
        // English bond's header courses have twice as many bricks: one and a half on average.
        $bricks = (int) ceil(1.5 * $length / $building->gauge->brick_mm * $height / $building->gauge->course_mm);
        if ($bricks > self::BRICKS) {
            $problems->add($path.'.finish', 'limit.bricks', ['given' => $bricks, 'limit' => self::BRICKS]);
        }
    }
}
