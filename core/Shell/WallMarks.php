<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Form\Form;
use Chartula\Core\Form\Side;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Part\Mark;

/** Lines printed on the outside of a wall: where lower roofs meet it, its plinth, and the ground along it. */
final readonly class WallMarks
{
    /** A shorter line tells nobody anything, mm. */
    private const SHORTEST_MM = 1.0;

    /**
     * In the wall's frame.
     *
     * @param  Region  $card  of the wall or a piece of it
     * @return list<Mark>
     */
    public static function of(Form $form, WallSpan $span, Region $card): array
    {
        $marks = [];
        foreach (self::lines($form, $span) as [$from, $to, $text]) {
            foreach (Clip::inside($from, $to, $card) as [$a, $b]) {
                if ($a->distanceTo($b) > self::SHORTEST_MM) {
                    $marks[] = new Mark([$a, $b], $text);
                }
            }
        }

        return $marks;
    }

    /** @return list<array{Vec2, Vec2, string}> */
    private static function lines(Form $form, WallSpan $span): array
    {
        $wall = $span->form;
        $lines = [];
        foreach ($form->facets as $facet) {
            foreach ($facet->patches as $patch) {
                foreach ($patch->lines() as $line) {
                    if ($line->label === Side::wall($wall->block, $wall->wall->edge)) {
                        $at = static fn (Vec2 $p): Vec2 => $wall->frame->project(new Vec3($p->x, $p->y, $facet->heightAt($p)));
                        $lines[] = [
                            $at($line->from),
                            $at($line->to),
                            'underside of the '.$form->blocks[$facet->block]->block->name.' roof',
                        ];
                    }
                }
            }
        }
        $plinth = $form->blocks[$wall->block]->plinth;
        if ($plinth !== null) {
            $to = new Vec2($wall->receding?->inverse()->at(new Vec2($wall->length->mm, 0.0))->x ?? $wall->length->mm, $plinth);
            $from = new Vec2(0.0, $plinth);
            $lines[] = [$wall->receding?->at($from) ?? $from, $wall->receding?->at($to) ?? $to, 'top of the plinth'];
        }
        if ($wall->ground !== null) {
            $lines[] = [new Vec2(0.0, $wall->ground[0]), new Vec2($wall->length->mm, $wall->ground[1]), 'ground'];
        }

        return $lines;
    }
}
