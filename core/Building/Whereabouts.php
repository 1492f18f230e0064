<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Building\Edit\Ruler;
use Chartula\Core\Building\Feature\Kind;
use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Measure\Ordinal;
use stdClass;

/**
 * Where in a document a path leads: in the words a person uses (“East, front, third window, from the left end”), and on which screen it
 * is.
 */
final readonly class Whereabouts
{
    /** What a key is called; one that has no words of its own is called by itself. */
    private const WORDS = [
        'from' => 'from the left end', 'style' => 'kind', 'styles' => 'kind', 'w' => 'width', 'h' => 'height', 'at' => 'where it stands',
        'place' => 'where it stands', 'footprint' => 'outline', 'methods' => 'how it is built', 'wall' => 'card of the walls',
        'skin' => 'papers', 'papers' => 'papers of your own', 'paper' => 'paper of your own', 'mm_per_pixel' => 'mm a pixel',
        'ridge_colour' => 'ridge and hip tiles', 'row' => 'rows apart', 'unit' => 'width of each',
        'palettes' => 'colours of your own', 'palette' => 'colours of your own', 'burnt' => 'burnt headers', 'diaper' => 'lozenges',
        'flap' => 'flaps into openings', 'overlap' => 'lap round the corner', 'sheets' => 'pages',
        'proof' => 'proving rules',
        'relief' => 'low relief', 'perspective' => 'depth by perspective', 'compression' => 'what is given up', 'gauge' => 'bricks',
        'ground' => 'ground along it', 'keep' => 'what is kept free', 'treat' => 'how it is treated', 'stock' => 'materials',
        'built' => 'as built', 'apex' => 'to the peak', 'up' => 'panel up to the ridge', 'along' => 'panel along the eaves',
        'frame' => 'frame', 'leaf' => 'leaf', 'eye' => 'the eye', 'verge' => 'overhang at gables', 'dress' => 'what stands round it',
        'over' => 'centred on',
        'beyond' => 'beyond the jambs', 'proud' => 'proud of the wall', 'as' => 'how it is made', 'skew' => 'skewbacks',
    ];

    /** Stands before the id of a thing where that of an opening may stand. */
    public const THING = '#';

    /** These say nothing to a person where more follows. */
    private const SILENT = [
        'blocks', 'walls', 'openings', 'rows', 'rect', 'polygon', 'edges', 'repeat', 'steps', 'head', 'trim', 'outline',
    ];

    /** Screens by the first key, or by the key within a block. */
    private const STAGES = [
        'papers' => 'skin', 'palettes' => 'skin', 'walls' => 'shell', 'styles' => 'prototype', 'roof' => 'roof', 'skin' => 'skin',
        'sheets' => 'sheets', 'stock' => 'shell', 'methods' => 'shell',
        'plot' => 'plot', 'features' => 'plot', 'relief' => 'plot', 'perspective' => 'plot', 'compression' => 'plot',
    ];

    /**
     * @param  string  $words  beginning with a capital letter
     * @param  'prototype'|'plot'|'shell'|'roof'|'skin'|'sheets'  $stage
     * @param  ?string  $wall  as `block.edge`, or `plan`
     * @param  ?string  $opening  the id of an opening or of a row; of a thing on the wall with THING before it
     */
    private function __construct(
        public string $words,
        public string $stage,
        public ?string $block,
        public ?string $wall,
        public ?string $opening,
    ) {
    }

    public static function of(stdClass $document, string $path): self
    {
        $keys = $path === '' ? [] : explode('.', $path);
        if (($keys[0] ?? '') === 'blocks' && isset($keys[1])) {
            return self::inBlock($document, (int) $keys[1], array_slice($keys, 2));
        }
        $stage = ($keys[0] ?? '') === 'methods' && ($keys[1] ?? '') === 'skin' ? 'skin' : self::STAGES[$keys[0] ?? ''] ?? 'prototype';

        // Kinds and stocks by the names that they were given.
        if (in_array($keys[0] ?? '', ['styles', 'stock'], true) && isset($keys[1])) {
            $all = $document->{$keys[0]} ?? null;
            $own = $all instanceof stdClass ? $all->{$keys[1]} ?? null : null;
            $keys = [$keys[0], Style::wordsOf($keys[1], $own), ...self::dressed(array_slice($keys, 2), $own)];
        }
        // Layers and stocks stand beside the plan there.
        $wall = $stage === 'shell' ? 'plan' : null;

        return new self(self::joined($keys === [] ? ['the building'] : self::said($keys)), $stage, null, $wall, null);
    }

    /**
     * @param  list<string>  $keys  below a kind of opening, or an opening
     * @return list<string> with what stands round it by the name of its kind
     */
    private static function dressed(array $keys, mixed $owner): array
    {
        if (($keys[0] ?? '') !== 'dress' || ! isset($keys[1])) {
            return $keys;
        }
        $dress = $owner instanceof stdClass ? $owner->dress ?? null : null;
        $entry = is_array($dress) ? array_values($dress)[(int) $keys[1]] ?? null : null;
        $kind = $entry instanceof stdClass && is_string($entry->kind ?? null) ? Kinds::known()->find($entry->kind) : null;

        return $kind === null ? $keys : [lcfirst($kind->title()), ...array_slice($keys, 2)];
    }

    /** @param  list<string>  $rest */
    private static function inBlock(stdClass $document, int $index, array $rest): self
    {
        $blocks = is_array($document->blocks ?? null) ? array_values($document->blocks) : [];
        $block = ($blocks[$index] ?? null) instanceof stdClass ? $blocks[$index] : new stdClass;
        $id = is_string($block->id ?? null) ? $block->id : 'block-'.($index + 1);
        $words = count($blocks) > 1 ? [is_string($block->name ?? null) && $block->name !== '' ? $block->name : ucfirst($id)] : [];
        if (($rest[0] ?? '') === 'features' && isset($rest[1])) {
            return self::thing($block, [$id, ...$words], array_slice($rest, 1));
        }
        if (($rest[0] ?? '') !== 'walls' || ! isset($rest[1])) {
            $rest = self::edgeNamed($rest, $block);
            $stage = self::STAGES[$rest[0] ?? ''] ?? 'prototype';

            return new self(self::joined([...$words, ...self::said($rest)]), $stage, $id, null, null);
        }
        $walls = is_array($block->walls ?? null) ? array_values($block->walls) : [];
        $wall = ($walls[(int) $rest[1]] ?? null) instanceof stdClass ? $walls[(int) $rest[1]] : new stdClass;
        $edge = self::edge($wall->edge ?? null, $block);
        [$which, $opening] = self::opening($document, $wall, $rest[2] ?? '', (int) ($rest[3] ?? 0));
        $list = $wall->{$rest[2] ?? ''} ?? null;
        $owner = is_array($list) ? array_values($list)[(int) ($rest[3] ?? 0)] ?? null : null;
        $field = self::said($which === null ? array_slice($rest, 2) : self::dressed(array_slice($rest, 4), $owner));

        return new self(
            self::joined([...$words, $edge ?? 'a wall', ...$which === null ? [] : [$which], ...$field]),
            'shell',
            $id,
            $edge === null ? null : "$id.$edge",
            $opening,
        );
    }

    /**
     * One of the things of a block, by its kind and its number among those alike.
     *
     * @param  non-empty-list<string>  $words  the block's id, and what it is called where that has to be said
     * @param  non-empty-list<string>  $rest  from its number in the list
     */
    private static function thing(stdClass $block, array $words, array $rest): self
    {
        $all = is_array($block->features ?? null) ? array_values($block->features) : [];
        $kindOf = static fn (mixed $f): ?Kind =>
            $f instanceof stdClass && is_string($f->kind ?? null) ? Kinds::known()->find($f->kind) : null;
        $own = $all[(int) $rest[0]] ?? null;
        $kind = $kindOf($own);
        $alike = array_keys(array_filter($all, static fn (mixed $f): bool => $kindOf($f)?->name() === $kind?->name()));
        $nth = (int) array_search((int) $rest[0], $alike, true);
        $what = $kind === null ? 'thing' : lcfirst($kind->title());
        $on = $own instanceof stdClass ? $own->on ?? null : null;
        $edge = self::edge($on instanceof stdClass ? $on->edge ?? null : null, $block);
        $field = self::said(array_values(array_filter(array_slice($rest, 1), static fn (string $key): bool => $key !== 'on')));
        $anchors = array_column($kind?->anchors() ?? [], 'value');
        $stage = array_intersect($anchors, ['slope', 'roof-line']) !== [] ? 'roof' : 'shell';
        $said = [...array_slice($words, 1), ...$edge === null ? [] : [$edge], Ordinal::among($nth, count($alike), $what), ...$field];

        $id = $own instanceof stdClass && is_string($own->id ?? null) ? $own->id : 'thing-'.((int) $rest[0] + 1);
        $wall = $edge === null ? null : "$words[0].$edge";

        return new self(self::joined($said), $stage, $words[0], $wall, $wall === null ? null : self::THING.$id);
    }

    /**
     * @param  list<string>  $rest
     * @return list<string> with the edge of a roof by its name
     */
    private static function edgeNamed(array $rest, stdClass $block): array
    {
        if (($rest[0] ?? '') !== 'roof' || ($rest[1] ?? '') !== 'edges' || ! isset($rest[2])) {
            return $rest;
        }
        $roof = ($block->roof ?? null) instanceof stdClass ? $block->roof : new stdClass;
        $entry = is_array($roof->edges ?? null) ? array_values($roof->edges)[(int) $rest[2]] ?? null : null;
        $edge = self::edge($entry instanceof stdClass ? $entry->edge ?? null : null, $block) ?? $rest[2];

        return ['roof', "over the $edge", ...array_slice($rest, 3)];
    }

    private static function edge(mixed $edge, stdClass $block): ?string
    {
        $names = Ruler::edges($block);

        return is_int($edge) ? $names[$edge] ?? null : (is_string($edge) ? $edge : null);
    }

    /** @return array{?string, ?string} what it is called on its wall, and its id */
    private static function opening(stdClass $document, stdClass $wall, string $list, int $index): array
    {
        $all = in_array($list, ['openings', 'rows'], true) && is_array($wall->{$list} ?? null) ? array_values($wall->{$list}) : [];
        $own = $all[$index] ?? null;
        if (! $own instanceof stdClass) {
            return [null, null];
        }
        $kind = self::kind($document, $own);
        $isAlike = static fn (mixed $o): bool => $o instanceof stdClass && self::kind($document, $o) === $kind;
        $alike = array_keys(array_filter($all, $isAlike));
        $what = $list === 'rows' ? "row of {$kind}s" : $kind;
        $nth = (int) array_search($index, $alike, true);
        $id = is_string($own->id ?? null) ? $own->id : ($list === 'rows' ? 'r' : 'o').($index + 1);

        return [Ordinal::among($nth, count($alike), $what), $id];
    }

    private static function kind(stdClass $document, stdClass $opening): string
    {
        $styles = $document->styles ?? null;
        $style = $styles instanceof stdClass && is_string($opening->style ?? null) ? $styles->{$opening->style} ?? null : null;
        $kind = $style instanceof stdClass && is_string($style->kind ?? null) ? $style->kind : '';

        return OpeningKind::tryFrom($kind)?->words() ?? 'opening';
    }

    /**
     * @param  list<string>  $keys
     * @return list<string>
     */
    private static function said(array $keys): array
    {
        $words = [];
        foreach ($keys as $i => $key) {
            $before = $keys[$i - 1] ?? '';
            $word = match (true) {
                $before === 'rect' => $key === '0' ? 'width' : 'depth',
                $before === 'polygon' || $before === 'corners' => 'corner '.$key,
                $before === 'at' => $key === '0' ? 'to the right' : 'to the back',
                $before === 'styles' || $before === 'stock' => "“{$key}”",
                $before === 'steps' => 'step '.((int) $key + 1),
                $before === 'panes' => $key === '0' ? 'across' : 'up',
                ctype_digit($key) => 'no. '.((int) $key + 1),
                in_array($key, $i < count($keys) - 1 ? self::SILENT : ['polygon', 'rect'], true) => null,
                default => self::WORDS[$key] ?? strtr($key, ['_' => ' ', '-' => ' ']),
            };
            array_push($words, ...$word === null ? [] : [$word]);
        }

        return $words;
    }

    /** @param  list<string>  $words */
    private static function joined(array $words): string
    {
        $text = implode(', ', $words);

        return mb_strtoupper(mb_substr($text, 0, 1)).mb_substr($text, 1);
    }
}
