<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

/** Outlines from a few figures; real millimetres, counter-clockwise from the front left, with names for their edges. */
final readonly class QuickShape
{
    public const SHAPES = ['rect', 'l', 't', 'u', 'z', 'bay', 'polygon'];

    /**
     * @param  value-of<self::SHAPES>  $shape
     * @param  float  $w  over all, along the front
     * @param  float  $d  over all, front to back
     * @param  float  $a  width of the wing, of the stem, of each arm, of either half of a Z, or of the bay's front
     * @param  float  $b  depth of the part along the front (or the bay's own depth)
     * @return array{list<array{float, float}>, list<string>}
     */
    public static function of(string $shape, float $w, float $d, float $a, float $b, int $sides = 8): array
    {
        $s = ($w - $a) / 2.0;

        return match ($shape) {
            'rect' => [[[0.0, 0.0], [$w, 0.0], [$w, $d], [0.0, $d]], ['front', 'right', 'back', 'left']],
            'l' => [[[0.0, 0.0], [$w, 0.0], [$w, $b], [$a, $b], [$a, $d], [0.0, $d]], ['front', 'right', 'yard', 'inner', 'back', 'left']],
            't' => [
                [[0.0, 0.0], [$w, 0.0], [$w, $b], [$s + $a, $b], [$s + $a, $d], [$s, $d], [$s, $b], [0.0, $b]],
                ['front', 'right', 'yard-right', 'stem-right', 'back', 'stem-left', 'yard-left', 'left'],
            ],
            'u' => [
                [[0.0, 0.0], [$w, 0.0], [$w, $d], [$w - $a, $d], [$w - $a, $b], [$a, $b], [$a, $d], [0.0, $d]],
                ['front', 'right', 'arm-right', 'yard-right', 'yard', 'yard-left', 'arm-left', 'left'],
            ],
            'z' => [
                [[0.0, 0.0], [$a, 0.0], [$a, $b], [$w, $b], [$w, $d], [$w - $a, $d], [$w - $a, $b], [0.0, $b]],
                ['front', 'inner-right', 'yard-front', 'right', 'back', 'inner-left', 'yard-back', 'left'],
            ],
            'bay' => [
                [[$s, 0.0], [$s + $a, 0.0], [$w, $b], [$w, $d], [0.0, $d], [0.0, $b]],
                ['front', 'cant-right', 'right', 'back', 'left', 'cant-left'],
            ],
            'polygon' => self::regular($w, $sides),
        };
    }

    /**
     * A regular polygon across its flats, an edge to the front.
     *
     * @return array{list<array{float, float}>, list<string>}
     */
    private static function regular(float $across, int $sides): array
    {
        $radius = $across / 2.0 / cos(M_PI / $sides);
        $corners = [];
        $names = [];
        for ($i = 0; $i < $sides; $i++) {
            $angle = -M_PI / 2.0 - M_PI / $sides + 2.0 * M_PI * $i / $sides;
            $corners[] = [$across / 2.0 + $radius * cos($angle), $across / 2.0 + $radius * sin($angle)];
            $names[] = $i === 0 ? 'front' : 'side-'.$i;
        }

        return [$corners, $names];
    }
}
