<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\Pattern\Rows;
use Chartula\Core\Part\Repeats;
use Chartula\Core\Part\StackedArt;

/**
 * The rows of a slope cut from one paper: in strips, slit along their lower edge from unit to unit, or piece by piece. Each lies on the
 * one before it. The frame of the slope's card, model millimetres. docs/formulas.md#strips
 */
final readonly class SlopeSet
{
    /** What of a row lies under the next one. */
    public const UNDER_MM = 1.5;

    /** So many are in reserve of each hundred. */
    private const SPARE = 0.05;

    /** Printed over what is seen, so that nothing white shows where the next row is laid a little high. */
    public const MORE_MM = 0.3;

    /** Nobody glues what is smaller. */
    private const LEAST_MM2 = 0.4;

    /** Of rows that lie on each other there are two or three everywhere. */
    public const LAYERS = 2;

    /** @var list<array{float, float}> the rows, from the eaves up: from where to where they are seen */
    private array $rows;

    private function __construct(private Part $card, private FaceArt $art, private Rows $pattern, private bool $isSingle)
    {
        $box = $card->outline->ring->bounds();
        $rows = [];
        for ($i = 0, $y = $art->datum; $y < $box->y1 - Tolerance::EDGE; $i++) {
            $next = $y + $pattern->rows[$i % count($pattern->rows)];
            if ($next > $box->y0 + Tolerance::EDGE) {
                $rows[] = [max($y, $box->y0), min($next, $box->y1)];
            }
            $y = $next;
        }
        $this->rows = $rows;
    }

    /** Whether rows of a pattern can be cut so: units that lie, in rows of their own. */
    public static function can(FaceArt $art): bool
    {
        return $art->pattern instanceof Rows && ! $art->pattern->isUpright && $art->pattern->long > 0.0;
    }

    /**
     * What is cut, what that makes, and what is printed on it: outline and slits of the paper, in the paper's own axes.
     *
     * @return ?array{outline: Outline, slits: list<array{Vec2, Vec2}>, repeats: Repeats, art: StackedArt, rows: int, spares: int}
     */
    public static function of(Part $card, FaceArt $art, float $paper, bool $isSingle): ?array
    {
        if (! $art->pattern instanceof Rows || ! self::can($art)) {
            return null;
        }

        return (new self($card, $art, $art->pattern, $isSingle))->made($paper);
    }

    /** @return ?array{outline: Outline, slits: list<array{Vec2, Vec2}>, repeats: Repeats, art: StackedArt, rows: int, spares: int} */
    private function made(float $paper): ?array
    {
        $box = $this->card->outline->ring->bounds();
        $register = $slits = $bands = [];
        $y = 0.0;
        foreach ($this->rows as $k => [$from, $to]) {
            $top = min($to + self::UNDER_MM, $box->y1);
            $up = $y - $from;
            foreach ($this->pieces($k, $from, $top) as $piece) {
                $register[] = [$piece->moved(0.0, $up), new Vec2($piece->bounds()->x0, $piece->bounds()->y0)];
                array_push($slits, ...$this->cuts($piece->moved(0.0, $up)));
            }
            array_push($slits, ...$this->isSingle ? [] : $this->between($k, $from, $to, $up));
            $bands[] = [new Box2($box->x0, $y, $box->x1, $y + min($to + self::MORE_MM, $top) - $from), $up];
            $y += $top - $from;
        }
        $spares = (int) ceil(self::SPARE * count($this->rows));
        for ($i = 0; $i < $spares; $i++) {
            // Of the longest row, which is the first.
            [$from, $to] = $this->rows[0];
            $high = min($to + self::UNDER_MM, $box->y1) - $from;
            $bands[] = [new Box2($box->x0, $y, $box->x1, $y + min($to - $from + self::MORE_MM, $high)), $y - $from];
            $slits[] = [new Vec2($box->x0, $y), new Vec2($box->x1, $y)];
            array_push($slits, ...$this->between(0, $from, $to, $y - $from));
            $y += $high;
        }
        if ($register === [] || $bands === []) {
            return null;
        }
        $clear = new Edge('side', 'clearance');
        $body = new Outline($this->card->outline->ring, array_map(static fn (): Edge => $clear, $this->card->outline->edges));

        return [
            'outline' => Outline::rectangle($box->width(), $y, $clear, $clear, $clear, $clear)->moved($box->x0, 0.0),
            'slits' => self::once($slits, $y), 'repeats' => new Repeats($body, $this->card->holes, self::LAYERS * $paper, $register),
            'art' => new StackedArt($this->art, $bands, count($this->rows)), 'rows' => count($this->rows), 'spares' => $spares,
        ];
    }

    /** @return list<Ring> what of the slope lies between two heights: one for each stretch, or for each unit */
    private function pieces(int $row, float $from, float $top): array
    {
        $region = $this->card->region();
        $box = $this->card->outline->ring->bounds();
        $stretches = $this->cutTo($region, new Box2($box->x0, $from, $box->x1, $top));
        if (! $this->isSingle) {
            return $stretches;
        }
        $found = [];
        $joints = [$box->x0, ...$this->joints($row), $box->x1];
        foreach ($stretches as $stretch) {
            $its = $stretch->bounds();
            foreach (array_slice($joints, 1) as $i => $right) {
                $isHere = $right > $its->x0 && $joints[$i] < $its->x1;
                array_push($found, ...$isHere ? $this->cutTo(new Region($stretch), new Box2($joints[$i], $from, $right, $top)) : []);
            }
        }

        return $found;
    }

    /** @return list<Ring> what of a region lies in a box, and can be glued */
    private function cutTo(Region $region, Box2 $box): array
    {
        $rings = $region->holes === [] && $region->outline->isConvex()
            ? self::convex($region->outline, $box)
            : self::overlaid($region, $box);

        return array_values(array_filter($rings, static fn (Ring $r): bool => $r->area() > self::LEAST_MM2));
    }

    /** @return list<Ring> */
    private static function convex(Ring $ring, Box2 $box): array
    {
        $cut = Hull::around($ring->points);
        foreach ($box->corners() as $i => $p) {
            $cut = $cut?->leftOf($p, $box->corners()[($i + 1) % 4]->minus($p));
        }

        return $cut === null || count($cut->points) < 3 ? [] : [new Ring($cut->points)];
    }

    /** @return list<Ring> */
    private static function overlaid(Region $region, Box2 $box): array
    {
        $lines = [];
        foreach ([...$region->rings(), new Ring($box->corners())] as $ring) {
            foreach (array_keys($ring->points) as $i) {
                $lines[] = new Line($ring->point($i), $ring->point($i + 1), 'side');
            }
        }
        $patches = Overlay::patches($lines, static fn (Vec2 $p): bool => $p->x > $box->x0 && $p->x < $box->x1
            && $p->y > $box->y0 && $p->y < $box->y1 && $region->contains($p));

        return array_map(static fn (Patch $p): Ring => $p->outline, $patches);
    }

    /** @return list<float> where along a row one unit ends and the next begins, from left to right */
    private function joints(int $row): array
    {
        [$from, $to] = $this->rows[$row];
        $box = $this->card->outline->ring->bounds();
        $joints = [];
        foreach (Layouts::of($this->art)->units(new Box2($box->x0, $from, $box->x1, $to)) as $unit) {
            $its = Box2::around($unit);
            $right = $its->x1 + $this->pattern->joint() / 2.0;
            $isOwn = $its->centre()->y > $from && $its->centre()->y < $to;
            array_push($joints, ...$isOwn && $right > $box->x0 + Tolerance::MEET && $right < $box->x1 - Tolerance::MEET ? [$right] : []);
        }
        sort($joints);

        return $joints;
    }

    /** @return list<array{Vec2, Vec2}> slits from unit to unit, up to the next row */
    private function between(int $row, float $from, float $to, float $up): array
    {
        $slits = [];
        foreach ($this->joints($row) as $x) {
            foreach (Clip::inside(new Vec2($x, $from), new Vec2($x, $to), $this->card->region()) as [$a, $b]) {
                $slits[] = [new Vec2($a->x, $a->y + $up), new Vec2($b->x, $b->y + $up)];
            }
        }

        return $slits;
    }

    /** @return list<array{Vec2, Vec2}> round a piece, but for what is the paper's own edge */
    private function cuts(Ring $piece): array
    {
        $box = $this->card->outline->ring->bounds();
        $cuts = [];
        foreach (array_keys($piece->points) as $i) {
            [$a, $b] = [$piece->point($i), $piece->point($i + 1)];
            $isEdge = static fn (float $x): bool => abs($a->x - $x) < Tolerance::MEET && abs($b->x - $x) < Tolerance::MEET;
            array_push($cuts, ...$isEdge($box->x0) || $isEdge($box->x1) ? [] : [[$a, $b]]);
        }

        return $cuts;
    }

    /**
     * What two pieces share is cut once, and what is the paper's foot or its top not at all.
     *
     * @param  list<array{Vec2, Vec2}>  $slits
     * @return list<array{Vec2, Vec2}>
     */
    private static function once(array $slits, float $high): array
    {
        $cut = [];
        foreach ($slits as [$a, $b]) {
            $isAt = static fn (float $y): bool => abs($a->y - $y) < Tolerance::MEET && abs($b->y - $y) < Tolerance::MEET;
            if ($isAt(0.0) || $isAt($high)) {
                continue;
            }
            $ends = [sprintf('%.3f,%.3f', $a->x, $a->y), sprintf('%.3f,%.3f', $b->x, $b->y)];
            sort($ends);
            $cut[implode(' ', $ends)] ??= [$a, $b];
        }

        return array_values($cut);
    }
}
