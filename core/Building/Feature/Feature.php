<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Feature;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Field\Said;

/** A thing, as a document describes it. */
final readonly class Feature
{
    use CopiesWith;

    /**
     * @param  ?string  $id  unlike that of any other in its list; null where it belongs to an opening, or to every one of a kind
     * @param  ?Place  $place  where it is; null where that follows from what it belongs to
     */
    public function __construct(public Kind $kind, public Said $said, public ?string $id = null, public ?Place $place = null)
    {
    }
}
