<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** What of a wall another block stands in front of, so that nobody sees it from outside. The wall's frame, model millimetres. */
final readonly class Covered
{
    /** Just outside a wall is what stands against it. */
    private const OUTSIDE_MM = 0.05;

    /** Roofs are followed at so many places along a stretch. */
    private const PLACES = 24;

    private function __construct(public int $block, public Ring $ring)
    {
    }

    /** @return list<self> */
    public static function of(Form $form, WallForm $wall): array
    {
        $covered = [];
        foreach ($form->solids as $solid) {
            foreach ($solid->index === $wall->block ? [] : self::stretches($wall, $solid) as [$from, $to]) {
                $low = self::height($wall, $solid->base);
                $points = array_map(static function (int $i) use ($wall, $solid, $from, $to): Vec2 {
                    $x = $to + ($from - $to) * $i / self::PLACES;
                    $inside = max($from + self::OUTSIDE_MM, min($to - self::OUTSIDE_MM, $x));

                    return new Vec2($x, self::height($wall, $solid->top(self::plan($wall, $inside))));
                }, range(0, self::PLACES));
                if (max(array_map(static fn (Vec2 $p): float => $p->y, $points)) > max(0.0, $low) + Tolerance::MEET) {
                    $covered[] = new self($solid->index, Ring::ofDistinct([new Vec2($from, $low), new Vec2($to, $low), ...$points]));
                }
            }
        }

        return $covered;
    }

    /** How much of an opening it covers: nothing, some of it, or all. */
    public function takes(Ring $opening): float
    {
        $whole = $opening->area();

        return $whole > 0.0 ? Clip::sharedArea(new Region($opening), new Region($this->ring)) / $whole : 0.0;
    }

    /** @return list<array{float, float}> along the wall */
    private static function stretches(WallForm $wall, Solid $solid): array
    {
        [$a, $b] = [self::plan($wall, 0.0), self::plan($wall, $wall->length->mm)];
        $along = [];
        foreach (Clip::inside($a, $b, new Region($solid->ring)) as [$p, $q]) {
            array_push($along, ...$p->distanceTo($q) > 1.0 ? [[$a->distanceTo($p), $a->distanceTo($q)]] : []);
        }

        return $along;
    }

    private static function plan(WallForm $wall, float $along): Vec2
    {
        $at = $wall->frame->at(new Vec2($along, 0.0), self::OUTSIDE_MM);

        return new Vec2($at->x, $at->y);
    }

    private static function height(WallForm $wall, float $level): float
    {
        return $level - $wall->frame->origin->z;
    }
}
