<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Building\Building;

/** What the dry fit says in the words of the pages: parts by their labels and names, surfaces by their blocks' names. */
final readonly class PlainWords
{
    /** A name as the kit has it, from its block's on. */
    private const NAME = '/(?<![\w.-])[A-Za-z0-9_][\w-]*(?:\.[\w-]+)+/';

    /**
     * @param  array<string, string>  $parts  by id
     * @param  array<string, string>  $blocks  by id
     */
    private function __construct(private array $parts, private array $blocks)
    {
    }

    public static function of(Assembly $assembly, Building $building): self
    {
        $parts = $blocks = [];
        foreach ($building->blocks as $block) {
            $blocks[$block->id] = $block->name;
        }
        foreach ($assembly->parts as $id => $part) {
            $block = $blocks[explode('.', $id)[0]] ?? null;
            $name = lcfirst($part->name ?? $id);
            $parts[$id] = trim($part->label.' '.($block === null ? ucfirst($name) : "$block, $name"));
        }

        return new self($parts, $blocks);
    }

    public function said(string $text): string
    {
        return preg_replace_callback(self::NAME, fn (array $m): string => $this->parts[$m[0]] ?? $this->surface($m[0]), $text) ?? $text;
    }

    private function surface(string $name): string
    {
        [$block, $rest] = [...explode('.', $name, 2), ''];

        if (! isset($this->blocks[$block])) {
            return $name;
        }
        $isRoof = str_contains($rest, '-slope') || str_starts_with($rest, 'deck');

        return $this->blocks[$block].', '.strtr($rest, ['.' => ', ', '-slope' => ' slope']).($isRoof ? '' : ' wall');
    }

    /** What to try where something does not go together. */
    public function advice(): string
    {
        return count($this->blocks) > 1
            ? 'Where blocks meet a few millimetres decide. Move or widen one of the two by a brick, or raise or lower its eaves by a course or '
                .'two, and most such places close. What stays can be trimmed and covered by hand when the kit is tried together.'
            : 'Make a wall beside the place longer or shorter by a brick, or the roof steeper or flatter by a degree, and most such places '
                .'close. What stays can be trimmed and covered by hand when the kit is tried together.';
    }
}
