<?php

declare(strict_types=1);

namespace Chartula\Core\Mockup;

use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** Adds tabs along the edges of a net, where they lie on nothing else of it. */
final class Tabs
{
    /** Depths of a tab, mm, from the one that glues best to the least that still holds. */
    private const DEPTHS_MM = [5.0, 4.0, 3.0, 2.0];

    private const SHORTEST_MM = 3.0;

    private const ON_EACH_OTHER_MM2 = 0.02;

    /** @var list<array{ring: Ring, from: Vec2, to: Vec2, name: string}> */
    private array $tabs = [];

    /** @param  list<Ring>  $faces */
    public function __construct(private readonly array $faces)
    {
    }

    public static function deepest(): float
    {
        return self::DEPTHS_MM[0];
    }

    /** Adds a tab outside the edge from – to of a face that lies to its left; false where there is no room for one. */
    public function add(Vec2 $from, Vec2 $to, string $name): bool
    {
        $length = $from->distanceTo($to);
        foreach ($length < self::SHORTEST_MM ? [] : self::DEPTHS_MM as $depth) {
            $depth = min($depth, $length / 3.0);
            $along = $to->minus($from)->times(1.0 / $length);
            $out = new Vec2($along->y * $depth, -$along->x * $depth);
            $in = $along->times($depth);
            $ring = new Ring([$from, $from->plus($out)->plus($in), $to->plus($out)->minus($in), $to]);
            if ($this->isFree($ring)) {
                $this->tabs[] = ['ring' => $ring, 'from' => $from, 'to' => $to, 'name' => $name];

                return true;
            }
        }

        return false;
    }

    private function isFree(Ring $ring): bool
    {
        $tab = new Region($ring);
        foreach ([...$this->faces, ...array_column($this->tabs, 'ring')] as $other) {
            if (Clip::sharedArea($tab, new Region($other)) > self::ON_EACH_OTHER_MM2) {
                return false;
            }
        }

        return true;
    }

    /** @return list<array{ring: Ring, from: Vec2, to: Vec2, name: string}> */
    public function all(): array
    {
        return $this->tabs;
    }
}
