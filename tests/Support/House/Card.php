<?php

declare(strict_types=1);

namespace Tests\Support\House;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;

/**
 * One placed board of a serialised kit, as a solid: from its outline to that of its inside, as thick as the card.
 *
 * @phpstan-type Line list<array{float, float}>
 * @phpstan-type Score array{line: array{array{float, float}, array{float, float}}, fold: string, degrees: float|int}
 * @phpstan-type Placed array{origin: array{float, float, float}, x: array{float, float, float}, y: array{float, float, float}}
 * @phpstan-type Part array{id: string, group: string, thickness: float|int, outline: Line, inside_outline?: ?Line, holes: list<Line>,
 *     scores: list<Score>, form?: array{base?: array{float, float}}, placements: list<Placed>}
 */
final readonly class Card
{
    /** @param  list<Ring>  $holes */
    private function __construct(
        public string $part,
        private Ring $outline,
        private ?Ring $inside,
        private array $holes,
        private float $thickness,
        private Vec3 $origin,
        private Vec3 $x,
        private Vec3 $y,
        private Vec3 $out,
        private ?Fold $fold,
    ) {
    }

    /**
     * @param  array<string, mixed>  $kit  the decoded kit document
     * @param  list<string>  $groups
     * @return list<self>
     */
    public static function all(array $kit, array $groups): array
    {
        $cards = [];
        /** @var list<Part> $parts */
        $parts = $kit['parts'];
        foreach ($parts as $part) {
            foreach (in_array($part['group'], $groups, true) ? $part['placements'] : [] as $placed) {
                [$x, $y] = [self::vector($placed['x']), self::vector($placed['y'])];
                $cards[] = new self(
                    $part['id'],
                    self::ring($part['outline']),
                    isset($part['inside_outline']) ? self::ring($part['inside_outline']) : null,
                    array_map(self::ring(...), $part['holes']),
                    (float) $part['thickness'],
                    self::vector($placed['origin']),
                    $x,
                    $y,
                    $x->cross($y),
                    Fold::of($part),
                );
            }
        }

        return $cards;
    }

    /** Whether there is card of it at a place, to within so much. */
    public function holds(Vec3 $at, float $within): bool
    {
        $off = $at->minus($this->origin);
        $depth = -$off->dot($this->out);
        if ($depth < -$within || $depth > $this->thickness + $within) {
            return false;
        }
        $place = new Vec2($off->dot($this->x), $off->dot($this->y));
        $outline = $this->at($depth);
        if (! $outline->contains($place) && $outline->distanceTo($place) > $within) {
            return false;
        }
        foreach ($this->holes as $hole) {
            if ($hole->contains($place) && $hole->distanceTo($place) > $within) {
                return false;
            }
        }

        return true;
    }

    /**
     * Places all over its two faces a step apart, and along their edges and scores half as far.
     *
     * @return list<Vec3>
     */
    public function points(float $step): array
    {
        $points = [];
        foreach ([0.0, $this->thickness] as $depth) {
            $outline = $this->at($depth);
            $rings = [
                $outline,
                ...$this->holes,
                ...array_map(static fn (array $line): Ring => new Ring($line), $this->fold?->lines() ?? []),
            ];
            $flat = array_merge(...array_map(static fn (Ring $r): array => self::along($r, $step / 2.0), $rings));
            $box = $outline->bounds();
            for ($x = $box->x0 + $step / 2.0; $x < $box->x1; $x += $step) {
                for ($y = $box->y0 + $step / 2.0; $y < $box->y1; $y += $step) {
                    $at = new Vec2($x, $y);
                    $isHole = array_filter($this->holes, static fn (Ring $h): bool => $h->contains($at)) !== [];
                    array_push($flat, ...($outline->contains($at) && ! $isHole ? [$at] : []));
                }
            }
            foreach ($flat as $p) {
                [$u, $v, $out] = $this->fold?->folded($p->x, $p->y, -$depth) ?? [$p->x, $p->y, -$depth];
                $points[] = $this->origin->plus($this->x->times($u))->plus($this->y->times($v))->plus($this->out->times($out));
            }
        }

        return $points;
    }

    /** @return list<Vec2> */
    private static function along(Ring $ring, float $step): array
    {
        $points = [];
        foreach ($ring->points as $i => $p) {
            $way = $ring->point($i + 1)->minus($p);
            $count = max(1, (int) ceil($way->length() / $step));
            for ($k = 0; $k < $count; $k++) {
                $points[] = $p->plus($way->times($k / $count));
            }
        }

        return $points;
    }

    /** The outline at a depth: where edges are bevelled, between those of both faces. */
    private function at(float $depth): Ring
    {
        $part = max(0.0, min(1.0, $depth / $this->thickness));

        return $this->inside?->count() !== $this->outline->count() ? $this->outline : new Ring(array_map(
            static fn (Vec2 $p, Vec2 $q): Vec2 => $p->plus($q->minus($p)->times($part)),
            $this->outline->points,
            $this->inside->points,
        ));
    }

    /** @param  array{float, float, float}  $v */
    private static function vector(array $v): Vec3
    {
        return new Vec3((float) $v[0], (float) $v[1], (float) $v[2]);
    }

    /** @param  list<array{float, float}>  $points */
    private static function ring(array $points): Ring
    {
        return Ring::ofDistinct(array_map(static fn (array $p): Vec2 => new Vec2((float) $p[0], (float) $p[1]), $points));
    }
}
