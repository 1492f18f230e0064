<?php

declare(strict_types=1);

namespace Chartula\Core\Output;

use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;

/** Sentences for people speak of parts by their labels and names, where the core speaks of their ids. */
final readonly class PartWords
{
    /** @param  array<string, string>  $words  by id */
    private function __construct(private array $words)
    {
    }

    public static function of(Kit $kit): self
    {
        $named = static fn (LabelledPart $p): string => "$p->label ({$p->part->name})";

        return new self(array_combine(
            array_map(static fn (LabelledPart $p): string => $p->part->id, $kit->parts),
            array_map($named, $kit->parts),
        ));
    }

    public function in(string $text): string
    {
        return $this->words === [] ? $text : strtr($text, $this->words);
    }

    public function name(string $id): ?string
    {
        return $this->words[$id] ?? null;
    }
}
