<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Pattern\Pattern;

/** What a finish gives to a face that it covers: a wall, an inside, a slope. Coverings::of has one for each finish. */
final readonly class Covering
{
    /** @param  float  $unit  how large one of its units is, mm²; 0 where it has none that could be counted */
    public function __construct(public Pattern $pattern, public float $unit)
    {
    }

    /** What is printed on the face's paper. */
    public function artwork(CoveredFace $face): FaceArt
    {
        return new FaceArt(
            $this->pattern, $face->datum, $face->isSecond, $face->ends, $face->jambs, $face->receding, $face->reveals, $face->beyond,
            $face->dressings, $face->weather, $face->sweeps,
        );
    }
}
