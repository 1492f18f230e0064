<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\BrickBond;
use Chartula\Core\Building\Building;
use Chartula\Core\Form\Claims\Masonry;
use Chartula\Core\Part\BrickArt;

/** Bricks in a bond, by the building's gauge and in its colours. docs/formulas.md#bonds */
final readonly class Brickwork implements Covering
{
    private function __construct(
        private BrickBond $bond,
        private float $brick,
        private float $course,
        private float $joint,
        private string $brickColour,
        private string $mortarColour,
    ) {
    }

    public static function of(BrickBond $bond, Building $building): self
    {
        [$gauge, $ratio, $skin] = [$building->gauge, $building->scale->ratio, $building->methods->skin];

        $joint = max($gauge->joint_mm / $ratio, $skin->widensJoints ? Masonry::LEAST_LINE_MM : 0.0);

        return new self($bond, $gauge->brick_mm / $ratio, $gauge->course_mm / $ratio, $joint, $skin->brick, $skin->mortar);
    }

    public function artwork(CoveredFace $face): BrickArt
    {
        return new BrickArt(
            $this->bond, $this->brick, $this->course, $this->joint, $face->datum, $face->isSecond, $face->ends, $face->jambs,
            $this->brickColour, $this->mortarColour, $face->receding, $face->reveals, $face->beyond, $face->dressings,
        );
    }
}
