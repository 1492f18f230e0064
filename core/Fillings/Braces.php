<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Leaf;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Scale;

/**
 * The braces of a framed leaf: in each field from the foot on the side where it hangs up to the top on the other, so that they carry the
 * side that is not held. docs/formulas.md#leaves
 */
final readonly class Braces
{
    /** What a brace leaves of a field is cut where it is so wide and so high. */
    private const CUT_MM = 0.8;

    /**
     * What is open of fields round their braces; fields as they are where a leaf has none.
     *
     * @param  list<Ring>  $fields  of both leaves by turns where there are two
     * @return list<Ring>
     */
    public static function between(array $fields, Leaf $leaf, Scale $scale): array
    {
        if ($leaf->kind !== Leaf::BRACED) {
            return $fields;
        }
        $half = $scale->modelMm($leaf->rail) / 2.0;
        $open = [];
        foreach ($fields as $i => $field) {
            // Of two leaves the first hangs on the left.
            $isLeft = $leaf->isDouble ? $i % 2 === 0 : $leaf->hinge === 'left';
            array_push($open, ...self::beside($field, $isLeft, $half));
        }

        return $open;
    }

    /** @return list<Ring> */
    private static function beside(Ring $field, bool $isLeft, float $half): array
    {
        $box = $field->bounds();
        [$foot, $top] = $isLeft
            ? [new Vec2($box->x0, $box->y0), new Vec2($box->x1, $box->y1)]
            : [new Vec2($box->x1, $box->y0), new Vec2($box->x0, $box->y1)];
        $way = $top->minus($foot)->times(1.0 / $top->distanceTo($foot));
        $left = (new Vec2(-$way->y, $way->x))->times($half);
        $hull = Hull::around($field->points);
        $open = [];
        foreach ([$hull->leftOf($foot->plus($left), $way), $hull->leftOf($foot->minus($left), $way->times(-1.0))] as $part) {
            $size = $part?->bounds();
            $isCut = $size !== null && min($size->width(), $size->height()) >= self::CUT_MM;
            array_push($open, ...$part !== null && $isCut && count($part->points) > 2 ? [new Ring($part->points)] : []);
        }

        return $open;
    }
}
