<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Recall\Recall;

/** One placed copy of a part. */
final class Piece
{
    /** @var array{float, float, float, float, float, float} least and greatest x, y, z of the card */
    public readonly array $box;

    /** @var ?list<array{Vec3, Vec3, Vec3, Vec3}> the strip of every edge, once one is asked for */
    private ?array $strips = null;

    /**
     * @param  string  $fingerprint  its shape and where it stands in one word
     * @param  non-empty-list<Facet>  $facets
     */
    private function __construct(
        public readonly string $fingerprint,
        public readonly KitPart $part,
        public readonly int $copy,
        public readonly Frame $frame,
        public readonly array $facets,
    ) {
        [$x0, $x1, $y0, $y1, $z0, $z1] = [INF, -INF, INF, -INF, INF, -INF];
        foreach ($facets as $facet) {
            foreach (['outside' => 0.0, 'inside' => -$facet->thickness] as $face => $out) {
                foreach ($facet->face($face)->outline->points as $point) {
                    $p = $facet->frame->at($point, $out);
                    [$x, $y, $z] = [$p->x, $p->y, $p->z];
                    [$x0, $x1] = [$x < $x0 ? $x : $x0, $x > $x1 ? $x : $x1];
                    [$y0, $y1] = [$y < $y0 ? $y : $y0, $y > $y1 ? $y : $y1];
                    [$z0, $z1] = [$z < $z0 ? $z : $z0, $z > $z1 ? $z : $z1];
                }
            }
        }
        $this->box = [$x0, $x1, $y0, $y1, $z0, $z1];
    }

    public static function of(KitPart $part, int $copy, Recall $recall): self
    {
        $frame = $part->placements[$copy];

        return new self(
            "$part->fingerprint#$copy",
            $part,
            $copy,
            $frame,
            ! $part->standsFolded()
                ? [new Facet($frame, $part->region, $part->thickness, $part->inside)]
                : $recall->of("folded $part->fingerprint#$copy", static fn (): array => Folding::facets($part, $frame)),
        );
    }

    public function key(): string
    {
        return $this->part->id.'#'.$this->copy;
    }

    public function isNear(self $that, float $within): bool
    {
        $a = $this->box;
        $b = $that->box;

        return $a[0] <= $b[1] + $within && $b[0] <= $a[1] + $within && $a[2] <= $b[3] + $within && $b[2] <= $a[3] + $within
            && $a[4] <= $b[5] + $within && $b[4] <= $a[5] + $within;
    }

    /** @param  array{float, float, float, float, float, float}  $box  least and greatest x, y, z */
    public function comesInto(array $box): bool
    {
        $own = $this->box;

        return $own[0] <= $box[1] && $box[0] <= $own[1] && $own[2] <= $box[3] && $box[2] <= $own[3] && $own[4] <= $box[5]
            && $box[4] <= $own[5];
    }

    public function isNearTo(Vec3 $place, float $within): bool
    {
        $box = $this->box;

        return $place->x > $box[0] - $within && $place->x < $box[1] + $within && $place->y > $box[2] - $within
            && $place->y < $box[3] + $within && $place->z > $box[4] - $within && $place->z < $box[5] + $within;
    }

    /**
     * The corners of an edge's strip: the edge on the outside face, then on the inside face.
     *
     * @return array{Vec3, Vec3, Vec3, Vec3}
     */
    public function strip(int $edge, ?int $hole = null): array
    {
        if ($hole === null) {
            return $this->strips()[$edge];
        }
        $ring = $this->part->region->holes[$hole];
        [$a, $b] = [$ring->point($edge), $ring->point($edge + 1)];

        return [
            $this->frame->at($a),
            $this->frame->at($b),
            $this->frame->at($a, -$this->part->thickness),
            $this->frame->at($b, -$this->part->thickness),
        ];
    }

