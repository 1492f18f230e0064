<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\ArcChain;
use Chartula\Core\Geometry\Vec2;

/** The upper side of an opening as a profile, grown by some amount: every side of the opening moved out as far. The opening's own frame. */
interface Head
{
    /** Its underside over $x; null beyond its sides. */
    public function heightAt(float $x, float $by): ?float;

    /**
     * It from over $fromX to over $toX, both ends included.
     *
     * @return non-empty-list<Vec2>
     */
    public function points(float $fromX, float $toX, float $by): array;

    /** @return list<ArcChain> its curves from the right to the left; none where it is level */
    public function chains(): array;
}
