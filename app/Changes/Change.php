<?php

declare(strict_types=1);

namespace App\Changes;

use App\Models\Building;
use App\Models\Revision;
use Chartula\Core\Problem\InvalidInput;

/** What a person does to a building: edits, another document, an earlier revision, undo or redo. */
interface Change
{
    /**
     * What it gives, made on a revision of the building.
     *
     * @throws InvalidInput where it cannot be made
     */
    public function on(Building $building, Revision $base): WorkedChange;

    /** @return array<string, mixed> as it was sent */
    public function toArray(): array;
}
