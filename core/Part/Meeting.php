<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/** Works out how one part's edge touches another's face, end or edge where both stand. Model millimetres. */
final readonly class Meeting
{
    /**
     * @param  'strip'|'line'  $touch  over its whole thickness, or by one arris
     * @param  list<Vec3>  $ends  of the edge
     */
    private function __construct(
        public string $touch,
        public float $length,
        public array $ends,
    ) {
    }

    /** @param  'inside'|'outside'  $face */
    public static function onFace(Part $part, int $edge, Part $mate, string $face, int $copy = 0): ?self
    {
        return self::inPlane(
            self::strip($part, $edge, $copy),
            $mate->placements[0]->moved(0.0, 0.0, $face === 'inside' ? -$mate->thickness : 0.0),
            $mate->face($face),
        );
    }

    /** How far an edge stays below the plane of another part's inside, where it comes nearest. */
    public static function under(Part $part, int $edge, Part $mate): float
    {
        $plane = $mate->placements[0]->moved(0.0, 0.0, -$mate->thickness);

        return min(array_map(static fn (Vec3 $p): float => -$plane->height($p), self::strip($part, $edge, 0)));
    }

    /** Gives how two boards meet end to end; null where they do not. */
    public static function onEnd(Part $part, int $edge, Part $mate, int $end): ?self
    {
        [$a, $b, $c, $d] = self::strip($mate, $end, 0);
        $along = $b->minus($a)->times(1.0 / $a->distanceTo($b));
        $across = $c->minus($a)->minus($along->times($c->minus($a)->dot($along)));
        $frame = new Frame($a, $along, $across->times(1.0 / $across->length()));
        $outline = new Ring([$frame->project($a), $frame->project($b), $frame->project($d), $frame->project($c)]);

        return self::inPlane(self::strip($part, $edge, 0), $frame, new Region($outline));
    }

    /**
     * How far two edges run against each other on one line, which of their arrises do (bevelled ones by both, `strip`), and
     * how far the other arrises part.
     *
     * @param  ?int  $hole  whose edge the first is; null for the outline
     * @return ?array{'inside'|'outside'|'strip', float, list<Vec3>, float}
     */
    public static function along(Part $part, int $edge, Part $mate, int $other, ?int $hole = null, ?int $otherHole = null): ?array
    {
        $p = self::strip($part, $edge, 0, $hole);
        $q = self::strip($mate, $other, 0, $otherHole);
        $met = [];
        foreach (['inside' => 2, 'outside' => 0] as $side => $k) {
            $along = $p[$k + 1]->minus($p[$k]);
            $length = $along->length();
            $along = $along->times(1.0 / $length);
            $at = [];
            foreach ([$q[$k], $q[$k + 1]] as $point) {
                $s = $point->minus($p[$k])->dot($along);
                if ($point->distanceTo($p[$k]->plus($along->times($s))) > Tolerance::MEET) {
                    continue 2;
                }
                $at[] = max(0.0, min($length, $s));
            }
            if (abs($at[0] - $at[1]) > Tolerance::MEET && $at[1] < $at[0]) {
                $across = $q[2 - $k]->minus($p[2 - $k]);
                $met[] = [
                    $side,
                    $at[0] - $at[1],
                    [$p[$k]->plus($along->times($at[1])), $p[$k]->plus($along->times($at[0]))],
                    $across->minus($along->times($across->dot($along)))->length(),
                ];
            }
        }
        if (count($met) === 2) {
            $met[0][0] = 'strip';
        }

        return $met[0] ?? null;
    }

    /** @return array{Vec3, Vec3, Vec3, Vec3} the edge on the outside face, then on the inside face */
    private static function strip(Part $part, int $edge, int $copy, ?int $hole = null): array
    {
        $frame = $part->placements[$copy];
        $outside = $hole === null ? $part->outline->ring : $part->holes[$hole];
        $inside = $hole === null ? $part->outline->face('inside') : $part->holes[$hole];

        return [
            $frame->at($outside->point($edge)),
            $frame->at($outside->point($edge + 1)),
            $frame->at($inside->point($edge), -$part->thickness),
            $frame->at($inside->point($edge + 1), -$part->thickness),
        ];
    }

    /** @param  array{Vec3, Vec3, Vec3, Vec3}  $strip */
    private static function inPlane(array $strip, Frame $plane, Region $region): ?self
    {
        $isOn = array_map(static fn (Vec3 $p): bool => abs($plane->height($p)) <= Tolerance::MEET, $strip);
        $middle = static fn (Vec3 $p, Vec3 $q): Vec3 => $p->plus($q)->times(0.5);
        [$touch, $a, $b] = match (true) {
            $isOn[0] && $isOn[1] && $isOn[2] && $isOn[3] => ['strip', $middle($strip[0], $strip[2]), $middle($strip[1], $strip[3])],
            $isOn[0] && $isOn[1] => ['line', $strip[0], $strip[1]],
            $isOn[2] && $isOn[3] => ['line', $strip[2], $strip[3]],
            default => [null, $strip[0], $strip[1]],
        };
        if ($touch === null) {
            return null;
        }
        $length = Clip::lengthInside($plane->project($a), $plane->project($b), $region);

        // The arris that touches; of a strip the outer one.
        return $length <= Tolerance::MEET ? null : new self($touch, $length, $touch === 'strip' ? [$strip[0], $strip[1]] : [$a, $b]);
    }
}
