<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Face;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\PlanarFaces;
use Chartula\Core\Geometry\Vec2;
use UnexpectedValueException;

/** Stands a folded part up: the facet that holds its base stays, and each score turns what lies beyond it. */
final readonly class Folding
{
    /**
     * @return non-empty-list<Facet> the base's facet first
     *
     * @throws UnexpectedValueException where a facet hangs on no fold
     */
    public static function facets(KitPart $part, Frame $frame): array
    {
        $folds = array_map(static fn (array $f): array => [$f['from'], $f['to']], $part->folds);
        $faces = PlanarFaces::of($part->region, [...$folds, ...$part->slits]);
        $base = self::base($faces, $part->base ?? new Vec2(0.0, 0.0))
            ?? throw new UnexpectedValueException("$part->id has no card where its base should be");
        $placed = [$base => $frame];
        $reached = [$base];
        for ($i = 0; $i < count($reached); $i++) {
            foreach ($faces[$reached[$i]]->beyond as $side) {
                if ($side['cut'] < count($folds) && ! isset($placed[$side['face']])) {
                    $placed[$side['face']] = self::turned($placed[$reached[$i]], $side['from'], $side['to'], $part->folds[$side['cut']]);
                    $reached[] = $side['face'];
                }
            }
        }
        if (count($reached) !== count($faces)) {
            throw new UnexpectedValueException("$part->id falls apart where it is cut");
        }

        return array_map(static fn (int $face): Facet => new Facet($placed[$face], $faces[$face]->region, $part->thickness), $reached);
    }

    /** @param  list<Face>  $faces */
    private static function base(array $faces, Vec2 $at): ?int
    {
        foreach ($faces as $i => $face) {
            if ($face->region->contains($at)) {
                return $i;
            }
        }

        return null;
    }

    /**
     * What stays lies on the left of the fold; turning the other side away from the outside face is a positive turn about it.
     *
     * @param  array{from: Vec2, to: Vec2, radians: float, pivot: float}  $fold
     */
    private static function turned(Frame $frame, Vec2 $from, Vec2 $to, array $fold): Frame
    {
        $along = $to->minus($from)->times(1.0 / $to->distanceTo($from));
        $axis = $frame->x->times($along->x)->plus($frame->y->times($along->y));

        return $frame->turned($frame->at($from, -$fold['pivot']), $axis, $fold['radians']);
    }
}
