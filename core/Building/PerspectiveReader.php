<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\Values;

/** Reads `perspective`; whether blocks and openings can be built so is found out where they are formed. */
final readonly class PerspectiveReader
{
    private const MOST_BLOCKS = 64;

    private const MOST_MOUTHS = 50;

    public static function read(?Node $node, Values $values): ?Perspective
    {
        if ($node === null || $node->isEmpty() || ! $node->isObject([], ['depth', 'apparent', 'axis', 'blocks', 'ground', 'mouths'])) {
            return null;
        }
        $depth = $values->model($node->get('depth'));
        foreach (['apparent', 'axis', 'blocks', 'ground'] as $key) {
            // They say nothing without it.
            if ($node->get($key) !== null && $node->get('depth') === null) {
                $node->missing('depth');

                break;
            }
        }
        $blocks = null;
        if ($node->get('blocks') !== null) {
            $blocks = array_values(
                array_filter(
                    array_map(static fn (Node $id): ?string => $id->text(32), $node->get('blocks')->items(self::MOST_BLOCKS, 1)),
                    static fn (?string $id): bool => $id !== null,
                ),
            );
        }

        return new Perspective(
            $depth,
            $values->model($node->get('apparent')),
            $values->model($node->get('axis'), Sign::ZeroOrMore),
            $blocks,
            $node->get('ground')?->bool() ?? false,
            self::mouths($node->get('mouths'), $values),
            $node->path,
        );
    }

    /** @return list<DeepOpening> */
    private static function mouths(?Node $list, Values $values): array
    {
        $deepOpenings = [];
        $seen = [];
        foreach ($list?->items(self::MOST_MOUTHS) ?? [] as $node) {
            if (! $node->isObject(['opening', 'depth', 'apparent'], ['axis'])) {
                continue;
            }
            $opening = $node->get('opening')?->text(100);
            if ($opening !== null && isset($seen[$opening])) {
                $node->get('opening')?->fault('mouth.twice', ['given' => $opening]);
            }
            $seen[$opening ?? ''] = true;
            $depth = $values->model($node->get('depth'));
            $apparent = $values->model($node->get('apparent'));
            $axis = $values->model($node->get('axis'), Sign::ZeroOrMore);
            if ($opening !== null && $depth !== null && $apparent !== null) {
                $deepOpenings[] = new DeepOpening($opening, $depth, $apparent, $axis, $node->path);
            }
        }

        return $deepOpenings;
    }
}
