<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\Layer;
use Chartula\Core\Drawing\Path;
use Chartula\Core\Drawing\SheetFurniture;
use Chartula\Core\Drawing\Stroke;
use Chartula\Core\Drawing\Text;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Vec2;

/** Lines and names in model millimetres, to be drawn at some scale, with lines of words below. */
final class Picture
{
    private const SIZE = 2.2;

    private const LINE_MM = 3.2;

    /** Names may reach so far beyond the lines, mm on the page. */
    private const RIM_MM = 11.0;

    private const LETTER = 0.5;

    /** From one figure of a dimension to the next, by its height. */
    private const APART = 1.05;

    private const BOLD = 0.58;

    /** Names beside a line stand so far off it. */
    private const OFF_MM = 2.0;

    /** Type over a picture. */
    public const TITLE = 2.4;

    /** The largest that a picture is drawn where nothing else is said, of the model's size. */
    private const MOST = 0.6;

    /** @var list<array{non-empty-list<Vec2>, bool, ?string, list<float>}> points, whether it closes, how it is filled, dashes */
    private array $lines = [];

    /** @var list<array{Vec2, string, Vec2}> where, what, and which way it lies off that place, of length 1 or nothing */
    private array $names = [];

    /** @var array{array<string, float>, array<string, float>} figures below it and at its left, with where they point to */
    private array $figures = [[], []];

    /**
     * @param  list<string>  $words  below it
     * @param  float  $most  the largest that it is drawn, of the model's size
     */
    public function __construct(
        public readonly string $title,
        private readonly array $words = [],
        private readonly float $most = self::MOST,
    ) {
    }

    /** @param  non-empty-list<Vec2>  $points */
    public function ring(array $points, ?string $fill = null): void
    {
        $this->lines[] = [$points, true, $fill, []];
    }

    /** @param  non-empty-list<Vec2>  $points */
    public function dotted(array $points, bool $closes = false): void
    {
        $this->lines[] = [$points, $closes, null, SheetFurniture::DOTS];
    }

    public function arrow(Vec2 $from, Vec2 $to): void
    {
        $along = $to->minus($from)->times(1.0 / max(0.001, $from->distanceTo($to)));
        $across = new Vec2(-$along->y, $along->x);
        $back = $to->minus($along->times(3.0));
        $this->lines[] = [[$from, $to], false, null, []];
        $this->lines[] = [[$back->plus($across->times(1.2)), $to, $back->minus($across->times(1.2))], false, null, []];
    }

    public function name(Vec2 $at, string $name, Vec2 $off = new Vec2(0.0, 0.0)): void
    {
        $this->names[] = [$at, $name, $off];
    }

    /** A figure below the picture, at a place along it. */
    public function across(float $x, string $figure): void
    {
        $this->figures[0][$figure] = $x;
    }

    /** A figure at the left of the picture, at a height. */
    public function up(float $y, string $figure): void
    {
        $this->figures[1][$figure] = $y;
    }

    private function box(): Box2
    {
        $all = array_merge(...array_column($this->lines, 0), ...[[]]);

        return $all === [] ? new Box2(0.0, 0.0, 1.0, 1.0) : Box2::around($all);
    }

    public function scaleFor(Box2 $room): float
    {
        $box = $this->box();

        return min(
            $this->most,
            ($room->width() - 2.0 * self::RIM_MM) / max(1.0, $box->width()),
            (0.5 * $room->height() - 2.0 * self::RIM_MM) / max(1.0, $box->height()),
        );
    }

    public function width(float $scale): float
    {
        $words = array_map(static fn (string $w): float => self::LETTER * self::SIZE * mb_strlen($w), $this->words);

        return max($scale * $this->box()->width() + 2.0 * self::RIM_MM, self::BOLD * self::TITLE * mb_strlen($this->title), ...$words);
    }

    public function height(float $scale): float
    {
        return $scale * $this->box()->height() + 2.0 * self::RIM_MM + self::LINE_MM * count($this->words);
    }

    /** @param  Vec2  $at  its lower left on the page */
    public function draw(Drawing $drawing, Vec2 $at, float $scale): void
    {
        $box = $this->box();
        $foot = $at->y + self::LINE_MM * count($this->words) + self::RIM_MM;
        $on = static fn (Vec2 $p): Vec2 =>
            new Vec2($at->x + self::RIM_MM + $scale * ($p->x - $box->x0), $foot + $scale * ($p->y - $box->y0));
        foreach ($this->lines as [$points, $closes, $fill, $dashes]) {
            $stroke = new Stroke($dashes === [] ? 0.15 : 0.2, $dashes === [] ? SheetFurniture::INK : SheetFurniture::MARK, $dashes);
            $drawing->path(new Path(Layer::Text, [array_map($on, $points)], $closes, $stroke, $fill));
        }
        foreach ($this->names as [$place, $name, $off]) {
            $p = $on($place);
            $half = self::LETTER * self::SIZE * mb_strlen($name) / 2.0;
            $x = $p->x + $off->x * ($half + self::OFF_MM);
            $drawing->text(new Text(new Vec2($x, $p->y + $off->y * self::OFF_MM - 0.35 * self::SIZE), $name, self::SIZE, 'middle'));
        }
        $this->dimensions($drawing, $box, $on);
        foreach ($this->words as $i => $words) {
            $drawing->text(new Text(new Vec2($at->x, $at->y + self::LINE_MM * (count($this->words) - 1 - $i)), $words, self::SIZE));
        }
    }

    /** @param  callable(Vec2): Vec2  $on */
    private function dimensions(Drawing $drawing, Box2 $box, callable $on): void
    {
        $corner = $on(new Vec2($box->x0, $box->y0));
        $thin = new Stroke(0.1, SheetFurniture::MARK);
        $across = array_map(static fn (float $x): float => $on(new Vec2($x, 0.0))->x, $this->figures[0]);
        foreach (self::spread($across) as $figure => [$x, $at]) {
            $drawing->line(Layer::Text, new Vec2($x, $corner->y - 0.8), new Vec2($at, $corner->y - 3.0), $thin);
            $drawing->text(new Text(new Vec2($at + 0.35 * self::SIZE, $corner->y - 3.4), (string) $figure, self::SIZE, 'end', 90.0));
        }
        $up = array_map(static fn (float $y): float => $on(new Vec2(0.0, $y))->y, $this->figures[1]);
        foreach (self::spread($up) as $figure => [$y, $at]) {
            $drawing->line(Layer::Text, new Vec2($corner->x - 0.8, $y), new Vec2($corner->x - 3.0, $at), $thin);
            $drawing->text(new Text(new Vec2($corner->x - 3.4, $at - 0.35 * self::SIZE), (string) $figure, self::SIZE, 'end'));
        }
    }

    /**
     * Places for figures, in order and far enough apart to be read.
     *
     * @param  array<string, float>  $places  by figure
     * @return array<string, array{float, float}> where each points to, and where it stands
     */
    private static function spread(array $places): array
    {
        asort($places);
        $spread = [];
        $at = -INF;
        foreach ($places as $figure => $place) {
            $at = max($place, $at + self::APART * self::SIZE);
            $spread[$figure] = [$place, $at];
        }

        return $spread;
    }
}
