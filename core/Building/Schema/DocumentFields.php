<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Schema;

use Chartula\Core\Building\MethodsFields;
use Chartula\Core\Building\ReliefReader;
use Chartula\Core\Building\RoofFields;
use Chartula\Core\Building\Site\PlotFields;
use Chartula\Core\Building\StyleFields;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\FieldType;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\ListType;

/** Where in a document stands what is described by fields: all that is read, shown, found and written down from one description. */
final readonly class DocumentFields
{
    /** @return array<string, FieldSet> by their place in the document, `*` for any id or number */
    public static function places(): array
    {
        return [
            'styles.*' => StyleFields::set(),
            'blocks.*.roof' => RoofFields::set(),
            'methods' => MethodsFields::set(),
            'plot' => PlotFields::set(),
            'relief' => ReliefReader::fields(),
        ];
    }

    /** What a dotted path of a document leads to; null where no field says it. */
    public static function type(string $path): ?FieldType
    {
        $keys = explode('.', $path);
        foreach (self::places() as $place => $set) {
            $own = explode('.', $place);
            $isHere = count($keys) > count($own);
            foreach ($own as $i => $key) {
                $isHere = $isHere && ($key === '*' || $key === ($keys[$i] ?? null));
            }
            if ($isHere) {
                return self::within($set, array_slice($keys, count($own)));
            }
        }

        return null;
    }

    /** @param  list<string>  $keys */
    private static function within(FieldSet $set, array $keys): ?FieldType
    {
        $key = array_shift($keys);
        $type = $key === null ? null : $set->find($key)?->type;
        if ($type instanceof ListType && $keys !== []) {
            array_shift($keys);
        }

        return match (true) {
            $keys === [] => $type,
            $type instanceof ListType, $type instanceof GroupType => self::within($type->set, $keys),
            default => null,
        };
    }
}
