<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

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

    /** What the figures of each are called, beyond width and depth over all. */
    public const FIGURES = [
        'l' => ['a' => 'wing, width', 'b' => 'front range, depth'],
        't' => ['a' => 'stem, width', 'b' => 'front range, depth'],
        'u' => ['a' => 'each arm, width', 'b' => 'front range, depth'],
        'z' => ['a' => 'each half, width', 'b' => 'front half, depth'],
        'bay' => ['a' => 'front of the bay', 'b' => 'bay, depth'],
    ];

    /** The corners between which the third figure lies, from right to left, and the one up to which the fourth does. */
    private const BETWEEN = [
        'rect' => [1, 0, 2], 'l' => [4, 0, 2], 't' => [3, 5, 2], 'u' => [5, 0, 4], 'z' => [1, 0, 2], 'bay' => [1, 0, 2],
    ];

    /** Corners that are off by less stand where they should: a sixteenth of an inch. */
    private const WRITTEN_MM = 1.6;

    /**
     * Which shape an outline has, and its figures; null where it is none of them.
     *
     * @param  list<array{float, float}>  $corners  real millimetres
     * @return ?array{shape: value-of<self::SHAPES>, w: float, d: float, a: float, b: float}
     */
    public static function recognised(array $corners): ?array
    {
        $own = self::fromCorner($corners);
        if (! isset($own[0], $own[1], $own[2])) {
            return null;
        }
        [$w, $d] = self::overAll($corners);
        foreach (self::BETWEEN as $shape => [$to, $from, $up]) {
            if (! isset($own[$to], $own[$from], $own[$up])) {
                continue;
            }
            [$a, $b] = [$own[$to][0] - $own[$from][0], $own[$up][1]];
            if (self::areAlike($own, self::of($shape, $w, $d, $a, $b)[0])) {
                return ['shape' => $shape, 'w' => $w, 'd' => $d, 'a' => $a, 'b' => $b];
            }
        }

        $across = hypot($own[1][0] - $own[0][0], $own[1][1] - $own[0][1]) / tan(M_PI / count($own));

        return self::areAlike($own, self::fromCorner(self::regular($across, count($own))[0]))
            ? ['shape' => 'polygon', 'w' => $across, 'd' => $across, 'a' => 0.0, 'b' => 0.0]
            : null;
    }

    /**
     * @param  list<array{float, float}>  $corners
     * @return list<array{float, float}> from the front left corner of their box
     */
    private static function fromCorner(array $corners): array
    {
        $box = self::box($corners);

        return array_map(static fn (array $c): array => [$c[0] - $box->x0, $c[1] - $box->y0], $corners);
    }

    /** @param  list<array{float, float}>  $corners */
    private static function box(array $corners): Box2
    {
        $points = array_map(static fn (array $c): Vec2 => new Vec2($c[0], $c[1]), $corners);

        return $points === [] ? new Box2(0.0, 0.0, 0.0, 0.0) : (new Ring($points))->bounds();
    }

    /**
     * @param  list<array{float, float}>  $corners
     * @return array{float, float} width and depth over all, in its own axes
     */
    public static function overAll(array $corners): array
    {
        $box = self::box($corners);

        return [$box->x1 - $box->x0, $box->y1 - $box->y0];
    }

    /**
     * @param  list<array{float, float}>  $some
     * @param  list<array{float, float}>  $others
     */
    private static function areAlike(array $some, array $others): bool
    {
        foreach ($some as $i => [$x, $y]) {
            if (! isset($others[$i]) || max(abs($x - $others[$i][0]), abs($y - $others[$i][1])) > self::WRITTEN_MM) {
                return false;
            }
        }

        return count($some) === count($others);
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
