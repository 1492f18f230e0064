<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** A number that is no length, such as degrees or a share: a float. */
final readonly class NumberType implements FieldType
{
    /** @param  bool  $isAbove  whether it must be more than the least */
    private function __construct(private string $unit, private ?float $least, private ?float $most, private bool $isAbove = false)
    {
    }

    public static function degrees(?float $least = null, ?float $most = null): self
    {
        return new self('degrees', $least, $most);
    }

    public static function degreesAbove(float $least, float $most): self
    {
        return new self('degrees', $least, $most, true);
    }

    public static function percent(): self
    {
        return new self('%', 0.0, 100.0);
    }

    public static function above(float $least, float $most, string $unit): self
    {
        return new self($unit, $least, $most, true);
    }

    public function read(Node $node, Values $values): mixed
    {
        $number = $node->number();
        $isLow = $number < ($this->least ?? $number) || ($this->isAbove && $number === $this->least);
        if ($number !== null && ($isLow || $number > ($this->most ?? $number))) {
            $node->fault('number-out-of-range', ['given' => $number, 'wanted' => $this->range()]);

            return null;
        }

        return $number;
    }

    public function schema(): array
    {
        return ['type' => 'number']
            + ($this->least === null ? [] : [$this->isAbove ? 'exclusiveMinimum' : 'minimum' => $this->least])
            + ($this->most === null ? [] : ['maximum' => $this->most]);
    }

    public function form(): array
    {
        return ['what' => 'number', 'after' => $this->unit];
    }

    public function words(): string
    {
        return trim('a number '.($this->least === null && $this->most === null ? 'of '.$this->unit : $this->range()));
    }

    private function range(): string
    {
        $words = match (true) {
            $this->least === null => "up to {$this->most}",
            $this->most === null => "from {$this->least}",
            $this->isAbove => "above {$this->least} and up to {$this->most}",
            default => "from {$this->least} to {$this->most}",
        };

        return trim("$words {$this->unit}");
    }
}
