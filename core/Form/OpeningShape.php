<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\HeadShape;
use Chartula\Core\Geometry\ArcChain;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/**
 * The shape of an opening. Frame: origin at the left jamb on the sill, x right, y up, model millimetres.
 * Growing moves every side outwards by the same amount and keeps arcs' centres. docs/formulas.md#heads
 * One that recedes has upright jambs, but its sill and its head aim elsewhere; y is then counted from the lower end of its sill.
 */
final class OpeningShape
{
    /** @var array<string, Ring> by how much it is grown: hundreds of openings share one shape */
    private array $rings = [];

    /**
     * @param  ?self  $true  as it is, where it recedes
     * @param  ?Homography  $receding  from that to this one
     */
    public function __construct(
        public readonly float $width,
        public readonly float $height,
        private readonly Head $head,
        public readonly ?self $true = null,
        public readonly ?Homography $receding = null,
    ) {
    }

    /** @return array{float, float, Head, ?self, ?Homography} what it is: its rings are drawn again where they are asked for */
    public function __serialize(): array
    {
        return [$this->width, $this->height, $this->head, $this->true, $this->receding];
    }

    /** @param  array{float, float, Head, ?self, ?Homography}  $shape */
    public function __unserialize(array $shape): void
    {
        [$this->width, $this->height, $this->head, $this->true, $this->receding] = $shape;
    }

    /** @param  ?float  $rise  of its head; null for a level one */
    public static function of(float $width, float $height, ?float $rise, HeadShape $shape = HeadShape::Segmental): self
    {
        if ($shape === HeadShape::Circle) {
            $centre = new Vec2($width / 2.0, $height / 2.0);

            return new self($width, $height, new CircleHead($centre, min($width, $height) / 2.0));
        }

        return new self($width, $height, $rise === null ? new FlatHead($height) : new CurvedHead(match ($shape) {
            HeadShape::Pointed => ArcChain::pointed($width, $height - $rise, $rise),
            HeadShape::ThreeCentred => [ArcChain::threeCentred($width, $height - $rise, $rise)],
            HeadShape::Elliptical => [ArcChain::ellipse($width, $height - $rise, $rise)],
            default => [ArcChain::segment($width, $height - $rise, $rise)],
        }));
    }

    /** @param  Homography  $map  from its own frame to that of what comes of it */
    public function receding(Homography $map): self
    {
        $box = $map->ring($this->ring())->bounds();

        return new self($box->x1, $box->y1, new FlatHead($box->y1), $this, $map);
    }

    /** Moves what is drawn in the opening to where it comes to lie. */
    public function placed(Ring $ring): Ring
    {
        return $this->receding?->ring($ring) ?? $ring;
    }

    /** The height at which the jambs end when the shape is grown by $by; at the lower one where it recedes. */
    public function springing(float $by = 0.0): float
    {
        if ($this->receding !== null) {
            $head = $this->head($this->width + $by, -$by, $by);

            return min($head[0]->y, $head[count($head) - 1]->y);
        }

        return $this->head->heightAt(-$by, $by) ?? $this->height;
    }

    /** The underside of the head over $x when the shape is grown by $by. */
    public function headAt(float $x, float $by = 0.0): float
    {
        if ($this->receding === null) {
            return $this->head->heightAt($x, $by) ?? $this->springing($by);
        }
        $head = $this->head($this->width + $by, -$by, $by);
        for ($i = 1, $n = count($head); $i < $n; $i++) {
            if ($x >= $head[$i]->x) {
                return $head[$i]->y + ($head[$i - 1]->y - $head[$i]->y) * ($x - $head[$i]->x) / ($head[$i - 1]->x - $head[$i]->x);
            }
        }

        return $head[count($head) - 1]->y;
    }

    /**
     * The head from over $fromX to over $toX, both ends included; all of it where it recedes.
     *
     * @return non-empty-list<Vec2>
     */
    public function head(float $fromX, float $toX, float $by = 0.0): array
    {
        if ($this->receding !== null) {
            $head = array_slice($this->ring($by)->points, 2);
            assert($head !== []);

            return $fromX > $toX ? $head : array_reverse($head);
        }

        return $this->head->points($fromX, $toX, $by);
    }

    /** The whole outline, counter-clockwise from the lower left; the foot is moved by $footBy. */
    public function ring(float $by = 0.0, ?float $footBy = null): Ring
    {
        return $this->rings["$by ".($footBy ?? $by)] ??= $this->drawn($by, $footBy);
    }

    private function drawn(float $by, ?float $footBy): Ring
    {
        if ($this->receding !== null && $this->true !== null) {
            $ring = $this->receding->ring($this->true->ring());

            return Offset::lines($ring, [$footBy ?? $by, ...array_fill(0, $ring->count() - 1, $by)]);
        }
        if ($this->head instanceof CircleHead) {
            $points = $this->head->round($by);

            return new Ring([$points[count($points) - 1], ...array_slice($points, 0, -1)]);
        }
        $foot = -($footBy ?? $by);

        return new Ring([new Vec2(-$by, $foot), new Vec2($this->width + $by, $foot), ...$this->head($this->width + $by, -$by, $by)]);
    }

    /** Whether it has no jambs and no foot. */
    public function isRound(): bool
    {
        return ($this->true->head ?? $this->head) instanceof CircleHead;
    }

    /** @return list<ArcChain> the curves of its head from the right to the left; none where that is level */
    public function chains(): array
    {
        return $this->head->chains();
    }
}
