<?php

declare(strict_types=1);

namespace Chartula\Core\Output;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Building\Schema\DocumentFields;
use Chartula\Core\Building\Schema\FieldPlace;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\KindListType;
use Chartula\Core\Field\ListType;

/**
 * Finds what can be said of a building, by the words of the forms, and where.
 *
 * @phpstan-import-type Result from Finder
 */
final readonly class FieldFinder
{
    /** They come after whatever the building itself has of that name. */
    private const AFTER = 3;

    private const ON_ROOFS = [Anchor::Slope->value, Anchor::RoofLine->value];

    /**
     * @param  ?Kinds  $kinds  of things that there are; all that the program knows where nothing is said
     * @return list<array{int, Result}>
     */
    public static function found(string $text, ?Kinds $kinds = null): array
    {
        $found = [];
        foreach (DocumentFields::places($kinds) as $place) {
            array_push($found, ...self::within($text, $place, $place->set, $place->title));
        }

        return $found;
    }

    /** @return list<array{int, Result}> */
    private static function within(string $text, FieldPlace $place, FieldSet $set, string $of): array
    {
        $found = [];
        foreach ($set->fields as $field) {
            $type = $field->type;
            if ($field->isOnForm && ! ($type instanceof GroupType && $type->isPlain())) {
                $rank = Finder::rank($text, $field->label, "{$place->title} {$place->stage} $of");
                $words = ucfirst($field->label).", of $of";
                array_push($found, ...$rank === null ? [] : [
                    [$rank + self::AFTER, ['kind' => 'field', 'text' => $words, 'to' => ['what' => 'verb', 'id' => $place->stage]]],
                ]);
            }
            foreach ($field->isOnForm && $type instanceof KindListType ? $type->kinds : [] as $kind) {
                // What stands on roofs is added there.
                $stage = array_intersect($kind->anchors, self::ON_ROOFS) !== [] ? 'roof' : $place->stage;
                $own = new FieldPlace($place->path, $place->set, $place->title, $stage);
                $rank = Finder::rank($text, $kind->title, "$kind->says {$place->title} $stage");
                $to = ['kind' => 'field', 'text' => "$kind->title, of $of", 'to' => ['what' => 'verb', 'id' => $stage]];
                array_push($found, ...$rank === null ? [] : [[$rank, $to]]);
                array_push($found, ...self::within($text, $own, $kind->set, 'a '.mb_strtolower($kind->title)));
            }
            if ($field->isOnForm && ($type instanceof GroupType || $type instanceof ListType)) {
                $inner = $type instanceof ListType ? 'a '.mb_strtolower($type->one) : $of;
                array_push($found, ...self::within($text, $place, $type->set, $inner));
            }
        }

        return $found;
    }
}
