<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

/** One card of a wall: between which depths behind the wall's outside, from where to where, and what others' card takes of it. */
final readonly class CardSlice
{
    /**
     * @param  float  $outer  depth of its outer face
     * @param  float  $inner  depth of its inner face
     * @param  array{float, float}  $ends  where its blank begins and ends
     * @param  array{float, float}  $behind  where its inner face begins and ends
     * @param  list<CornerCard>  $corners
     * @param  bool  $isBevelled  whether its inner face may be cut further at slopes than its outer face is; else it is cut square, so
     *     that only what both faces have is kept
     */
    public function __construct(
        public float $outer,
        public float $inner,
        public array $ends,
        public array $behind,
        public array $corners = [],
        public bool $isBevelled = false,
    ) {
    }

    /** The outside of a wall of a length. */
    public static function face(float $length): self
    {
        return new self(0.0, 0.0, [0.0, $length], [0.0, $length]);
    }

    /** Of all that it is made of, for what is recalled. */
    public function key(): string
    {
        $figures = [$this->outer, $this->inner, ...$this->ends, ...$this->behind];
        foreach ($this->corners as $corner) {
            array_push($figures, $corner->wall->edge, $corner->from, $corner->to, ...$corner->high, ...[$corner->behind]);
        }

        return pack('d*', ...$figures).($this->isBevelled ? 'b' : 's');
    }

    /** How high a corner's card fills it at a place. */
    public function filled(CornerCard $corner, float $x): float
    {
        return $corner->high[0] + $corner->rise() * ($x - $corner->from) + ($this->isBevelled ? 0.0 : max(0.0, $corner->behind));
    }
}
