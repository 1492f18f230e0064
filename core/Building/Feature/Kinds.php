<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Feature;

use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\Fields;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\KindListType;
use Chartula\Core\Field\KindOption;
use LogicException;

/** The kinds of things that there are. */
final readonly class Kinds
{
    /** @param  array<string, Kind>  $all  by name */
    private function __construct(private array $all)
    {
    }

    /** All that the program knows, as `core/things.php` lists them. */
    public static function known(): self
    {
        return self::of(...array_map(static fn (string $class): Kind => new $class, self::classes()));
    }

    public static function of(Kind ...$kinds): self
    {
        $all = [];
        foreach ($kinds as $kind) {
            if (isset($all[$kind->name()])) {
                throw new LogicException("Two kinds are called {$kind->name()}");
            }
            $all[$kind->name()] = $kind;
        }

        return new self($all);
    }

    public function with(Kind ...$more): self
    {
        return self::of(...array_values($this->all), ...array_values($more));
    }

    public function find(string $name): ?Kind
    {
        return $this->all[$name] ?? null;
    }

    /** The list of those that an anchor may have. */
    public function listAt(Anchor $anchor, string $one, int $most): KindListType
    {
        $here = array_filter($this->all, static fn (Kind $kind): bool => in_array($anchor, $kind->anchors(), true));

        return new KindListType(array_map(self::option(...), array_values($here)), $one, $most);
    }

    private static function option(Kind $kind): KindOption
    {
        $name = Field::required('kind', 'kind', ChoiceType::of([$kind->name() => $kind->title()]))->offTheForm();
        $set = new FieldSet($kind->name(), ...[$name], ...$kind->fields()->fields);

        return new KindOption($kind->name(), $kind->title(), $kind->says(), $kind->picture(), $set);
    }

    /**
     * @param  list<Fields>  $said  as such a list was read
     * @return list<Feature>
     */
    public function made(array $said): array
    {
        return array_map(fn (Fields $one): Feature => new Feature($this->all[$one->text('kind') ?? ''], $one->said()), $said);
    }

    /** @return list<class-string<Kind>> */
    private static function classes(): array
    {
        /** @var list<class-string<Kind>> $classes */
        $classes = require __DIR__.'/../../things.php';

        return $classes;
    }
}
