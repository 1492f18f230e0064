<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Compromise;

use Chartula\Core\Building\JsonText;
use stdClass;

/** A way to make a building smaller: its steps, what they cost, and how much that shows. */
final readonly class Proposal
{
    /**
     * @param  string  $title  in words, by which people choose
     * @param  list<array<string, mixed>>  $steps  as the document has them
     * @param  list<string>  $costs  what is given up, in words and figures
     * @param  float  $harm  how much it shows; the less the better. docs/formulas.md#compression
     * @param  bool  $isProtected  whether it makes smaller what is protected
     * @param  ?array{depth: string, school: string}  $relief  where it is cut to low relief
     */
    public function __construct(
        public string $key,
        public string $title,
        public array $steps,
        public array $costs,
        public float $harm,
        public bool $isProtected = false,
        public ?array $relief = null,
    ) {
    }

    /** Gives the proposal with the wall or block it is made for in its title. */
    public function at(string $where): self
    {
        return new self(
            $this->key,
            $where.': '.lcfirst($this->title),
            $this->steps,
            array_map(static fn (string $cost): string => "$where: $cost", $this->costs),
            $this->harm,
            $this->isProtected,
            $this->relief,
        );
    }

    /** The document with its steps taken too, and what is protected let go where it has to be. */
    public function taken(stdClass $document): stdClass
    {
        $copy = JsonText::decode(JsonText::encode($document));
        $compression = ($copy->compression ?? null) instanceof stdClass ? $copy->compression : new stdClass;
        $steps = is_array($compression->steps ?? null) ? $compression->steps : [];
        $compression->steps = [...$steps, ...array_map(static fn (array $s): stdClass => (object) $s, $this->steps)];
        if ($this->isProtected) {
            $compression->protect = [];
        }
        $copy->compression = $compression;
        if ($this->relief !== null) {
            $copy->relief = (object) $this->relief;
        }

        return $copy;
    }

    public function and(self $that): self
    {
        return new self(
            $this->key.'+'.$that->key,
            $this->title.'; '.lcfirst($that->title),
            [...$this->steps, ...$that->steps],
            [...$this->costs, ...$that->costs],
            $this->harm + $that->harm,
            $this->isProtected || $that->isProtected,
            $this->relief ?? $that->relief,
        );
    }

    /** The same way taken in another wall too. */
    public function besides(self $that): self
    {
        return new self(
            $this->key,
            $this->title.', and '.$that->title,
            [...$this->steps, ...$that->steps],
            [...$this->costs, ...$that->costs],
            $this->harm + $that->harm,
            $this->isProtected || $that->isProtected,
            $this->relief ?? $that->relief,
        );
    }

    /** Orders proposals with the least harmful first and what touches anything protected last. */
    public static function compare(self $a, self $b): int
    {
        return [$a->isProtected, $a->harm] <=> [$b->isProtected, $b->harm];
    }
}
