<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Difference;

use Chartula\Core\Building\Feature\Kinds;
use stdClass;

/**
 * How two documents differ, sound or not, as a person would say it. Entries of lists are matched by their id or edge,
 * so that a window stays the same window wherever it stands in its list.
 */
final class DocumentDifference
{
    /** A summary names so many changes; of more it gives the number. */
    private const SAID = 4;

    /** Lists whose entries have names of their own, by the keys under which one is chosen. */
    private const NAMED = ['paper' => 'papers', 'palette' => 'palettes'];

    /** @var list<Change> */
    private array $changes = [];

    /**
     * @param  mixed  $styles  of the later document, for what an opening is called
     * @param  array<string, array<string, string>>  $names  of what lists of either document name, by the keys under which it is chosen
     */
    private function __construct(private readonly mixed $styles, private readonly array $names)
    {
    }

    /** @return list<Change> what turns $before into $after, in the document's order */
    public static function of(stdClass $before, stdClass $after): array
    {
        $self = new self($after->styles ?? null, array_map(
            static fn (string $list): array => self::names($before->{$list} ?? null) + self::names($after->{$list} ?? null),
            self::NAMED,
        ));
        $self->objects($before, $after, [], new Subject('', []));

        return $self->changes;
    }

    /** @param  list<Change>  $changes */
    public static function summary(array $changes): string
    {
        $said = [];
        foreach (array_slice($changes, 0, self::SAID) as $change) {
            $said[$change->where][] = $change->what;
        }
        $phrases = array_map(
            static fn (string|int $where, array $whats): string => ($where === '' ? '' : "$where: ").implode(', ', $whats),
            array_keys($said),
            $said,
        );
        $rest = count($changes) - self::SAID;

        return implode('; ', $phrases).($rest > 0 ? "; and $rest more" : '');
    }

    /** @param  list<string>  $keys */
    private function values(mixed $before, mixed $after, array $keys, Subject $subject): void
    {
        if (end($keys) === 'built' && str_starts_with($keys[count($keys) - 2] ?? '', Identity::MARK)) {
            // What was measured is said figure by figure, the first one too.
            $before ??= new stdClass;
            $after ??= new stdClass;
        }
        if ($before instanceof stdClass && $after instanceof stdClass) {
            $this->objects($before, $after, $keys, $subject);
        } elseif (self::isList($before, $after) && self::isList($after, $before)) {
            $this->lists($before ?? [], $after ?? [], $keys, $subject);
        } elseif (! self::same($before, $after)) {
            $named = fn (mixed $id): mixed => is_string($id) ? $this->names[end($keys)][$id] ?? $id : $id;
            $words = Words::change($subject->field($keys), $named($before), $named($after));
            $this->add($keys, $subject->words, $words, $before, $after);
        }
    }

    /** @return array<string, string> by their ids */
    private static function names(mixed $list): array
    {
        $names = [];
        foreach (is_array($list) ? $list : [] as $one) {
            $id = $one instanceof stdClass ? $one->id ?? null : null;
            $name = $one instanceof stdClass ? $one->name ?? null : null;
            $names += is_string($id) && is_string($name) ? [$id => "“{$name}”"] : [];
        }

        return $names;
    }

    /** @param  list<string>  $keys */
    private function objects(stdClass $before, stdClass $after, array $keys, Subject $subject): void
    {
        foreach (array_keys(get_object_vars($before) + get_object_vars($after)) as $key) {
            $path = [...$keys, (string) $key];
            $this->values(
                $before->{$key} ?? null,
                $after->{$key} ?? null,
                $path,
                $keys === ['styles'] || $keys === ['stock'] ? new Subject((string) $key, $path) : $subject,
            );
        }
    }

