<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;

/** Level triangles in the corners that hold the walls square, clear of every opening. */
final readonly class BraceParts
{
    private const LONGEST_LEG_MM = 12.0;

    private const SHORTEST_LEG_MM = 4.0;

    /** Below the eaves, so that the roof has room. */
    private const BELOW_EAVES_MM = 2.0;

    /** Kept free round openings. */
    private const CLEAR_MM = 0.5;

    public static function make(Building $building, BlockForm $form): PartSet
    {
        if ($building->methods->braces === 'none') {
            return new PartSet;
        }
        $spans = WallParts::spans($building, $form);
        $leg = self::leg($spans);
        $layer = $building->methods->wall()->layers[count($building->methods->wall()->layers) - 1];
        $id = $form->block->id.'.brace.corner';
        $frames = [];
        $joints = [];
        foreach (self::corners($spans, $leg, $layer->thickness_mm, $form) as $vertex => $frame) {
            $copy = count($frames);
            $frames[] = $frame;
            $previous = $spans[($vertex + 3) % 4];
            $ends = [$frame->point(0.0, 0.0), $frame->point($leg, 0.0), $frame->point(0.0, $leg)];
            $joints[] = new Joint('butt', Ref::edge($id, 0, $copy), Ref::inside($spans[$vertex]->innermostId($form->block->id)), [$ends[0], $ends[1]], $leg);
            $joints[] = new Joint('butt', Ref::edge($id, 2, $copy), Ref::inside($previous->innermostId($form->block->id)), [$ends[0], $ends[2]], $leg);
        }
        if ($frames === []) {
            return new PartSet;
        }
        $size = Figure::given($leg, 'leg: a third of the inside, at most '.self::LONGEST_LEG_MM.' mm');
        $outline = new Outline(
            new Ring([new Vec2(0.0, 0.0), new Vec2($leg, 0.0), new Vec2(0.0, $leg)]),
            [new Edge('leg'), new Edge('long side', 'clearance'), new Edge('other leg')],
        );

        return new PartSet([Part::of($id, 'B', 'Corner brace', 'brace', $layer->stock, $layer->thickness_mm, $outline, $frames, ['width' => $size, 'height' => $size])], $joints);
    }

    /**
     * Corners that have no room for a brace.
     *
     * @return list<int> their vertices, 0 the front left
     */
    public static function withoutRoom(Building $building, BlockForm $form): array
    {
        if ($building->methods->braces === 'none') {
            return [];
        }
        $spans = WallParts::spans($building, $form);
        $layer = $building->methods->wall()->layers[count($building->methods->wall()->layers) - 1];

        return array_values(array_diff([0, 1, 2, 3], array_keys(self::corners($spans, self::leg($spans), $layer->thickness_mm, $form))));
    }

    /** @param  array{WallSpan, WallSpan, WallSpan, WallSpan}  $spans */
    private static function leg(array $spans): float
    {
        $inside = min(
            $spans[0]->form->length->mm - $spans[3]->stack->thickness_mm - $spans[1]->stack->thickness_mm,
            $spans[1]->form->length->mm - $spans[0]->stack->thickness_mm - $spans[2]->stack->thickness_mm,
        );

        return min(self::LONGEST_LEG_MM, $inside / 3.0);
    }

    /**
     * @param  array{WallSpan, WallSpan, WallSpan, WallSpan}  $spans
     * @return array<int, Frame> the brace's frame by vertex
     */
    private static function corners(array $spans, float $leg, float $thickness, BlockForm $form): array
    {
        $height = $form->wall(0)->height->mm;
        $frames = [];
        if ($leg < self::SHORTEST_LEG_MM) {
            return $frames;
        }
        foreach ($spans as $vertex => $span) {
            $previous = $spans[($vertex + 3) % 4];
            foreach ([$height - self::BELOW_EAVES_MM, $height * 0.75, $height * 0.5, $height * 0.3] as $top) {
                if ($top - $thickness > $thickness + 1.0
                    && self::isClear($span->form, 0.0, $previous->stack->thickness_mm + $leg, $top - $thickness, $top)
                    && self::isClear($previous->form, $previous->form->length->mm - $span->stack->thickness_mm - $leg, $previous->form->length->mm, $top - $thickness, $top)) {
                    $wall = $span->form->frame;
                    $frames[$vertex] = new Frame(
                        $wall->point($previous->stack->thickness_mm, $top, -$span->stack->thickness_mm), $wall->x, $wall->normal->times(-1.0),
                    );
                    break;
                }
            }
        }

        return $frames;
    }

    private static function isClear(WallForm $wall, float $x0, float $x1, float $low, float $high): bool
    {
        $crossing = array_filter($wall->openings, static fn (OpeningForm $o): bool => $o->left < $x1 + self::CLEAR_MM && $o->right() > $x0 - self::CLEAR_MM
            && $o->sill < $high + self::CLEAR_MM && $o->top() > $low - self::CLEAR_MM);

        return $crossing === [];
    }
}
