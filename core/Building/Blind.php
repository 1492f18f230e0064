<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** What an opening is filled up with. */
final readonly class Blind
{
    /**
     * @param  ?Finish  $of  null where it is of what its wall is of
     * @param  ?string  $colour  of that, as #rrggbb; null where it is as usual
     */
    public function __construct(public ?Finish $of, public ?string $colour)
    {
    }
}