    /**
     * @param  array<array-key, mixed>  $before
     * @param  array<array-key, mixed>  $after
     * @param  list<string>  $keys
     */
    private function lists(array $before, array $after, array $keys, Subject $subject): void
    {
        [$old, $new] = [Identity::keyed($before), Identity::keyed($after)];
        if ($old === null || $new === null) {
            $this->unnamed($before, $after, $keys, $subject);

            return;
        }
        foreach (array_keys($old + $new) as $name) {
            $path = [...$keys, Identity::MARK.$name];
            [$was, $is] = [$old[$name] ?? null, $new[$name] ?? null];
            $entry = $this->entry($is ?? $was, (string) $name, $path, $subject);
            if ($was === null || $is === null) {
                $this->add(
                    $path,
                    $subject->words,
                    ($this->ownName((string) end($keys), (string) $name) ?? $this->called($is ?? $was, (string) $name))
                        .($was === null ? ' added' : ' removed'),
                    $was,
                    $is,
                );
            } else {
                $this->values($was, $is, $path, $entry);
            }
        }
        // What is new comes to stand at the end.
        if ([...array_keys(array_intersect_key($old, $new)), ...array_keys(array_diff_key($new, $old))] !== array_keys($new)) {
            $this->add($keys, $subject->words, Words::field($subject->field($keys)).' in another order', $before, $after);
        }
    }

    /**
     * @param  array<array-key, mixed>  $before
     * @param  array<array-key, mixed>  $after
     * @param  list<string>  $keys
     */
    private function unnamed(array $before, array $after, array $keys, Subject $subject): void
    {
        if (count($before) !== count($after)) {
            $this->add($keys, $subject->words, Words::change($subject->field($keys), $before, $after), $before, $after);

            return;
        }
        foreach (array_values($before) as $i => $value) {
            $this->values($value, array_values($after)[$i], [...$keys, (string) $i], $subject);
        }
    }

    /** @param  list<string>  $path */
    private function entry(mixed $entry, string $name, array $path, Subject $subject): Subject
    {
        return match ($path[count($path) - 2]) {
            // One block is the building; its name would stand before everything.
            'blocks' => new Subject('', $path),
            'walls' => new Subject($name, $path),
            'papers', 'palettes' => new Subject($this->ownName($path[count($path) - 2], $name) ?? $name, $path),
            default => new Subject(($subject->words === '' ? '' : "$subject->words, ").$this->called($entry, $name), $path),
        };
    }

    /** Of a paper or of colours, as a person called them. */
    private function ownName(string $list, string $id): ?string
    {
        return $this->names[array_search($list, self::NAMED, true)][$id] ?? null;
    }

    /** `sash w1`, `band on the front` */
    private function called(mixed $entry, string $name): string
    {
        if ($entry instanceof stdClass && ($entry->on ?? null) instanceof stdClass && is_string($entry->kind ?? null)) {
            $edge = is_string($entry->on->edge ?? null) ? " on the {$entry->on->edge}" : '';

            return lcfirst(Kinds::known()->find($entry->kind)?->title() ?? strtr($entry->kind, '-', ' ')).$edge;
        }
        $style = $entry instanceof stdClass && is_string($entry->style ?? null) ? $entry->style : null;
        $known = $style !== null && $this->styles instanceof stdClass && property_exists($this->styles, $style);

        $isKind = $entry instanceof stdClass && ($entry->kind ?? null) === $name;

        return $known ? "$style $name" : ($isKind ? strtr($name, '-', ' ') : $name);
    }

    /** @param  list<string>  $keys */
    private function add(array $keys, string $where, string $what, mixed $before, mixed $after): void
    {
        $path = implode('.', array_map(static fn (string $key): string => str_replace('.', '~.', $key), $keys));
        $this->changes[] = new Change($path, $where, $what, $before, $after);
    }

    /**
     * A list, or none where the other is a list of things with names: a wall without openings has an empty list of them.
     *
     * @phpstan-assert-if-true ?array<array-key, mixed> $value
     */
    private static function isList(mixed $value, mixed $other): bool
    {
        return is_array($value) || ($value === null && is_array($other) && Identity::keyed($other) !== null);
    }

    private static function same(mixed $a, mixed $b): bool
    {
        return $a === $b || json_encode($a, JSON_PRESERVE_ZERO_FRACTION) === json_encode($b, JSON_PRESERVE_ZERO_FRACTION);
    }
}
