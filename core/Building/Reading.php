<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Problem\Problem;

/** What could be read of a document, and everything that is wrong with it. */
final readonly class Reading
{
    /**
     * @param  ?Building  $building  with something usual wherever the document is not sound, so that it can be drawn; null where there
     *                               is no block to draw. Nothing may be made of it while there are faults
     * @param  list<Problem>  $faults
     */
    public function __construct(public ?Building $building, public array $faults)
    {
    }
}
