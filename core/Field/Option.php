<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** One of the things that a choice offers. */
final readonly class Option
{
    /**
     * @param  ?string  $picture  a path in a box of 24 by 24, as SVG writes it, y downwards
     * @param  bool  $isMade  false for what documents may say already but nothing makes yet
     */
    public function __construct(
        public string $value,
        public string $words,
        public ?string $picture = null,
        public bool $isMade = true,
    ) {
    }
}
