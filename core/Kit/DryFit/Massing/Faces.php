<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\HeadShape;
use Chartula\Core\Building\Holding;
use Chartula\Core\Building\Methods;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\Style;
use Chartula\Core\Building\Wall;
use Chartula\Core\Geometry\ArcChain;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/** The outsides of the walls of a massing. */
final readonly class Faces
{
    /** A corner nearer to a straight line than this, degrees, is a bend of one wall. */
    private const STRAIGHT_DEG = 3.0;

    /** Card is cut square at a corner that is out of square by no more than this, degrees, without a gap. */
    private const TRUE_DEG = 0.05;

    /** Corners of what stands for a circle. */
    private const ROUND = 72;

    /** A wall is looked at in so many places. */
    private const LOOKED_AT = 64;

    private function __construct(private Massing $massing)
    {
    }

    /** @return list<Face> of all walls that are built */
    public static function of(Massing $massing): array
    {
        $self = new self($massing);
        $faces = [];
        foreach ($massing->masses as $m => $mass) {
            foreach ($mass->edges as $edge => $wall) {
                if ($wall !== null && ! $mass->block->walls[$wall]->isLeftOut()) {
                    $faces[] = $self->face($m, $mass, $edge, $mass->block->walls[$wall]);
                }
            }
        }

        return $faces;
    }

    /** Whether anything of a wall is to be seen, and built. */
    public static function isSeen(Massing $massing, Mass $mass, int $edge): bool
    {
        $wall = $mass->block->walls[$mass->edges[$edge] ?? -1] ?? null;
        $number = array_search($mass, $massing->masses, true);
        if ($wall === null || $number === false || $wall->isLeftOut()) {
            return false;
        }
        $face = (new self($massing))->face($number, $mass, $edge, $wall);
        $surface = new WallSurface($massing, $face);
        for ($k = 0.5; $k < self::LOOKED_AT; $k++) {
            if ($surface->at($face->length() * $k / self::LOOKED_AT)[0] !== []) {
                return true;
            }
        }

        return false;
    }

    /**
     * Walls with things on them that neither recede nor are cut short: there nobody knows it from the document alone.
     *
     * @return list<DressedFace>
     */
    public static function dressed(Massing $massing): array
    {
        $self = new self($massing);
        $found = [];
        foreach ($massing->masses as $mass) {
            foreach ($mass->moves === [] ? array_diff_key($mass->edges, array_flip($mass->changed)) : [] as $edge => $number) {
                $wall = $mass->block->walls[$number ?? -1] ?? null;
                if ($wall === null) {
                    continue;
                }
                // A corner is where one wall ends and the next begins.
                $ends = [$wall->edge, ($wall->edge + 1) % count($mass->block->walls)];
                $isHere = static fn (Feature $f): bool => $f->place?->edge === $wall->edge || in_array($f->place?->corner, $ends, true);
                $features = array_values(array_filter($mass->block->features, $isHere));
                $dressed = array_filter($wall->openings, static fn (Opening $o): bool => $o->dress() !== []);
                if ($features !== [] || $dressed !== []) {
                    $found[] = $self->dressedFace($mass, $edge, $wall, $features);
                }
            }
        }

        return $found;
    }

    /** @param  list<Feature>  $features */
    private function dressedFace(Mass $mass, int $edge, Wall $wall, array $features): DressedFace
    {
        [$from, $to] = [$mass->ring->point($edge), $mass->ring->point($edge + 1)];
        $along = $to->minus($from)->times(1.0 / $from->distanceTo($to));
        $openings = [];
        foreach ($wall->openings as $opening) {
            for ($i = 0; $i < $opening->count; $i++) {
                $openings[] = [$opening, $i, $this->opening($mass, [$wall, $opening, $i], [$from, $along])];
            }
        }

        return new DressedFace(
            $mass->block->id.'.'.$wall->name,
            new Frame(new Vec3($from->x, $from->y, 0.0), new Vec3($along->x, $along->y, 0.0), new Vec3(0.0, 0.0, 1.0)),
            $from->distanceTo($to),
            $mass->base,
            $openings,
            $features,
            $mass->block,
            $wall->edge,
            self::roundRight($mass, $edge),
        );
    }

    /** The wall round the right end of one, where both stand square to each other. */
    private static function roundRight(Mass $mass, int $edge): ?Wall
    {
        $next = ($edge + 1) % $mass->ring->count();
        $way = $mass->ring->point($edge + 1)->minus($mass->ring->point($edge));
        $on = $mass->ring->point($next + 1)->minus($mass->ring->point($next));
        $off = abs(rad2deg(atan2($way->cross($on), $way->dot($on))) - 90.0);
        $wall = $mass->block->walls[$mass->edges[$next] ?? -1] ?? null;

        return $off > self::TRUE_DEG ? null : $wall;
    }

    private function face(int $m, Mass $mass, int $edge, Wall $wall): Face
    {
        $building = $this->massing->building;
        [$from, $to] = [$mass->ring->point($edge), $mass->ring->point($edge + 1)];
        $along = $to->minus($from)->times(1.0 / $from->distanceTo($to));
        $isPapered = $building->papers($wall);
        $isShorter = in_array($edge, $mass->changed, true);
        $openings = $filled = [];
        foreach ($wall->openings as $opening) {
            for ($i = 0; $i < $opening->count; $i++) {
                $ring = $this->opening($mass, [$wall, $opening, $i], [$from, $along]);
                array_push($filled, ...$isShorter || ! $opening->style->standsRound() ? [] : [
                    [$ring, self::reach($building, $opening->style), self::inLayer($building, $wall, $opening->style)],
                ]);
                $openings[] = $isShorter ? self::perhaps($ring, $opening->style->w->mm / $building->scale->ratio) : $ring;
            }
        }
        $corners = [$edge, ($edge + 1) % $mass->ring->count()];

        return new Face(
            $mass->block->id.'.'.$wall->name,
            $m,
            $from,
            $to,
            $this->feet($mass, $wall, $corners),
            $mass->moves !== [] || $mass->base < $this->massing->ground() + Tolerance::PLANE,
            $isShorter ? [] : $openings,
            $isPapered ? $building->methods->paper->thickness_mm : 0.0,
            $isShorter ? $openings : [],
            $filled,
            Massing::thickness($building, $wall),
            $wall->isLeftOut() ? 0.0 : $building->methods->stacks[$wall->stack]->layers[0]->thickness_mm,
            [$this->corner($mass, $corners[0], $wall), $this->corner($mass, $corners[1], $wall)],
        );
    }

    /** How deep the layer is in which what stands in an opening may be cut; null where it is not to be. */
    private static function inLayer(Building $building, Wall $wall, Style $style): ?float
    {
        $stack = $building->methods->stacks[$wall->stack];
        $layer = $building->methods->isInLayer($style, $stack) ? $stack->frames() : null;

        return $layer === null ? null : $stack->depthOf($layer);
    }

    /** By how much what is to stand in an opening reaches behind what it may lean against; 0 where glue alone is to hold it. */
    private static function reach(Building $building, Style $style): float
    {
        return match ($building->methods->holding($style)) {
            Holding::Glue => 0.0,
            Holding::Stops => Methods::REBATE_MM,
            default => $building->methods->rebateMm($style, $building->scale),
        };
    }

    /**
     * Where an opening has come to lie in a face that begins at a place and runs along a way.
     *
     * @param  array{Wall, Opening, int}  $which  of a row, counted from 0
     * @param  array{Vec2, Vec2}  $face
     */
    private function opening(Mass $mass, array $which, array $face): Ring
    {
        [$wall, $opening, $i] = $which;
        $scale = $this->massing->building->scale->ratio;
        $described = $mass->block->standing();
        $start = $described->point($wall->edge);
        $way = $described->point($wall->edge + 1)->minus($start)->times(1.0 / $described->edgeLength($wall->edge));
        $style = $opening->style;
        [$left, $width, $height] = [$opening->leftMm($i), $style->w->mm, $style->h->mm];
        $head = self::head($style->head, $width / $scale, $height / $scale, ($style->riseMm() ?? 0.0) / $scale);
        $points = [];
        $foot = [new Vec2(0.0, 0.0), new Vec2($width / $scale, 0.0)];
        foreach ($style->head === HeadShape::Circle ? $head : [...$foot, ...$head] as $p) {
            $at = $start->times(1.0 / $scale)->plus($way->times($left / $scale + $p->x));
            $place = $mass->place(new Vec3($at->x, $at->y, ($mass->block->base->mm + $opening->sill->mm) / $scale + $p->y));
            $points[] = new Vec2((new Vec2($place->x, $place->y))->minus($face[0])->dot($face[1]), $place->z);
        }

        return new Ring($points);
    }

    /**
     * The upper side of an opening, as its document describes it.
     *
     * @return non-empty-list<Vec2> from its right end to its left
     */
    private static function head(HeadShape $shape, float $width, float $height, float $rise): array
    {
        $curves = match ($shape) {
            HeadShape::Flat, HeadShape::Circle => [],
            HeadShape::Pointed => ArcChain::pointed($width, $height - $rise, $rise),
            HeadShape::ThreeCentred => [ArcChain::threeCentred($width, $height - $rise, $rise)],
            HeadShape::Elliptical => [ArcChain::ellipse($width, $height - $rise, $rise)],
            HeadShape::Segmental, HeadShape::Round, HeadShape::Cambered => [ArcChain::segment($width, $height - $rise, $rise)],
        };
        $points = [];
        $radius = min($width, $height) / 2.0;
        for ($i = 0; $shape === HeadShape::Circle && $i < self::ROUND; $i++) {
            $angle = 2.0 * M_PI * $i / self::ROUND;
            $points[] = new Vec2($width / 2.0 + $radius * cos($angle), $height / 2.0 + $radius * sin($angle));
        }
        foreach ($curves as $curve) {
            array_push($points, ...array_slice($curve->over(0.0, $width, 0.0), $points === [] ? 0 : 1));
        }

        return $points === [] ? [new Vec2($width, $height), new Vec2(0.0, $height)] : $points;
    }

    /** All that low relief may have made of an opening: where it came to lie, and as wide as it was. */
    private static function perhaps(Ring $ring, float $width): Ring
    {
        $box = $ring->bounds();
        $half = max($width, $box->width()) / 2.0;

        return Ring::rectangle($box->centre()->x - $half, $box->y0, $box->centre()->x + $half, $box->y1);
    }

    /**
     * Where its card begins: at the block's base, or buried under the lowest ground along it.
     *
     * @param  array{int, int}  $corners
     * @return array{float, float}
     */
    private function feet(Mass $mass, Wall $wall, array $corners): array
    {
        $building = $this->massing->building;
        $buried = $wall->ground === null ? 0.0 : min(
            0.0,
            min($wall->ground[0]->mm, $wall->ground[1]->mm) / $building->scale->ratio - $mass->base - $building->methods->bury_mm,
        );

        return [$mass->feet[$corners[0]] + $buried, $mass->feet[$corners[1]] + $buried];
    }

    /** How much of a wall cards cut square may leave to what stands behind, at a corner that is not square. docs/formulas.md#corner */
    private function corner(Mass $mass, int $corner, Wall $wall): float
    {
        $ring = $mass->ring;
        $in = $ring->point($corner)->minus($ring->point($corner - 1));
        $on = $ring->point($corner + 1)->minus($ring->point($corner));
        $angle = 180.0 - rad2deg(atan2($in->cross($on), $in->dot($on)));
        $off = abs(abs($angle - 180.0) - 90.0);
        $thickness = Massing::thickness($this->massing->building, $wall);
        $pair = [$mass->edges[($corner + $ring->count() - 1) % $ring->count()], $mass->edges[$corner]];
        $walls = array_map(static fn (?int $e): ?Wall => $e === null ? null : $mass->block->walls[$e], $pair);
        $other = $walls[0] === $wall ? $walls[1] : $walls[0];
        if (abs($angle - 180.0) < self::STRAIGHT_DEG) {
            return $thickness * tan(deg2rad(self::STRAIGHT_DEG));
        }
        if ($off < self::TRUE_DEG) {
            return 0.0;
        }
        // Where low relief has cut it a plain wall may stand.
        $across = $other === null
            ? $this->massing->building->methods->wall()->thickness_mm
            : Massing::thickness($this->massing->building, $other);

        return ($across + $thickness * abs(cos(deg2rad($angle)))) / abs(sin(deg2rad($angle)));
    }
}
