<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Stock\Texture;

/** Where the lines of a textured sheet lie on a part that is cut of it: its template is laid on those. docs/formulas.md#textured */
final readonly class TextureMarks
{
    /** A shorter line tells nobody anything, mm. */
    private const SHORTEST_MM = 1.0;

    /**
     * In the axes of the face.
     *
     * @param  Vec2  $datum  where lines are counted from: along it those that go up, up it the others
     * @return list<Mark>
     */
    public static function of(Texture $texture, Region $card, Vec2 $datum): array
    {
        $box = $card->outline->bounds();
        [$from, $to, $at] = $texture->isUpright ? [$box->x0, $box->x1, $datum->x] : [$box->y0, $box->y1, $datum->y];
        $marks = [];
        $pitch = $texture->pitch_mm;
        $first = $at + $pitch * ceil(($from - $at) / $pitch + Tolerance::ROUNDING);
        for ($line = $first; $line < $to - Tolerance::MEET; $line += $pitch) {
            $ends = $texture->isUpright
                ? [new Vec2($line, $box->y0), new Vec2($line, $box->y1)]
                : [new Vec2($box->x0, $line), new Vec2($box->x1, $line)];
            foreach (Clip::inside($ends[0], $ends[1], $card) as [$a, $b]) {
                array_push($marks, ...$a->distanceTo($b) > self::SHORTEST_MM ? [new Mark([$a, $b], '', MarkKind::Texture)] : []);
            }
        }

        return $marks;
    }
}
