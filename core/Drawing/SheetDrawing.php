<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Bevel;
use Chartula\Core\Part\Score;
use Chartula\Core\Part\StackedArt;
use Chartula\Core\Sheets\Bleed;
use Chartula\Core\Sheets\CuttingOrder;
use Chartula\Core\Sheets\PlacedPart;
use Chartula\Core\Sheets\Sheet;
use Chartula\Core\Skin\SlopeSet;

/** A sheet as it prints: its parts at 1:1, with labels, up arrows and score ticks, and everything round them. */
final readonly class SheetDrawing
{
    /** Of the number of a row. */
    private const NUMBER_MM = 1.0;

    private const CUT_MM = 0.1;

    private const TICK_MM = 1.2;

    private function __construct(
        private Sheet $sheet,
        private Drawing $drawing,
    ) {
    }

    public static function of(Building $building, Sheet $sheet, Mates $mates, SheetHeading $heading): Drawing
    {
        $title = $building->name.', sheet '.$sheet->number;
        $self = new self(
            $sheet,
            new Drawing($sheet->page->width, $sheet->page->height, $title, $sheet->stock()->kind === 'paper'),
        );
        $self->art();
        foreach ($sheet->parts as $placed) {
            $self->part($placed);
        }
        $turns = self::turns($sheet);
        foreach ($sheet->frames as $frame) {
            $words = new SheetWords($self->drawing, $frame->parts, $sheet->isShared() ? $frame->box : $sheet->page->room());
            $edges = new EdgeWords($words, $mates);
            (new PieceNames($words, $mates, $turns))->draw();
            $edges->draw();
        }
        SheetFurniture::draw($self->drawing, $building, $sheet, $heading);

        return $self->drawing->stretched($building->sheets->factorX(), $building->sheets->factorY());
    }

    /** @return array<string, int> */
    private static function turns(Sheet $sheet): array
    {
        $turns = [];
        foreach (CuttingOrder::of($sheet) as $step) {
            if ($step->what === 'outline') {
                $turns[$step->placed->part->part->id.'#'.$step->placed->copy] = count($turns) + 1;
            }
        }

        return $turns;
    }

    private function art(): void
    {
        foreach ($this->sheet->parts as $placed) {
            $art = $placed->part->part->art;
            if ($art === null) {
                continue;
            }
            $symbol = $this->drawing->symbol(ArtSymbol::name($placed->part))
                ?? ArtSymbol::bleeding($placed->part, $art);
            $o = $placed->toSheet(new Vec2(0.0, 0.0));
            $x = $placed->toSheet(new Vec2(1.0, 0.0))->minus($o);
            $y = $placed->toSheet(new Vec2(0.0, 1.0))->minus($o);
            $box = Bleed::box($placed->part->part);
            $o = $o->plus($x->times($box->x0))->plus($y->times($box->y0));
            $this->drawing->place($symbol, new Placement($symbol->id, $x->x, $x->y, $y->x, $y->y, $o->x, $o->y));
        }
    }

    private function part(PlacedPart $placed): void
    {
        $part = $placed->part->part;
        $rings = array_map(fn (Ring $r): array => $this->on($placed, $r->points), $part->blank()->rings());
        // Half of a line stays on the piece: on brickwork it is a joint.
        $cut = new Stroke(self::CUT_MM, $part->art?->cutColour() ?? SheetFurniture::INK);
        $this->drawing->path(new Path(Layer::Cut, $rings, true, $cut));
        foreach ($part->slits as $slit) {
            $this->drawing->path(new Path(Layer::Cut, [$this->on($placed, $slit)], false, $cut));
        }
        foreach ($part->art === null ? $part->scores : [] as $score) {
            $this->score($placed, $score);
        }
        foreach (FoldTicks::of($placed) as [$from, $to]) {
            $this->drawing->line(Layer::Score, $from, $to, new Stroke(0.15, SheetFurniture::FOLD));
        }
        $marks = PrintedMarks::of($placed);
        // On brickwork grey is lost.
        $ink = $part->art === null ? SheetFurniture::MARK : SheetFurniture::INK;
        $this->drawing->path(new Path(Layer::Mark, $marks->lines, false, new Stroke(0.15, $ink, SheetFurniture::DOTS)));
        $this->drawing->path(new Path(Layer::Mark, $marks->ticks, false, new Stroke(0.15, SheetFurniture::MARK)));
        foreach ($part->bevels() as $bevel) {
            $this->bevel($placed, $bevel);
        }
        $this->rows($placed);
    }

    /** The number of each row of a slope, where the next one covers it. */
    private function rows(PlacedPart $placed): void
    {
        $art = $placed->part->part->art;
        if (! $art instanceof StackedArt) {
            return;
        }
        $along = $placed->toSheet(new Vec2(1.0, 0.0))->minus($placed->toSheet(new Vec2(0.0, 0.0)));
        foreach ($art->bands as $i => [$at]) {
            $foot = new Vec2($at->x0 + self::NUMBER_MM, $at->y1 + (SlopeSet::UNDER_MM - SlopeSet::MORE_MM - self::NUMBER_MM) / 2.0);
            $number = $i < $art->rows ? (string) ($i + 1) : 'spare';
            $turn = rad2deg(atan2($along->y, $along->x));
            $this->drawing->text(new Text($placed->toSheet($foot), $number, self::NUMBER_MM, 'start', $turn));
        }
    }

    /**
     * @param  non-empty-list<Vec2>  $points
     * @return non-empty-list<Vec2>
     */
    private function on(PlacedPart $placed, array $points): array
    {
        return array_map($placed->toSheet(...), $points);
    }

    /** Draws a score dashed, with one tick at each end where the printed side is scored and two where the other side is. */
    private function score(PlacedPart $placed, Score $score): void
    {
        [$a, $b] = [$placed->toSheet($score->from), $placed->toSheet($score->to)];
        $this->drawing->path(new Path(Layer::Score, [[$a, $b]], false, new Stroke(self::CUT_MM, SheetFurniture::FOLD, [1.2, 0.8])));
        $length = $a->distanceTo($b);
        if ($length < 3.0 * self::TICK_MM) {
            return;
        }
        $along = $b->minus($a)->times(1.0 / $length);
        $across = new Vec2(-$along->y, $along->x);
        $printedSide = $placed->mirrored ? 'back' : 'face';
        $ticks = $score->scoreOn === $printedSide ? [0.5] : [0.5, 1.1];
        foreach ($ticks as $at) {
            foreach ([$a->plus($along->times($at)), $b->minus($along->times($at))] as $foot) {
                $this->drawing->line(
                    Layer::Score,
                    $foot->minus($across->times(self::TICK_MM / 2.0)),
                    $foot->plus($across->times(self::TICK_MM / 2.0)),
                    new Stroke(0.15, SheetFurniture::FOLD),
                );
            }
        }
    }

    /** Draws a bevel dotted where the shorter face ends. */
    private function bevel(PlacedPart $placed, Bevel $bevel): void
    {
        $ring = $placed->part->part->outline->face($bevel->longer === 'outside' ? 'inside' : 'outside');
        [$a, $b] = [$placed->toSheet($ring->point($bevel->edge)), $placed->toSheet($ring->point($bevel->edge + 1))];
        $this->drawing->path(new Path(Layer::Mark, [[$a, $b]], false, new Stroke(self::CUT_MM, SheetFurniture::MARK, [0.3, 0.5])));
    }
}
