<?php

declare(strict_types=1);

namespace Chartula\Core\Kit;

use Chartula\Core\Kit\Compare\PrintedPlace;

/** What of a building has been printed: its labels and its places are promises. */
final readonly class Prints
{
    /**
     * @param  array<string, string>  $labels  by part, where a fresh kit would have others
     * @param  array<string, PrintedPlace>  $places  of pieces that are still good, by id and copy
     * @param  list<int>  $sheets  numbers of sheets that are not given again
     */
    public function __construct(
        public array $labels = [],
        public array $places = [],
        public array $sheets = [],
    ) {
    }
}
