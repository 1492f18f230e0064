<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** One of a few things: the string that stands for it. */
final readonly class ChoiceType implements FieldType
{
    /** @param  non-empty-list<Option>  $options */
    private function __construct(private array $options)
    {
    }

    /** @param  non-empty-array<string, string>  $words  by the value that they stand for */
    public static function of(array $words): self
    {
        $options = array_map(static fn (string $value, string $said): Option => new Option($value, $said), array_keys($words), $words);

        return new self($options);
    }

    public static function among(Option $first, Option ...$others): self
    {
        return new self([$first, ...array_values($others)]);
    }

    public function read(Node $node, Values $values): mixed
    {
        $said = $node->choice($this->values());
        foreach ($this->options as $option) {
            if ($option->value === $said && ! $option->isMade) {
                $made = array_filter($this->options, static fn (Option $o): bool => $o->isMade);
                $instead = implode(' or ', array_map(static fn (Option $o): string => "“{$o->value}”", $made));
                $node->fault('not-made-yet', ['given' => $said, 'instead' => "use $instead for now"]);

                return null;
            }
        }

        return $said;
    }

    public function schema(): array
    {
        return ['enum' => $this->values()];
    }

    public function form(): array
    {
        $offered = array_values(array_filter($this->options, static fn (Option $o): bool => $o->isMade));

        return ['what' => 'choice', 'choices' => array_map(static fn (Option $o): array => [
            'value' => $o->value, 'words' => $o->words,
        ] + ($o->picture === null ? [] : ['picture' => $o->picture]), $offered)];
    }

    public function words(): string
    {
        return implode(', ', array_map(static fn (string $value): string => "`$value`", $this->values()));
    }

    /** @return list<string> */
    private function values(): array
    {
        return array_map(static fn (Option $o): string => $o->value, $this->options);
    }
}
