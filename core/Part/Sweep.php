<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Vec2;

/**
 * How rows curve towards a line in which they meet those of another face: as far from it as it is wide they begin to, and cross it square.
 * The part's own frame, model millimetres. docs/formulas.md#swept
 */
final readonly class Sweep
{
    /** An edge of a unit is drawn in so many pieces where it curves. */
    private const PIECES = 4;

    /**
     * @param  Vec2  $low  the lower end of the line
     * @param  Vec2  $high  its upper end; towards that the curve becomes none
     * @param  float  $lean  how far along the line rows rise towards it, for each millimetre square to it
     */
    public function __construct(public Vec2 $low, public Vec2 $high, public float $wide, public float $lean)
    {
    }

    public function moved(float $dx, float $dy): self
    {
        $by = new Vec2($dx, $dy);

        return new self($this->low->plus($by), $this->high->plus($by), $this->wide, $this->lean);
    }

    /**
     * @param  non-empty-list<Vec2>  $unit  as it would be laid straight
     * @return non-empty-list<Vec2>
     */
    public function unit(array $unit): array
    {
        $isNear = array_filter($unit, fn (Vec2 $p): bool => $this->by($p) > 0.0) !== [];
        $curved = [];
        foreach ($isNear ? $unit : [] as $i => $from) {
            $way = $unit[($i + 1) % count($unit)]->minus($from);
            for ($k = 0; $k < self::PIECES; $k++) {
                $curved[] = $this->place($from->plus($way->times($k / self::PIECES)));
            }
        }

        return $curved === [] ? $unit : $curved;
    }

    /** Where a place of rows laid straight comes to lie. */
    public function place(Vec2 $at): Vec2
    {
        $up = $this->high->minus($this->low);

        return $at->minus($up->times($this->by($at) / $up->length()));
    }

    /** How far down the line a place moves. */
    private function by(Vec2 $at): float
    {
        $length = $this->high->distanceTo($this->low);
        $up = $this->high->minus($this->low)->times(1.0 / $length);
        $off = $at->minus($this->low);
        $far = abs($up->cross($off));
        if ($far >= $this->wide) {
            return 0.0;
        }
        $fades = max(0.0, min(1.0, ($length - $up->dot($off)) / $this->wide));

        return $fades * $this->lean * $this->wide / 2.0 * (1.0 - $far / $this->wide) ** 2;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'line' => [$this->low->toArray(), $this->high->toArray()], 'wide' => round($this->wide, 4), 'lean' => round($this->lean, 6),
        ];
    }
}
