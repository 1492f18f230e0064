<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Field\Node;
use Chartula\Core\Measure\LengthFormat;
use stdClass;

/** Gives a block an outline from few figures, or turns round one that was entered clockwise. */
final readonly class OutlineEdit
{
    public function __construct(
        private Ruler $ruler,
        private Node $edit,
    ) {
    }

    public function apply(string $op, ?stdClass $block): void
    {
        if ($block !== null) {
            $op === 'shape-block' ? $this->shape($block) : $this->turnOutline($block);
        }
    }

    private function shape(stdClass $block): void
    {
        $this->edit->isObject(['op', 'block', 'shape'], ['w', 'd', 'a', 'b', 'sides', 'even_openings']);
        $shape = $this->edit->get('shape')?->choice(QuickShape::SHAPES);
        if ($shape === null) {
            return;
        }
        $figure = fn (string $key, float $usual): float =>
            $this->edit->get($key) === null ? $usual : $this->ruler->read($this->edit->get($key)->text(60));
        $was = $this->ruler->cornersOf($block);
        $known = QuickShape::recognised($was);
        [$wide, $deep] = $was === [] ? [0.0, 0.0] : QuickShape::overAll($was);
        $same = $known !== null && $known['shape'] === $shape ? $known : null;
        $w = $figure('w', $wide);
        $d = $figure('d', $deep);
        [$corners, $names] = QuickShape::of(
            $shape,
            $w,
            $d,
            $figure('a', $same['a'] ?? ($shape === 'z' ? $w * 2.0 / 3.0 : $w / 3.0)),
            $figure('b', $same['b'] ?? ($shape === 'z' ? $d / 2.0 : $d / 3.0)),
            $this->edit->get('sides')?->whole(3, 60) ?? ($same !== null && $shape === 'polygon' ? count($was) : 8),
        );
        $before = Ruler::edges($block);
        if ($this->edit->get('even_openings')?->bool() !== true && $this->goesWithOpenings($block, $names)) {
            return;
        }
        $like = $this->ruler->textOf($block);
        $text = static fn (float $mm): string => LengthFormat::like($like, $mm);
        $block->footprint = $shape === 'rect' ? (object) ['rect' => [$text($w), $text($d)]]
            : (object) ['polygon' => array_map(static fn (array $c): array => [$text($c[0]), $text($c[1])], $corners), 'edges' => $names];
        self::moveCorners($block, self::sameCorners($before, $names));
        self::keepEdges($block, $names);
    }

    /**
     * Whether a wall with openings would go with the old outline; then it is said, and nothing is done.
     *
     * @param  list<string>  $names
     */
    private function goesWithOpenings(stdClass $block, array $names): bool
    {
        foreach (is_array($block->walls ?? null) ? $block->walls : [] as $wall) {
            $edge = $wall instanceof stdClass && is_string($wall->edge ?? null) ? $wall->edge : null;
            $has = $wall instanceof stdClass ? [...(array) ($wall->openings ?? []), ...(array) ($wall->rows ?? [])] : [];
            if ($edge !== null && $has !== [] && ! in_array($edge, $names, true)) {
                $this->edit->get('shape')?->fault('edit.wall-goes', ['wall' => $edge, 'count' => count($has)]);

                return true;
            }
        }

        return false;
    }

    /**
     * Walls and roof edges that the new outline does not have go with the old one.
     *
     * @param  list<string>  $names
     */
    private static function keepEdges(stdClass $block, array $names): void
    {
        $keep = static fn (mixed $entry): bool => $entry instanceof stdClass && in_array($entry->edge ?? null, $names, true);
        $walls = array_values(array_filter(is_array($block->walls ?? null) ? $block->walls : [], $keep));
        $finish = Ruler::finishOf($block);
        foreach ($names as $name) {
            if (array_filter($walls, static fn (mixed $w): bool => $w instanceof stdClass && ($w->edge ?? null) === $name) === []) {
                $walls[] = (object) ['edge' => $name, 'finish' => $finish, 'openings' => []];
            }
        }
        $block->walls = $walls;
        if (($block->roof ?? null) instanceof stdClass) {
            $edges = array_values(array_filter(is_array($block->roof->edges ?? null) ? $block->roof->edges : [], $keep));
            unset($block->roof->edges);
            if ($edges !== []) {
                $block->roof->edges = $edges;
            }
        }
    }

    /**
     * @param  list<string>  $before  names of the edges
     * @param  list<string>  $after
     * @return array<int, int> corners between two edges of the same names, before and after
     */
    private static function sameCorners(array $before, array $after): array
    {
        $same = [];
        foreach (array_keys($before) as $corner) {
            foreach (array_keys($after) as $other) {
                if ($before[$corner] === $after[$other] && self::edgeBefore($before, $corner) === self::edgeBefore($after, $other)) {
                    $same[$corner] = $other;
                }
            }
        }

        return $same;
    }

    /** @param  list<string>  $names */
    private static function edgeBefore(array $names, int $corner): string
    {
        return $names[($corner + count($names) - 1) % count($names)] ?? '';
    }

    /**
     * What is said of a corner goes with it; of one that is gone it goes too.
     *
     * @param  array<int, int>  $moved  where each corner is now, by where it was
     * @param  bool  $turned  the wall that came before it now comes after
     */
    private static function moveCorners(stdClass $block, array $moved, bool $turned = false): void
    {
        $kept = [];
        foreach (is_array($block->corners ?? null) ? $block->corners : [] as $corner) {
            $vertex = $corner instanceof stdClass ? $corner->vertex ?? null : null;
            if ($corner instanceof stdClass && is_int($vertex) && isset($moved[$vertex])) {
                $corner->vertex = $moved[$vertex];
                $through = $corner->through ?? null;
                if ($turned && ($through === 'before' || $through === 'after')) {
                    $corner->through = $through === 'before' ? 'after' : 'before';
                }
                $kept[] = $corner;
            }
        }
        unset($block->corners);
        if ($kept !== []) {
            $block->corners = $kept;
        }
    }

    /** Turns round corners that run clockwise; each edge and each corner keeps its name and what is said of it. */
    private function turnOutline(stdClass $block): void
    {
        $this->edit->isObject(['op', 'block']);
        $footprint = ($block->footprint ?? null) instanceof stdClass ? $block->footprint : null;
        if ($footprint === null || ! is_array($footprint->polygon ?? null)) {
            return;
        }
        $names = Ruler::edges($block);
        $footprint->polygon = array_reverse($footprint->polygon);
        // Edge i ran from corner i to corner i + 1; reversed, the last corner's edge comes last again.
        $last = array_pop($names);
        $footprint->edges = [...array_reverse($names), $last];
        self::moveCorners($block, array_reverse(array_keys($footprint->polygon)), true);
    }
}
