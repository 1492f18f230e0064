<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Part\Artwork;

/** What a finish gives to a face that it covers: a wall, an inside, a slope. Coverings::of has one for each finish that is drawn. */
interface Covering
{
    /** What is printed on the face's paper. */
    public function artwork(CoveredFace $face): Artwork;
}