    /** The end of the board at an edge, as a face that another may butt against. */
    public function end(int $edge): Facet
    {
        [$a, $b, $c, $d] = $this->strips()[$edge];
        $along = $b->minus($a)->times(1.0 / $a->distanceTo($b));
        $across = $c->minus($a)->minus($along->times($c->minus($a)->dot($along)));
        $depth = $across->length();
        $frame = new Frame($a, $along, $across->times(1.0 / $depth));
        $outline = new Ring([$frame->project($a), $frame->project($b), $frame->project($d), $frame->project($c)]);

        return new Facet($frame, new Region($outline), $depth);
    }

    /** Whether a point lies on the outline of the card, or of paper on where it folds, to within $within. */
    public function isAt(Vec3 $point, float $within): bool
    {
        foreach ($this->facets as $facet) {
            $height = $facet->frame->height($point);
            if (min(abs($height), abs($height + $facet->thickness)) > $within) {
                continue;
            }
            $place = $facet->frame->project($point);
            if ($facet->face(abs($height) <= $within ? 'outside' : 'inside')->index()->nearest($place, $within) <= $within) {
                return true;
            }
            foreach ($this->part->isPaper() ? $this->part->folds : [] as $fold) {
                if ($place->distanceToSegment($fold['from'], $fold['to']) <= $within) {
                    return true;
                }
            }
        }

        return false;
    }

    /** Whether a point lies at a corner of the outline, or of paper at an end of a fold, to within $within. */
    public function isCorner(Vec3 $point, float $within): bool
    {
        foreach ($this->facets as $facet) {
            $height = $facet->frame->height($point);
            $place = $facet->frame->project($point);
            if (min(abs($height), abs($height + $facet->thickness)) > $within) {
                continue;
            }
            $folds = [...array_column($this->part->folds, 'from'), ...array_column($this->part->folds, 'to')];
            foreach ([...$facet->region->outline->points, ...$folds] as $corner) {
                if ($corner->distanceTo($place) <= $within) {
                    return true;
                }
            }
        }

        return false;
    }

    /** How far a point lies from the outline of the card, on either face; on paper also from where it folds. */
    public function distanceTo(Vec3 $point): float
    {
        $least = INF;
        foreach ($this->facets as $facet) {
            $height = $facet->frame->height($point);
            $off = min(abs($height), abs($height + $facet->thickness));
            if ($off < $least) {
                $place = $facet->frame->project($point);
                $least = min($least, hypot($off, $facet->face(abs($height) <= $off ? 'outside' : 'inside')->outline->distanceTo($place)));
                foreach ($this->part->isPaper() ? $this->part->folds : [] as $fold) {
                    $least = min($least, hypot($off, $place->distanceToSegment($fold['from'], $fold['to'])));
                }
            }
        }

        return $least;
    }

    /** Whether some of the card may lie within $within of the plane. */
    public function mayReach(Frame $plane, float $within): bool
    {
        $n = $plane->normal;
        $least = $greatest = -$n->dot($plane->origin);
        foreach ([[$n->x, 0], [$n->y, 2], [$n->z, 4]] as [$slope, $i]) {
            $a = $slope * $this->box[$i];
            $b = $slope * $this->box[$i + 1];
            $least += min($a, $b);
            $greatest += max($a, $b);
        }

        return $least <= $within && $greatest >= -$within;
    }

    /** @return list<array{Vec3, Vec3, Vec3, Vec3}> */
    private function strips(): array
    {
        return $this->strips ??= self::drawn($this->part, $this->frame);
    }

    /** @return list<array{Vec3, Vec3, Vec3, Vec3}> */
    private static function drawn(KitPart $part, Frame $frame): array
    {
        $outer = [];
        $inner = [];
        foreach ($part->region->outline->points as $i => $point) {
            $outer[] = $frame->at($point);
            $inner[] = $frame->at($part->inside?->point($i) ?? $point, -$part->thickness);
        }
        $strips = [];
        $n = count($outer);
        foreach ($outer as $i => $point) {
            $next = ($i + 1) % $n;
            $strips[] = [$point, $outer[$next], $inner[$i], $inner[$next]];
        }

        return $strips;
    }
}
