<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Bevel;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\Score;
use Chartula\Core\Sheets\CuttingOrder;
use Chartula\Core\Sheets\PlacedPart;
use Chartula\Core\Sheets\Sheet;

/** A sheet as it prints: its parts at 1:1, with labels, up arrows and score ticks, and everything round them. */
final readonly class SheetDrawing
{
    private const CUT_MM = 0.1;

    private const TICK_MM = 1.2;

    private const LABEL_MM = 2.8;

    private const SMALL_MM = 1.9;

    /** The least that can be read, and what stands in the gap between parts. */
    private const LEAST_MM = 1.5;

    /** Width of a letter of the label face by its height, generous. */
    private const LETTER = 0.62;

    /** @param  array<string, int>  $turns when each piece's outline is cut, by id and copy, from 1 */
    private function __construct(
        private Sheet $sheet,
        private Drawing $drawing,
        private string $ink,
        private array $turns,
    ) {
    }

    /** @param  string  $footer what the caller adds to the heading: revision and date */
    public static function of(Building $building, Sheet $sheet, int $of, string $footer = ''): Drawing
    {
        $title = $building->name.', sheet '.$sheet->number;
        $self = new self(
            $sheet,
            new Drawing($sheet->page->width, $sheet->page->height, $title, $sheet->stock->kind === 'paper'),
            '#1f2a2e',
            self::turns($sheet),
        );
        $self->art();
        foreach ($sheet->parts as $placed) {
            $self->part($placed);
        }
        SheetFurniture::draw($self->drawing, $building, $sheet, $of, $footer);

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

    /** The words beside a name that say when its outline is cut. */
    private function turn(PlacedPart $placed): string
    {
        return ', outline '.$this->turns[$placed->part->part->id.'#'.$placed->copy];
    }

    private function art(): void
    {
        foreach ($this->sheet->parts as $placed) {
            $art = $placed->part->part->art;
            if ($art === null) {
                continue;
            }
            $id = 'art-'.substr($placed->part->print, 7, 12).'-'.substr($placed->part->cut, 7, 12);
            $symbol = $this->drawing->symbol($id) ?? BrickSymbol::of($placed->part, $art);
            $o = $placed->toSheet(new Vec2(0.0, 0.0));
            $x = $placed->toSheet(new Vec2(1.0, 0.0))->minus($o);
            $y = $placed->toSheet(new Vec2(0.0, 1.0))->minus($o);
            $this->drawing->place($symbol, new Placement($symbol->id, $x->x, $x->y, $y->x, $y->y, $o->x, $o->y));
        }
    }

    private function part(PlacedPart $placed): void
    {
        $part = $placed->part->part;
        $rings = array_map(fn (Ring $r): array => $this->on($placed, $r->points), $part->blank()->rings());
        $this->drawing->path(new Path(Layer::Cut, $rings, true, new Stroke(self::CUT_MM, $this->ink)));
        foreach ($part->slits as $slit) {
            $this->drawing->path(new Path(Layer::Cut, [$this->on($placed, $slit)], false, new Stroke(self::CUT_MM, $this->ink)));
        }
        foreach ($part->scores as $score) {
            $this->score($placed, $score);
        }
        foreach ($part->marks as $mark) {
            $this->mark($placed, $mark);
        }
        foreach ($part->bevels() as $bevel) {
            $this->bevel($placed, $bevel);
        }
        $this->label($placed);
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
        $this->drawing->path(new Path(Layer::Score, [[$a, $b]], false, new Stroke(self::CUT_MM, '#9c4a32', [1.2, 0.8])));
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
                    new Stroke(0.15, '#9c4a32'),
                );
            }
        }
    }

    /** Draws a bevel dotted where the shorter face ends, with the angle off square and the face that is shorter. */
    private function bevel(PlacedPart $placed, Bevel $bevel): void
    {
        $ring = $placed->part->part->outline->face($bevel->longer === 'outside' ? 'inside' : 'outside');
        [$a, $b] = [$placed->toSheet($ring->point($bevel->edge)), $placed->toSheet($ring->point($bevel->edge + 1))];
        $this->drawing->path(new Path(Layer::Mark, [[$a, $b]], false, new Stroke(self::CUT_MM, '#4c5b66', [0.3, 0.5])));
        $centre = $a->plus($b)->times(0.5);
        $along = $b->minus($a)->times(1.0 / $a->distanceTo($b));
        $in = $placed->mirrored ? new Vec2($along->y, -$along->x) : new Vec2(-$along->y, $along->x);
        $words = LengthFormat::trimmed($bevel->degrees, 1).'° off the '.($bevel->longer === 'outside' ? 'inside' : 'outside');
        if ($a->distanceTo($b) > self::SMALL_MM * self::LETTER * mb_strlen($words)) {
            // Read from below or from the right.
            $reads = $along->x > Tolerance::ROUNDING || (abs($along->x) <= Tolerance::ROUNDING && $along->y > 0.0)
                ? $along
                : $along->times(-1.0);
            $up = new Vec2(-$reads->y, $reads->x);
            $this->drawing->text(
                new Text(
                    $centre->plus($in->times($up->dot($in) > 0.0 ? 0.6 : 0.6 + self::LEAST_MM * 0.7)),
                    $words,
                    self::LEAST_MM,
                    'middle',
                    rad2deg(atan2($reads->y, $reads->x)),
                ),
            );
        }
    }

    private function mark(PlacedPart $placed, Mark $mark): void
    {
        $this->drawing->path(new Path(Layer::Mark, [$this->on($placed, $mark->path)], false, new Stroke(0.12, '#4c5b66')));
    }

    /** The label where the part is widest, with an arrow that points up the part. */
    private function label(PlacedPart $placed): void
    {
        $part = $placed->part->part;
        $box = $this->roomiest($part->region());
        $text = $placed->part->label.($placed->part->like === null ? '' : ' '.$placed->part->like);
        $centre = $placed->toSheet($box->centre());
        [$w, $h] = $placed->turned ? [$box->height(), $box->width()] : [$box->width(), $box->height()];
        $size = min(self::LABEL_MM, $h * 0.5, $w / (self::LETTER * (mb_strlen($text) + 2)));
        $up = $placed->toSheet(new Vec2($box->centre()->x, $box->centre()->y + 1.0))->minus($centre);
        if ($part->art !== null || $size < self::LEAST_MM) {
            // A label on a paper's face would show on the model, and a small part has no room: it stands above.
            $words = $text.($placed->width() > 30.0 ? ' '.$part->name.$this->turn($placed) : '');
            $at = new Vec2($placed->x + $placed->width() / 2.0, $placed->y + $placed->height() + 0.5);
            $this->drawing->text(new Text($at, $words, self::LEAST_MM, 'middle'));
            $this->arrow(
                new Vec2($at->x - self::LETTER * self::LEAST_MM * (mb_strlen($words) / 2.0 + 0.9), $at->y + 0.5),
                $up,
                self::LEAST_MM,
            );

            return;
        }
        $textAt = new Vec2($centre->x, $centre->y - $size * 0.35);
        $this->drawing->text(new Text($textAt, $text, $size, 'middle', bold: true));
        foreach ([$part->name.$this->turn($placed), ltrim($this->turn($placed), ', ')] as $words) {
            if ($h > 3.2 * $size && $w > self::SMALL_MM * self::LETTER * mb_strlen($words)) {
                $this->drawing->text(new Text(new Vec2($centre->x, $textAt->y - self::SMALL_MM * 1.4), $words, self::SMALL_MM, 'middle'));
                break;
            }
        }
        $this->arrow(new Vec2($centre->x - self::LETTER * $size * (mb_strlen($text) / 2.0 + 0.9), $centre->y), $up, $size);
    }

    private function arrow(Vec2 $middle, Vec2 $up, float $size): void
    {
        $side = new Vec2(-$up->y, $up->x);
        $tip = $middle->plus($up->times($size * 0.5));
        $foot = $middle->minus($up->times($size * 0.5));
        $barb = $tip->minus($up->times($size * 0.35));
        $this->drawing->path(
            new Path(
                Layer::Text,
                [[$foot, $tip], [$barb->plus($side->times($size * 0.25)), $tip, $barb->minus($side->times($size * 0.25))]],
                false,
                new Stroke(0.15, $this->ink),
            ),
        );
    }

    /** The roomiest level piece of the part. */
    private function roomiest(Region $region): Box2
    {
        $best = null;
        foreach ($region->trapezoids() as $piece) {
            $box = $piece->bounds();
            $value = min($box->width(), 30.0) * min($box->height(), 8.0);
            if ($best === null || $value > min($best->width(), 30.0) * min($best->height(), 8.0)) {
                $best = $box;
            }
        }

        return $best ?? $region->outline->bounds();
    }
}
