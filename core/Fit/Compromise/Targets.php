<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Compromise;

use Chartula\Core\Measure\Tolerance;

/** How large the finished building may be, in any of three directions of its own axes; model millimetres, null where it is as it is. */
final readonly class Targets
{
    public const DIRECTIONS = ['across', 'deep', 'high'];

    public function __construct(
        public ?float $across = null,
        public ?float $deep = null,
        public ?float $high = null,
    ) {
    }

    /**
     * Directions in which something has to go, and how much of the model.
     *
     * @param  array{across: float, deep: float, high: float}  $now
     * @return array<'across'|'deep'|'high', float>
     */
    public function missing(array $now): array
    {
        $missing = [];
        foreach (self::DIRECTIONS as $direction) {
            $to = $this->of($direction);
            if ($to !== null && $now[$direction] > $to + Tolerance::TOLD) {
                $missing[$direction] = $now[$direction] - $to;
            }
        }

        return $missing;
    }

    /** @param  'across'|'deep'|'high'  $direction */
    public function of(string $direction): ?float
    {
        return match ($direction) {
            'across' => $this->across,
            'deep' => $this->deep,
            'high' => $this->high,
        };
    }

    /** @return array{across: ?float, deep: ?float, high: ?float} */
    public function toArray(): array
    {
        return ['across' => $this->across, 'deep' => $this->deep, 'high' => $this->high];
    }
}
