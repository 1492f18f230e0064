<?php

declare(strict_types=1);

namespace Tests\Support\Plots;

use Chartula\Core\Geometry\Vec3;
use Tests\Support\House\Card;

/**
 * The places of a kit's boards where they stand on a plot, and how near they are to upright things, at rest and while the kit is taken off:
 * by looking at every place. Only the kit's own frames and outlines are taken from it.
 */
final readonly class Swept
{
    public const STEP_MM = 1.5;

    /** So many places are looked at as one to begin with. */
    private const TOGETHER = 200;

    /**
     * @param  list<array{list<array{float, float, float}>, array{float, float, float}, float}>  $groups  places on the plot, their middle,
     * and how far they are from it at the most
     */
    private function __construct(private array $groups)
    {
    }

    /** @param  array<string, mixed>  $kit */
    public static function of(array $kit, PlotGenerator $plot): self
    {
        $places = [];
        foreach (Card::all($kit, ['shell', 'roof', 'brace', 'trim', 'skin']) as $card) {
            foreach ($card->points(self::STEP_MM) as $p) {
                /** @var Vec3 $p */
                $places[] = [...$plot->onPlot($p->x, $p->y), $p->z];
            }
        }

        return new self(array_map(self::group(...), array_chunk($places, self::TOGETHER)));
    }

    /**
     * @param  list<array{float, float, float}>  $places
     * @return array{list<array{float, float, float}>, array{float, float, float}, float}
     */
    private static function group(array $places): array
    {
        $middle = array_map(
            static fn (int $i): float => (min([INF, ...array_column($places, $i)]) + max([-INF, ...array_column($places, $i)])) / 2.0,
            [0, 1, 2],
        );
        $far = max([0.0, ...array_map(
            static fn (array $p): float => hypot(hypot($p[0] - $middle[0], $p[1] - $middle[1]), $p[2] - $middle[2]),
            $places,
        )]);

        return [$places, [$middle[0], $middle[1], $middle[2]], $far];
    }

    /** @param  array{ring: list<array{float, float}>, round: float, from: float, to: float}  $thing */
    public function nearest(array $thing): float
    {
        $least = INF;
        $away = static fn (float $x, float $y, float $z): float =>
            hypot(self::off($thing, $x, $y), max(0.0, $thing['from'] - $z, $z - $thing['to']));
        foreach ($this->groups as [$places, $middle, $far]) {
            foreach ($away(...$middle) - $far < $least ? $places : [] as $place) {
                $least = min($least, $away(...$place));
            }
        }

        return $least;
    }

    /**
     * How near it passes a thing while it is lifted or drawn out, of what is lower where it is lifted; null where nothing passes it.
     *
     * @param  array{ring: list<array{float, float}>, round: float, from: float, to: float}  $thing
     */
    public function passing(array $thing, string $way, float $play): ?float
    {
        $least = null;
        [$dx, $dy] = ['up' => [0.0, 0.0], 'front' => [0.0, -1.0], 'back' => [0.0, 1.0], 'left' => [-1.0, 0.0], 'right' => [1.0, 0.0]][$way];
        [$low, $high] = $way === 'up' ? [-INF, $thing['from'] - 0.001] : [$thing['from'] - $play, $thing['to'] + $play];
        $passing = static fn (float $x, float $y): float => $way === 'up'
            ? self::off($thing, $x, $y)
            : self::alongside($thing, $x, $y, $dx, $dy);
        foreach ($this->groups as [$places, $middle, $far]) {
            $isNear = $high > $middle[2] - $far
                && $low < $middle[2] + $far
                && ($least === null || $passing($middle[0], $middle[1]) - $far < $least);
            foreach ($isNear ? $places : [] as [$x, $y, $z]) {
                if ($z > $low && $z < $high) {
                    $least = min($least ?? INF, $passing($x, $y));
                }
            }
        }

        return $least;
    }

    /**
     * How near a place comes to a thing on its way straight off.
     *
     * @param  array{ring: list<array{float, float}>, round: float, from: float, to: float}  $thing
     */
    private static function alongside(array $thing, float $x, float $y, float $dx, float $dy): float
    {
        $least = self::off($thing, $x, $y);
        $ring = $thing['ring'];
        foreach ($ring as [$px, $py]) {
            // At every place where it is beside a corner, and between those all along.
            $far = ($px - $x) * $dx + ($py - $y) * $dy;
            if ($far > 0.0) {
                $least = min($least, self::off($thing, $x + $far * $dx, $y + $far * $dy));
            }
        }
        $asides = array_map(static fn (array $p): float => ($p[1] - $y) * $dx - ($p[0] - $x) * $dy, $ring);
        $aheads = array_map(static fn (array $p): float => ($p[0] - $x) * $dx + ($p[1] - $y) * $dy, $ring);

        return min([0.0, ...$asides]) < 0.0 && max([0.0, ...$asides]) > 0.0 && max([0.0, ...$aheads]) > 0.0 ? 0.0 : $least;
    }

    /**
     * The distance of a place from a convex ring, counter-clockwise, or from all that is no farther than so much from a line; 0 inside.
     *
     * @param  array{ring: list<array{float, float}>, round: float, from: float, to: float}  $thing
     */
    private static function off(array $thing, float $x, float $y): float
    {
        $ring = $thing['ring'];
        $isIn = count($ring) > 2;
        $least = INF;
        foreach ($ring as $i => [$ax, $ay]) {
            [$bx, $by] = $ring[($i + 1) % count($ring)];
            [$ux, $uy] = [$bx - $ax, $by - $ay];
            $isIn = $isIn && $ux * ($y - $ay) - $uy * ($x - $ax) >= 0.0;
            $long = $ux * $ux + $uy * $uy;
            $t = $long > 0.0 ? max(0.0, min(1.0, (($x - $ax) * $ux + ($y - $ay) * $uy) / $long)) : 0.0;
            $least = min($least, hypot($x - $ax - $t * $ux, $y - $ay - $t * $uy));
        }

        return $isIn ? 0.0 : max(0.0, $least - $thing['round']);
    }
}
