<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\IdType;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\NodeType;

/** An edge by its name or its number. */
final readonly class EdgeName
{
    public static function type(): NodeType
    {
        return new NodeType(
            ['oneOf' => [
                ['type' => 'string', 'pattern' => IdType::PATTERN],
                ['type' => 'integer', 'minimum' => 0, 'maximum' => FootprintReader::MOST_CORNERS - 1],
            ]],
            'an edge by its name or its number',
        );
    }

    /** @param  list<string>  $names */
    public static function read(?Node $node, array $names): ?int
    {
        if ($node === null) {
            return null;
        }
        if (is_int($node->value)) {
            return $node->whole(0, count($names) - 1);
        }
        $name = $node->text(100);
        $edge = array_search($name, $names, true);
        if ($name !== null && $edge === false) {
            $node->fault('unknown-edge', ['given' => $name, 'known' => implode(', ', $names)]);
        }

        return $edge === false ? null : $edge;
    }
}
