<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** Copies of an immutable object in which some fields differ. No field of it can be forgotten on the way. */
trait CopiesWith
{
    /** @param  mixed  ...$fields  by their names; PHP itself refuses a name that is not there, and a value of another type */
    public function with(mixed ...$fields): self
    {
        return new self(...array_replace(get_object_vars($this), $fields)); // @phpstan-ignore argument.type
    }
}
