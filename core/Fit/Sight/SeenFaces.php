<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Sight;

use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Building\Treatment;
use Chartula\Core\Fit\Plot\Bodies;
use Chartula\Core\Fit\Plot\Body;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\DryFit\Facet;
use Chartula\Core\Kit\DryFit\Piece;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Roof\RoofPanel;
use Chartula\Core\Shell\WallPiece;

/**
 * Which faces of the kit show from the eye and its travel: rays from points all over each face to places of the eye, past every card.
 * docs/formulas.md#sight
 */
final readonly class SeenFaces
{
    /** Points of a face, at most, each way. */
    private const POINTS = 6;

    /** A ray begins so far in front of its face. */
    private const OFF_MM = 0.05;

    /**
     * @param  list<Vec3>  $eyes
     * @param  list<Piece>  $cards
     * @param  list<Body>  $neighbours  in the plot's own axes
     */
    private function __construct(
        private array $eyes,
        private array $cards,
        private array $neighbours,
        private Plot $plot,
    ) {
    }

    /** @return list<SeenFace> */
    public static function of(Plot $plot, Assembly $assembly, Kit $kit): array
    {
        $eyes = self::eyes($plot);
        $self = new self(
            $eyes,
            array_values(
                array_filter($assembly->pieces, static fn (Piece $p): bool => ! $p->part->isPaper() && $p->part->group !== 'trim'),
            ),
            array_merge(...array_map(Bodies::neighbour(...), $plot->neighbours)),
            $plot,
        );
        $faces = [];
        foreach ($kit->walls->spans() as $span) {
            foreach ($span->isBuilt() ? $kit->walls->pieces($span, 0) : [] as $i => $piece) {
                assert($piece instanceof WallPiece);
                $placed = $assembly->pieces[$piece->part->id.'#0'] ?? null;
                if ($placed !== null) {
                    $name = (count($kit->form->blocks) > 1 ? $kit->form->blocks[$span->form->block]->block->name.', ' : '')
                        .$span->name().($i > 0 ? ' '.($i + 1) : '');
                    $faces[] = $self->face(
                        'wall',
                        $span->block->id.'.'.$span->name(),
                        $span->name(),
                        $name,
                        $span->form->wall->path,
                        $span->form->wall->treat,
                        $placed,
                    );
                }
            }
        }
        foreach ($kit->panels->layer($kit->panels->carrier()) as $panel) {
            assert($panel instanceof RoofPanel);
            $placed = $assembly->pieces[$panel->part->id.'#0'] ?? null;
            if ($placed !== null) {
                $block = count($kit->form->blocks) > 1 ? $kit->form->blocks[$panel->facet->block]->block->name.', ' : '';
                $faces[] = $self->face(
                    'roof',
                    $panel->part->id,
                    $panel->facet->name,
                    $block.$panel->facet->name.' slope',
                    '',
                    Treatment::Full,
                    $placed,
                );
            }
        }

        return $faces;
    }

    /** @return list<Vec3> everywhere on its way, as low and as high as it goes; in the building's axes */
    public static function eyes(Plot $plot): array
    {
        if ($plot->eye === null) {
            return [];
        }
        $eyes = [];
        foreach (array_unique([$plot->eye->height, $plot->eye->highest]) as $height) {
            foreach (EyePlace::all($plot) as $place) {
                $eyes[] = new Vec3($place->at->x, $place->at->y, $height);
            }
        }

        return $eyes;
    }

    /** Gives the eye's place so far to the right of the middle of its travel, in the building's axes. */
    public static function eye(Plot $plot, float $aside): Vec3
    {
        $at = $plot->eyeAt($aside);

        return new Vec3($at->x, $at->y, $plot->eye->height ?? 0.0);
    }

    /** @param  'wall'|'roof'  $kind */
    private function face(string $kind, string $key, string $edge, string $name, string $path, Treatment $treat, Piece $piece): SeenFace
    {
        $facet = $piece->facets[0];
        $points = self::points($facet);
        $share = $degrees = 0.0;
        foreach ($this->eyes as $eye) {
            // Seen from behind it shows its back.
            if ($facet->frame->height($eye) <= 0.0 || $points === []) {
                continue;
            }
            $seen = 0;
            $best = 0.0;
            foreach ($points as $at) {
                $from = $facet->frame->at($at, self::OFF_MM);
                if (! $this->isHidden($from, $eye)) {
                    $seen++;
                    $best = max(
                        $best,
                        rad2deg(
                            asin(
                                min(1.0, $facet->frame->height($eye) / max(Tolerance::ROUNDING, $eye->distanceTo($facet->frame->at($at)))),
                            ),
                        ),
                    );
                }
            }
            if ($seen / count($points) > $share) {
                $share = $seen / count($points);
            }
            $degrees = max($degrees, $best);
        }

        return new SeenFace($kind, $key, $edge, $name, $path, $share, $degrees, $treat);
    }

    /** @return list<Vec2> all over the face, openings left out */
    private static function points(Facet $facet): array
    {
        $box = $facet->region->outline->bounds();
        $points = [];
        for ($i = 0; $i < self::POINTS; $i++) {
            for ($j = 0; $j < self::POINTS; $j++) {
                $at = new Vec2($box->x0 + $box->width() * ($i + 0.5) / self::POINTS, $box->y0 + $box->height() * ($j + 0.5) / self::POINTS);
                if ($facet->region->contains($at)) {
                    $points[] = $at;
                }
            }
        }

        return $points;
    }

    /** Whether some card stands between a point and the eye. */
    private function isHidden(Vec3 $from, Vec3 $eye): bool
    {
        $way = $eye->minus($from);
        foreach ($this->cards as $card) {
            foreach ($card->facets as $facet) {
                $rise = $facet->frame->normal->dot($way);
                if (abs($rise) < Tolerance::ROUNDING) {
                    continue;
                }
                // Card is thin: where the ray passes its middle tells.
                $at = (-$facet->thickness / 2.0 - $facet->frame->height($from)) / $rise;
                if ($at > 0.0 && $at < 1.0 && $facet->region->contains($facet->frame->project($from->plus($way->times($at))))) {
                    return true;
                }
            }
        }

        return $this->isBehindNeighbour($from, $eye);
    }

    private function isBehindNeighbour(Vec3 $from, Vec3 $eye): bool
    {
        $a = $this->plot->inPlot(new Vec2($from->x, $from->y));
        $b = $this->plot->inPlot(new Vec2($eye->x, $eye->y));
        foreach ($this->neighbours as $body) {
            // What of the ray lies over its shadow, and how high that runs.
            [$low, $high] = [0.0, 1.0];
            foreach ($body->shadow->points as $i => $p) {
                $side = $body->shadow->points[($i + 1) % count($body->shadow->points)]->minus($p);
                [$here, $there] = [$side->cross($a->minus($p)), $side->cross($b->minus($p))];
                if ($here < 0.0 && $there < 0.0) {
                    [$low, $high] = [1.0, 0.0];
                } elseif ($here < 0.0) {
                    $low = max($low, $here / ($here - $there));
                } elseif ($there < 0.0) {
                    $high = min($high, $here / ($here - $there));
                }
            }
            $rise = $eye->z - $from->z;
            $heights = [$from->z + $rise * $low, $from->z + $rise * $high];
            if ($low < $high && min($heights) < $body->high && max($heights) > $body->low) {
                return true;
            }
        }

        return false;
    }
}
