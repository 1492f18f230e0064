<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Arc;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/**
 * The shape of an opening. Frame: origin at the left jamb on the sill, x right, y up, model millimetres.
 * Growing moves every side outwards by the same amount and keeps the arc's centre. docs/formulas.md#segmental-arch
 */
final readonly class OpeningShape
{
    private ?Arc $arc;

    public function __construct(
        public float $width,
        public float $height,
        public ?float $rise,
    ) {
        $this->arc = $rise === null ? null : Arc::over(0.0, $width, $height - $rise, $rise);
    }

    /** The height at which the jambs end when the shape is grown by $by. */
    public function springing(float $by = 0.0): float
    {
        return $this->arc === null ? $this->height + $by : ($this->arc->grown($by)->heightAt(-$by) ?? $this->height);
    }

    /** The underside of the head over $x when the shape is grown by $by. */
    public function headAt(float $x, float $by = 0.0): float
    {
        return $this->arc === null ? $this->height + $by : ($this->arc->grown($by)->heightAt($x) ?? $this->springing($by));
    }

    /**
     * The head from the right to the left, from over $fromX to over $toX, both ends included.
     *
     * @return non-empty-list<Vec2>
     */
    public function head(float $fromX, float $toX, float $by = 0.0): array
    {
        return $this->arc === null
            ? [new Vec2($fromX, $this->height + $by), new Vec2($toX, $this->height + $by)]
            : $this->arc->grown($by)->points($fromX, $toX);
    }

    /** The whole outline, counter-clockwise from the lower left; the foot is moved by $footBy. */
    public function ring(float $by = 0.0, ?float $footBy = null): Ring
    {
        $foot = -($footBy ?? $by);

        return new Ring([new Vec2(-$by, $foot), new Vec2($this->width + $by, $foot), ...$this->head($this->width + $by, -$by, $by)]);
    }

    /** The radius of the head grown by $by; null for a flat one. */
    public function radius(float $by = 0.0): ?float
    {
        return $this->arc === null ? null : $this->arc->radius + $by;
    }

    public function centre(): ?Vec2
    {
        return $this->arc?->centre;
    }
}
