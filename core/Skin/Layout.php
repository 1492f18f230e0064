<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;

/** The units of a face's covering, laid by its rule. The face's own frame, model millimetres. */
interface Layout
{
    /** @return list<non-empty-list<Vec2>> without their joints: those that come into a box between the face's ends */
    public function units(Box2 $box): array;

    /**
     * How they go on round a corner or into a reveal.
     *
     * @param  float  $from  where it turns
     * @param  float  $far  how far it goes on from there; negative to the left
     * @return list<Box2>
     */
    public function turned(float $from, float $far, Interval $heights): array;

    /** How long the units of a head or a sill are into which the paper turns; 0 where that is of one piece. */
    public function onEdge(): float;

    /** @return non-empty-list<string> all colours of units, as #rrggbb */
    public function tones(): array;

    /**
     * Which of them a unit has: by its place, never by chance.
     *
     * @param  non-empty-list<Vec2>  $unit
     */
    public function toneOf(array $unit): int;
}
