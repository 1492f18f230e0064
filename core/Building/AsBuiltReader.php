<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Values;

/** Reads `built` of a wall, or of an edge of a roof: figures as they were measured, each with a reason and a day. */
final readonly class AsBuiltReader
{
    private const LONGEST_REASON = 200;

    public function __construct(private Values $values)
    {
    }

    /**
     * @param  list<string>  $figures  that can be measured of it
     * @return array<string, mixed>
     */
    public static function schema(array $figures): array
    {
        return [
            'type' => 'object', 'properties' => array_fill_keys($figures, ['$ref' => '#/$defs/as_built']), 'additionalProperties' => false,
        ];
    }

    /**
     * @template T of string
     *
     * @param  list<T>  $figures  that can be measured of it
     * @return array<T, AsBuilt> those that are sound
     */
    public function read(?Node $node, array $figures): array
    {
        $built = [];
        $node?->isObject([], $figures);
        foreach ($figures as $figure) {
            $item = $node?->get($figure);
            if ($item === null || ! $item->isObject(['measured', 'reason', 'date'])) {
                continue;
            }
            $measured = $this->values->model($item->get('measured'));
            [$reason, $date] = self::reasonAndDay($item);
            if ($measured !== null && $reason !== null && $date !== null) {
                $built[$figure] = new AsBuilt($measured->mm, $reason, $date, $item->path);
            }
        }

        return $built;
    }

    /** @return array{?string, ?string} why something is not as planned, and on which day that was found; null where it is not sound */
    public static function reasonAndDay(Node $item): array
    {
        $reason = $item->get('reason')?->text(self::LONGEST_REASON);
        if ($reason !== null && trim($reason) === '') {
            $item->get('reason')?->fault('built.no-reason');
        }

        return [$reason === null ? null : trim($reason), self::day($item->get('date'))];
    }

    private static function day(?Node $node): ?string
    {
        $text = $node?->text(40);
        if ($node === null || $text === null) {
            return null;
        }
        if (preg_match('/^(\d{4})-(\d\d)-(\d\d)$/D', $text, $m) !== 1 || ! checkdate((int) $m[2], (int) $m[3], (int) $m[1])) {
            $node->fault('date', ['given' => $text]);

            return null;
        }

        return $text;
    }
}
