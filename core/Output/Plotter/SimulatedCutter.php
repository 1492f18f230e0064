<?php

declare(strict_types=1);

namespace Chartula\Core\Output\Plotter;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\InvalidInput;

/**
 * A small cutter that is not there: runs a plotter file, says what its knife would do in order and how long it would take,
 * and finds what would spoil the sheet. docs/formulas.md#cutter
 *
 * @phpstan-import-type Move from PlotterReader
 */
final readonly class SimulatedCutter
{
    /** Speeds of a small knife plotter, mm/s; what lifting and changing tools take, seconds. */
    private const SPEED = [PlotterWriter::SCORE => 40.0, PlotterWriter::CUT => 25.0];

    private const TRAVEL = 120.0;

    private const LIFT_S = 0.2;

    private const CHANGE_S = 15.0;

    /** Rounding to the plotter's units may put a point this far outside the sheet, mm. */
    private const EDGE_MM = 0.0125;

    /**
     * @param  list<Stroke>  $strokes
     * @param  list<string>  $findings  what would go wrong
     * @param  list<string>  $notes  what the file's comments say
     */
    private function __construct(
        public array $strokes,
        public float $seconds,
        public array $findings,
        public array $notes,
    ) {
    }

    /**
     * @param  array{float, float}  $sheet  width and height, mm
     * @param  ?callable(Vec2, ?string): int  $passes  how often the stock has to be cut that lies at a place, by what the file says of it;
     *                                        null where it is not known
     *
     * @throws InvalidInput where the file is not understood
     */
    public static function run(string $file, array $sheet, ?callable $passes = null): self
    {
        [$strokes, $seconds] = self::strokes(PlotterReader::read($file));

        return new self(
            $strokes,
            $seconds,
            [...self::outside($strokes, $sheet), ...self::notThrough($strokes, $passes), ...self::loose($strokes)],
            PlotterReader::comments($file),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'seconds' => round($this->seconds, 1), 'findings' => $this->findings, 'notes' => $this->notes,
            'strokes' => array_map(static fn (Stroke $s): array => $s->toArray(), $this->strokes),
        ];
    }

    /**
     * @param  list<Move>  $moves
     * @return array{list<Stroke>, float}
     */
    private static function strokes(array $moves): array
    {
        $strokes = [];
        $at = new Vec2(0.0, 0.0);
        $time = 0.0;
        $tool = 0;
        for ($i = 0, $n = count($moves); $i < $n;) {
            if ($moves[$i]['tool'] !== $tool) {
                $tool = $moves[$i]['tool'];
                $time += self::CHANGE_S;
            }
            if (! $moves[$i]['down']) {
                $time += self::LIFT_S + $at->distanceTo($moves[$i]['to']) / self::TRAVEL;
                $at = $moves[$i++]['to'];

                continue;
            }
            $points = [$at];
            $stock = $moves[$i]['stock'];
            for (; $i < $n && $moves[$i]['down'] && $moves[$i]['tool'] === $tool; $i++) {
                $points[] = $moves[$i]['to'];
            }
            [$line, $passes] = self::passes($points);
            $stroke = new Stroke($tool, $line, $passes, $time, $time);
            $end = $time + $stroke->length() * $passes / (self::SPEED[$tool] ?? self::SPEED[PlotterWriter::CUT]);
            $strokes[] = new Stroke($tool, $line, $passes, $time, $end, $stock);
            $time = $end;
            $at = $points[count($points) - 1];
        }

        return [$strokes, $time];
    }

    /**
     * A line followed so many times over, round and round or there and back, is one line.
     *
     * @param  non-empty-list<Vec2>  $points
     * @return array{non-empty-list<Vec2>, int}
     */
    private static function passes(array $points): array
    {
        $moves = count($points) - 1;
        for ($length = 1; $length <= intdiv($moves, 2); $length++) {
            if ($moves % $length === 0 && self::repeats($points, $length)) {
                return [array_slice($points, 0, $length + 1), intdiv($moves, $length)];
            }
        }

        return [$points, 1];
    }

    /** @param  non-empty-list<Vec2>  $points */
    private static function repeats(array $points, int $length): bool
    {
        $closed = $points[0]->distanceTo($points[$length]) < Tolerance::ROUNDING;
        foreach ($points as $i => $point) {
            $round = intdiv($i, $length);
            $step = $i % $length;
            $twin = $closed ? $points[$step] : $points[$round % 2 === 0 ? $step : $length - $step];
            $reversed = $points[$round % 2 === 0 ? $step : $length - $step];
            if ($point->distanceTo($twin) > Tolerance::ROUNDING && $point->distanceTo($reversed) > Tolerance::ROUNDING) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<Stroke>  $strokes
     * @param  array{float, float}  $sheet
     * @return list<string>
     */
    private static function outside(array $strokes, array $sheet): array
    {
        $findings = [];
        foreach ($strokes as $i => $stroke) {
            foreach ($stroke->points as $p) {
                $over = max(-$p->x, -$p->y, $p->x - $sheet[0], $p->y - $sheet[1]);
                if ($over > self::EDGE_MM) {
                    $findings[] = sprintf('Line %d goes %.2f mm outside the sheet, at %.1f, %.1f.', $i + 1, $over, $p->x, $p->y);
                    break;
                }
            }
        }

        return $findings;
    }

    /**
     * @param  list<Stroke>  $strokes
     * @param  ?callable(Vec2, ?string): int  $passes
     * @return list<string>
     */
    private static function notThrough(array $strokes, ?callable $passes): array
    {
        $findings = [];
        foreach ($strokes as $i => $stroke) {
            $needed = $passes === null ? 0 : $passes($stroke->points[0], $stroke->stock);
            if ($stroke->tool !== PlotterWriter::SCORE && $stroke->passes < $needed) {
                $findings[] = sprintf('Line %d is cut %d times; this stock needs %d.', $i + 1, $stroke->passes, $needed);
            }
        }

        return $findings;
    }

    /**
     * What is worked on after the line round it has been cut lies loose.
     *
     * @param  list<Stroke>  $strokes
     * @return list<string>
     */
    private static function loose(array $strokes): array
    {
        $findings = [];
        $loose = [];
        foreach ($strokes as $i => $stroke) {
            foreach ($loose as [$by, $ring]) {
                if (self::isInside($stroke, $ring)) {
                    $findings[] = sprintf('Line %d is made in a piece that line %d has already cut loose.', $i + 1, $by + 1);
                    break;
                }
            }
            if ($stroke->tool !== PlotterWriter::SCORE && $stroke->isClosed()) {
                $loose[] = [$i, Ring::ofDistinct($stroke->points)];
            }
        }

        return $findings;
    }

    private static function isInside(Stroke $stroke, Ring $ring): bool
    {
        $middle = $stroke->points[0]->plus($stroke->points[1] ?? $stroke->points[0])->times(0.5);

        return $ring->contains($middle);
    }
}
