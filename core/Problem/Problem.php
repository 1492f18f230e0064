<?php

declare(strict_types=1);

namespace Chartula\Core\Problem;

/**
 * One thing that is wrong with what was given, as data; its sentence is made by ProblemText.
 *
 * `path` is dotted from the document's root ("blocks.0.roof.pitch"), '' for the document itself.
 * `facts` hold what was given and what is allowed, with units where they are lengths.
 */
final readonly class Problem
{
    /** @param  array<string, string|int|float>  $facts */
    public function __construct(
        public string $path,
        public string $code,
        public array $facts = [],
    ) {
    }

    public function text(): string
    {
        return ProblemText::of($this);
    }

    public function line(): string
    {
        return ($this->path === '' ? 'document' : $this->path).': '.$this->text();
    }

    /** @return array{path: string, code: string, text: string} */
    public function toArray(): array
    {
        return ['path' => $this->path, 'code' => $this->code, 'text' => $this->text()];
    }

    /** @return array{path: string, code: string, text: string, facts: array<string, string|int|float>} to be worded again later */
    public function kept(): array
    {
        return $this->toArray() + ['facts' => $this->facts];
    }
}
