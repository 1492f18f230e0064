<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Node;
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
        $this->edit->isObject(['op', 'block', 'shape'], ['w', 'd', 'a', 'b', 'sides']);
        $shape = $this->edit->get('shape')?->choice(QuickShape::SHAPES);
        if ($shape === null) {
            return;
        }
        $figure = fn (string $key, float $usual): float =>
            $this->edit->get($key) === null ? $usual : $this->ruler->read($this->edit->get($key)->text(60));
        $w = $figure('w', $this->ruler->lengthOfWall($block, 0));
        $d = $figure('d', $this->ruler->lengthOfWall($block, 1));
        [$corners, $names] = QuickShape::of(
            $shape,
            $w,
            $d,
            $figure('a', $shape === 'z' ? $w * 2.0 / 3.0 : $w / 3.0),
            $figure('b', $shape === 'z' ? $d / 2.0 : $d / 3.0),
            $this->edit->get('sides')?->whole(3, 60) ?? 8,
        );
        $text = static fn (float $mm): string => LengthFormat::like('0ft', $mm);
        $block->footprint = $shape === 'rect' ? (object) ['rect' => [$text($w), $text($d)]]
            : (object) ['polygon' => array_map(static fn (array $c): array => [$text($c[0]), $text($c[1])], $corners), 'edges' => $names];
        // Walls and roof edges that the new outline does not have go with the old one.
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

    /** Turns round corners that run clockwise; each edge keeps its name. */
    private function turnOutline(stdClass $block): void
    {
        $this->edit->isObject(['op', 'block']);
        $footprint = ($block->footprint ?? null) instanceof stdClass ? $block->footprint : null;
        if ($footprint === null || ! is_array($footprint->polygon ?? null)) {
            return;
        }
        $names = is_array($footprint->edges ?? null) ? array_values($footprint->edges) : [];
        $footprint->polygon = array_reverse($footprint->polygon);
        if ($names !== []) {
            // Edge i ran from corner i to corner i + 1; reversed, the last corner's edge comes first.
            $last = array_pop($names);
            $footprint->edges = [...array_reverse($names), $last];
        }
    }
}
