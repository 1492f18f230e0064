<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Score;

/** A paper over something square that turns down round its edges. docs/formulas.md#dressings */
final readonly class EdgeWrap
{
    /** @return array{Outline, list<Score>} a face with a flap at every side, its corners cut out */
    public static function of(Box2 $box, float $turn): array
    {
        [$x0, $y0, $x1, $y1] = [$box->x0, $box->y0, $box->x1, $box->y1];
        $points = [
            [$x0, $y0 - $turn], [$x1, $y0 - $turn], [$x1, $y0], [$x1 + $turn, $y0], [$x1 + $turn, $y1], [$x1, $y1],
            [$x1, $y1 + $turn], [$x0, $y1 + $turn], [$x0, $y1], [$x0 - $turn, $y1], [$x0 - $turn, $y0], [$x0, $y0],
        ];
        $ring = new Ring(array_map(static fn (array $p): Vec2 => new Vec2($p[0], $p[1]), $points));
        $corners = [new Vec2($x0, $y0), new Vec2($x1, $y0), new Vec2($x1, $y1), new Vec2($x0, $y1)];
        $fold = static fn (int $i): Score => new Score($corners[$i], $corners[($i + 1) % 4], 'away', 90.0, 'back');

        return [
            new Outline($ring, array_map(static fn (): Edge => new Edge('flap', 'clearance'), $ring->points)),
            array_map($fold, range(0, 3)),
        ];
    }
}
