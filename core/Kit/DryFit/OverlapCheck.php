<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Bins;
use Chartula\Core\Geometry\Convex;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Recall\Recall;

/** No two pieces of card may stand in the same place. */
final readonly class OverlapCheck
{
    /** @return list<Finding> */
    public static function all(Assembly $assembly, Recall $recall): array
    {
        $findings = [];
        $solids = $assembly->solids();
        $bins = new Bins(array_map(static fn (Piece $p): array => [$p->box[0], $p->box[1]], $solids));
        foreach ($solids as $i => $a) {
            $near = $bins->between($a->box[0], $a->box[1]);
            sort($near);
            foreach ($near as $k) {
                $b = $solids[$k];
                if ($k > $i && $a->isNear($b, -Tolerance::OVERLAP)) {
                    $depth = $recall->of("overlap$a->fingerprint$b->fingerprint", static fn (): float => self::depth($a, $b, $recall));
                    if ($depth > Tolerance::OVERLAP) {
                        $findings[] = new Finding(
                            'overlap',
                            $a->part->id,
                            sprintf('%s goes %.2f mm into %s', $a->part->id, $depth, $b->part->id),
                            $depth,
                        );
                    }
                }
            }
        }

        return $findings;
    }

    private static function depth(Piece $a, Piece $b, Recall $recall): float
    {
        $greatest = Tolerance::OVERLAP;
        if (count($a->facets) === 1 && count($b->facets) === 1 && self::areBeside($a, $b, $recall)) {
            return 0.0;
        }
        $others = self::near($b, $a);
        foreach ($others === [] ? [] : self::near($a, $b) as $p) {
            foreach ($others as $q) {
                $greatest = max($greatest, $p->depthIn($q, $greatest));
            }
        }

        return $greatest;
    }

    /** Of the larger one only what lies near the smaller one matters: a frame is beside its wall whatever becomes of other openings. */
    private static function areBeside(Piece $a, Piece $b, Recall $recall): bool
    {
        [$few, $many] = $a->facets[0]->corners() < $b->facets[0]->corners() ? [$a, $b] : [$b, $a];
        [$small, $large] = [$few->facets[0], $many->facets[0]];

        return $recall->of(
            Recall::question('beside', $few->fingerprint, $large->within($few->box), $small->holdsCornerOf($large)),
            static fn (): bool => $small->liesBeside($large),
        );
    }

    /** @return list<Convex> the slabs of a piece that may reach into the box of another */
    private static function near(Piece $piece, Piece $other): array
    {
        return array_merge(...array_map(static fn (Facet $f): array => $f->slabsIn($other->box, Tolerance::OVERLAP), $piece->facets));
    }
}
