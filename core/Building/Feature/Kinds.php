<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Feature;

use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\Fields;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\IdType;
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

    /** @return list<Kind> in the order in which a person is offered them */
    public function all(): array
    {
        return array_values($this->all);
    }

    public function find(string $name): ?Kind
    {
        return $this->all[$name] ?? null;
    }

    /** The list of those that stand round an opening. */
    public function listAt(Anchor $anchor, string $one, int $most): KindListType
    {
        $here = array_filter($this->all, static fn (Kind $kind): bool => in_array($anchor, $kind->anchors(), true));

        return new KindListType(array_map(static fn (Kind $kind): KindOption => self::option($kind), array_values($here)), $one, $most);
    }

    /**
     * The list of those that may have one of these anchors, and say where they are.
     *
     * @param  list<Anchor>  $anchors
     */
    public function placedAt(array $anchors, string $one, int $most): KindListType
    {
        $options = [];
        foreach ($this->all as $kind) {
            // Its own first one is what is meant where a place does not say on what it is.
            $here = array_values(array_filter($kind->anchors(), static fn (Anchor $a): bool => in_array($a, $anchors, true)));
            array_push($options, ...$here === [] ? [] : [self::option($kind, $here)]);
        }

        return new KindListType($options, $one, $most);
    }

    /** @param  list<Anchor>  $anchors  of which it says where it is; none where that follows from what it belongs to */
    private static function option(Kind $kind, array $anchors = []): KindOption
    {
        $fields = [Field::required('kind', 'kind', ChoiceType::of([$kind->name() => $kind->title()]))->offTheForm()];
        if ($anchors !== []) {
            $fields[] = Field::optional('id', 'id', new IdType)->offTheForm();
            $place = PlaceFields::set($anchors, ! $kind instanceof AtOnePlace);
            $fields[] = Field::required('on', 'Where it is', GroupType::gathering($place));
        }
        $set = new FieldSet($kind->name(), ...$fields, ...$kind->fields()->fields);
        $names = array_map(static fn (Anchor $a): string => $a->value, $anchors);

        return new KindOption($kind->name(), $kind->title(), $kind->says(), $kind->picture(), $set, $names, $kind instanceof AtOnePlace);
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
