<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Compromise;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Compression\Step;
use Chartula\Core\Compression\Heights;
use Chartula\Core\Compression\Lengths;
use Chartula\Core\Form\Form;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\Tolerance;

/**
 * What a building could give up in each direction: along any wall, along several at once, from its height, or a block of it. Real
 * millimetres. docs/formulas.md#compression
 *
 * @phpstan-type GivingWall array{block: Block, edge: string, lengths: Lengths, from: float, to: float, room: float}
 */
final readonly class Directions
{
    /** Courses taken from a block's walls count so many times as much as lengths. */
    private const COURSES = 2.0;

    /** And so does a storey. */
    private const STOREY = 2.0;

    /** A block left out is weighed by this and its share of the building's area: a wing is missed more than anything shortened. */
    private const OMIT = 6.0;

    public function __construct(private Building $building, private Wishes $wishes = new Wishes)
    {
    }

    /**
     * What each wall along a direction can give: one for each block, that with the longest row.
     *
     * @return list<GivingWall>
     */
    public function walls(bool $isAcross): array
    {
        $only = $this->wishes->only;
        $walls = [];
        foreach ($this->building->blocks as $block) {
            $best = null;
            $bays = -1;
            foreach ($block->footprint->edges as $i => $edge) {
                $lengths = $only !== null && $only !== "$block->id.$edge" ? null : Lengths::along($this->building, $block, $i);
                if ($lengths === null || $lengths->isAcross !== $isAcross) {
                    continue;
                }
                $of = $lengths->measures();
                if ($of['row'] > $bays) {
                    $ring = $block->standing();
                    [$a, $b] = [$ring->point($i), $ring->point($i + 1)];
                    [$from, $to] = $isAcross ? [min($a->x, $b->x), max($a->x, $b->x)] : [min($a->y, $b->y), max($a->y, $b->y)];
                    $bays = $of['row'];
                    $best = [
                        'block' => $block, 'edge' => $edge, 'lengths' => $lengths, 'from' => $from, 'to' => $to,
                        'room' => $of['margins'] - $of['least_margins'] + $of['piers'] - $of['least_piers'],
                    ];
                }
            }
            array_push($walls, ...($best === null ? [] : [$best]));
        }

        return $walls;
    }

    /**
     * Shorter by so much along x, or along y.
     *
     * @return list<Proposal> least harmful first, one of each way
     */
    public function shorter(bool $isAcross, float $by): array
    {
        $walls = $this->walls($isAcross);
        $found = [];
        foreach (Twins::of($walls, $this->wishes->alike) as $twins) {
            array_push($found, ...$this->alike($twins, $by, count($this->building->blocks) > 1 || count($walls) > 1));
        }
        $several = $this->several($walls, $by);
        $found = [...$found, ...$several === null ? [] : [$several]];
        usort($found, Proposal::compare(...));
        // Of each way the wall in which it shows least.
        $best = [];
        foreach ($found as $proposal) {
            $best[$proposal->key] ??= $proposal;
        }

        return array_values($best);
    }

    /**
     * Twins give alike: a share each where they stand one after the other, all of it where they stand side by side.
     *
     * @param  non-empty-list<GivingWall>  $twins
     * @return list<Proposal>
     */
    private function alike(array $twins, float $by, bool $isNamed): array
    {
        $isInRow = count($twins) > 1 && Twins::areApart($twins[0], $twins[1]);
        $each = $this->whole($isInRow ? $by / count($twins) : $by);
        $found = [];
        foreach ($twins as $k => $wall) {
            $ways = Ladder::of($wall['block']->id, $wall['edge'], $wall['lengths']->measures(), $each);
            $own = array_column(array_map(static fn (Proposal $p): array => [$p->key, $p], $ways), 1, 0);
            $own = $isNamed ? array_map(static fn (Proposal $p): Proposal => $p->at($wall['block']->name.', '.$wall['edge']), $own) : $own;
            $found = $k === 0 ? $own : self::besides($found, $own);
        }

        return array_values($found);
    }

    /**
     * The ways that both walls have, taken in both.
     *
     * @param  array<string, Proposal>  $some
     * @param  array<string, Proposal>  $others
     * @return array<string, Proposal>
     */
    private static function besides(array $some, array $others): array
    {
        $both = [];
        foreach (array_intersect_key($some, $others) as $key => $one) {
            $both[$key] = $one->besides($others[$key]);
        }

        return $both;
    }

    /** So much, in whole bricks where that is wanted. */
    private function whole(float $by): float
    {
        $brick = $this->building->gauge->brick_mm;

        return $this->wishes->bricks ? ceil($by / $brick - Tolerance::FIGURE) * $brick : $by;
    }

    /**
     * Walls one after the other, each giving as much of it as it can of the whole.
     *
     * @param  list<GivingWall>  $walls
     */
    private function several(array $walls, float $by): ?Proposal
    {
        usort($walls, static fn (array $a, array $b): int => $b['room'] <=> $a['room']);
        $taken = [];
        foreach ($walls as $wall) {
            $isApart = array_filter($taken, static fn (array $t): bool => ! Twins::areApart($t, $wall)) === [];
            if ($isApart && $wall['room'] > Tolerance::MEET) {
                $taken[] = $wall;
            }
        }
        // Twins give as much as the one that has less to give.
        $taken = Twins::asTheLeast(Twins::of($taken, $this->wishes->alike));
        $room = array_sum(array_column($taken, 'room'));
        if (count($taken) < 2 || $room < $by) {
            return null;
        }
        $each = [];
        foreach ($taken as $wall) {
            $share = $this->whole($by * $wall['room'] / $room);
            $one = Ladder::best($wall['block']->id, $wall['edge'], $wall['lengths']->measures(), $share);
            if ($one === null) {
                return null;
            }
            $each[] = $one->at($wall['block']->name.', '.$wall['edge']);
        }
        $all = array_shift($each);
        foreach ($each as $one) {
            $all = $all->and($one);
        }

        return new Proposal('several', 'A little from '.count($taken).' walls', $all->steps, $all->costs, $all->harm);
    }

    /**
     * Lower by whole courses or by a storey, every block that stands higher than that.
     *
     * @param  Form  $form  of the building as it is modelled now
     * @return list<Proposal>
     */
    public function lower(Form $form, float $by): array
    {
        $over = $this->over($form, $by);

        return array_values(array_filter([$this->byCourses($over), $this->byStoreys($over)]));
    }

    /**
     * By how much each block is too high, where it is.
     *
     * @return list<array{Block, float}>
     */
    private function over(Form $form, float $by): array
    {
        $ratio = $this->building->scale->ratio;
        $tops = [];
        foreach ($form->blocks as $block) {
            $tops[$block->block->id] = $block->top() * $ratio;
        }
        $most = max([0.0, ...array_values($tops)]);
        $over = array_map(static fn (Block $b): array => [$b, $by - ($most - ($tops[$b->id] ?? -INF))], $this->building->blocks);

        return array_values(array_filter($over, static fn (array $one): bool => $one[1] > Tolerance::MEET));
    }

    /** @param  list<array{Block, float}>  $over */
    private function byCourses(array $over): ?Proposal
    {
        $course = $this->building->gauge->course_mm;
        $steps = $costs = [];
        $harm = 0.0;
        foreach ($over as [$block, $by]) {
            $count = (int) ceil($by / $course - Tolerance::FIGURE);
            if ((new Heights($this->building, $block))->without($count * $course)[0] === null) {
                return null;
            }
            $height = $block->eaves->mm - $block->base->mm;
            $steps[] = ['op' => Step::COURSES, 'block' => $block->id, 'count' => $count];
            $costs[] = sprintf('%s: %d %s lower', $block->name, $count, $count === 1 ? 'course' : 'courses');
            $harm += Ladder::harm(self::COURSES, $height, $height - $count * $course);
        }

        return $steps === [] ? null : new Proposal('courses', 'Lower by courses', $steps, $costs, $harm);
    }

    /**
     * Of each block the lowest storey that is enough.
     *
     * @param  list<array{Block, float}>  $over
     */
    private function byStoreys(array $over): ?Proposal
    {
        $steps = $costs = [];
        $harm = 0.0;
        foreach ($over as [$block, $by]) {
            $best = null;
            $heights = new Heights($this->building, $block);
            foreach ($block->storeys as $storey) {
                $high = $heights->extentOf($storey)->length();
                $isBetter = $best === null || $high < $best[1] - Tolerance::MEET;
                if ($isBetter && $high >= $by - Tolerance::MEET && $heights->withoutStorey($storey) !== null) {
                    $best = [$storey, $high];
                }
            }
            if ($best === null) {
                return null;
            }
            $height = $block->eaves->mm - $block->base->mm;
            $steps[] = ['op' => Step::STOREY, 'block' => $block->id, 'storey' => $best[0]->id];
            $costs[] = sprintf('%s: the storey “%s” is not modelled; it is another building', $block->name, $best[0]->name);
            $harm += Ladder::harm(self::STOREY, $height, $height - $best[1]);
        }

        return $steps === [] ? null : new Proposal('storey', 'A storey less', $steps, $costs, $harm);
    }

    /**
     * A block left out, where that is enough in every direction.
     *
     * @param  array<'across'|'deep'|'high', float>  $missing
     * @return list<Proposal>
     */
    public function without(array $missing): array
    {
        $found = [];
        $whole = $this->extent($this->building->blocks);
        $area = array_sum(array_map(static fn (Block $b): float => $b->standing()->area(), $this->building->blocks));
        foreach (count($this->building->blocks) < 2 || isset($missing['high']) ? [] : $this->building->blocks as $block) {
            $left = array_values(array_filter($this->building->blocks, static fn (Block $b): bool => $b !== $block));
            $now = $this->extent($left);
            if (
                $whole['across'] - $now['across'] < ($missing['across'] ?? 0.0) - Tolerance::MEET
                || $whole['deep'] - $now['deep'] < ($missing['deep'] ?? 0.0) - Tolerance::MEET
            ) {
                continue;
            }
            $rest = $area - $block->standing()->area();
            $found[] = new Proposal(
                'omit-'.$block->id,
                $block->name.' left out',
                [['op' => Step::OMIT, 'block' => $block->id]],
                [sprintf('%s is not modelled, %.0f %% of the plan', $block->name, 100.0 * (1.0 - $rest / $area))],
                Ladder::harm(self::OMIT, $area, $rest),
            );
        }

        return $found;
    }

    /**
     * @param  list<Block>  $blocks
     * @return array{across: float, deep: float}
     */
    private function extent(array $blocks): array
    {
        $points = array_merge(...array_map(static fn (Block $b): array => $b->standing()->points, $blocks));
        if ($points === []) {
            return ['across' => 0.0, 'deep' => 0.0];
        }
        $box = (new Ring($points))->bounds();

        return ['across' => $box->width(), 'deep' => $box->height()];
    }
}
