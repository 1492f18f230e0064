<?php

declare(strict_types=1);

namespace Chartula\Core\Compression;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Compression\Compression;
use Chartula\Core\Building\Compression\Step;
use Chartula\Core\Building\Storey;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Problems;

/** Takes the steps of a building's compression, one after the other. docs/formulas.md#compression */
final readonly class Compressor
{
    private function __construct(private Problems $problems)
    {
    }

    /** Adds what cannot be done to the problems; the building is compressed only where there are none. */
    public static function of(Building $building, Problems $problems): Compressed
    {
        $self = new self($problems);
        if (! $self->isKnown($building)) {
            return new Compressed($building, []);
        }
        $taken = [];
        foreach ($building->compression->steps as $step) {
            if ($step->isOff) {
                continue;
            }
            $next = $self->take($building, $step);
            if ($next === null || ! $self->keeps($building, $next[0], $step)) {
                return new Compressed($building, $taken);
            }
            [$building, $text, $gain] = $next;
            $taken[] = ['path' => $step->path, 'text' => $text, 'gains_mm' => $gain];
        }

        // What was taken is not taken again.
        return new Compressed(BuiltSizes::of($building->with(compression: Compression::none()), $problems), $taken);
    }

    /** Whether all that is to be kept is there. */
    private function isKnown(Building $building): bool
    {
        $known = $building->compression->keep === [] ? [] : Kept::of($building);
        foreach ($building->compression->keep as $i => $key) {
            if (! isset($known[$key])) {
                $this->problems->add("compression.keep.$i", 'compress.no-keep', ['given' => $key]);
            }
        }

        return array_diff($building->compression->keep, array_keys($known)) === [];
    }

    /** Whether a step leaves as it was what makes the building itself. */
    private function keeps(Building $before, Building $after, Step $step): bool
    {
        if ($before->compression->keep === []) {
            return true;
        }
        [$was, $is] = [Kept::of($before), Kept::of($after)];
        foreach ($before->compression->keep as $key) {
            if (! isset($is[$key]) || ! $was[$key]->isLike($is[$key])) {
                $this->problems->add($step->path, 'compress.kept', ['kept' => $was[$key]->name]);

                return false;
            }
        }

        return true;
    }

    /** @return ?array{Building, string, float} */
    private function take(Building $building, Step $step): ?array
    {
        return match ($step->op) {
            Step::OMIT => $this->omit($building, $step),
            Step::FACTOR => $this->factor($building, $step),
            Step::COURSES => $this->courses($building, $step),
            Step::STOREY => $this->storey($building, $step),
            default => $this->shorten($building, $step),
        };
    }

    private function block(Building $building, Step $step): ?Block
    {
        foreach ($building->blocks as $block) {
            if ($block->id === $step->block) {
                return $block;
            }
        }
        $this->problems->add(
            $step->path.'.block',
            'compress.no-block',
            ['given' => $step->block ?? '', 'known' => implode(', ', array_map(static fn (Block $b): string => $b->id, $building->blocks))],
        );

        return null;
    }

    /** @return ?array{Building, string, float} */
    private function omit(Building $building, Step $step): ?array
    {
        $gone = $this->block($building, $step);
        $left = array_values(array_filter($building->blocks, static fn (Block $b): bool => $b !== $gone));
        if ($gone !== null && $left === []) {
            $this->problems->add($step->path.'.block', 'compress.last-block', ['given' => $gone->id]);
        }

        return $gone === null || $left === [] ? null : [$building->with(blocks: $left), "{$gone->name} is left out", 0.0];
    }

    private function isProtected(Building $building, Step $step): bool
    {
        if ($building->compression->protect !== []) {
            $this->problems->add($step->path, 'compress.protected', ['kept' => implode(' and ', $building->compression->protect)]);
        }

        return $building->compression->protect !== [];
    }

    /** @return ?array{Building, string, float} */
    private function factor(Building $building, Step $step): ?array
    {
        return $this->isProtected($building, $step) ? null : [
            $building->smallerBy($step->by),
            sprintf(
                'everything is %s times as large, its area %s and its volume %s of it',
                LengthFormat::trimmed($step->by, 3),
                LengthFormat::trimmed($step->by ** 2, 3),
                LengthFormat::trimmed($step->by ** 3, 3),
            ),
            0.0,
        ];
    }

    /** @return ?array{Building, string, float} */
    private function courses(Building $building, Step $step): ?array
    {
        $block = $this->block($building, $step);
        if ($block === null) {
            return null;
        }
        $by = $step->count * $building->gauge->course_mm;
        [$map, $most] = (new Heights($building, $block))->without($by);
        if ($map === null) {
            $this->problems->add(
                $step->path.'.count',
                'compress.courses',
                [
                    'given' => $step->count,
                    'most' => (int) floor($most / $building->gauge->course_mm + Tolerance::FIGURE),
                    'block' => $block->name,
                ],
            );

            return null;
        }

        return [
            (new Remaker(null, null, [$block->id => $map]))->building($building),
            sprintf('%s is %d %s lower', $block->name, $step->count, $step->count === 1 ? 'course' : 'courses'),
            $by,
        ];
    }

    /** @return ?array{Building, string, float} */
    private function storey(Building $building, Step $step): ?array
    {
        $block = $this->block($building, $step);
        if ($block === null) {
            return null;
        }
        $storeys = array_column(array_map(static fn (Storey $s): array => [$s->id, $s], $block->storeys), 1, 0);
        $storey = $storeys[$step->storey ?? ''] ?? null;
        if ($storey === null) {
            $known = $storeys === [] ? 'none yet: describe them first' : implode(', ', array_keys($storeys));
            $this->problems->add($step->path.'.storey', 'compress.no-storey', ['given' => $step->storey ?? '', 'known' => $known]);

            return null;
        }
        $map = (new Heights($building, $block))->withoutStorey($storey);
        if ($map === null) {
            $this->problems->add($step->path.'.storey', 'compress.storey', ['storey' => $storey->name, 'block' => $block->name]);

            return null;
        }

        return [
            (new Remaker(null, null, [$block->id => $map]))->building($building),
            sprintf('%s: the storey “%s” is left out', $block->name, $storey->name),
            $map->total(),
        ];
    }

    /** @return ?array{Building, string, float} */
    private function shorten(Building $building, Step $step): ?array
    {
        $block = $this->block($building, $step);
        $edge = $block === null ? false : array_search($step->edge, $block->footprint->edges, true);
        if ($block !== null && $edge === false) {
            $this->problems->add(
                $step->path.'.edge',
                'unknown-edge',
                ['given' => $step->edge ?? '', 'known' => implode(', ', $block->footprint->edges)],
            );
        }
        if ($block === null || $edge === false) {
            return null;
        }
        $lengths = Lengths::along($building, $block, $edge);
        if ($lengths === null) {
            $this->problems->add($step->path.'.edge', 'compress.skew', ['edge' => $block->footprint->edges[$edge]]);

            return null;
        }
        $made = match ($step->op) {
            Step::BAYS => $this->bays($lengths, $step),
            Step::SPREAD => [$lengths->longer($step->by), LengthFormat::imperial($step->by).' spread over margins and piers'],
            Step::LENGTHS => $this->lengths($building, $lengths, $step),
            default => $this->blank($lengths, $step),
        };
        if ($made === null) {
            return null;
        }
        [$map, $text] = $made;

        return [
            (new Remaker($lengths->isAcross ? $map : null, $lengths->isAcross ? null : $map, []))->building($building),
            "{$block->name}, {$block->footprint->edges[$edge]}: $text",
            $map->total(),
        ];
    }

    /** @return ?array{AxisMap, string} */
    private function bays(Lengths $lengths, Step $step): ?array
    {
        $without = $lengths->withoutBays($step->count);
        if ($without === null) {
            $this->problems->add($step->path.'.count', 'compress.bays', ['given' => $step->count, 'edge' => $step->edge ?? '']);

            return null;
        }
        [$map, $isOffMiddle] = $without;

        return [
            $map,
            sprintf('%d %s fewer', $step->count, $step->count === 1 ? 'bay' : 'bays')
                .($isOffMiddle ? ', and the door no longer stands under the middle of the row' : ''),
        ];
    }

    /** @return ?array{AxisMap, string} */
    private function lengths(Building $building, Lengths $lengths, Step $step): ?array
    {
        return $this->isProtected($building, $step) ? null : [
            $lengths->times($step->by),
            sprintf('everything along it %s times as long, openings too', LengthFormat::trimmed($step->by, 4)),
        ];
    }

    /** @return ?array{AxisMap, string} margins, piers or all that is blank */
    private function blank(Lengths $lengths, Step $step): ?array
    {
        [$map, $most] = $lengths->shorter($step->op, $step->by);
        if ($map !== null) {
            $what = ['margins' => 'margins', 'piers' => 'piers', 'shorten' => 'blank stretches'][$step->op] ?? '';

            return [$map, "$what ".LengthFormat::imperial($step->by).' shorter'];
        }
        $this->problems->add($step->path.'.by', 'compress.too-much', [
            'given' => round($step->by, 2), 'most' => round(max(0.0, $most), 2),
            'what' => [
                'margins' => 'the margins at its ends', 'piers' => 'the piers between its openings', 'shorten' => 'the blank stretches',
            ][$step->op] ?? 'it',
            'edge' => $step->edge ?? '',
        ]);

        return null;
    }
}
