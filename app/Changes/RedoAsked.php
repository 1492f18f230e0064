<?php

declare(strict_types=1);

namespace App\Changes;

use App\Models\Building;
use App\Models\Revision;
use Chartula\Core\Problem\InvalidInput;

/** Doing again what was taken back last. */
final readonly class RedoAsked implements Change
{
    public function on(Building $building, Revision $base): WorkedChange
    {
        $next = $base->redo[0] ?? throw InvalidInput::at('redo', 'history.nothing', ['what' => 'redo']);
        $target = $building->revision($next);

        return WorkedChange::showing($target, 'redo', array_slice($base->redo, 1), "done again: $target->summary");
    }

    public function toArray(): array
    {
        return ['redo' => true];
    }
}
