<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\Solid;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\OnePoint;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;

/**
 * The inside of an opening as surfaces that run to one point, and what is drawn on them. x runs along the wall, y from its outside to the
 * back, z up from its foot; model millimetres. docs/formulas.md#mouth
 */
final readonly class DeepOpeningShape
{
    /** The inside is so much larger than the opening on each side, so that its edges hide behind the wall. */
    private const LIP_MM = 0.5;

    /** The end reaches so far past what stands before it. */
    private const MARGIN_MM = 0.5;

    /** Its surfaces show so many units of apparent depth. */
    private const UNITS = 6;

    private float $t;

    private float $left;

    private float $right;

    private float $foot;

    private float $head;

    /** Sines of how far the sides, the floor and the top lean from square to the wall. */
    private float $side;

    private float $rise;

    private float $fall;

    /**
     * @param  OnePoint  $view  to the wall's inside, in those axes
     * @param  float  $start  how thick the wall is
     * @param  float  $end  how deep it truly is
     * @param  float  $thickness  of its card
     * @param  float  $floor  how high the building's own floor lies
     */
    public function __construct(
        private WallForm $wall,
        private OpeningForm $opening,
        public OnePoint $view,
        public float $start,
        public float $end,
        float $thickness,
        private float $floor,
    ) {
        $this->t = $thickness;
        $this->left = $opening->left - self::LIP_MM;
        $this->right = $opening->right() + self::LIP_MM;
        $this->foot = self::footOf($opening, $floor, $this->t);
        $this->head = $opening->top() + self::LIP_MM;
        $lean = static fn (float $off): float => sin(atan($off / $view->vanishing()));
        $this->side = $lean(($this->right - $this->left) / 2.0);
        $this->rise = $lean($view->axis - $this->foot);
        $this->fall = $lean($this->head - $view->axis);
    }

    /** Gives the height where its floor begins: behind the sill, or on top of the building's own. */
    public static function footOf(OpeningForm $opening, float $floor, float $thickness): float
    {
        return max($opening->sill - self::LIP_MM, $floor + $thickness);
    }

    /** Says whether its end still stands inside its block. */
    public function isWithin(Solid $block): bool
    {
        foreach ([$this->left, $this->right] as $x) {
            $at = $this->place($this->across($x, $this->end), $this->end + $this->t, 0.0);
            if (! $block->ring->contains(new Vec2($at->x, $at->y))) {
                return false;
            }
        }

        return true;
    }

    /**
     * Each from its front edge round, as it is seen from within, counter-clockwise.
     *
     * @return array{floor: non-empty-list<Vec3>, right: non-empty-list<Vec3>, top: non-empty-list<Vec3>, left: non-empty-list<Vec3>,
     *     end: non-empty-list<Vec3>}
     */
    public function faces(): array
    {
        $wide = $this->t / sqrt(1.0 - $this->side ** 2);
        $start = $this->start;
        // Square ends lean past what is seen of them: so much each stops short.
        [$side, $floor, $top] = array_map(
            fn (float $lean): float => $this->end - $this->t * $lean,
            [$this->side, $this->rise, $this->fall],
        );

        return [
            'floor' => [
                $this->at($this->left, $this->foot, $start, -$wide),
                $this->at($this->right, $this->foot, $start, $wide),
                $this->at($this->right, $this->foot, $floor, $wide),
                $this->at($this->left, $this->foot, $floor, -$wide),
            ],
            'right' => [
                $this->at($this->right, $this->foot, $start),
                $this->at($this->right, $this->head, $start),
                $this->at($this->right, $this->head, $side),
                $this->at($this->right, $this->foot, $side),
            ],
            'top' => [
                $this->at($this->right, $this->head, $start, $wide),
                $this->at($this->left, $this->head, $start, -$wide),
                $this->at($this->left, $this->head, $top, -$wide),
                $this->at($this->right, $this->head, $top, $wide),
            ],
            'left' => [
                $this->at($this->left, $this->head, $start),
                $this->at($this->left, $this->foot, $start),
                $this->at($this->left, $this->foot, $side),
                $this->at($this->left, $this->head, $side),
            ],
            'end' => $this->endFace($wide),
        ];
    }

    /**
     * A side as an upright plane, seen from within: where its left end stands, which way it runs as it comes to stand, and what takes it
     * there from what it stands for; and how long that is.
     *
     * @param  'left'|'right'  $name
     * @return array{Vec3, Vec3, Homography, float}
     */
    public function side(string $name): array
    {
        $deep = $this->view->apparent;
        [$corner, $along] = $name === 'left'
            ? [new Vec2($this->left, $this->start), new Vec2(0.0, 1.0)]
            : [new Vec2($this->right, $this->start + $deep), new Vec2(0.0, -1.0)];
        [$from, $to] = [$this->view->plan($corner), $this->view->plan($corner->plus($along->times($deep)))];
        $origin = $this->place($from->x, $from->y, 0.0);
        $way = $this->place($to->x, $to->y, 0.0)->minus($origin);

        return [$origin, $way->times(1.0 / $way->length()), $this->view->ofWall($corner, $along, 0.0), $deep];
    }

    /** Gives where a place at a height comes to lie at a true depth, moved aside by so much. */
    private function at(float $x, float $z, float $y, float $aside = 0.0): Vec3
    {
        return $this->place($this->across($x, $y) + $aside, $y, $this->up($z, $y));
    }

    /** @return non-empty-list<Vec3> */
    private function endFace(float $wide): array
    {
        $over = self::MARGIN_MM + $wide;
        $down = static fn (float $lean, float $t): float => self::MARGIN_MM + $t / sqrt(1.0 - $lean ** 2);
        [$x0, $x1] = [$this->across($this->left, $this->end) - $over, $this->across($this->right, $this->end) + $over];
        [$z0, $z1] = [
            $this->up($this->foot, $this->end) - $down($this->rise, $this->t),
            $this->up($this->head, $this->end) + $down($this->fall, $this->t),
        ];
        // It stands on the building's own floor at the lowest.
        $z0 = max($z0, $this->floor);

        return [
            $this->place($x0, $this->end, $z0),
            $this->place($x1, $this->end, $z0),
            $this->place($x1, $this->end, $z1),
            $this->place($x0, $this->end, $z1),
        ];
    }

    /** Moves a line along x to where it comes to lie at a true depth. */
    private function across(float $x, float $y): float
    {
        return $this->view->eye->x + ($x - $this->view->eye->x) * $this->view->scaleAtTrue($y - $this->start);
    }

    private function up(float $z, float $y): float
    {
        return $this->view->axis + ($z - $this->view->axis) * $this->view->scaleAtTrue($y - $this->start);
    }

    private function place(float $x, float $y, float $z): Vec3
    {
        return $this->wall->frame->point($x, $z, -$y);
    }

    /**
     * Units of equal apparent depth.
     *
     * @param  'floor'|'left'|'right'|'top'  $name
     * @return list<array{Vec3, Vec3, string}>
     */
    public function drawn(string $name): array
    {
        $lines = [];
        $isSide = $name === 'left' || $name === 'right';
        $x = $name === 'left' ? $this->left : $this->right;
        $z = $name === 'top' ? $this->head : $this->foot;
        for ($i = 1; $i < self::UNITS; $i++) {
            $apparent = $this->view->apparent * $i / self::UNITS;
            $y = $this->start + $this->view->trueDepth($apparent);
            $lines[] = $isSide
                ? [$this->at($x, $this->foot, $y), $this->at($x, $this->head, $y), '']
                : [
                    $this->at($this->left, $z, $y),
                    $this->at($this->right, $z, $y),
                    $name === 'floor' ? sprintf('%.0f', $this->start + $apparent) : '',
                ];
        }

        return $lines;
    }
}
