<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Pattern\Pattern;

/**
 * Something that is printed over what else a paper shows: what it covers, and the units that it is of. The part's own frame, model
 * millimetres.
 */
final readonly class PrintedShape
{
    use CopiesWith;

    /**
     * @param  list<Ring>  $units  none where it is of one piece
     * @param  array<int, string>  $accents  units in another colour, by their place
     * @param  string  $of  what it is of: which of its wall's claims
     * @param  ?Pattern  $pattern  by which its units are laid, as the wall's are; it has no others then
     * @param  list<'foot'|'left'|'right'|'top'>  $runsOn  where it ends with the face, beyond which it is printed as the face is
     */
    public function __construct(
        public Ring $ring,
        public array $units,
        public Tone $tone,
        public array $accents = [],
        public string $of = '',
        public ?Pattern $pattern = null,
        public array $runsOn = [],
    ) {
    }

    public static function of(Claim $claim): self
    {
        return new self($claim->ring, $claim->units, $claim->tone, $claim->accents, $claim->key());
    }

    public function moved(float $dx, float $dy): self
    {
        $units = array_map(static fn (Ring $r): Ring => $r->moved($dx, $dy), $this->units);

        return $this->with(ring: $this->ring->moved($dx, $dy), units: $units);
    }

    /** With what of it lies at an end of the face drawn on to the sides of a box round that. */
    public function runningOn(Box2 $to): self
    {
        $box = $this->ring->bounds();
        $at = static fn (float $is, float $side): bool => abs($is - $side) < Tolerance::MEET;
        $on = fn (Vec2 $p): Vec2 => new Vec2(
            match (true) {
                in_array('left', $this->runsOn, true) && $at($p->x, $box->x0) => min($p->x, $to->x0),
                in_array('right', $this->runsOn, true) && $at($p->x, $box->x1) => max($p->x, $to->x1),
                default => $p->x,
            },
            match (true) {
                in_array('foot', $this->runsOn, true) && $at($p->y, $box->y0) => min($p->y, $to->y0),
                in_array('top', $this->runsOn, true) && $at($p->y, $box->y1) => max($p->y, $to->y1),
                default => $p->y,
            },
        );
        $ring = static fn (Ring $r): Ring => new Ring(array_map($on, $r->points));

        return $this->runsOn === [] ? $this : $this->with(ring: $ring($this->ring), units: array_map($ring, $this->units));
    }

    public function receding(?Homography $map): self
    {
        return $map === null
            ? $this
            : new self($map->ring($this->ring), array_map($map->ring(...), $this->units), $this->tone, $this->accents, $this->of);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $accents = [];
        foreach ($this->accents as $at => $colour) {
            $accents[] = [$at, $colour];
        }

        return [
            'ring' => $this->ring->toArray(), 'units' => array_map(static fn (Ring $r): array => $r->toArray(), $this->units),
            'colours' => [$this->tone->unit, $this->tone->joint],
        ] + ($this->pattern === null ? [] : ['covering' => $this->pattern->rule() + $this->pattern->colours()])
            + ($accents === [] ? [] : ['accents' => $accents]) + ($this->of === '' ? [] : ['of' => $this->of]);
    }
}
