<?php

declare(strict_types=1);

namespace Chartula\Core\Output\Plotter;

use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\Layer;
use Chartula\Core\Drawing\Path;
use Chartula\Core\Drawing\Stroke as Pen;
use Chartula\Core\Drawing\Text;
use Chartula\Core\Geometry\Vec2;

/** What the simulated cutter did, drawn: each line with its number in the order of working. */
final readonly class CutterDrawing
{
    private const NUMBER_MM = 2.2;

    /** @param  array{float, float}  $sheet */
    public static function of(SimulatedCutter $run, array $sheet): Drawing
    {
        $drawing = new Drawing($sheet[0], $sheet[1], 'What the knife does, in order');
        $drawing->path(
            new Path(
                Layer::Mark,
                [[new Vec2(0.0, 0.0), new Vec2($sheet[0], 0.0), new Vec2($sheet[0], $sheet[1]), new Vec2(0.0, $sheet[1])]],
                true,
                new Pen(0.3, '#4c5b66'),
            ),
        );
        foreach ($run->strokes as $i => $stroke) {
            $isScore = $stroke->tool === PlotterWriter::SCORE;
            $drawing->path(
                new Path(
                    $isScore ? Layer::Score : Layer::Cut,
                    [$stroke->points],
                    false,
                    $isScore ? new Pen(0.2, '#9c4a32', [1.2, 0.8]) : new Pen(0.15),
                ),
            );
            $drawing->text(
                new Text(
                    $stroke->points[0]->plus(new Vec2(0.4, 0.4)),
                    (string) ($i + 1),
                    self::NUMBER_MM,
                    colour: $isScore ? '#9c4a32' : '#1f2a2e',
                ),
            );
        }

        return $drawing;
    }
}
