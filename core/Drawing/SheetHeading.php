<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

/** What the heading of a sheet says beyond the sheet itself. */
final readonly class SheetHeading
{
    /**
     * @param  int  $of  how many sheets there are
     * @param  string  $footer  revision and date, where the caller knows them
     * @param  string  $only  what is on the sheets, where not all is
     */
    public function __construct(
        public int $of,
        public string $footer = '',
        public string $only = '',
    ) {
    }
}
