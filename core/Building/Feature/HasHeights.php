<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Feature;

use Chartula\Core\Field\Said;

/** A kind of thing of whose figures some count from the base of its block: where storeys or courses go, they go down with what is there. */
interface HasHeights extends Kind
{
    /** @return list<string> the keys of those figures */
    public function heights(Said $said): array;
}
