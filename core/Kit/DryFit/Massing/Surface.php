<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Vec3;

/** A surface of the building as its document describes it, looked at along upright lines in its own plane. */
interface Surface
{
    public function name(): string;

    /** @return 'wall'|'slope' */
    public function kind(): string;

    /** Its plane; lines run along y. */
    public function frame(): Frame;

    /** @return non-empty-list<Vec3> places in its plane, as far apart as it is large */
    public function corners(): array;

    /**
     * @param  list<Region>  $card  that lies in its plane
     * @return list<float> the places along x at which it is looked at: close on both sides of where it or the card changes
     */
    public function places(array $card): array;

    /**
     * What of a line there must be card on, and where card may be or not.
     *
     * @return array{list<Interval>, list<Interval>}
     */
    public function at(float $x): array;

    /** How deep card that is cut square may leave it to what stands behind, at the ends of its stretches. */
    public function reveal(float $x): float;

    /** How thick its card is. */
    public function thickness(): float;

    /** All that it depends on, in one word. */
    public function key(): string;
}
