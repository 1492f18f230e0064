<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Part\PrintedShape;
use Chartula\Core\Part\Sweep;
use Chartula\Core\Part\TurnedOpening;
use Chartula\Core\Part\Weather;

/** A face that is covered, as a covering has to know it. The face's own frame, model millimetres. */
final readonly class CoveredFace
{
    /**
     * @param  float  $datum  the height that courses are counted from
     * @param  array{float, float}  $ends  from where to where it is seen
     * @param  bool  $isSecond  whether faces beside it begin their courses with the first one
     * @param  list<Box2>  $jambs  openings up to their springing
     * @param  list<TurnedOpening>  $reveals  openings into which the paper turns
     * @param  list<PrintedShape>  $dressings  what is printed over the covering
     * @param  array{foot: float, top: float}  $beyond  so much farther it is printed at the foot and at the top, to be turned under
     * @param  list<Sweep>  $sweeps  towards which rows curve
     * @param  ?Homography  $receding  from the face as it is to the paper, where that is in forced perspective
     */
    public function __construct(
        public float $datum,
        public array $ends,
        public bool $isSecond = false,
        public array $jambs = [],
        public array $reveals = [],
        public array $beyond = ['foot' => 0.0, 'top' => 0.0],
        public ?Homography $receding = null,
        public array $dressings = [],
        public ?Weather $weather = null,
        public array $sweeps = [],
    ) {
    }
}
