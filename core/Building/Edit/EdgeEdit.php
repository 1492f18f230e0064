<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\AsBuilt;
use Chartula\Core\Field\Node;
use stdClass;

/**
 * What the roof does over one edge of a block, how walls meet at one corner, and what was measured of a wall or of the panel over it:
 * entries that come and go with what they say.
 */
final readonly class EdgeEdit
{
    public const OPS = ['roof-edge', 'corner', 'as-built'];

    public function __construct(private Node $edit)
    {
    }

    public function apply(string $op, ?stdClass $block): void
    {
        match ($op) {
            'corner' => $this->corner($block),
            'as-built' => $this->asBuilt($block),
            default => $this->roofEdge($block),
        };
    }

    private function asBuilt(?stdClass $block): void
    {
        $this->edit->isObject(['op', 'block', 'edge', 'figure', 'measured'], ['reason', 'date']);
        $figure = $this->edit->get('figure')?->choice([...AsBuilt::OF_WALLS, ...AsBuilt::OF_PANELS]);
        $edge = $block === null ? null : $this->edge($block);
        if ($block === null || $edge === null || $figure === null) {
            return;
        }
        $isPanel = in_array($figure, AsBuilt::OF_PANELS, true);
        $owner = $isPanel ? self::roof($block) : $block;
        $list = $isPanel ? 'edges' : 'walls';
        $entry = self::entry($owner, $list, 'edge', self::called($block, $edge));
        $built = ($entry->built ?? null) instanceof stdClass ? $entry->built : $entry->built = new stdClass;
        $measured = $this->edit->get('measured')?->value;
        if ($measured === null) {
            unset($built->{$figure});
        } else {
            $built->{$figure} = (object) [
                'measured' => $measured, 'reason' => $this->edit->get('reason')?->value, 'date' => $this->edit->get('date')?->value,
            ];
        }
        if (get_object_vars($built) === []) {
            unset($entry->built);
        }
        self::tidy($owner, $list);
    }

    /** The edge that is named; said so where there is none. */
    private function edge(stdClass $block): ?string
    {
        $edge = $this->edit->get('edge')?->text(32);
        if ($edge !== null && ! in_array($edge, Ruler::edges($block), true)) {
            $this->edit->get('edge')?->fault('unknown-edge', ['given' => $edge, 'known' => implode(', ', Ruler::edges($block))]);

            return null;
        }

        return $edge;
    }

    private static function roof(stdClass $block): stdClass
    {
        return ($block->roof ?? null) instanceof stdClass ? $block->roof : $block->roof = new stdClass;
    }

    private function roofEdge(?stdClass $block): void
    {
        $this->edit->isObject(['op', 'block', 'edge'], ['kind', 'pitch', 'overhang', 'from']);
        $edge = $block === null ? null : $this->edge($block);
        if ($block !== null && $edge !== null) {
            $this->put(self::roof($block), 'edges', 'edge', self::called($block, $edge), ['kind', 'pitch', 'overhang', 'from']);
        }
    }

    private function corner(?stdClass $block): void
    {
        $this->edit->isObject(['op', 'block', 'vertex'], ['method', 'through', 'name']);
        $vertex = $block === null ? null : $this->edit->get('vertex')?->whole(0, count(Ruler::edges($block)) - 1);
        if ($block !== null && $vertex !== null) {
            $this->put($block, 'corners', 'vertex', [$vertex], ['method', 'through', 'name']);
        }
    }

    /**
     * Says what is given of an entry; null takes it back, and an entry that says nothing goes.
     *
     * @param  non-empty-list<string|int>  $names  what the entry's thing may be called
     * @param  list<string>  $keys
     */
    private function put(stdClass $owner, string $list, string $key, array $names, array $keys): void
    {
        $entry = self::entry($owner, $list, $key, $names);
        foreach ($keys as $said) {
            $node = $this->edit->get($said);
            if ($node !== null && $node->value === null) {
                unset($entry->{$said});
            } elseif ($node !== null) {
                $entry->{$said} = $node->value;
            }
        }
        self::tidy($owner, $list);
    }

    /**
     * An edge by its name or by its number, as documents may say it.
     *
     * @return non-empty-list<string|int>
     */
    private static function called(stdClass $block, string $edge): array
    {
        return [$edge, (int) array_search($edge, Ruler::edges($block), true)];
    }

    /**
     * The entry of a list that says something of a thing, made where there is none.
     *
     * @param  non-empty-list<string|int>  $names
     */
    private static function entry(stdClass $owner, string $list, string $key, array $names): stdClass
    {
        $entries = is_array($owner->{$list} ?? null) ? array_values($owner->{$list}) : [];
        $entry = null;
        foreach ($entries as $one) {
            $entry = $one instanceof stdClass && in_array($one->{$key} ?? null, $names, true) ? $one : $entry;
        }
        if ($entry === null) {
            $entries[] = $entry = (object) [$key => $names[0]];
        }
        $owner->{$list} = $entries;

        return $entry;
    }

    /** Entries that say nothing go, and the list with the last of them. */
    private static function tidy(stdClass $owner, string $list): void
    {
        $entries = array_values(array_filter(
            is_array($owner->{$list} ?? null) ? $owner->{$list} : [],
            static fn (mixed $e): bool => ! $e instanceof stdClass || count(get_object_vars($e)) > 1,
        ));
        unset($owner->{$list});
        if ($entries !== []) {
            $owner->{$list} = $entries;
        }
    }
}
