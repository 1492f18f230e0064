<?php

declare(strict_types=1);

namespace App\Changes;

use App\Models\Building;
use App\Models\Revision;
use Chartula\Core\Problem\InvalidInput;

/** Taking back what was done last. */
final readonly class UndoAsked implements Change
{
    public function on(Building $building, Revision $base): WorkedChange
    {
        $shown = $building->revision($base->stands_for);
        $before = $shown->before ?? throw InvalidInput::at('undo', 'history.nothing', ['what' => 'undo']);

        return WorkedChange::showing($building->revision($before), 'undo', [$shown->number, ...$base->redo], "undone: $shown->summary");
    }

    public function toArray(): array
    {
        return ['undo' => true];
    }
}
