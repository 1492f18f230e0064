<?php

declare(strict_types=1);

namespace Chartula\Core\Kit;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Shell\WallParts;
use Chartula\Core\Shell\WallSpan;

/** A surface of the finished building that card must fill exactly: the outside of a wall, the underside of a slope. */
final readonly class Surface
{
    /**
     * @param  'wall'|'slope'  $kind
     * @param  list<Ring>  $gaps  places that card does not fill and something else covers
     * @param  array{float, float}|null  $real_mm  what the prototype measures, width and height, where it was entered
     */
    private function __construct(
        public string $name,
        public string $kind,
        public Frame $frame,
        public Region $region,
        public array $gaps,
        public ?array $real_mm,
    ) {
    }

    /** @return list<self> */
    public static function of(Building $building, BlockForm $form): array
    {
        $surfaces = [];
        $block = $form->block;
        foreach (WallParts::spans($building, $form) as $edge => $span) {
            $wall = $span->form;
            $outline = $wall->outline();
            $holes = array_map(static fn (OpeningForm $o): Ring => $o->ring($wall->turnIn), $wall->openings);
            $real = $wall->isGable() ? null : [$edge % 2 === 0 ? $block->width->mm : $block->depth->mm, $block->eaves->mm - $block->base->mm];
            $surfaces[] = new self($block->id.'.'.$wall->wall->name, 'wall', $wall->frame, new Region($outline, $holes), self::behindEaves($span), $real);
        }
        foreach ($form->planes as $plane) {
            $surfaces[] = new self($block->id.'.'.$plane->name.'-slope', 'slope', $plane->frame, new Region($plane->underside()), [], null);
        }

        return $surfaces;
    }

    /**
     * A gable between walls that run through rises behind their square tops: a small triangle at each eaves, which the
     * paper and the roof cover. docs/formulas.md#gable
     *
     * @return list<Ring>
     */
    public static function behindEaves(WallSpan $span): array
    {
        $wall = $span->form;
        if (! $wall->isGable() || $span->isThrough) {
            return [];
        }
        $height = $wall->height->mm;
        $triangle = static fn (float $corner, float $inner): Ring => new Ring([new Vec2($corner, $height), new Vec2($inner, $height), new Vec2($inner, $wall->heightAt($inner))]);

        return [$triangle(0.0, $span->start), $triangle($wall->length->mm, $span->end)];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name, 'kind' => $this->kind, 'origin' => $this->frame->origin->toArray(), 'x' => $this->frame->x->toDirection(), 'y' => $this->frame->y->toDirection(),
            'outline' => $this->region->outline->toArray(), 'holes' => array_map(static fn (Ring $r): array => $r->toArray(), $this->region->holes),
            'gaps' => array_map(static fn (Ring $r): array => ['outline' => $r->toArray(), 'why' => 'behind the eaves; paper and roof cover it'], $this->gaps),
            'real_mm' => $this->real_mm,
        ];
    }
}
