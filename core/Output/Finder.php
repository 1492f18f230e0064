<?php

declare(strict_types=1);

namespace Chartula\Core\Output;

use Chartula\Core\Kit\DryFit\KitShape;
use Chartula\Core\Measure\Conversion;
use Chartula\Core\Measure\Gauge;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Problem\InvalidInput;

/**
 * Answers whatever is typed: a length at this scale and others, a part, wall or sheet by its label or name, something to
 * do. Says how one writes it where it understands nothing.
 *
 * @phpstan-type Result array{kind: string, text: string, copy?: string, to?: array{what: string, id: string, wall?: ?string}}
 */
final readonly class Finder
{
    private const MOST = 12;

    private const LONGEST = 100;

    /** Each thing that can be done by name: its key, what it is and does, and other words for it. */
    private const VERBS = [
        ['print', 'Print all sheets: the PDF at 1:1', 'pdf download'],
        ['print-stale', 'Print stale: just the pieces that have to be made again', 'reprint again'],
        ['mark-printed', 'Mark all sheets as printed', 'printed'],
        ['undo', 'Undo the last change', 'back'],
        ['redo', 'Redo what was undone', 'forward'],
        ['stand', 'Stand it up: the kit in space', '3d model view look'],
        ['fit', 'Dry fit: every joint and every check', 'joints checks'],
        ['history', 'History: what changed, and back to it', 'revisions compare versions'],
        ['prototype', 'Prototype: the real figures, storeys, kinds of openings', 'stage sizes storey floor kind gauge brick scale block wing dormer lean-to platform'],
        ['plot', 'Plot: the place on the layout, does it fit', 'stage scale clearance track'],
        ['shell', 'Shell: walls with rows and sills, floors, braces, materials', 'stage openings windows doors archway sill row bays pier margin card layers corner'],
        ['roof', 'Roof: gable, hip, half-hip, lean-to, mansard or flat; panels and ridge', 'stage pitch overhang valley verge eaves parapet'],
        ['skin', 'Skin: papers, what walls and roofs are covered with', 'stage brick bond stone rubble render boards slates tiles pantiles sheet finish covering'],
        ['sheets', 'Sheets: pages, files, thickness', 'stage stock dxf csv obj plotter cutter'],
        ['bench', 'Bench: what is printed, cut, papered, fixed', 'stage made'],
        ['projects', 'Projects: all buildings', 'home'],
    ];

    public const HELP = 'Write a length with its unit (7ft 6in, 22.5mm, 34br, 12co; add “at 1:87.1” for another scale), the label or name of a part, a wall, a sheet, or what you want to do.';

    /**
     * @param  ?array<string, mixed>  $kit  serialised; null where no building is open
     * @return array{results: list<Result>, help: ?string}
     */
    public static function find(string $text, Scale $scale, Gauge $gauge, bool $imperial, ?array $kit): array
    {
        $text = trim(mb_substr($text, 0, self::LONGEST));
        if ($text === '') {
            return ['results' => [], 'help' => self::HELP];
        }
        $results = [];
        $why = null;
        try {
            foreach (Conversion::of($text, $scale, $gauge, $imperial) as $reading) {
                $results[] = ['kind' => 'length'] + $reading;
            }
        } catch (InvalidInput $e) {
            // Words are no lengths; what begins with a figure was meant as one.
            $why = preg_match('/^-?\s*[\d.]/', $text) === 1 ? $e->problems[0]->line() : null;
        }
        $named = [
            ...($kit === null ? [] : self::named($text, new KitShape($kit))),
            ...self::verbs($text, $kit !== null),
            ...($kit === null ? [] : FieldFinder::found($text)),
        ];
        usort($named, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $results = array_slice([...$results, ...array_column($named, 1)], 0, self::MOST);

        return [
            'results' => $results,
            'help' => $results === []
                ? (
                    $why === null
                    ? "Nothing is called “{$text}” here. "
                    : ucfirst((string) preg_replace('/^(text|scale): /', '', $why)).'. '
                )
                    .self::HELP
                : null,
        ];
    }

    /** The wall that a part belongs to, as the shell knows it. */
    private static function wallOf(KitShape $part): ?string
    {
        $of = $part->child('of');
        $edge = $part->text('group') === 'roof' ? null : $of->textOrNull('edge');

        return $edge === null ? null : $of->text('block').'.'.$edge;
    }

    /** @return list<array{int, Result}> */
    private static function named(string $text, KitShape $kit): array
    {
        $found = [];
        foreach ($kit->children('parts') as $part) {
            $label = $part->text('label');
            $rank = self::rank($text, $label, $part->text('name').' '.$part->text('id').' '.$part->text('stock'));
            if ($rank !== null) {
                $found[] = [
                    $rank,
                    [
                        'kind' => 'part',
                        'text' => "$label, {$part->text('name')}, ".self::stock($part->text('stock')),
                        'to' => ['what' => 'part', 'id' => $part->text('id'), 'wall' => self::wallOf($part)],
                    ],
                ];
            }
        }
        array_push($found, ...self::openings($text, $kit));
        $surfaces = $kit->children('outside');
        $isOne = count(array_unique(array_map(static fn (KitShape $s): string => explode('.', $s->text('name'))[0], $surfaces))) === 1;
        foreach ($surfaces as $surface) {
            [$block, $wall] = [...explode('.', $surface->text('name')), ''];
            $rank = $surface->text('kind') === 'wall' ? self::rank($text, $wall, "$wall wall $block") : null;
            if ($rank !== null) {
                $found[] = [
                    $rank,
                    [
                        'kind' => 'wall',
                        'text' => ucfirst($wall).' wall'.($isOne ? '' : " of $block"),
                        'to' => ['what' => 'wall', 'id' => "$block.$wall"],
                    ],
                ];
            }
        }
        foreach ($kit->children('sheets') as $sheet) {
            $rank = self::rank($text, 'sheet '.$sheet->text('id'), $sheet->text('stock'));
            if ($rank !== null) {
                $found[] = [
                    $rank + 1,
                    [
                        'kind' => 'sheet',
                        'text' => "Sheet {$sheet->text('id')}, ".self::stock($sheet->text('stock')),
                        'to' => ['what' => 'sheet', 'id' => $sheet->text('id')],
                    ],
                ];
            }
        }

        return $found;
    }

    /** @return list<array{int, Result}> windows and doors by the name of their kind, the first of each wall */
    private static function openings(string $text, KitShape $kit): array
    {
        $found = [];
        foreach ($kit->children('parts') as $part) {
            $of = $part->child('of');
            $wall = self::wallOf($part);
            $opening = $of->textOrNull('opening');
            if ($opening === null || $wall === null || ! in_array($of->text('layer'), ['frame', 'leaf'], true)) {
                continue;
            }
            $kind = (string) preg_replace('/ (frame|leaf)$/', '', $part->text('name'));
            $rank = self::rank($text, $kind, "$kind window door opening kind sill {$of->text('edge')}");
            if ($rank !== null) {
                $found[$wall.$kind] = [
                    $rank,
                    [
                        'kind' => 'opening',
                        'text' => "$kind in the {$of->text('edge')} wall",
                        'to' => ['what' => 'opening', 'id' => $opening, 'wall' => $wall],
                    ],
                ];
            }
        }

        return array_values($found);
    }

    /** “greyboard 1 mm” of a usual stock; what a person named says itself. */
    private static function stock(string $id): string
    {
        return preg_match('/^([a-z]+)-([\d.]+)$/D', $id, $m) === 1 ? "$m[1] $m[2] mm" : str_replace('-', ' ', $id);
    }

    /** @return list<array{int, Result}> */
    private static function verbs(string $text, bool $inBuilding): array
    {
        $found = [];
        foreach (self::VERBS as [$verb, $words, $other]) {
            $rank = $inBuilding || $verb === 'projects' ? self::rank($text, str_replace('-', ' ', $verb), "$words $other") : null;
            if ($rank !== null) {
                $found[] = [$rank, ['kind' => 'verb', 'text' => $words, 'to' => ['what' => 'verb', 'id' => $verb]]];
            }
        }

        return $found;
    }

    /** The less the nearer: the name itself, its beginning, a word in it, every word somewhere; null where it is something else. */
    public static function rank(string $text, string $name, string $words): ?int
    {
        [$text, $name, $words] = array_map(mb_strtolower(...), [$text, $name, "$name $words"]);
        if ($text === $name) {
            return 0;
        }
        if (str_starts_with($name, $text)) {
            return 2;
        }
        $missing = array_filter(
            (array) preg_split('/\s+/', $text),
            static fn (mixed $word): bool => ! str_contains($words, (string) $word),
        );

        return $missing === [] ? (str_contains(" $words", " $text") ? 4 : 6) : null;
    }
}
