<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Part\Mark;

/** What of an opening is cut and printed in the layer of its wall that has all frames. docs/formulas.md#layers-of-frames */
interface LayerFrames
{
    /** @return list<Ring> what is open, the wall's frame */
    public function holes(WallSpan $span, OpeningForm $opening): array;

    /** @return list<Mark> what is printed, likewise */
    public function marks(WallSpan $span, OpeningForm $opening): array;
}
