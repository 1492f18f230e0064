<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Geometry\Box2;

/** Where something stands on a face, by the document alone. */
final readonly class DressedBox
{
    /**
     * @param  string  $layer  what of it a part is called by
     * @param  ?Feature  $feature  of what, where that stands round an opening
     */
    public function __construct(public string $layer, public Box2 $box, public bool $isRaised, public ?Feature $feature = null)
    {
    }
}
