<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

/** One thing that does not go together. */
final readonly class Finding
{
    /**
     * @param  string  $at  the part, joint or surface concerned
     * @param  float  $mm  by how much
     */
    public function __construct(
        public string $code,
        public string $at,
        public string $text,
        public float $mm = 0.0,
    ) {
    }

    /** @return array{code: string, at: string, text: string, mm: float} */
    public function toArray(): array
    {
        return ['code' => $this->code, 'at' => $this->at, 'text' => $this->text, 'mm' => round($this->mm, 4)];
    }
}
