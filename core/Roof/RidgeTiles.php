<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;
use Chartula\Core\Building\Roof;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Pattern\Palette;
use Chartula\Core\Part\Pattern\Rows;

/** What is printed on the strip over a ridge, a hip or a break: tiles of one length, or what stands for them. docs/formulas.md#coverings */
final readonly class RidgeTiles
{
    /** A tile’s length, and a joint’s width, real mm. */
    private const TILE_MM = 457.2;

    private const JOINT_MM = 12.0;

    /** How many go along a strip: the nearest whole number. */
    public static function count(float $length, float $ratio): int
    {
        return max(1, (int) round($length * $ratio / self::TILE_MM));
    }

    /**
     * @param  array{float, float}  $size  of the strip, along its line and across
     */
    public static function art(Roof $roof, Building $building, array $size): ?FaceArt
    {
        $finish = $roof->finish;
        $usual = match ($finish) {
            Finish::Slate => Tone::SLATE,
            Finish::StoneSlate => Tone::STONE_SLATE,
            Finish::PlainTile, Finish::Pantile => Tone::TILE,
            Finish::Corrugated => Tone::SHEET,
            Finish::Lead => Tone::LEAD,
            Finish::Zinc => Tone::ZINC,
            Finish::Felt => Tone::FELT,
            default => null,
        };
        if ($usual === null) {
            return null;
        }
        // What is said of them, or else as the slopes where those have colours of their own.
        $colour = $roof->ridge_colour ?? $building->palettes[$roof->palette ?? '']->colours[0][0] ?? $usual;
        [$length, $across] = $size;
        $isOfTiles = in_array($finish, [Finish::Slate, Finish::StoneSlate, Finish::PlainTile, Finish::Pantile], true);
        $ratio = $building->scale->ratio;
        [$long, $joint] = $isOfTiles ? [$length / self::count($length, $ratio), self::JOINT_MM / $ratio] : [0.0, 0.0];
        $rows = new Rows('ridge', [$across], $long, $joint, 0.0, Palette::of($colour, 0.8), Tone::DARK, stagger: 0.0);

        return new FaceArt($rows, 0.0, false, [0.0, $length]);
    }
}
