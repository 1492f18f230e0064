<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Feature;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Field\Said;
use Chartula\Core\Measure\RealLength;

/** A thing, as a document describes it. */
final readonly class Feature
{
    use CopiesWith;

    /**
     * @param  ?string  $id  unlike that of any other in its list; null where it belongs to an opening, or to every one of a kind
     * @param  ?Place  $place  where it is; null where that follows from what it belongs to
     */
    public function __construct(public Kind $kind, public Said $said, public ?string $id = null, public ?Place $place = null)
    {
    }

    /**
     * With its heights above the base of its block where they come to be.
     *
     * @param  callable(RealLength): RealLength  $at
     */
    public function lifted(callable $at): self
    {
        $values = $this->said->values;
        foreach ($this->kind instanceof HasHeights ? $this->kind->heights($this->said) : [] as $key) {
            $was = $this->said->real($key);
            $values[$key] = $was === null ? null : $at($was);
        }

        return $values === $this->said->values ? $this : $this->with(said: new Said($values, $this->said->path));
    }
}
