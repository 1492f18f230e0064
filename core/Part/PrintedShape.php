<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Ring;
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
        ] + ($this->pattern === null ? [] : ['covering' => $this->pattern->rule() + $this->pattern->colours()]) + ($accents === [] ? [] : ['accents' => $accents]) + ($this->of === '' ? [] : ['of' => $this->of]);
    }
}
