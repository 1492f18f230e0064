<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** One key of an object in a document, described once. */
final readonly class Field
{
    /**
     * @param  string  $label  on the screen, before the figure
     * @param  mixed  $default  as a document would say it; null where nothing stands in for it
     * @param  mixed  $begins  as a document says it: what a form puts there where the field comes to apply
     * @param  string  $says  what more a table tells of it
     * @param  bool  $isOnForm  false where a drawing or the document alone says it
     * @param  string  $under  on the form, the heading under which it lies folded; '' where it is always to be seen
     * @param  string  $unsaid  on the form, what it means that nothing is said
     * @param  bool  $isShyOnForm  a form shows it only where it is said
     * @param  ?array{key: string, label: string}  $beside  its label on the form where another field of its set is said
     * @param  ?string  $emptiedBy  a value of the field it applies by, at the choice of which a form takes out what is said here
     * @param  ?string  $insteadOf  the field in whose place it may be said; where that one is said, a form does not ask for this one
     */
    private function __construct(
        public string $key,
        public string $label,
        public FieldType $type,
        public bool $isRequired,
        public mixed $default = null,
        public ?When $when = null,
        public mixed $begins = null,
        public string $says = '',
        public bool $isOnForm = true,
        public string $under = '',
        public string $unsaid = '',
        public ?string $insteadOf = null,
        public bool $isShyOnForm = false,
        public ?array $beside = null,
        public ?string $emptiedBy = null,
    ) {
    }

    public static function required(string $key, string $label, FieldType $type): self
    {
        return new self($key, $label, $type, true);
    }

    public static function optional(string $key, string $label, FieldType $type, mixed $default = null): self
    {
        return new self($key, $label, $type, false, $default);
    }

    /**
     * It applies only where another field of its set holds one of these.
     *
     * @param  non-empty-list<string>  $values
     * @param  ?string  $refusal  the code of the fault where it is said all the same
     */
    public function when(string $key, array $values, ?string $refusal = null): self
    {
        return $this->with(when: new When($key, $values, $refusal));
    }

    /**
     * A form offers it only where another field of its set holds one of these; a document may say it anyway.
     *
     * @param  non-empty-list<string>  $values
     */
    public function offered(string $key, array $values): self
    {
        return $this->with(when: new When($key, $values, null, true));
    }

    public function insteadOf(string $key): self
    {
        return $this->with(insteadOf: $key);
    }

    public function beginning(mixed $begins): self
    {
        return $this->with(begins: $begins);
    }

    public function emptiedBy(string $value): self
    {
        return $this->with(emptiedBy: $value);
    }

    public function saying(string $says): self
    {
        return $this->with(says: $says);
    }

    public function offTheForm(): self
    {
        return $this->with(isOnForm: false);
    }

    /** A form shows it only where it is said. */
    public function shownWhereSaid(): self
    {
        return $this->with(isShyOnForm: true);
    }

    /** What it is called on the form where another field of its set is said. */
    public function calledBeside(string $key, string $label): self
    {
        return $this->with(beside: ['key' => $key, 'label' => $label]);
    }

    public function under(string $heading): self
    {
        return $this->with(under: $heading);
    }

    public function meaning(string $unsaid): self
    {
        return $this->with(unsaid: $unsaid);
    }

    /** @return array<string, mixed> */
    public function schema(): array
    {
        return $this->type->schema()
            + ($this->default === null ? [] : ['default' => $this->default])
            + ($this->says === '' ? [] : ['description' => $this->says]);
    }

    /** @return array{key: string, label: string, optional: bool, holds: array<string, mixed>, ...} */
    public function form(): array
    {
        return ['key' => $this->key, 'label' => $this->label, 'optional' => ! $this->isRequired, 'holds' => $this->type->form()]
            + ($this->insteadOf === null ? [] : ['instead_of' => $this->insteadOf])
            + ($this->isShyOnForm ? ['where_said' => true] : [])
            + ($this->beside === null ? [] : ['beside' => $this->beside])
            + ($this->when === null ? [] : ['when' => $this->when->toArray()])
            + ($this->default === null ? [] : ['usual' => $this->default])
            + ($this->under === '' ? [] : ['under' => $this->under])
            + ($this->unsaid === '' ? [] : ['unsaid' => $this->unsaid]);
    }

    private function with(mixed ...$changed): self
    {
        return new self(...array_replace(get_object_vars($this), $changed)); // @phpstan-ignore argument.type
    }
}
