<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

/** Vehicles that have to stand in line: at a platform, or in a siding beyond its points. Model millimetres. docs/formulas.md#runs */
final readonly class Run
{
    public const KINDS = ['platform', 'siding'];

    /**
     * @param  value-of<self::KINDS>  $kind
     * @param  non-empty-list<array{vehicle: Vehicle, count: int}>  $train
     * @param  float  $gap  from one vehicle to the next
     * @param  float  $margin  at either end of a platform; beyond the points of a siding
     * @param  ?float  $has  how long it is
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $kind,
        public array $train,
        public float $gap,
        public float $margin,
        public ?float $has,
        public string $path,
    ) {
    }

    public function vehicles(): int
    {
        return array_sum(array_column($this->train, 'count'));
    }

    public function needs(): float
    {
        $lengths = array_sum(array_map(static fn (array $t): float => $t['count'] * $t['vehicle']->length, $this->train));

        return $lengths + $this->gap * ($this->vehicles() - 1) + $this->margin * ($this->kind === 'platform' ? 2.0 : 1.0);
    }
}
