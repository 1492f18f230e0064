<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Relief;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Relief;
use Chartula\Core\Building\ReliefBack;
use Chartula\Core\Compression\Compressor;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\EndedRoofs;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\Relief\ReliefCut;
use Chartula\Core\Form\Relief\Relieved;
use Chartula\Core\Form\Surfaces;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\ModelLength;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Problem\Problems;

/** The five schools of low relief side by side, each with what it keeps and what it costs. docs/formulas.md#relief */
final readonly class ReliefTable
{
    private const COSTS = [
        Relief::SLICE => 'Everything that is left is true; there is no ridge, and the end leans to a cut top. Hide that behind a parapet, trees or a high backscene.',
        Relief::SQUEEZE => 'The whole outline is there and the ridge as high as it is; the gables are steep, and rows of slates are too few. Only where the gables cannot be looked at.',
        Relief::KEEP_PITCH => 'A true but smaller gable; the front’s roof looks shallow, and has rows of slates too few.',
        Relief::FRONT_SLOPE => 'The front and the ridge are true; the rear is dropped behind it and nobody sees that.',
        Relief::KEEP_RIDGE => 'The ridge is true and stands at the backscene; the slope to it is steeper, or less steep, than it is.',
    ];

    /** The school that is chosen where nothing speaks against it: the first of these that can be had. */
    private const RECOMMENDED = [
        Relief::FRONT_SLOPE => 'There is room up to the ridge: front and ridge stay true, and what is missing is behind them.',
        Relief::SLICE => 'There is no room up to the ridge: everything that is left is true. Hide the cut top behind a parapet, trees or a high backscene.',
        Relief::KEEP_RIDGE => 'The ridge line shows against the backscene, and a slice cannot be had here.',
        Relief::KEEP_PITCH => 'The others cannot be had here.',
        Relief::SQUEEZE => 'The others cannot be had here; the gables must not be looked at.',
    ];

    /** Slates show 8½ in of themselves, real millimetres. */
    private const SLATE_MM = 215.9;

    /**
     * @param  Building  $building  sound
     * @param  float  $depth_mm  wanted, on the model
     * @return array{depth_mm: float, whole_mm: float, half_bricks: float, even: list<float>, rows: array<int, array<string, mixed>>}
     */
    public static function of(Building $building, float $depth_mm): array
    {
        $whole = self::formed($building->with(relief: null));
        $half = $building->gauge->brick_mm / 2.0 / $building->scale->ratio;
        $rows = array_map(static fn (string $school): array => self::row($building, $school, $depth_mm, $whole[0]), Relief::SCHOOLS);
        $sound = array_column(array_filter($rows, static fn (array $row): bool => $row['refused'] === null), 'school');
        $best = array_values(
            array_filter(array_keys(self::RECOMMENDED), static fn (string $school): bool => in_array($school, $sound, true)),
        )[0] ?? null;
        $rows = array_map(
            static fn (array $row): array => [...$row, 'recommended' => $row['school'] === $best ? self::RECOMMENDED[$best] : null],
            $rows,
        );
        $box = self::box($whole[0]);
        $count = floor($depth_mm / $half + Tolerance::ROUNDING);

        return [
            'depth_mm' => $depth_mm, 'whole_mm' => round($box[1] - $box[0], 4), 'half_bricks' => round($depth_mm / $half, 3),
            'even' => abs($depth_mm / $half - round($depth_mm / $half)) < 0.001
                ? []
                : [round($count * $half, 3), round(($count + 1.0) * $half, 3)],
            'rows' => $rows,
        ];
    }

    /**
     * How deep a building is, and in which school it would be cut to a depth; null where it cannot be.
     *
     * @return ?array{whole: float, school: string}
     */
    public static function school(Building $building, float $depth_mm): ?array
    {
        foreach (array_keys(self::RECOMMENDED) as $school) {
            try {
                [, $cut] = self::formed($building->with(relief: self::relief($building, $school, $depth_mm)));
            } catch (InvalidInput) {
                continue;
            }

            return $cut->cut === null ? null : ['whole' => $cut->cut['whole'], 'school' => $school];
        }

        return null;
    }

    /** @param  value-of<Relief::SCHOOLS>  $school */
    private static function relief(Building $building, string $school, float $depth_mm): Relief
    {
        return new Relief(
            ModelLength::ofMillimetres($depth_mm),
            $school,
            $building->relief->back ?? ReliefBack::Open,
            $building->relief->flank ?? 'keep',
            'relief',
        );
    }

    /**
     * @return array{school: string, costs: string, chosen: bool, refused: ?string, top_mm: ?float, off_mm: ?float, heights: list<string>,
     *     slopes: list<array{name: string, pitch: string, slope_mm: float}>, slates: ?array{is: float, was: float}, lost: list<string>,
     *     view: list<array{kind: 'wall'|'roof', ring: list<array{float, float}>}>}
     */
    private static function row(Building $building, string $school, float $depth_mm, Form $whole): array
    {
        assert(in_array($school, Relief::SCHOOLS, true));
        $row = [
            'school' => $school,
            'costs' => self::COSTS[$school],
            'chosen' => $building->relief?->school === $school && abs($building->relief->depth->mm - $depth_mm) < Tolerance::FIGURE,
        ];
        try {
            [$form, $cut] = self::formed($building->with(relief: self::relief($building, $school, $depth_mm)));
        } catch (InvalidInput $e) {
            return $row
                + [
                    'refused' => implode('; ', array_map(static fn (Problem $p): string => ucfirst($p->text()), $e->problems)),
                    'top_mm' => null, 'off_mm' => null, 'heights' => [], 'slopes' => [], 'slates' => null, 'lost' => [], 'view' => [],
                ];
        }
        [$top, $was] = [$form->top(), $whole->top()];

        return $row
            + [
                'refused' => null, 'top_mm' => round($top, 3), 'off_mm' => round($top - $was, 3) + 0.0,
                'heights' => self::heights($building, $top, $was), 'slopes' => self::slopes($form),
                'slates' => self::slates($building, $form, $whole), 'lost' => self::lost($cut, $building), 'view' => self::view($form),
            ];
    }

    /**
     * @return array{Form, Relieved}
     *
     * @throws InvalidInput
     */
    private static function formed(Building $building): array
    {
        $problems = new Problems;
        $whole = Compressor::of($building, $problems)->building;
        $problems->throwIfAny();
        $cut = ReliefCut::of(EndedRoofs::of($whole), $problems);
        $problems->throwIfAny();
        $form = Surfaces::of($cut->building, $problems);
        $problems->throwIfAny();

        return [$form, $cut];
    }

    /**
     * The building as it is before it is cut.
     *
     * @throws InvalidInput
     */
    public static function whole(Building $building): Form
    {
        return self::formed($building->with(relief: null))[0];
    }

    /**
     * How high a building's roofs reach, and how far back the foremost such place lies.
     *
     * @return array{float, float} model millimetres, the building's axes
     */
    public static function highest(Form $form): array
    {
        $best = [0.0, INF];
        foreach ($form->facets as $facet) {
            foreach ($facet->whole->outline->points as $p) {
                $height = $facet->heightAt($p);
                $isHigher = $height > $best[0] + Tolerance::EDGE;
                $best = $isHigher || ($height > $best[0] - Tolerance::EDGE && $p->y < $best[1]) ? [$height, $p->y] : $best;
            }
        }

        return $best;
    }

    /**
     * How high it comes to stand, against what it is and what stands beside it.
     *
     * @return list<string>
     */
    private static function heights(Building $building, float $top, float $was): array
    {
        $off = $top - $was;
        $texts = [
            sprintf('Top at %.2f mm, ', $top)
                .(
                    abs($off) < Tolerance::TOLD
                    ? 'as high as it is.'
                    : sprintf('%.2f %s than it is.', abs($off), $off < 0.0 ? 'lower' : 'higher')
                ),
        ];
        foreach ($building->plot->neighbours ?? [] as $neighbour) {
            $over = $top - $neighbour->to;
            $texts[] = abs($over) < Tolerance::TOLD
                ? "As high as $neighbour->name."
                : sprintf('%.1f mm %s %s.', abs($over), $over < 0.0 ? 'lower than' : 'above', $neighbour->name);
        }

        return $texts;
    }

    /** @return array{float, float} from where to where it stands, front to back */
    private static function box(Form $form): array
    {
        $ys = array_merge(
            ...array_map(
                static fn (BlockForm $b): array => array_map(static fn (Vec2 $p): float => $p->y, $b->ring->points),
                $form->blocks,
            ),
        );

        return [min($ys), max($ys)];
    }

    /**
     * How long and how steep each slope is.
     *
     * @return list<array{name: string, pitch: string, slope_mm: float}>
     */
    private static function slopes(Form $form): array
    {
        return array_map(static fn (Facet $f): array => [
            'name' => (count($form->blocks) > 1 ? $form->blocks[$f->block]->block->name.', ' : '').$f->name,
            'pitch' => LengthFormat::trimmed($f->pitch->degrees, 2).'°',
            'slope_mm' => round(self::along($f), 3),
        ], array_values(array_filter($form->facets, static fn (Facet $f): bool => $f->pitch->degrees > 0.0)));
    }

    /**
     * How many rows of slates the front's slope has, and the real building's: a wrong number is seen sooner than a wrong pitch.
     *
     * @return ?array{is: float, was: float}
     */
    private static function slates(Building $building, Form $form, Form $whole): ?array
    {
        $rows = static function (Form $of) use ($building): ?float {
            $front = self::frontSlope($of);

            return $front === null ? null : round(self::along($front) * $building->scale->ratio / self::SLATE_MM, 1);
        };
        [$is, $was] = [$rows($form), $rows($whole)];

        return $is === null || $was === null ? null : ['is' => $is, 'was' => $was];
    }

    /** The foremost plane that rises to the back, the steepest of these. */
    public static function frontSlope(Form $form): ?Facet
    {
        $front = self::box($form)[0];
        $slope = null;
        foreach ($form->facets as $facet) {
            $isFore = $form->blocks[$facet->block]->ring->bounds()->y0 < $front + Tolerance::MEET;
            $rise = $facet->gradient()->y;
            $slope = $isFore && $rise > max(Tolerance::MEET, $slope?->gradient()->y ?? 0.0) ? $facet : $slope;
        }

        return $slope;
    }

    private static function along(Facet $facet): float
    {
        $ys = array_map(static fn (Vec2 $p): float => $facet->flat($p)->y, $facet->whole->outline->points);

        return max($ys) - min($ys);
    }

    /**
     * What is not modelled, in words.
     *
     * @param  Building  $real  as it is before it is cut
     * @return list<string>
     */
    public static function lost(Relieved $cut, Building $real): array
    {
        $names = self::names($real);

        return array_map(static function (array $l) use ($names): string {
            $where = $names[$l['at']] ?? $l['at'];

            return match ($l['what']) {
                'block' => "$where lies behind the cut and is not modelled",
                'narrowed' => sprintf('%s: %s narrowed', $where, $l['count'] === 1 ? 'one' : (string) $l['count']),
                default => sprintf('%s: %s not modelled, for want of room', $where, $l['count'] === 1 ? 'one' : (string) $l['count']),
            };
        }, $cut->lost);
    }

    /** @return array<string, string> what blocks and openings are called: “Churn hall, left, door” */
    private static function names(Building $building): array
    {
        $names = [];
        foreach ($building->blocks as $block) {
            $names[$block->id] = $block->name;
            foreach ($block->walls as $wall) {
                foreach ($wall->openings as $opening) {
                    $names["$block->id.$wall->name.$opening->id"] = "$block->name, $wall->name, {$opening->style->name}";
                }
            }
        }

        return $names;
    }

    /**
     * As it looks from its right end: depth from the front, and height.
     *
     * @return list<array{kind: 'wall'|'roof', ring: list<array{float, float}>}>
     */
    private static function view(Form $form): array
    {
        $shapes = [];
        foreach ($form->blocks as $block) {
            $ys = array_map(static fn (Vec2 $p): float => $p->y, $block->ring->points);
            $shapes[] = [
                'kind' => 'wall',
                'ring' => self::rounded([
                    [min($ys), $block->base],
                    [max($ys), $block->base],
                    [max($ys), $block->eaves],
                    [min($ys), $block->eaves],
                ]),
            ];
            foreach ($block->walls as $wall) {
                // Ends that rise to a gable, as they are seen.
                if ($wall->isBuilt() && abs($wall->frame->normal->x) > 0.5) {
                    foreach ($wall->patches as $patch) {
                        $shapes[] = [
                            'kind' => 'wall',
                            'ring' => self::rounded(
                                array_map(
                                    static fn (Vec2 $p): array => [$wall->frame->at($p)->y, $wall->frame->at($p)->z],
                                    $patch->outline->points,
                                ),
                            ),
                        ];
                    }
                }
            }
        }
        foreach ($form->facets as $facet) {
            foreach ($facet->patches as $patch) {
                $shapes[] = [
                    'kind' => 'roof',
                    'ring' => self::rounded(
                        array_map(static fn (Vec2 $p): array => [$p->y, $facet->heightAt($p)], $patch->outline->points),
                    ),
                ];
            }
        }

        return $shapes;
    }

    /**
     * @param  list<array{float, float}>  $ring
     * @return list<array{float, float}>
     */
    private static function rounded(array $ring): array
    {
        return array_map(static fn (array $p): array => [round($p[0], 3) + 0.0, round($p[1], 3) + 0.0], $ring);
    }
}
