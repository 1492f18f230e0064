<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Size;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Roof\RoofPanel;

/** The roofs for the screen: planes in plan, every line with its name, length and sum, every panel in true shape. */
final readonly class RoofView
{
    private function __construct(
        private Building $building,
        private Kit $kit,
    ) {
    }

    /** @return array<string, mixed> */
    public static function of(Building $building, Kit $kit): array
    {
        $self = new self($building, $kit);

        return [
            'lines' => $self->lines(),
            'panels' => $self->panels(),
            'things' => RoofThings::of($building, $kit->form, static fn (): bool => false),
            'area_mm2' => round(
                array_sum(
                    array_map(
                        static fn (Facet $f): float => array_sum(array_map(static fn (Patch $p): float => $p->area(), $f->patches)),
                        $kit->form->facets,
                    ),
                ),
                2,
            ),
        ];
    }

    /** @return list<array<string, mixed>> each line once */
    private function lines(): array
    {
        $lines = [];
        $seen = [];
        foreach ($this->kit->form->facets as $facet) {
            foreach ($facet->patches as $patch) {
                foreach ($patch->lines() as $line) {
                    $ends = [sprintf('%.3F %.3F', $line->from->x, $line->from->y), sprintf('%.3F %.3F', $line->to->x, $line->to->y)];
                    sort($ends);
                    $key = implode(' ', $ends);
                    if (! isset($seen[$key]) && ! Side::isOfKind($line->label, SideKind::Foot, SideKind::Beneath)) {
                        $seen[$key] = true;
                        $lines[] = $this->line($facet, $line);
                    }
                }
            }
        }

        return $lines;
    }

    /** @return array<string, mixed> */
    private function line(Facet $facet, Line $line): array
    {
        [$a, $b] = [$facet->lifted($line->from), $facet->lifted($line->to)];
        $plan = $line->from->distanceTo($line->to);
        $rise = abs($a->z - $b->z);
        $kind = self::kind($this->kit->form, $facet, $line);
        $side = Side::of($line->label);
        $other = $side->kind === SideKind::Plane ? $this->kit->form->plane($side->planeOrFail()) : null;
        $length = $rise < Tolerance::FIGURE
            ? Figure::given($plan, 'in plan, level')
            : Figure::given($plan, 'in plan, '.LengthFormat::trimmed($plan, 3))
                ->over(
                    $plan / sqrt($plan * $plan + $rise * $rise),
                    'rising '.LengthFormat::trimmed($rise, 3).': ÷ cos '.LengthFormat::trimmed(rad2deg(atan2($rise, $plan)), 3).'°',
                );

        return [
            'kind' => $kind, 'from' => $line->from->toArray(), 'to' => $line->to->toArray(),
            'length' => Size::ofModel($length->mm, $this->building->scale),
            'fold' => $other === null
                ? null
                : LengthFormat::trimmed(rad2deg(acos(max(-1.0, min(1.0, $facet->frame->normal->dot($other->frame->normal))))), 2).'°',
            'workings' => $length->workings($kind),
        ];
    }

    /** Says what a side of a plane is called. */
    public static function kind(Form $form, Facet $facet, Line $line): string
    {
        $side = Side::of($line->label);
        if ($side->kind !== SideKind::Plane) {
            return match ($side->kind) {
                SideKind::Eaves, SideKind::Open, SideKind::Beside => 'eaves',
                SideKind::Wall => 'wall line',
                SideKind::Deck => 'parapet',
                default => $side->kind->value,
            };
        }
        $other = $form->plane($side->planeOrFail());
        $along = $line->to->minus($line->from);
        $fold = $facet->foldTo($other, new Vec2($along->y, -$along->x));
        if ($fold < 0.0) {
            return 'valley';
        }

        return $other->block === $facet->block && $other->edge === $facet->edge
            ? 'break'
            : (abs($facet->heightAt($line->from) - $facet->heightAt($line->to)) < Tolerance::FIGURE ? 'ridge' : 'hip');
    }

    /** @return list<array<string, mixed>> */
    private function panels(): array
    {
        return array_map(function (RoofPanel $panel): array {
            $part = $panel->part;

            return [
                'part' => $part->id, 'name' => $part->name,
                'block' => $this->kit->form->blocks[$panel->facet->block]->block->id, 'pitch' => $panel->facet->pitch->text(),
                'plan' => $panel->facet->built[$panel->patch]->outline->toArray(),
                'outline' => $part->outline->ring->toArray(),
                'holes' => array_map(static fn (Ring $r): array => $r->toArray(), $part->holes),
                'edges' => array_map(fn (int $i): array => [
                    'name' => $part->outline->edges[$i]->name,
                    'length' => Size::ofModel($part->outline->ring->edgeLength($i), $this->building->scale),
                    'angle' => LengthFormat::trimmed(self::angle($part->outline->ring, $i), 2).'°',
                ], array_keys($part->outline->edges)),
                'workings' => [$part->workings['height']->workings('up the slope'), $part->workings['width']->workings('along the eaves')],
            ];
        }, $this->kit->panels->layer($this->kit->panels->carrier()));
    }

    /** Interior angle at point $i, degrees. */
    private static function angle(Ring $ring, int $i): float
    {
        $in = $ring->point($i - 1)->minus($ring->point($i));
        $out = $ring->point($i + 1)->minus($ring->point($i));
        $angle = rad2deg(atan2($out->cross($in), $out->dot($in)));

        return $angle < 0.0 ? $angle + 360.0 : $angle;
    }
}
