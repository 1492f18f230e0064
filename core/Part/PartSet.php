<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use LogicException;

/** Parts and the joints between them, as one room hands them to the next. */
final readonly class PartSet
{
    /** @var array<string, Part> by id */
    private array $byId;

    /**
     * @param  list<Part>  $parts
     * @param  list<Joint>  $joints
     */
    public function __construct(
        public array $parts = [],
        public array $joints = [],
    ) {
        $byId = [];
        foreach ($parts as $part) {
            if (isset($byId[$part->id])) {
                throw new LogicException("Two parts are called $part->id");
            }
            $byId[$part->id] = $part;
        }
        $this->byId = $byId;
    }

    public function with(self $that): self
    {
        return new self([...$this->parts, ...$that->parts], [...$this->joints, ...$that->joints]);
    }

    /**
     * All of them in one, in time in proportion to what they hold.
     *
     * @param  array<self>  $sets
     */
    public static function joined(array $sets): self
    {
        return new self(
            array_merge(...array_map(static fn (self $s): array => $s->parts, array_values($sets))),
            array_merge(...array_map(static fn (self $s): array => $s->joints, array_values($sets))),
        );
    }

    public function part(string $id): Part
    {
        return $this->byId[$id] ?? throw new LogicException("No part $id");
    }
}
