<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

/**
 * A length on the model that remembers how it was made. Arithmetic on it reads as arithmetic; each step keeps its
 * operation, operand, running value and the words a person would use, and Workings::evaluate() runs them again.
 *
 * @phpstan-type Step array{op: string, mm: float, text: string, by?: float, from?: string}
 */
final readonly class Figure
{
    /** @param  non-empty-list<Step>  $steps */
    private function __construct(
        public float $mm,
        public array $steps,
    ) {
    }

    /** A size of the prototype, divided by the scale. */
    public static function measured(RealLength $real, Scale $scale, string $what = ''): self
    {
        $written = $real->text ?? LengthFormat::metric($real->mm);
        $step = [
            'op' => 'measured', 'mm' => $real->mm,
            'text' => ($what === '' ? '' : $what.', ').$written.' = '.LengthFormat::trimmed($real->mm, 3).' mm',
        ];
        if ($real->path !== null) {
            $step['from'] = $real->path;
        }
        $first = new self($real->mm, [$step]);

        return $first->over($scale->ratio, '÷ '.LengthFormat::trimmed($scale->ratio, 4));
    }

    /** A model length that was set, or that another figure gave. */
    public static function given(float $mm, string $text): self
    {
        return new self($mm, [['op' => 'given', 'mm' => $mm, 'text' => $text]]);
    }

    public function plus(float $mm, string $text): self
    {
        return $this->then('+', $mm, $this->mm + $mm, $text);
    }

    public function less(float $mm, string $text): self
    {
        return $this->then('−', $mm, $this->mm - $mm, $text);
    }

    /** Adds or takes away what brings the figure to another one, and says why. */
    public function to(float $mm, string $why): self
    {
        $off = $this->mm - $mm;

        return abs($off) < Tolerance::FIGURE
            ? $this
            : (
                $off > 0.0
                ? $this->less($off, $why.', '.LengthFormat::trimmed($off, 3))
                : $this->plus(-$off, $why.', '.LengthFormat::trimmed(-$off, 3))
            );
    }

    public function times(float $factor, string $text): self
    {
        return $this->then('×', $factor, $this->mm * $factor, $text);
    }

    public function over(float $divisor, string $text): self
    {
        return $this->then('÷', $divisor, $this->mm / $divisor, $text);
    }

    /** @return array{of: string, mm: float, steps: list<Step>} */
    public function workings(string $of): array
    {
        return [
            'of' => $of,
            'mm' => round($this->mm, 4),
            'steps' => array_map(static fn (array $step): array => ['mm' => round($step['mm'], 4)] + $step, $this->steps),
        ];
    }

    private function then(string $op, float $by, float $mm, string $text): self
    {
        return new self($mm, [...$this->steps, ['op' => $op, 'by' => $by, 'mm' => $mm, 'text' => $text]]);
    }
}
