<?php

declare(strict_types=1);

namespace Chartula\Core\Kit;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Finish;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Building\Wall;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Pattern\Picture;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Skin\Covering;
use Chartula\Core\Skin\Coverings;

/** What one building may ask for, checked on what would be derived before it is made. docs/formats.md */
final readonly class Limits
{
    /** No shelf of card holds this much; a description beyond it is a slip. */
    public const PARTS = 5_000;

    public const SHEETS = 500;

    /** A browser and a printer can still draw about this many in seconds. */
    public const BRICKS = 500_000;

    /** Of a textured sheet, on one wall. */
    public const LINES = 5_000;

    /** A copy of a picture that is laid again and again is no smaller. */
    private const LEAST_COPY_MM = 0.5;

    /** The cosine of the steepest slope that is counted as it is. */
    private const STEEPEST = 0.1;

    public static function collect(Building $building, Problems $problems): void
    {
        $parts = 0;
        foreach ($building->blocks as $block) {
            $papers = $block->roof->finish === Finish::Bare && $block->roof->paper === null ? 0 : 1;
            $parts += 10 + 2 * $block->footprint->count() * (count($building->methods->roof()->layers) + $papers);
            foreach ($block->walls as $wall) {
                $parts += 1 + count($building->methods->stacks[$wall->stack]->layers);
                foreach ($wall->openings as $opening) {
                    $parts += (2 + self::raised($building, $opening)) * $opening->count;
                }
                self::bricks($building, $block, $wall, $problems);
                self::copies(Coverings::of($wall->finish, $building, $wall->paper), "$wall->path.paper", $problems);
                self::lines($building, $block, $wall, $problems);
            }
            self::tiles($building, $block, $problems);
            self::copies(Coverings::of($block->roof->finish, $building, $block->roof->paper), "{$block->roof->path}.paper", $problems);
            foreach ($block->features as $feature) {
                self::copies(self::coveringOf($feature, $building), "{$feature->said->path}.paper", $problems);
            }
            if ($parts > self::PARTS) {
                $problems->add($block->path.'.walls', 'limit.parts', ['given' => $parts, 'limit' => self::PARTS]);

                return;
            }
        }
    }

    /** How many pieces stand raised round one opening: layers of card, and the paper over them. */
    private static function raised(Building $building, Opening $opening): int
    {
        $pieces = 0;
        foreach ($opening->dress() as $feature) {
            $proud = in_array($feature->said->text('as'), ['raised', 'both'], true) ? $feature->said->real('proud') : null;
            $layers = $proud === null ? 0.0 : $building->scale->modelMm($proud) / $building->methods->frame->thickness_mm;
            $pieces += $proud === null ? 0 : 1 + (int) ceil(min($layers, self::PARTS));
        }

        return $pieces;
    }

    /** Of the roof: as if all of it were as steep as its steepest slope. */
    private static function tiles(Building $building, Block $block, Problems $problems): void
    {
        $roof = $block->roof;
        $covering = $roof->paper === null ? Coverings::ofRoof($roof, $building) : Coverings::of($roof->finish, $building, $roof->paper);
        $unit = $covering->unit ?? 0.0;
        $least = min([1.0, ...array_map(static fn (RoofEdge $e): float => $e->pitch->cos(), $block->roof->edges)]);
        $area = $block->footprint->ring()->area() / max(self::STEEPEST, $least) / $building->scale->ratio ** 2;
        $tiles = $unit > 0.0 ? (int) ceil($area / $unit) : 0;
        if ($tiles > self::BRICKS) {
            $problems->add($block->path.'.roof.finish', 'limit.bricks', ['given' => $tiles, 'limit' => self::BRICKS]);
        }
    }

    /** What a thing is covered with, or covers; null where it is with nothing. */
    private static function coveringOf(Feature $feature, Building $building): ?Covering
    {
        $finish = Finish::tryFrom($feature->said->text('finish') ?? '');

        return $finish === null ? null : Coverings::of($finish, $building, $feature->said->text('paper'));
    }

    /** Pictures of which thousands would lie on a hand's breadth. */
    private static function copies(?Covering $covering, string $path, Problems $problems): void
    {
        $picture = $covering?->pattern;
        if ($picture instanceof Picture && $picture->isTiled && min($picture->size) < self::LEAST_COPY_MM) {
            $size = array_map(static fn (float $mm): string => LengthFormat::trimmed($mm, 3), $picture->size);
            $problems->add($path, 'paper.copies', ['given' => implode(' by ', $size)]);
        }
    }

    /** Of a textured sheet. */
    private static function lines(Building $building, Block $block, Wall $wall, Problems $problems): void
    {
        $texture = ($building->methods->stacks[$wall->stack] ?? null)?->texture();
        $real = max($block->footprint->length($wall->edge)->mm, $block->eaves->mm - $block->base->mm);
        $lines = $texture === null ? 0 : (int) ceil($real / $building->scale->ratio / $texture->pitch_mm);
        if ($lines > self::LINES) {
            $problems->add($wall->path, 'limit.lines', ['given' => $lines, 'limit' => self::LINES]);
        }
    }

    private static function bricks(Building $building, Block $block, Wall $wall, Problems $problems): void
    {
        $length = $block->footprint->length($wall->edge)->mm;
        $height = $block->eaves->mm - $block->base->mm
            + ($block->roof->edges[$wall->edge]->slopesFromEaves() ? 0.0 : $length / 2.0 * $block->roof->pitch->tan());
        // As if the whole wall were covered in whatever a part of it is.
        $units = [Coverings::of($wall->finish, $building, $wall->paper)->unit ?? 0.0];
        foreach ($block->features as $feature) {
            $isHere = $feature->place?->edge === $wall->edge;
            $units[] = $isHere ? self::coveringOf($feature, $building)->unit ?? 0.0 : 0.0;
        }
        $unit = min([INF, ...array_filter($units, static fn (float $u): bool => $u > 0.0)]);
        // English bond's header courses have twice as many bricks: one and a half on average.
        $bricks = (int) ceil(min(1.5 * $length * $height / $building->scale->ratio ** 2 / $unit, PHP_INT_MAX / 2));
        if ($bricks > self::BRICKS) {
            $problems->add($wall->path.'.finish', 'limit.bricks', ['given' => $bricks, 'limit' => self::BRICKS]);
        }
    }
}
