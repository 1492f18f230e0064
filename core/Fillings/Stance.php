<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\HeadShape;
use Chartula\Core\Building\Leaf;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\OpeningShape;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Measure\RealLength;

/** How what fills an opening stands: within it, turned out of it about one of its sides, or before its wall. docs/formulas.md#leaves */
final readonly class Stance
{
    /** What slides is larger than its opening by so much at both sides and at the top, real millimetres. */
    private const LAP_MM = 76.2;

    /** And so far off the ground. */
    private const OFF_MM = 25.4;

    private function __construct(private Building $building, private WallForm $wall, private ?Leaf $leaf, private float $paper)
    {
    }

    public static function of(Building $building, WallForm $wall, ?Leaf $leaf): self
    {
        return new self($building, $wall, $leaf, $wall->isPapered ? $building->methods->paper->thickness_mm : 0.0);
    }

    public function isFitted(): bool
    {
        return $this->leaf === null || ($this->leaf->isShut() && $this->leaf->hinges === null);
    }

    public function slides(): bool
    {
        return $this->leaf?->slides !== null;
    }

    /**
     * What is filled: of what slides the openings that its leaves would just close, where those are now.
     *
     * @param  non-empty-list<OpeningForm>  $forms
     * @return non-empty-list<OpeningForm>
     */
    public static function filled(?Leaf $leaf, array $forms, float $ratio): array
    {
        if ($leaf === null || $leaf->slides === null) {
            return $forms;
        }
        $moved = [];
        foreach ($forms as $form) {
            $isApart = $leaf->slides === 'apart';
            [$lap, $off] = [self::LAP_MM / $ratio, self::OFF_MM / $ratio];
            $wide = $form->shape->width + 2.0 * $lap;
            $width = $isApart ? $wide / 2.0 : $wide;
            $shape = OpeningShape::of($width, $form->shape->height + $lap - $off, null);
            $style = $form->opening->style->with(
                head: HeadShape::Flat,
                w: RealLength::ofMillimetres($shape->width * $ratio), h: RealLength::ofMillimetres($shape->height * $ratio),
            );
            foreach ($isApart ? [0.0, $width] : [0.0] as $n => $from) {
                $isLeft = $leaf->slides === 'left' || ($isApart && $n === 0);
                $left = $form->left - $lap + $from + ($isLeft ? -1.0 : 1.0) * $leaf->slid * $width;
                $own = $isApart ? $style->with(leaf: $leaf->half($isLeft ? 'left' : 'right')) : $style;
                $moved[] = new OpeningForm(
                    $form->id, $form->opening->with(style: $own), $form->copy, $left, $form->sill + $off, $shape, -INF,
                );
            }
        }

        return $moved;
    }

    /** @param  float  $thickness  of all sheets together */
    public function depth(float $inOpening, float $thickness): float
    {
        return $this->slides() ? -$this->paper - $thickness : $inOpening;
    }

    /** About what a leaf turns in an opening so wide: its pins, or the front edge of its side. */
    public static function swing(Building $building, Leaf $leaf, float $wide): Swing
    {
        $play = FillingParts::CLEARANCE_MM;

        return $leaf->hinges !== null
            ? Straps::swing($building, $leaf, $wide)
            : new Swing($leaf->hinge === 'left' ? $play : $wide - $play, $leaf->hinge, $leaf->angle);
    }

    /**
     * Of a sheet, in the opening's own frame.
     *
     * @param  float  $front  how deep the foremost sheet stands
     * @param  float  $depth  and this one
     */
    public function frame(OpeningForm $form, float $front, float $depth): Frame
    {
        $leaf = $this->leaf;
        if ($leaf === null || $leaf->angle <= 0.0) {
            return $this->wall->frame->moved($form->left, $form->sill, -$depth);
        }

        return self::swing($this->building, $leaf, $form->shape->width)->frame($this->wall->frame, $form, $front, $depth);
    }
}
