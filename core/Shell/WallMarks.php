<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Form\Form;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\Solid;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\MarkKind;

/** Lines marked on the outside of a wall: where lower roofs meet it, its plinth, the ground along it, what is raised. */
final readonly class WallMarks
{
    /** A shorter line tells nobody anything, mm. */
    private const SHORTEST_MM = 1.0;

    /** Just outside a wall is what stands against it. */
    private const OUTSIDE_MM = 0.05;

    /** What is hidden by another block is drawn so far within its sides: past their card. */
    private const WITHIN_MM = 2.5;

    /**
     * In the wall's frame.
     *
     * @param  Region  $card  of the wall or a piece of it
     * @return list<Mark>
     */
    public static function of(Form $form, WallSpan $span, Region $card): array
    {
        $marks = [];
        foreach (self::lines($form, $span) as [$line]) {
            array_push($marks, ...self::inside($line, $card));
        }

        return [...$marks, ...RaisedSeats::marks($span->form, $card)];
    }

    /**
     * The same on what is printed to be seen: of seats what the lower block hides, and the other lines out over its laps.
     *
     * @param  array{float, float}  $laps  how far it goes on round the wall's ends
     * @return list<Mark>
     */
    public static function onPaper(Form $form, WallSpan $span, Region $paper, array $laps): array
    {
        $marks = [];
        foreach (self::lines($form, $span) as [$line, $block]) {
            $all = $block === null ? [self::lengthened($line, $laps)] : self::hidden($line, $span, $form->solids[$block]);
            foreach ($all as $shown) {
                array_push($marks, ...self::inside($shown, $paper));
            }
        }

        return [...$marks, ...RaisedSeats::marks($span->form, $paper)];
    }

    /** @return list<Mark> */
    private static function inside(Mark $line, Region $card): array
    {
        $marks = [];
        foreach (Clip::inside($line->path[0], $line->path[1] ?? $line->path[0], $card) as [$a, $b]) {
            if ($a->distanceTo($b) > self::SHORTEST_MM) {
                $marks[] = new Mark([$a, $b], $line->text, $line->kind);
            }
        }

        return $marks;
    }

    /** @param  array{float, float}  $laps */
    private static function lengthened(Mark $line, array $laps): Mark
    {
        [$from, $to] = [$line->path[0], $line->path[count($line->path) - 1]];
        $way = $to->minus($from)->times(1.0 / $from->distanceTo($to));

        return new Mark([$from->minus($way->times($laps[0])), $to->plus($way->times($laps[1]))], $line->text, $line->kind);
    }

    /** @return list<Mark> from left to right, so that what is hidden lies on their right */
    private static function hidden(Mark $line, WallSpan $span, Solid $lower): array
    {
        $frame = $span->form->frame;
        $plan = static function (Vec2 $p) use ($frame): Vec2 {
            $at = $frame->at($p, self::OUTSIDE_MM);

            return new Vec2($at->x, $at->y);
        };
        [$from, $to] = $line->path[0]->x <= $line->path[count($line->path) - 1]->x
            ? [$line->path[0], $line->path[count($line->path) - 1]]
            : [$line->path[count($line->path) - 1], $line->path[0]];
        [$a, $b] = [$plan($from), $plan($to)];
        $length = $a->distanceTo($b);
        $marks = [];
        foreach ($length > self::SHORTEST_MM ? Clip::inside($a, $b, new Region($lower->ring)) : [] as [$p, $q]) {
            [$begin, $end] = [$a->distanceTo($p) + self::WITHIN_MM, $a->distanceTo($q) - self::WITHIN_MM];
            $at = static fn (float $along): Vec2 => $from->plus($to->minus($from)->times($along / $length));
            if ($end - $begin > self::SHORTEST_MM) {
                $marks[] = new Mark([$at($begin), $at($end)], $line->text, $line->kind);
            }
        }

        return $marks;
    }

    /** @return list<array{Mark, ?int}> each with the block whose roof it marks */
    private static function lines(Form $form, WallSpan $span): array
    {
        $wall = $span->form;
        $lines = [];
        foreach ($form->facets as $facet) {
            foreach ($facet->patches as $patch) {
                foreach ($patch->lines() as $line) {
                    if ($line->label === Side::wall($wall->block, $wall->wall->edge)) {
                        $at = static fn (Vec2 $p): Vec2 => $wall->frame->project(new Vec3($p->x, $p->y, $facet->heightAt($p)));
                        $text = 'underside of the '.$form->blocks[$facet->block]->block->name.' roof';
                        $lines[] = [new Mark([$at($line->from), $at($line->to)], $text, MarkKind::Seat), $facet->block];
                    }
                }
            }
        }
        $plinth = $form->blocks[$wall->block]->plinth;
        if ($plinth !== null) {
            $to = new Vec2($wall->receding?->inverse()->at(new Vec2($wall->length->mm, 0.0))->x ?? $wall->length->mm, $plinth);
            $from = new Vec2(0.0, $plinth);
            $path = [$wall->receding?->at($from) ?? $from, $wall->receding?->at($to) ?? $to];
            $lines[] = [new Mark($path, 'top of the plinth', MarkKind::Plinth), null];
        }
        if ($wall->ground !== null) {
            $path = [new Vec2(0.0, $wall->ground[0]), new Vec2($wall->length->mm, $wall->ground[1])];
            $lines[] = [new Mark($path, 'ground', MarkKind::Ground), null];
        }

        return $lines;
    }
}
