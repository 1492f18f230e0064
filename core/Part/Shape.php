<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Roll;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;

/**
 * How a part stands once it is cut: flat; folded along its scores or rolled, from a place whose face stays where the placement has it;
 * or, of many that are cut from one strip, as one body.
 */
final readonly class Shape
{
    private function __construct(public ?Vec2 $base, public ?Roll $roll, public ?Repeats $repeats)
    {
    }

    public static function flat(): self
    {
        return new self(null, null, null);
    }

    public static function folded(Vec2 $base): self
    {
        return new self($base, null, null);
    }

    public static function rolled(Vec2 $base, Roll $roll): self
    {
        return new self($base, $roll, null);
    }

    public static function repeated(Repeats $repeats): self
    {
        return new self(null, null, $repeats);
    }

    /** Whether its outline stands in space as it is cut. */
    public function isFlat(): bool
    {
        return $this->base === null && $this->repeats === null;
    }

    public function moved(float $dx, float $dy): self
    {
        $by = new Vec2($dx, $dy);

        return new self($this->base?->plus($by), $this->roll?->moved($by), $this->repeats?->moved($dx, $dy));
    }

    /** @return ?array<string, mixed> as `form` of docs/formats.md; null where it is flat */
    public function toArray(float $thickness): ?array
    {
        return match (true) {
            $this->repeats !== null => ['kind' => 'set'] + $this->repeats->toArray(),
            $this->base === null => null,
            $this->roll === null => ['kind' => 'folded', 'base' => $this->base->toArray()],
            default => self::bend($this->base, $this->roll, $thickness),
        };
    }

    /**
     * Its axis as seen from where it stays: behind the card's middle there, and in front where it bends towards who looks at it.
     *
     * @return array<string, mixed>
     */
    private static function bend(Vec2 $base, Roll $roll, float $thickness): array
    {
        $into = $roll->into($base);
        $at = $roll->line($into);
        $middle = -$thickness / 2.0;
        $behind = $roll->turn < 0.0 ? 1.0 : -1.0;
        if ($roll->isCone) {
            // So far down the cone that its slant is as long as from the apex to the line's own place.
            [$way, $apex] = [$at->minus($roll->along), new Vec3($roll->along->x, $roll->along->y, $middle)];
            $depth = $way->length() * cos($roll->size) ** 2;
            $foot = $roll->along->plus($way->times(cos($roll->size) ** 2));
            $axis = [$apex, new Vec3($foot->x, $foot->y, $middle + $behind * $depth * tan($roll->size))];
            $radius = $way->length() * sin($roll->size);
        } else {
            $high = $middle + $behind * $roll->size;
            $end = $at->plus($roll->along);
            [$axis, $radius] = [[new Vec3($at->x, $at->y, $high), new Vec3($end->x, $end->y, $high)], $roll->size];
        }

        return [
            'kind' => $roll->isCone ? 'cone' : 'rolled', 'base' => $base->toArray(),
            'axis' => array_map(static fn (Vec3 $p): array => [round($p->x, 6), round($p->y, 6), round($p->z, 6)], $axis),
            'radius' => round($radius, 6), 'surface' => 'neutral', 'from_degrees' => round(-rad2deg($into / $roll->perTurn()), 6),
            'seam_degrees' => round(abs(rad2deg($roll->turn)) - rad2deg($into / $roll->perTurn()), 6),
        ];
    }
}
