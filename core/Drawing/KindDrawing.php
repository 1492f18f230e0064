<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Filling;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\OpeningKind;
use Chartula\Core\Building\Style;
use Chartula\Core\Fillings\FillingSheets;
use Chartula\Core\Fillings\Fitted;
use Chartula\Core\Fillings\HungLeaf;
use Chartula\Core\Fillings\PaneHoles;
use Chartula\Core\Fillings\Sheet;
use Chartula\Core\Fillings\Stance;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\OpeningShapes;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Part\Mark;
use Chartula\Core\Shell\OpeningCut;

/** A kind of opening as it comes out on a building, from outside, sheet over sheet: at the size of the model. */
final readonly class KindDrawing
{
    private const MARGIN_MM = 0.6;

    private const LINE_MM = 0.08;

    private const INK = '#3c3a34';

    /** In the tones of what they are of, since nothing is painted yet. */
    private const TONES = ['F' => '#f3efe3', 'D' => '#c9b594', 'G' => '#bfd0d6', 'P' => '#e6dcc6'];

    /** What one looks into where nothing stands in it. */
    private const DARK = '#5b5a55';

    private function __construct(private Drawing $drawing, private Vec2 $by)
    {
    }

    /** Null where what is said of it leaves nothing to be seen. */
    public static function of(Building $building, Style $style): ?Drawing
    {
        $zero = RealLength::ofMillimetres(0.0);
        $opening = OpeningForm::of(new Opening('kind', $style, $zero, $zero, 1, null, ''), 0, new OpeningShapes($building->scale),
            $style->kind === OpeningKind::Door ? 0.0 : -1.0);
        $panes = new PaneHoles($building);
        if ($panes->layout($opening)?->isPossible() === false) {
            return null;
        }
        $box = $opening->ring()->bounds()->grown(self::MARGIN_MM);
        $drawing = new Drawing($box->width(), $box->height(), $style->name);
        $own = new self($drawing, new Vec2(-$box->x0, -$box->y0));
        $own->show('hole', [$opening->ring()], [new Path(Layer::Art, [$opening->ring()->points], true, null, self::DARK)]);
        foreach ($style->filling() === Filling::Nothing ? [] : self::sheets($building, $opening, $panes) as [$sheet, $by]) {
            $own->at($by)->sheet($sheet);
        }

        return $drawing;
    }

    /** @return list<array{Sheet, Vec2}> the hindmost first, each with where its opening begins: of a leaf on hinges within its frame */
    private static function sheets(Building $building, OpeningForm $opening, PaneHoles $panes): array
    {
        $zero = new Vec2(0.0, 0.0);
        $leaf = $opening->opening->style->leaf;
        $in = static fn (OpeningForm $form): Fitted => new Fitted($building, $form, OpeningCut::none());
        $all = static fn (OpeningForm $form): array => array_map(
            static fn (Sheet $sheet): array => [self::turned($building, $form, $sheet), new Vec2($form->left, $form->sill)],
            self::hindmostFirst(FillingSheets::of($in($form), $panes, null)),
        );
        $hung = $leaf?->hinges === null ? null : new HungLeaf($building, $opening, $leaf);

        return match (true) {
            $hung === null => $all($opening),
            ! $hung->hasRoom() => [],
            default => array_merge([[$hung->frame($in($opening)), $zero]], ...array_map($all, $hung->leaves())),
        };
    }

    /** A leaf that stands open turns with all that lies on it. */
    private static function turned(Building $building, OpeningForm $form, Sheet $sheet): Sheet
    {
        $leaf = $form->opening->style->leaf;

        return $leaf === null || $leaf->angle <= 0.0 || $sheet->swing !== null
            ? $sheet
            : $sheet->with(swing: Stance::swing($building, $leaf, $form->shape->width));
    }

    /**
     * @param  list<Sheet>  $sheets  the foremost first, but for what is turned by itself or lies upon the foremost
     * @return list<Sheet>
     */
    private static function hindmostFirst(array $sheets): array
    {
        $isUpon = static fn (Sheet $sheet): bool => $sheet->swing !== null;
        $upon = array_values(array_filter($sheets, $isUpon));
        $others = array_values(array_filter($sheets, static fn (Sheet $sheet): bool => ! $isUpon($sheet)));

        return [...array_reverse($others), ...array_reverse($upon)];
    }

    private function at(Vec2 $by): self
    {
        return new self($this->drawing, $this->by->plus($by));
    }

    private function sheet(Sheet $sheet): void
    {
        $ring = $sheet->outline->ring;
        $box = $ring->bounds();
        $rings = [$ring, ...array_map(
            static fn (Ring $r): Ring => $r->signedArea() > 0.0 ? new Ring(array_reverse($r->points)) : $r,
            $sheet->holes,
        )];
        $rings = $sheet->swing === null ? $rings : array_map($sheet->swing->seen(...), $rings);
        $lines = array_map(static fn (Ring $r): array => $r->points, $rings);
        $stroke = new Stroke(self::LINE_MM, self::INK);
        $seen = $sheet->swing === null ? static fn (Vec2 $p): Vec2 => $p : $sheet->swing->at(...);
        $marks = array_map(static fn (Mark $m): array => array_map($seen, $m->path), $sheet->marks);
        // Of two leaves each has its own.
        $this->show(sprintf('%s-%d', $sheet->layer, (int) round(100.0 * $this->by->x)), $rings, [
            new Path(Layer::Art, $lines, true, null, self::TONES[$sheet->letter]),
            ...$sheet->art === null ? [] : ArtSymbol::drawn($sheet->art, Ring::rectangle($box->x0, $box->y0, $box->x1, $box->y1)),
            ...$marks === [] ? [] : [new Path(Layer::Art, $marks, false, new Stroke(self::LINE_MM / 2.0, self::INK))],
            ...$sheet->letter === 'G' ? [] : [new Path(Layer::Art, $lines, true, $stroke)],
        ]);
    }

    /**
     * Each over what was shown before it.
     *
     * @param  non-empty-list<Ring>  $clip
     * @param  list<Path>  $paths
     */
    private function show(string $id, array $clip, array $paths): void
    {
        $symbol = new Symbol($id, $this->drawing->width, $this->drawing->height, $clip, $paths);
        $this->drawing->place($symbol, new Placement($id, 1.0, 0.0, 0.0, 1.0, $this->by->x, $this->by->y));
    }
}
