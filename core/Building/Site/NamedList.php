<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Values;

/** Entries of a list that have an id, and perhaps a name. */
final readonly class NamedList
{
    /**
     * @param  list<string>  $required  beside the id
     * @param  list<string>  $optional  beside the name
     * @return list<array{string, string, Node}> id, name and entry; those that are no objects left out
     */
    public static function of(?Node $list, array $required, array $optional, Values $values): array
    {
        $made = [];
        $seen = [];
        foreach ($list?->items(PlotReader::MOST) ?? [] as $node) {
            if (! $node->isObject(['id', ...$required], ['name', ...$optional])) {
                continue;
            }
            $id = $values->id($node->get('id'));
            if ($id !== null && isset($seen[$id])) {
                $node->get('id')?->fault('id-twice', ['given' => $id]);
            }
            $seen[$id ?? ''] = true;
            $made[] = [$id ?? '', $node->get('name')?->text(100) ?? $id ?? '', $node];
        }

        return $made;
    }
}
