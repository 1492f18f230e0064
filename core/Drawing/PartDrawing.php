<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\Repeats;
use Chartula\Core\Part\StackedArt;

/** One part by itself, the right way up, for the screen. */
final readonly class PartDrawing
{
    private const MARGIN_MM = 1.0;

    /** The part as it is cut: its artwork with cuts, folds and marks over it. */
    public static function of(LabelledPart $labelled): Drawing
    {
        $part = $labelled->part;
        $margin = self::MARGIN_MM;
        $drawing = new Drawing($part->width() + 2.0 * $margin, $part->height() + 2.0 * $margin, "$labelled->label, $part->name");
        if ($part->art !== null) {
            $drawing->place(
                $symbol = ArtSymbol::of($labelled, $part->art),
                new Placement($symbol->id, 1.0, 0.0, 0.0, 1.0, $margin, $margin),
            );
        }
        $cut = new Stroke(0.12);
        $drawing->path(
            new Path(
                Layer::Cut,
                array_map(static fn (Ring $r): array => self::moved($r->points, $margin), $part->region()->rings()),
                true,
                $cut,
                $part->art === null ? '#efeadd' : null,
            ),
        );
        foreach ($part->slits as $slit) {
            $drawing->path(new Path(Layer::Cut, [self::moved($slit, $margin)], false, $cut));
        }
        foreach ($part->scores as $score) {
            $drawing->path(
                new Path(Layer::Score, [self::moved([$score->from, $score->to], $margin)], false, new Stroke(0.15, '#9c4a32', [0.8, 0.5])),
            );
        }
        foreach ($part->marks as $mark) {
            $drawing->path(new Path(Layer::Mark, [self::moved($mark->path, $margin)], false, new Stroke(0.12, '#4c5b66')));
        }

        return $drawing;
    }

    /** The printed face alone, edge to edge, laps and flaps with it: what covers the paper when it stands. */
    public static function face(LabelledPart $labelled): Drawing
    {
        $part = $labelled->part;
        if ($part->art instanceof StackedArt && $part->shape->repeats !== null) {
            return self::laid($labelled, $part->art, $part->shape->repeats);
        }
        $drawing = new Drawing($part->width(), $part->height(), $part->name);
        if ($part->art !== null) {
            $drawing->place($symbol = ArtSymbol::of($labelled, $part->art), new Placement($symbol->id, 1.0, 0.0, 0.0, 1.0, 0.0, 0.0));
        }

        return $drawing;
    }

    /** What many pieces show together where they lie. */
    private static function laid(LabelledPart $labelled, StackedArt $art, Repeats $set): Drawing
    {
        $box = $set->body->ring->bounds();
        $drawing = new Drawing($box->width(), $box->height(), $labelled->part->name);
        $all = Ring::rectangle($box->x0, $box->y0, $box->x1, $box->y1);
        $symbol = new Symbol(
            ArtSymbol::name($labelled), $box->width(), $box->height(), [$set->body->ring, ...$set->holes],
            FaceDrawing::paths($art->whole, $all, null),
        );
        $drawing->place($symbol, new Placement($symbol->id, 1.0, 0.0, 0.0, 1.0, -$box->x0, -$box->y0));

        return $drawing;
    }

    /** A paper's brickwork from quoin to quoin, laps left out and openings not cut out, for drawing under a wall; empty for other parts. */
    public static function onWall(LabelledPart $labelled): Drawing
    {
        $part = $labelled->part;
        [$left, $right] = $part->art?->ends() ?? [0.0, $part->width()];
        $drawing = new Drawing($right - $left, $part->height(), $part->name);
        if ($part->art !== null) {
            $drawing->place(
                $symbol = ArtSymbol::of($labelled, $part->art, true),
                new Placement($symbol->id, 1.0, 0.0, 0.0, 1.0, -$left, 0.0),
            );
        }

        return $drawing;
    }

    /**
     * @param  non-empty-list<Vec2>  $points
     * @return non-empty-list<Vec2>
     */
    private static function moved(array $points, float $by): array
    {
        return array_map(static fn (Vec2 $p): Vec2 => new Vec2($p->x + $by, $p->y + $by), $points);
    }
}
