<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

use Chartula\Core\Problem\InvalidInput;

/** The ratio 1:S. docs/formulas.md#scale */
final readonly class Scale
{
    private const LEAST = 1.0;

    private const GREATEST = 1000.0;

    private function __construct(public float $ratio)
    {
    }

    /** @throws InvalidInput at $path: scale.not-understood, scale.out-of-range */
    public static function parse(string $text, string $path): self
    {
        if (preg_match('/^1 ?: ?(\d{1,7}(?:\.\d{1,9})?)$/D', $text, $match) !== 1) {
            throw InvalidInput::at($path, 'scale.not-understood', ['given' => $text]);
        }

        return self::of((float) $match[1], $path);
    }

    /** @throws InvalidInput at $path: scale.out-of-range */
    public static function of(float $ratio, string $path = 'scale'): self
    {
        if (! ($ratio >= self::LEAST && $ratio <= self::GREATEST)) {
            throw InvalidInput::at($path, 'scale.out-of-range', ['given' => '1:'.$ratio]);
        }

        return new self($ratio);
    }

    public function modelMm(RealLength $real): float
    {
        return $real->mm / $this->ratio;
    }
}
