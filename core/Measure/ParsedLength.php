<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

/** What a length's text says: millimetres, and the world if it was written; of a sum over both worlds also the other terms. */
final readonly class ParsedLength
{
    /** @param  list<self>  $more  terms of another world */
    public function __construct(
        public float $mm,
        public ?World $world,
        public array $more = [],
    ) {
    }

    /** Gives millimetres of a world; a length that was written without one is of that. */
    public function in(World $native, Scale $scale): float
    {
        $mm = match (true) {
            ($this->world ?? $native) === $native => $this->mm,
            $native === World::Real => $this->mm * $scale->ratio,
            default => $this->mm / $scale->ratio,
        };

        return $mm + array_sum(array_map(static fn (self $term): float => $term->in($native, $scale), $this->more));
    }

    /** The same and another, which may be of the other world. */
    public function plus(self $that): self
    {
        foreach ([$this, ...$this->more] as $i => $own) {
            if ($own->world === $that->world) {
                $sum = new self($own->mm + $that->mm, $own->world);
                $terms = [new self($this->mm, $this->world), ...$this->more];
                $terms[$i] = $sum;

                return new self($terms[0]->mm, $terms[0]->world, array_slice($terms, 1));
            }
        }

        return new self($this->mm, $this->world, [...$this->more, $that]);
    }
}
