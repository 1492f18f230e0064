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

    public static function of(Finish $finish, Building $building): Drawing
    {
        $drawing = new Drawing(self::WIDTH_MM, self::HEIGHT_MM, $finish->words());
        $all = Ring::rectangle(0.0, 0.0, self::WIDTH_MM, self::HEIGHT_MM);
        $art = Coverings::of($finish, $building)?->artwork(new CoveredFace(0.0, [0.0, self::WIDTH_MM]));
        $bare = [new Path(Layer::Art, [$all->points], true, null, self::CARD)];
        foreach ($art === null ? $bare : FaceDrawing::paths($art, $all, null) as $path) {
            $drawing->path($path);
        }

        return $drawing;
    }
}
