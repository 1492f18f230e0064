<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Skin\CoveredFace;
use Chartula\Core\Skin\Coverings;

/** A piece of a covering as it comes out on this building, at the size of the model. */
final readonly class CoveringSwatch
{
    private const WIDTH_MM = 30.0;

    private const HEIGHT_MM = 18.0;

    /** What is not covered. */
    private const CARD = '#e6dcc6';

    /**
     * @param  ?string  $paper  one of a person's own, in which it is printed
     * @param  ?string  $palette  one of a person's own, whose colours it has
     */
    public static function of(Finish $finish, Building $building, ?string $paper = null, ?string $palette = null): Drawing
    {
        $drawing = new Drawing(self::WIDTH_MM, self::HEIGHT_MM, $finish->words());
        $used = new CoveringUse($finish, $paper, $palette);
        array_map($drawing->path(...), self::paths($used, $building, Ring::rectangle(0.0, 0.0, self::WIDTH_MM, self::HEIGHT_MM)));

        return $drawing;
    }

    /**
     * @param  Ring  $all  a rectangle that it fills
     * @return list<Path>
     */
    public static function paths(CoveringUse $used, Building $building, Ring $all): array
    {
        $box = $all->bounds();
        $art = Coverings::of($used->finish, $building, $used->paper, $used->palette)
            ?->artwork(new CoveredFace($box->y0, [$box->x0, $box->x1]));

        return $art === null ? [new Path(Layer::Art, [$all->points], true, null, self::CARD)] : FaceDrawing::paths($art, $all, null);
    }
}
