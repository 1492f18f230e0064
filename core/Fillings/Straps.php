<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Leaf;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;

/** The straps of a leaf on hinges, which reach from its face to their pins over the middle of the door's frame. docs/formulas.md#hinges */
final readonly class Straps
{
    /** Where they are, in shares of a leaf's height: of one with ledges or panels in the middle of its rails. */
    private const FOOT = 0.15;

    private const TOP = 0.9;

    /** A strap is so high, real millimetres, and reaches over such a share of its leaf. */
    private const HIGH_MM = 63.5;

    private const SHARE = 0.6;

    /** @return list<float> how high they are on a leaf so high, the lowest first */
    public static function heights(Building $building, Leaf $leaf, float $high): array
    {
        $rail = $building->scale->modelMm($leaf->rail) / 2.0;
        [$foot, $top] = $leaf->isFaced() ? [$rail, $high - $rail] : [self::FOOT * $high, self::TOP * $high];

        return ($leaf->hinges->count ?? 0) < 3 ? [$foot, $top] : [$foot, ($foot + $top) / 2.0, $top];
    }

    /** How it turns about its pins: half the frame beside what it would fill, which is so wide. */
    public static function swing(Building $building, Leaf $leaf, float $wide): Swing
    {
        $half = $leaf->hinges === null ? 0.0 : $building->scale->modelMm($leaf->hinges->post) / 2.0;

        return new Swing($leaf->hinge === 'left' ? -$half : $wide + $half, $leaf->hinge, $leaf->angle);
    }

    /** @return list<Sheet> on the face of a leaf, in the opening that it would fill */
    public static function of(Fitted $in, Leaf $leaf): array
    {
        $building = $in->building;
        $stock = $building->methods->strip;
        $thickness = $stock->thickness_mm + $building->methods->template->addsTo($stock);
        $high = max(self::HIGH_MM / $building->scale->ratio, $stock->leastWebMm());
        [$wide, $swing] = [$in->opening->shape->width, self::swing($building, $leaf, $in->opening->shape->width)];
        [$from, $to] = $leaf->hinge === 'left' ? [$swing->pin, self::SHARE * $wide] : [(1.0 - self::SHARE) * $wide, $swing->pin];
        $over = $to - $from - self::SHARE * $wide;
        $edge = new Edge('edge', 'clearance');
        $straps = [];
        foreach (self::heights($building, $leaf, $in->opening->shape->height) as $i => $y) {
            $straps[] = new Sheet(
                $i === 0 ? 'hinge' : 'hinge-'.($i + 1), 'D', $in->named('hinge'), $stock, $thickness,
                new Outline(Ring::rectangle($from, $y - $high / 2.0, $to, $y + $high / 2.0), [$edge, $edge, $edge, $edge]), [],
                [
                    'width' => Figure::given(self::SHARE * $wide, 'along the leaf')
                        ->plus($over, 'over half the frame, '.LengthFormat::trimmed($over, 3)),
                    'height' => Figure::given($high, 'a strap'),
                ],
                isFitted: false, swing: $swing->deeper(-$thickness),
            );
        }

        return $straps;
    }
}
