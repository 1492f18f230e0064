<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Schema;

use Chartula\Core\Building\MethodsFields;
use Chartula\Core\Building\ReliefReader;
use Chartula\Core\Building\RoofFields;
use Chartula\Core\Building\Site\PlotFields;
use Chartula\Core\Building\StyleFields;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\ListType;

/** Where in a document stands what is described by fields: all that is read, shown, found and written down from one description. */
final readonly class DocumentFields
{
    /** @return list<FieldPlace> */
    public static function places(): array
    {
        return [
            new FieldPlace('styles.*', StyleFields::set(), 'a kind of opening', 'prototype'),
            new FieldPlace('blocks.*.roof', RoofFields::set(), 'a roof', 'roof'),
            new FieldPlace('methods', MethodsFields::set(), 'how it is made', 'roof'),
            new FieldPlace('plot', PlotFields::set(), 'the plot', 'plot'),
            new FieldPlace('relief', ReliefReader::fields(), 'low relief', 'plot'),
        ];
    }

    /** Gives the field that a dotted path of a document leads to; null where none says it. */
    public static function at(string $path): ?DescribedField
    {
        $keys = explode('.', $path);
        foreach (self::places() as $place) {
            $own = explode('.', $place->path);
            $isHere = true;
            foreach ($own as $i => $key) {
                $isHere = $isHere && ($key === '*' || $key === ($keys[$i] ?? null));
            }
            $rest = array_slice($keys, count($own));
            if ($isHere && $rest !== []) {
                return self::within($place->set, $rest);
            }
        }

        return null;
    }

    /** @param  non-empty-list<string>  $keys */
    private static function within(FieldSet $set, array $keys): ?DescribedField
    {
        $field = $set->find(array_shift($keys));
        if ($field === null || $keys === []) {
            return $field === null ? null : new DescribedField($set, $field);
        }
        $type = $field->type;
        if ($type instanceof ListType) {
            array_shift($keys);
        }

        return $keys !== [] && ($type instanceof ListType || $type instanceof GroupType) ? self::within($type->set, $keys) : null;
    }
}
