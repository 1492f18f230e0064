<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\OpeningShape;
use Chartula\Core\Geometry\ArcChain;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** An opening that things stand round, one after the other, each over what the one before it took. The wall's frame, model millimetres. */
final readonly class DressedOpening
{
    /** What is looked for by halves is found as nearly as anything is counted after so many. */
    private const HALVINGS = 60;

    /**
     * @param  OpeningForm  $opening  of a wall that recedes, as it is
     * @param  float  $over  how far what is over its head already reaches up from it
     * @param  float  $beside  how far that reaches beyond its jambs
     * @param  list<OpeningForm>  $members  those that it is made of, where it is several
     */
    public function __construct(
        public OpeningForm $opening,
        public Masonry $masonry,
        public float $over = 0.0,
        public float $beside = 0.0,
        public array $members = [],
    ) {
    }

    /**
     * What a claim finishes of which openings of the wall. Of several what is theirs of a joint edge, with the joints that come to lie
     * there.
     *
     * @return array<string, array<'foot'|'head'|'left'|'right', list<float>>>
     */
    public function turned(Claim $claim): array
    {
        if ($claim->finishes === []) {
            return [];
        }
        if ($this->members === []) {
            return [$this->opening->id => $claim->finishes];
        }
        $turned = [];
        foreach ($this->members as $member) {
            $own = $member->true ?? $member;
            foreach ($claim->finishes as $edge => $joints) {
                $isIts = match ($edge) {
                    'foot' => abs($own->sill - $this->opening->sill) < Tolerance::FIGURE,
                    'head' => abs($own->top() - $this->opening->top()) < Tolerance::FIGURE && $own->shape->chains() === [],
                    'left' => abs($own->left - $this->opening->left) < Tolerance::FIGURE,
                    'right' => abs($own->right() - $this->opening->right()) < Tolerance::FIGURE,
                };
                if ($isIts) {
                    $turned[$member->id][$edge] = in_array($edge, ['foot', 'head'], true) ? $this->within($own, $edge, $joints) : $joints;
                }
            }
        }

        return $turned;
    }

    /**
     * @param  'foot'|'head'  $edge
     * @param  list<float>  $joints  along the whole, from 0 to 1
     * @return list<float> along one of its openings
     */
    private function within(OpeningForm $own, string $edge, array $joints): array
    {
        // Along a head they are told from the right.
        $before = $edge === 'foot' ? $own->left - $this->opening->left : $this->opening->right() - $own->right();
        $whole = $this->opening->shape->width;
        $shares = array_map(static fn (float $at): float => ($at * $whole - $before) / $own->shape->width, $joints);

        return array_values(array_filter(
            $shares,
            static fn (float $at): bool => $at > Tolerance::ROUNDING && $at < 1.0 - Tolerance::ROUNDING,
        ));
    }

    /** The same with something more over its head. */
    public function under(Claim $claim): self
    {
        $box = $claim->ring->bounds();
        if (! isset($claim->finishes['head']) && $box->y1 <= $this->opening->top()) {
            return $this;
        }

        return new self(
            $this->opening,
            $this->masonry,
            max($this->over, $box->y1 - $this->opening->top()),
            max($this->beside, $this->opening->left - $box->x0),
            $this->members,
        );
    }

    /** As if its head rose as a segment of a circle from what is over it: what a relieving arch goes over. */
    public function vaulted(float $rise): self
    {
        $shape = OpeningShape::of($this->opening->shape->width, $this->opening->shape->height + $this->over + $rise, $rise);
        $whole = new OpeningForm($this->opening->id, $this->opening->opening, 0, $this->opening->left, $this->opening->sill, $shape, 0.0);

        return new self($whole, $this->masonry, 0.0, $this->beside, $this->members);
    }

    public function isFlat(): bool
    {
        return $this->opening->shape->chains() === [];
    }

    /** @return list<ArcChain> the curves of its head from right to left; none where that is level */
    public function curves(): array
    {
        $by = new Vec2($this->opening->left, $this->opening->sill);

        return array_map(static fn (ArcChain $curve): ArcChain => $curve->moved($by), $this->opening->shape->chains());
    }

    /** How far outside the curve of its head lies what is over that already: in a point it reaches up farther than that. */
    public function outside(): float
    {
        $shape = $this->opening->shape;
        if (count($shape->chains()) < 2) {
            return $this->over;
        }
        [$least, $most, $crown] = [0.0, $this->over, $shape->width / 2.0];
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $by = ($least + $most) / 2.0;
            [$least, $most] = $shape->headAt($crown, $by) - $shape->height < $this->over ? [$by, $most] : [$least, $by];
        }

        return ($least + $most) / 2.0;
    }
}
