<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;

/** The card of the four walls, layer by layer, and how it meets at the corners. docs/formulas.md#corner */
final readonly class WallParts
{
    /** @param  array{WallSpan, WallSpan, WallSpan, WallSpan}  $spans */
    private function __construct(
        private BlockForm $form,
        private array $spans,
    ) {
    }

    public static function make(Building $building, BlockForm $form): PartSet
    {
        return (new self($form, self::spans($building, $form)))->all();
    }

    /** @return array{WallSpan, WallSpan, WallSpan, WallSpan} front, right, back, left */
    public static function spans(Building $building, BlockForm $form): array
    {
        return [WallSpan::of($building, $form, 0), WallSpan::of($building, $form, 1), WallSpan::of($building, $form, 2), WallSpan::of($building, $form, 3)];
    }

    private function all(): PartSet
    {
        $set = new PartSet;
        foreach ($this->spans as $edge => $span) {
            $set = $set->with($this->wall($edge, $span));
        }

        return $set;
    }

    private function wall(int $edge, WallSpan $span): PartSet
    {
        $wall = $span->form;
        $end = $span->isThrough ? new Edge('left', 'clearance') : new Edge('left');
        $otherEnd = $span->isThrough ? new Edge('right', 'clearance') : new Edge('right');
        $shape = WallShape::of($wall, $span->start, $span->end, $wall->turnIn, $end, $otherEnd);
        $block = $this->form->block->id;
        $parts = [];
        $joints = [];
        foreach ($span->stack->layers as $k => $layer) {
            $part = Part::of(
                $span->partId($block, $k), 'W', ucfirst($wall->wall->name).' wall, '.$layer->id, 'shell', $layer->stock, $layer->thickness_mm,
                $shape->outline, [$wall->frame->moved(0.0, 0.0, -$span->stack->depthOf($k))],
                ['width' => $this->width($edge, $span), 'height' => $wall->apex ?? $wall->height],
                $shape->holes,
            );
            $parts[] = $part;
            if ($k > 0) {
                $joints[] = new Joint('lap', Ref::inside($span->partId($block, $k - 1)), Ref::outside($part->id), $part->corners(), why: 'layers stuck together', contact_mm2: $part->region()->area());
            }
            if (! $span->isThrough) {
                $joints[] = $this->butt($span, $k, $part, 'left', $edge - 1);
                $joints[] = $this->butt($span, $k, $part, 'right', $edge + 1);
            }
        }

        return new PartSet($parts, $joints);
    }

    private function width(int $edge, WallSpan $span): Figure
    {
        if ($span->isThrough) {
            return $span->form->length;
        }
        $figure = $span->form->length;
        foreach ([$edge - 1, $edge + 1] as $other) {
            $neighbour = $this->span($other);
            $words = implode(' + ', array_map(static fn ($layer): string => $layer->words(), $neighbour->stack->layers));
            $figure = $figure->less($neighbour->stack->thickness_mm, 'less the '.$neighbour->form->wall->name.' wall, '.$words);
        }

        return $figure;
    }

    /** The stopped wall's end against the inside of the wall that runs through. */
    private function butt(WallSpan $span, int $layer, Part $part, string $side, int $neighbourEdge): Joint
    {
        $neighbour = $this->span($neighbourEdge);
        $x = $side === 'left' ? $span->start : $span->end;
        $own = $span->form->heightAt($x);
        $depth = $span->stack->depthOf($layer);
        $met = min($own, $neighbour->form->heightAt($side === 'left' ? $neighbour->form->length->mm - $depth : $depth));
        $frame = $span->form->frame;

        return new Joint(
            'butt', Ref::edge($part->id, $part->outline->edge($side)), Ref::inside($neighbour->innermostId($this->form->block->id)),
            [$frame->point($x, 0.0, -$depth), $frame->point($x, $met, -$depth)],
            $met, free_mm: $own - $met, why: $own > $met ? 'the gable rises behind the eaves, '.LengthFormat::millimetres($own - $met) : '',
        );
    }

    private function span(int $edge): WallSpan
    {
        return $this->spans[(($edge % 4) + 4) % 4];
    }
}
