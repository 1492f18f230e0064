<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Pattern\Pattern;

/** One opening as its paper turns in. The part's own frame, model millimetres. */
final readonly class TurnedOpening
{
    use CopiesWith;

    /**
     * @param  Ring  $ring  the finished opening: lower left, lower right, then the head from right to left
     * @param  float  $flap  how deep the paper turns in
     * @param  float  $drop  how much lower the jambs' flaps end at their free edges than at the jambs
     * @param  array<'foot'|'head'|'left'|'right', TurnedEdge>  $finishes  edges that are a thing's own
     * @param  ?Pattern  $lining  of its sides, where they are of something else than the face
     * @param  bool  $isRound  it has no foot and no jambs: all of it is turned in as a head is
     */
    public function __construct(
        public Ring $ring,
        public float $flap,
        public float $drop,
        public bool $reachesFoot,
        public array $finishes = [],
        public ?Pattern $lining = null,
        public bool $isRound = false,
    ) {
    }

    public function moved(float $dx, float $dy): self
    {
        return $this->with(ring: $this->ring->moved($dx, $dy));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'ring' => array_map(static fn (Vec2 $p): array => $p->toArray(), $this->ring->points), 'flap' => round($this->flap, 4),
            'drop' => round($this->drop, 4), 'foot' => $this->reachesFoot,
        ] + ($this->finishes === [] ? [] : [
            'finishes' => array_map(static fn (TurnedEdge $e): array => $e->toArray(), $this->finishes),
        ]) + ($this->isRound ? ['round' => true] : []) + ($this->lining === null ? [] : ['lining' => $this->lining->rule() + $this->lining->colours()]);
    }
}
