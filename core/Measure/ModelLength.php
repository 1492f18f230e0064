<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

/**
 * A length on the model, as a rule on the bench reads it, in millimetres; finite, and negative only where a coordinate or an offset is
 * meant.
 */
final readonly class ModelLength
{
    private function __construct(
        public float $mm,
        public ?string $text,
        public ?string $path,
    ) {
    }

    public static function ofMillimetres(float $mm): self
    {
        return new self($mm, null, null);
    }

    /** A length that was entered: what was written, and where in the document. */
    public static function entered(float $mm, string $text, string $path): self
    {
        return new self($mm, $text, $path);
    }
}
