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
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;

/**
 * Leaves seen from a corner, in parallel, the farther ones first, so that the nearer cover them. Each is named where it is seen; what has
 * no room for its name is led to it from the side.
 */
final readonly class Axonometry
{
    private const PAPER = '#fbfaf6';

    private const SIZE = 2.2;

    /** Width of a letter by its height. */
    private const LETTER = 0.68;

    /** Names are looked for at so many places across a leaf and up it. */
    private const PLACES = 14;

    /** Between a picture and the names beside it, mm. */
    private const ASIDE_MM = 4.0;

    private const HEIGHT_DEG = 30.0;

    /** A name stands so far from every line, by its height. */
    private const AROUND = 0.55;

    /** From one name beside a picture to the next, by its height. */
    private const LINE = 1.3;

    /**
     * @param  list<array{Region, string}>  $seen  on the picture, the farthest first
     */
    private function __construct(private array $seen)
    {
    }

    /**
     * @param  list<Leaf>  $leaves
     * @param  float  $azimuth  where it is looked from, degrees from x to y
     */
    public static function of(array $leaves, float $azimuth): self
    {
        $to = self::towards($azimuth);
        $x = new Vec3(-sin(deg2rad($azimuth)), cos(deg2rad($azimuth)), 0.0);
        $y = $to->cross($x);
        $seen = Painter::inOrder($leaves, $to, static fn (Vec3 $p): Vec2 => new Vec2($p->dot($x), $p->dot($y)));

        return new self(array_map(static fn (array $one): array => [$one[0], $leaves[$one[1]]->label], $seen));
    }

    /** From the building to where it is looked from, of length 1. */
    public static function towards(float $azimuth): Vec3
    {
        [$a, $h] = [deg2rad($azimuth), deg2rad(self::HEIGHT_DEG)];

        return new Vec3(cos($a) * cos($h), sin($a) * cos($h), sin($h));
    }

    /** Draws it as large as it goes into a box. */
    public function draw(Drawing $drawing, Box2 $box): void
    {
        $all = array_merge(...array_map(static fn (array $s): array => $s[0]->outline->points, $this->seen), ...[[]]);
        if ($all === []) {
            return;
        }
        $own = Box2::around($all);
        $aside = self::ASIDE_MM + max([0.0, ...array_map(static fn (array $s): float => self::widthOf($s[1]), $this->seen)]);
        $scale = min(($box->width() - 2.0 * $aside) / max(1.0, $own->width()), $box->height() / max(1.0, $own->height()));
        $dx = $box->x0 + ($box->width() - $scale * $own->width()) / 2.0 - $scale * $own->x0;
        $dy = $box->y0 + ($box->height() - $scale * $own->height()) / 2.0 - $scale * $own->y0;
        $on = static fn (Ring $r): Ring => $r->scaled($scale)->moved($dx, $dy);
        $seen = array_map(
            static fn (array $s): array => [new Region($on($s[0]->outline), array_map($on, $s[0]->holes)), $s[1]],
            $this->seen,
        );
        foreach ($seen as [$region]) {
            $rings = array_map(static fn (Ring $r): array => $r->points, $region->rings());
            $drawing->path(new Path(Layer::Text, $rings, true, new Stroke(0.15, SheetFurniture::INK), self::PAPER));
        }
        self::names($drawing, $seen, new Box2($box->x0 + $aside - self::ASIDE_MM, $box->y0, $box->x1 - $aside + self::ASIDE_MM, $box->y1));
    }

    private static function widthOf(string $label): float
    {
        return self::SIZE * self::LETTER * mb_strlen($label);
    }

    /** @param  list<array{Region, string}>  $seen */
    private static function names(Drawing $drawing, array $seen, Box2 $box): void
    {
        $led = [];
        foreach ($seen as $i => [$region, $label]) {
            [$at, $isIn] = self::roomiest($region, array_column(array_slice($seen, $i + 1), 0), self::widthOf($label));
            if ($at !== null && $isIn) {
                $drawing->text(new Text(new Vec2($at->x, $at->y - self::SIZE * 0.35), $label, self::SIZE, 'middle'));
            } elseif ($at !== null) {
                $led[] = [$at, $label];
            }
        }
        $middle = $box->centre()->x;
        self::lead($drawing, array_filter($led, static fn (array $l): bool => $l[0]->x < $middle), $box, true);
        self::lead($drawing, array_filter($led, static fn (array $l): bool => $l[0]->x >= $middle), $box, false);
    }

    /** @param  array<int, array{Vec2, string}>  $led  places and their names, which stand on one side of the picture */
    private static function lead(Drawing $drawing, array $led, Box2 $box, bool $isLeft): void
    {
        usort($led, static fn (array $a, array $b): int => $b[0]->y <=> $a[0]->y);
        $y = $box->y1;
        foreach ($led as $k => [$at, $label]) {
            // No lower than leaves room for those that follow.
            $y = min($y, max($at->y, $box->y0 + (count($led) - $k) * self::LINE * self::SIZE));
            $from = new Vec2($isLeft ? $box->x0 : $box->x1, $y);
            $drawing->line(Layer::Text, $from, $at, new Stroke(0.1, SheetFurniture::MARK, [0.6, 0.6]));
            $word = new Vec2($from->x + ($isLeft ? -0.5 : 0.5), $y - self::SIZE * 0.35);
            $drawing->text(new Text($word, $label, self::SIZE, $isLeft ? 'end' : 'start'));
            $y -= self::LINE * self::SIZE;
        }
    }

    /**
     * @param  list<Region>  $over  what is drawn over it
     * @param  float  $width  of its name
     * @return array{?Vec2, bool} where most room is round a place that is seen, and whether the name goes there
     */
    private static function roomiest(Region $region, array $over, float $width): array
    {
        $box = $region->outline->bounds();
        $boxed = array_map(static fn (Region $r): array => [$r, $r->outline->bounds()], $over);
        $over = array_values(array_filter($boxed, static fn (array $o): bool => $o[1]->meets($box)));
        $best = [null, false];
        $most = 0.0;
        for ($i = 1; $i < self::PLACES; $i++) {
            for ($k = 1; $k < self::PLACES; $k++) {
                $at = new Vec2($box->x0 + $box->width() * $i / self::PLACES, $box->y0 + $box->height() * $k / self::PLACES);
                // Where a name stands already only what has more room is better.
                $clear = self::clearAt($region, $over, $at, $best[1] ? $most : 0.0);
                if ($clear <= 0.0) {
                    continue;
                }
                $isIn = $clear > self::AROUND * self::SIZE && min(
                    self::clearAt($region, $over, new Vec2($at->x - $width / 2.0, $at->y), self::AROUND * self::SIZE),
                    self::clearAt($region, $over, new Vec2($at->x + $width / 2.0, $at->y), self::AROUND * self::SIZE),
                ) > 0.0;
                if ([$isIn, $clear] > [$best[1], $most]) {
                    [$best, $most] = [[$at, $isIn], $clear];
                }
            }
        }

        return $best;
    }

    /**
     * How far a place is from every line that is seen; nothing where it is not seen, or no farther than is asked.
     *
     * @param  list<array{Region, Box2}>  $over  with the boxes round them
     */
    private static function clearAt(Region $region, array $over, Vec2 $at, float $least): float
    {
        if (! $region->contains($at)) {
            return 0.0;
        }
        $bounds = $region->outline->bounds();
        $clear = $region->index()->nearest($at, $bounds->width() + $bounds->height());
        foreach ($over as [$other, $box]) {
            $away = max($box->x0 - $at->x, $at->x - $box->x1, $box->y0 - $at->y, $at->y - $box->y1);
            if ($away < 0.0 && $other->contains($at)) {
                return 0.0;
            }
            $clear = $away < $clear ? min($clear, $other->outline->distanceTo($at)) : $clear;
            if ($clear <= $least) {
                return 0.0;
            }
        }

        return $clear > $least ? $clear : 0.0;
    }
}
