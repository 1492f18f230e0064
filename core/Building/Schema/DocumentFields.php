<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Schema;

use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Building\FeatureReader;
use Chartula\Core\Building\MethodsFields;
use Chartula\Core\Building\OpeningFields;
use Chartula\Core\Building\OwnPaletteFields;
use Chartula\Core\Building\OwnPaperFields;
use Chartula\Core\Building\ReliefReader;
use Chartula\Core\Building\RoofFields;
use Chartula\Core\Building\Site\PlotFields;
use Chartula\Core\Building\StyleFields;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\KindListType;
use Chartula\Core\Field\ListType;
use stdClass;

/** Where in a document stands what is described by fields: all that is read, shown, found and written down from one description. */
final readonly class DocumentFields
{
    /**
     * @param  ?Kinds  $kinds  of things that there are; all that the program knows where nothing is said
     * @return list<FieldPlace>
     */
    public static function places(?Kinds $kinds = null): array
    {
        $kinds ??= Kinds::known();

        return [
            new FieldPlace('papers.*', OwnPaperFields::set(), 'a paper of your own', 'skin'),
            new FieldPlace('palettes.*', OwnPaletteFields::set(), 'colours of your own', 'skin'),
            new FieldPlace('styles.*', StyleFields::set($kinds), 'a kind of opening', 'prototype'),
            new FieldPlace('blocks.*.walls.*.openings.*', OpeningFields::set($kinds), 'an opening', 'shell'),
            new FieldPlace('blocks.*.roof', RoofFields::set(), 'a roof', 'roof'),
            new FieldPlace('methods', MethodsFields::set(), 'how it is made', 'roof'),
            new FieldPlace('plot', PlotFields::set(), 'the plot', 'plot'),
            new FieldPlace('relief', ReliefReader::fields(), 'low relief', 'plot'),
            new FieldPlace('blocks.*', FeatureReader::set('things', FeatureReader::ofBlocks($kinds)), 'a block', 'shell'),
            new FieldPlace('', FeatureReader::set('things-of-the-plot', FeatureReader::ofThePlot($kinds)), 'the plot', 'plot'),
        ];
    }

    /** Gives the field that a dotted path of a document leads to; null where none says it. */
    public static function at(stdClass $document, string $path, ?Kinds $kinds = null): ?DescribedField
    {
        $keys = explode('.', $path);
        foreach (self::places($kinds) as $place) {
            $own = $place->path === '' ? [] : explode('.', $place->path);
            $isHere = true;
            foreach ($own as $i => $key) {
                $isHere = $isHere && ($key === '*' || $key === ($keys[$i] ?? null));
            }
            $rest = array_slice($keys, count($own));
            $described = $isHere && $rest !== []
                ? self::within($place->set, $rest, self::value($document, array_slice($keys, 0, count($own))))
                : null;
            if ($described !== null) {
                return $described;
            }
        }

        return null;
    }

    /**
     * @param  non-empty-list<string>  $keys
     * @param  mixed  $value  what the set describes
     */
    private static function within(FieldSet $set, array $keys, mixed $value): ?DescribedField
    {
        $key = array_shift($keys);
        $field = $set->find($key);
        if ($field === null || $keys === []) {
            return $field === null ? null : new DescribedField($set, $field);
        }
        $value = self::value($value, [$key]);
        if ($field->type instanceof GroupType) {
            return self::within($field->type->set, $keys, $value);
        }
        $value = self::value($value, [array_shift($keys)]);
        $inner = match (true) {
            $field->type instanceof ListType => $field->type->set,
            $field->type instanceof KindListType => $field->type->setOf($value),
            default => null,
        };

        return $inner === null || $keys === [] ? null : self::within($inner, $keys, $value);
    }

    /** @param  list<string>  $keys */
    private static function value(mixed $value, array $keys): mixed
    {
        foreach ($keys as $key) {
            $value = match (true) {
                $value instanceof stdClass => $value->{$key} ?? null,
                is_array($value) => $value[$key] ?? null,
                default => null,
            };
        }

        return $value;
    }
}
