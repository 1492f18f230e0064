<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Relief;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;

/** What low relief leaves of masses: cut behind a line, squeezed towards the front, or roofed anew. docs/formulas.md#relief */
final readonly class LowRelief
{
    /** A cut leaves at least so much of a flank behind the front's card, mm. */
    private const LEAST_FLANK_MM = 1.0;

    private function __construct(
        private Building $building,
        private Relief $relief,
        private float $front,
        private float $cut,
        private float $squeeze,
        private float $least,
    ) {
    }

    /**
     * @param  list<Mass>  $masses
     * @return list<Mass>
     */
    public static function of(Building $building, Relief $relief, array $masses): array
    {
        $box = Box2::around(array_merge(...array_map(static fn (Mass $m): array => $m->ring->points, $masses)));
        [$front, $back, $depth] = [$box->y0, $box->y1, $relief->depth->mm];
        $ridge = self::ridge($masses);
        $cut = match (true) {
            $relief->school === Relief::SQUEEZE => $back,
            $relief->school === Relief::KEEP_RIDGE && $ridge !== null => max($ridge[0], min($ridge[1], $front + $depth)),
            default => $front + $depth,
        };
        $squeezes = in_array($relief->school, [Relief::SQUEEZE, Relief::KEEP_RIDGE], true) && $cut - $front > Tolerance::MEET;
        $least = self::LEAST_FLANK_MM;
        foreach ($building->blocks as $block) {
            foreach ($block->walls as $wall) {
                $least = max($least, self::LEAST_FLANK_MM + Massing::thickness($building, $wall));
            }
        }
        $self = new self($building, $relief, $front, $cut, $squeezes ? $depth / ($cut - $front) : 1.0, $least);

        $limit = $self->front + ($self->cut - $self->front) * $self->squeeze;

        return array_map(static fn (Mass $m): Mass => $m->openBeyond($limit), array_merge(...array_map($self->left(...), $masses)));
    }

    /**
     * Where the highest ridge begins and ends, from front to back; null where no roof rises.
     *
     * @param  list<Mass>  $masses
     * @return ?array{float, float}
     */
    private static function ridge(array $masses): ?array
    {
        $highest = -INF;
        $ys = [];
        foreach ($masses as $mass) {
            foreach ($mass->slopes as $slope) {
                foreach ($slope->rise->length() < Tolerance::FIGURE ? [] : $slope->plan->points as $p) {
                    // What runs on into other blocks is none of its ridge.
                    $p = self::backOn($mass, $p);
                    $height = $slope->height($p);
                    if ($height > $highest + Tolerance::EDGE) {
                        [$highest, $ys] = [$height, []];
                    }
                    if ($height > $highest - Tolerance::EDGE) {
                        $ys[] = $p->y;
                    }
                }
            }
        }

        return $ys === [] ? null : [min($ys), max($ys)];
    }

    /** A place brought back square to the edge beyond which it lies. */
    private static function backOn(Mass $mass, Vec2 $at): Vec2
    {
        foreach ($mass->runsOn as $edge) {
            $from = $mass->ring->point($edge);
            $along = $mass->ring->point($edge + 1)->minus($from);
            $along = $along->times(1.0 / $along->length());
            $beyond = $along->cross($at->minus($from));
            if ($beyond < 0.0) {
                $at = $at->minus((new Vec2(-$along->y, $along->x))->times($beyond));
            }
        }

        return $at;
    }

    /** @return list<Mass> */
    private function left(Mass $mass): array
    {
        $box = $mass->ring->bounds();
        if ($box->y0 > $this->cut - $this->least) {
            return [];
        }
        $isWhole = $box->y1 <= $this->cut + Tolerance::MEET;
        if ($isWhole && abs($this->squeeze - 1.0) < Tolerance::ROUNDING) {
            return [$mass];
        }
        $before = Ring::rectangle($box->x0 - 1.0, $box->y0 - 1.0, $box->x1 + 1.0, $this->cut);
        $pieces = [];
        foreach ($isWhole ? [$mass->ring] : Roofs::within($mass->ring, $before) as $ring) {
            if ($ring->bounds()->height() * $this->squeeze >= $this->least) {
                $pieces[] = $this->piece($mass, $ring);
            }
        }

        return array_map(fn (Mass $piece): Mass => $this->squeezed($mass, $piece), $pieces);
    }

    private function squeezed(Mass $mass, Mass $piece): Mass
    {
        $now = abs($this->squeeze - 1.0) < Tolerance::ROUNDING ? $piece : $piece->moved(
            fn (Vec3 $p): Vec3 => new Vec3($p->x, $this->front + ($p->y - $this->front) * $this->squeeze, $p->z),
        );
        $lengths = [];
        foreach ($mass->edges as $edge => $wall) {
            $lengths[$wall ?? -1] = $mass->ring->edgeLength($edge);
        }

        return $now->shortened(array_keys(array_filter(
            $now->edges,
            static fn (?int $wall, int $edge): bool => $wall !== null && $now->ring->edgeLength($edge) < $lengths[$wall] - Tolerance::MEET,
            ARRAY_FILTER_USE_BOTH,
        )));
    }

    private function piece(Mass $mass, Ring $ring): Mass
    {
        $edges = [];
        foreach (array_keys($ring->points) as $i) {
            $edges[] = self::edgeOf($mass, $ring->point($i), $ring->point($i + 1));
        }
        if ($this->relief->school === Relief::KEEP_PITCH) {
            $roof = $mass->block->roof->with(
                edges: array_map(fn (?int $e): RoofEdge => $e === null ? $this->rear($mass) : $mass->block->roof->edges[$e], $edges),
            );

            return Massing::mass($this->building, $mass->block->with(roof: $roof), $ring, $edges, self::reach($mass));
        }
        $slopes = [];
        foreach ($this->unsqueezed($mass) as $slope) {
            $box = $slope->plan->bounds();
            $before = Ring::rectangle($box->x0 - 1.0, $box->y0 - 1.0, $box->x1 + 1.0, $this->cut);
            $parts = match (true) {
                $box->y1 <= $this->cut + Tolerance::SAME => [$slope->plan],
                $box->y0 >= $this->cut - Tolerance::SAME => [],
                default => Roofs::within($slope->plan, $before),
            };
            array_push($slopes, ...array_map($slope->with(...), $parts));
        }

        $runsOn = array_keys(array_filter($edges, static fn (?int $e): bool => $e !== null && in_array($e, $mass->runsOn, true)));

        return new Mass(
            $mass->block,
            $ring,
            $edges,
            $runsOn,
            array_map(static fn (int $e): Ring => Mass::tail($ring, $e, self::reach($mass)), $runsOn),
            $mass->base,
            $mass->top,
            $mass->isShut,
            $slopes,
            array_fill(0, $ring->count(), $mass->base),
        );
    }

    /** @return list<Slope> those of a mass; a deck between parapets so far inside them that it is right once it is squeezed */
    private function unsqueezed(Mass $mass): array
    {
        if (! $mass->isShut) {
            return $mass->slopes;
        }
        $inset = [];
        foreach (Massing::inset($this->building, $mass->block, $mass->edges) as $i => $by) {
            $along = $mass->ring->point($i + 1)->minus($mass->ring->point($i))->times(1.0 / $mass->ring->edgeLength($i));
            $inset[] = -$by * hypot($along->y, $along->x / $this->squeeze);
        }

        return array_map(static fn (Slope $deck): Slope => $deck->with(Offset::lines($mass->ring, $inset)), $mass->slopes);
    }

    private static function reach(Mass $mass): float
    {
        $most = 0.0;
        foreach ($mass->runsOn === [] ? [] : $mass->slopes as $slope) {
            foreach ($slope->plan->points as $p) {
                $most = max($most, $mass->ring->distanceTo($p));
            }
        }

        return $most;
    }

    /** Which edge of a mass a stretch lies on; null where it is the line of the cut. */
    private static function edgeOf(Mass $mass, Vec2 $from, Vec2 $to): ?int
    {
        foreach ($mass->edges as $edge => $wall) {
            [$a, $b] = [$mass->ring->point($edge), $mass->ring->point($edge + 1)];
            if (max($from->distanceToSegment($a, $b), $to->distanceToSegment($a, $b)) < Tolerance::EDGE) {
                return $wall;
            }
        }

        return null;
    }

    /** The roof over the line of the cut, where it is made anew: as over the edge that looks most to the back. */
    private function rear(Mass $mass): RoofEdge
    {
        $rear = $mass->block->roof->edges[0];
        $least = INF;
        foreach ($mass->block->roof->edges as $i => $edge) {
            $along = $mass->ring->point($i + 1)->minus($mass->ring->point($i));
            if ($along->x / $along->length() < $least) {
                [$rear, $least] = [$edge, $along->x / $along->length()];
            }
        }
        $kind = $rear->kind === RoofEdge::WALL ? RoofEdge::GABLE : $rear->kind;

        return new RoofEdge(
            $kind,
            $rear->pitch,
            RealLength::ofMillimetres(0.0),
            $kind === RoofEdge::HALF_HIP ? $rear->from : null,
            $rear->path,
        );
    }
}
