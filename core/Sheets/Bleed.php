<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\Part;

/** How far print runs on beyond a cut. */
final readonly class Bleed
{
    /** Corners farther out than so many times the bleed are cut off. */
    private const MITRE = 1.5;

    /** Nothing is printed farther beyond its cut than this. */
    private const FARTHEST_MM = 20.0;

    /**
     * What is printed for a part: its outline moved outwards, its holes inwards; each keeps its way round, and where an opening is
     * narrower than that its sides cross, so that it is filled by the rule that counts turns.
     *
     * @return non-empty-list<Ring> the outline counter-clockwise, holes clockwise; the part's own frame
     */
    public static function of(Part $part): array
    {
        $bleed = $part->art === null ? 0.0 : Artwork::BLEED_MM;
        $by = array_map(static fn (float $more): float => $bleed + $more, self::more($part));
        $rings = [self::grown(self::wound($part->outline->ring, 1.0), $by)];
        foreach ($part->holes as $hole) {
            $rings[] = self::grown(self::wound($hole, -1.0), array_map(static fn (): float => $bleed, $hole->points));
        }

        return $rings;
    }

    /** What is cut from the sheet, with what a printed paper has more at its foot and top: that much room it takes. */
    public static function kept(Part $part): Region
    {
        $blank = $part->blank();

        return $part->art === null
            ? $blank
            : new Region(self::grown(self::wound($part->outline->ring, 1.0), self::more($part)), $blank->holes);
    }

    /** A box round all that is printed. */
    public static function box(Part $part): Box2
    {
        return self::of($part)[0]->bounds();
    }

    /** How far beyond a place on its edge a part is printed, in one way. */
    public static function beyond(Part $part, Vec2 $from, Vec2 $way): float
    {
        $first = Clip::inside($from, $from->plus($way->times(self::FARTHEST_MM)), new Region(self::of($part)[0]))[0] ?? [$from, $from];

        return $first[0]->distanceTo($from) < Artwork::BLEED_MM ? $first[1]->distanceTo($from) : 0.0;
    }

    /** @return non-empty-list<float> by edge, how much farther it is printed than beyond every cut */
    private static function more(Part $part): array
    {
        return array_map(static fn ($edge): float => $part->art?->beyond($edge->name) ?? 0.0, $part->outline->edges);
    }

    private static function wound(Ring $ring, float $way): Ring
    {
        return $ring->signedArea() * $way < 0.0 ? new Ring(array_reverse($ring->points)) : $ring;
    }

    /** @param  non-empty-list<float>  $by  edge by edge */
    private static function grown(Ring $ring, array $by): Ring
    {
        $points = [];
        $n = count($by);
        foreach ($ring->points as $i => $p) {
            [$in, $out] = [self::way($ring->point($i - 1), $p), self::way($p, $ring->point($i + 1))];
            [$before, $after] = [$by[($i + $n - 1) % $n], $by[$i]];
            [$a, $b] = [(new Vec2($in->y, -$in->x))->times($before), (new Vec2($out->y, -$out->x))->times($after)];
            $turn = $in->cross($out);
            // Where both lines meet that are moved outwards; nearly straight on they would meet far away.
            $isStraight = abs($turn) < ($before === $after ? 0.01 : 0.3);
            $corner = $isStraight ? null : $p->plus($in->times($after / $turn))->minus($out->times($before / $turn));
            if ($corner !== null && ($turn < 0.0 || $corner->distanceTo($p) <= self::MITRE * max($before, $after))) {
                $points[] = $corner;
            } elseif ($isStraight && $in->dot($out) > 0.0) {
                array_push($points, $p->plus($a), $p->plus($b));
            } else {
                array_push($points, $p->plus($a)->plus($in->times($before)), $p->plus($b)->minus($out->times($after)));
            }
        }

        return new Ring($points);
    }

    private static function way(Vec2 $from, Vec2 $to): Vec2
    {
        $length = $to->distanceTo($from);

        return $length > 0.0 ? $to->minus($from)->times(1.0 / $length) : new Vec2(1.0, 0.0);
    }
}
