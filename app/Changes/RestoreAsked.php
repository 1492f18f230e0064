<?php

declare(strict_types=1);

namespace App\Changes;

use App\Models\Building;
use App\Models\Revision;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Problem\InvalidInput;

/** Going back to an earlier revision. That is something new, which can be undone itself. */
final readonly class RestoreAsked implements Change
{
    public function __construct(private int $number)
    {
    }

    public function on(Building $building, Revision $base): WorkedChange
    {
        $target = $building->revisions()->where('number', $this->number)->first()
            ?? throw InvalidInput::at('restore', 'history.no-such', ['given' => $this->number]);
        $words = $target->name === null ? "revision $this->number" : "“{$target->name}”, revision $this->number";

        return new WorkedChange(JsonText::decode($target->text), $target->text, "back to $words", 'restore');
    }

    public function toArray(): array
    {
        return ['restore' => $this->number];
    }
}
