<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Form\Claims\RoofUnder;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** What of a chimney stands before the line at which low relief cuts the building. docs/formulas.md#chimneys */
final readonly class BeforeCut
{
    /** Card that stands out comes no nearer to what is said than that, mm. */
    private const MORE_MM = 0.8;

    /** Over its paper so much of the slope stays between a hole and the cut, mm. */
    private const WEB_MM = 1.2;

    /** How far before the cut its sides have to stay: anything of it stands out of them by less. */
    public static function farthest(Site $site, RoofUnder $roof): float
    {
        $said = $site->feature->said;
        $mm = static fn (string $key): float => $site->masonry->mm($said->real($key));
        $of = static fn (string $count, string $key): float => ($said->count($count) ?? 0) > 0 ? $mm($key) : 0.0;
        $out = max(
            $mm('cap_out'), $mm('cornice') > 0.0 ? $mm('cornice_out') : 0.0, ($said->count('oversail') ?? 0) * $mm('oversail_out'),
            $of('plinth', 'plinth_out'), $of('band', 'band_out'), $of('panels', 'panels_in'),
        );

        return max($out + self::MORE_MM, self::WEB_MM + $roof->methods->paper->thickness_mm);
    }

    /**
     * Where one of its sides runs along the cut, it is closed by a back of its own, and far enough before it for what stands out.
     *
     * @param  array{Vec2, Vec2}  $place  its middle, and the way of its width
     * @param  array{float, float}  $size
     * @param  float  $out  how far before the cut it ends
     * @return array{Vec2, float, float} its middle, how wide and how deep it is
     */
    public static function of(RoofUnder $roof, array $place, array $size, float $out): array
    {
        [$middle, $along] = $place;
        if ($roof->cut === null) {
            return [$middle, ...$size];
        }
        $ways = [[$along, 0], [new Vec2(-$along->y, $along->x), 1], [$along->times(-1.0), 0], [new Vec2($along->y, -$along->x), 1]];
        foreach ($ways as [$way, $of]) {
            $room = $roof->cut - $middle->y - $out;
            if ($way->y > 1.0 - Tolerance::UNIT && $room < $size[$of] / 2.0) {
                $left = max(0.0, $room + $size[$of] / 2.0);
                $middle = $middle->minus($way->times(($size[$of] - $left) / 2.0));
                $size[$of] = $left;
            }
        }

        return [$middle, $size[0], $size[1]];
    }
}
