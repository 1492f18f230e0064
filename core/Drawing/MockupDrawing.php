<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Mockup\Mockup;
use Chartula\Core\Mockup\Net;
use Chartula\Core\Sheets\Page;

/** The pages of a mock-up: nets side by side, folds with their ticks, tabs with their names, openings as lines. */
final readonly class MockupDrawing
{
    private const GAP_MM = 4.0;

    /** @return list<Drawing> */
    public static function of(Building $building, Mockup $mockup, string $footer = ''): array
    {
        $page = new Page($building->sheets);
        $pages = self::laid($mockup->nets, $page);
        $drawings = [];
        foreach ($pages as $i => $placed) {
            $drawing = new Drawing($page->width, $page->height, $building->name.', mock-up, sheet '.($i + 1), true);
            foreach ($placed as [$net, $at, $isTurned]) {
                self::net($drawing, $net, $at, $isTurned);
            }
            SheetFurniture::plain($drawing, $page, $building->name, 'mock-up '.($i + 1).' of '.count($pages),
                ["Thin card or paper, $mockup->percent % of the model; cut outside the tabs, fold, stick like numbers together", trim('scale 1:'.LengthFormat::trimmed($building->scale->ratio * 100.0 / $mockup->percent, 2).'  '.$footer)]);
            $drawings[] = $drawing->stretched($building->sheets->factorX(), $building->sheets->factorY());
        }

        return $drawings;
    }

    /**
     * Shelves, the highest nets first.
     *
     * @param  list<Net>  $nets
     * @return list<list<array{Net, Vec2, bool}>>
     */
    private static function laid(array $nets, Page $page): array
    {
        [$width, $height] = [$page->roomWidth(), $page->roomHeight()];
        $sized = array_map(static function (Net $net) use ($width, $height): array {
            $box = $net->bounds();
            $isTurned = $box->width() > $width || $box->height() > $height || ($box->height() > $box->width() && $box->height() <= $width);

            return [$net, $isTurned ? $box->height() : $box->width(), $isTurned ? $box->width() : $box->height(), $isTurned];
        }, $nets);
        usort($sized, static fn (array $a, array $b): int => $b[2] <=> $a[2]);
        $pages = [];
        $x = $y = $shelf = 0.0;
        $current = [];
        foreach ($sized as [$net, $w, $h, $isTurned]) {
            if ($x > 0.0 && $x + $w > $width) {
                [$x, $y, $shelf] = [0.0, $y + $shelf + self::GAP_MM, 0.0];
            }
            if ($current !== [] && $y + $h > $height) {
                $pages[] = $current;
                [$current, $x, $y, $shelf] = [[], 0.0, 0.0, 0.0];
            }
            $current[] = [$net, new Vec2($page->roomX() + $x, $page->roomY() + $height - $y - $h), $isTurned];
            $x += $w + self::GAP_MM;
            $shelf = max($shelf, $h);
        }

        return $current === [] ? $pages : [...$pages, $current];
    }

    private static function net(Drawing $drawing, Net $net, Vec2 $at, bool $isTurned): void
    {
        $box = $net->bounds();
        $on = static fn (Vec2 $p): Vec2 => $isTurned
                ? new Vec2($at->x + $box->y1 - $p->y, $at->y + $p->x - $box->x0)
                : new Vec2($at->x + $p->x - $box->x0, $at->y + $p->y - $box->y0);
        $line = static fn (Ring $r): array => array_map($on, $r->points);
        $cut = new Stroke(0.12);
        $hinges = array_map(static fn (array $t): array => [$t['from'], $t['to']], [...$net->folds, ...$net->tabs]);
        foreach ($net->faces as $face) {
            foreach (array_keys($face['ring']->points) as $i) {
                [$a, $b] = [$face['ring']->point($i), $face['ring']->point($i + 1)];
                if (! self::isHinge($hinges, $a, $b)) {
                    $drawing->line(Layer::Cut, $on($a), $on($b), $cut);
                }
            }
            foreach ($face['drawn'] as $ring) {
                $drawing->path(new Path(Layer::Mark, [$line($ring)], true, new Stroke(0.15, '#4c5b66')));
            }
            $middle = $on($face['ring']->bounds()->centre());
            $drawing->text(new Text($middle, $face['name'], 2.4, 'middle'));
        }
        foreach ($net->tabs as $tab) {
            $points = $tab['ring']->points;
            $drawing->path(new Path(Layer::Cut, [array_map($on, $points)], false, $cut));
            self::fold($drawing, $on($tab['from']), $on($tab['to']), 'away');
            $drawing->text(new Text($on($tab['ring']->middle())->plus(new Vec2(0.0, -0.7)), $tab['name'], 2.0, 'middle', bold: true));
        }
        foreach ($net->folds as $fold) {
            self::fold($drawing, $on($fold['from']), $on($fold['to']), $fold['fold']);
        }
        foreach ($net->mates as $mate) {
            [$a, $b] = [$mate['from'], $mate['to']];
            $in = new Vec2(-($b->y - $a->y), $b->x - $a->x);
            $drawing->text(
                new Text(
                    $on($a->plus($b)->times(0.5)->plus($in->times(2.4 / max(0.1, $in->length()))))->plus(new Vec2(0.0, -0.7)),
                    $mate['name'],
                    2.0,
                    'middle',
                    colour: '#9c4a32',
                ),
            );
        }
    }

    /** @param  list<array{Vec2, Vec2}>  $hinges */
    private static function isHinge(array $hinges, Vec2 $a, Vec2 $b): bool
    {
        foreach ($hinges as [$p, $q]) {
            if (min($a->distanceTo($p) + $b->distanceTo($q), $a->distanceTo($q) + $b->distanceTo($p)) < 0.02) {
                return true;
            }
        }

        return false;
    }

    /**
     * Dashed, one tick where the printed side is scored (it folds away), two where the back is (it folds towards one).
     *
     * @param  'away'|'toward'  $fold
     */
    private static function fold(Drawing $drawing, Vec2 $a, Vec2 $b, string $fold): void
    {
        $drawing->path(new Path(Layer::Score, [[$a, $b]], false, new Stroke(0.1, '#9c4a32', [1.2, 0.8])));
        $length = $a->distanceTo($b);
        if ($length < 3.0) {
            return;
        }
        $along = $b->minus($a)->times(1.0 / $length);
        $across = (new Vec2(-$along->y, $along->x))->times(0.6);
        foreach ($fold === 'away' ? [0.5] : [0.5, 1.1] as $at) {
            foreach ([$a->plus($along->times($at)), $b->minus($along->times($at))] as $foot) {
                $drawing->line(Layer::Score, $foot->minus($across), $foot->plus($across), new Stroke(0.15, '#9c4a32'));
            }
        }
    }
}
