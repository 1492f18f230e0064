<?php

declare(strict_types=1);

namespace Chartula\Core\Compression;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Compression\Compression;
use Chartula\Core\Building\Compression\Step;
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
        $taken = [];
        foreach ($building->compression->steps as $step) {
            if ($step->isOff) {
                continue;
            }
            $next = $self->take($building, $step);
            if ($next === null) {
                return new Compressed($building, $taken);
            }
            [$building, $text, $gain] = $next;
            $taken[] = ['path' => $step->path, 'text' => $text, 'gains_mm' => $gain];
        }

        // What was taken is not taken again.
        return new Compressed($building->with(compression: Compression::none()), $taken);
    }

    /** @return ?array{Building, string, float} */
    private function take(Building $building, Step $step): ?array
    {
        return match ($step->op) {
            Step::OMIT => $this->omit($building, $step),
            Step::FACTOR => $this->factor($building, $step),
            Step::COURSES => $this->courses($building, $step),
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

    /** @return ?array{Building, string, float} */
    private function factor(Building $building, Step $step): ?array
    {
        if ($building->compression->protect !== []) {
            $this->problems->add($step->path, 'compress.protected', ['kept' => implode(' and ', $building->compression->protect)]);

            return null;
        }

        return [
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
        if ($step->op === Step::BAYS) {
            $map = $lengths->withoutBays($step->count);
            if ($map === null) {
                $this->problems->add(
                    $step->path.'.count',
                    'compress.bays',
                    ['given' => $step->count, 'edge' => $block->footprint->edges[$edge]],
                );

                return null;
            }
            $text = sprintf(
                '%s, %s: %d %s fewer',
                $block->name,
                $block->footprint->edges[$edge],
                $step->count,
                $step->count === 1 ? 'bay' : 'bays',
            );
        } elseif ($step->op === Step::SPREAD) {
            $map = $lengths->longer($step->by);
            $text = sprintf(
                '%s, %s: %s spread over margins and piers',
                $block->name,
                $block->footprint->edges[$edge],
                LengthFormat::imperial($step->by),
            );
        } else {
            [$map, $most] = $lengths->shorter($step->op, $step->by);
            if ($map === null) {
                $this->problems->add(
                    $step->path.'.by',
                    'compress.too-much',
                    [
                        'given' => LengthFormat::imperial($step->by), 'most' => LengthFormat::imperial(max(0.0, $most)),
                        'what' => [
                            'margins' => 'the margins at its ends',
                            'piers' => 'the piers between its openings',
                            'shorten' => 'the blank stretches',
                        ][$step->op]
                            ?? 'it',
                        'edge' => $block->footprint->edges[$edge],
                    ],
                );

                return null;
            }
            $text = sprintf(
                '%s, %s: %s %s shorter',
                $block->name,
                $block->footprint->edges[$edge],
                ['margins' => 'margins', 'piers' => 'piers', 'shorten' => 'blank stretches'][$step->op] ?? '',
                LengthFormat::imperial($step->by),
            );
        }

        return [
            (new Remaker($lengths->isAcross ? $map : null, $lengths->isAcross ? null : $map, []))->building($building),
            $text,
            $map->total(),
        ];
    }
}
