<?php

declare(strict_types=1);

namespace App\Changes;

use App\Models\Building;
use App\Models\Revision;

/** Another document in place of the one that is there. */
final readonly class DocumentAsked implements Change
{
    public function __construct(private string $text)
    {
    }

    public function on(Building $building, Revision $base): WorkedChange
    {
        return WorkedChange::replacing($base, $this->text);
    }

    public function toArray(): array
    {
        return ['document' => $this->text];
    }
}
