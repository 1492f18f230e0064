<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\DeepOpening;
use Chartula\Core\Building\Filling;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\OnePoint;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Part\PartName;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Shell\BaseParts;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;
use Chartula\Core\Stock\Layer;

/** An opening whose inside is built, found in its wall, and every reason why it cannot be. */
final readonly class DeepOpeningPlace
{
    private function __construct(
        public DeepOpening $deepOpening,
        public WallSpan $span,
        public OpeningForm $opening,
        public Layer $layer,
        public DeepOpeningShape $shape,
    ) {
    }

    /**
     * Those that can be made.
     *
     * @return array<int, self> by their place in the document
     */
    public static function all(Building $building, Walls $walls, Problems $problems = new Problems): array
    {
        $places = [];
        foreach ($building->perspective->deepOpenings ?? [] as $i => $deepOpening) {
            $place = self::of($building, $walls, $deepOpening, $problems);
            if ($place !== null) {
                $places[$i] = $place;
            }
        }

        return $places;
    }

    /** Whether a part is one of its own. */
    public function holds(PartName $part): bool
    {
        return $part->opening === $this->opening->id
            && $part->block === $this->span->block->id
            && $part->edge === $this->span->name()
            && in_array($part->layer, ['mouth', 'paper'], true);
    }

    /** Null, and a fault, where it cannot be made. */
    private static function of(Building $building, Walls $walls, DeepOpening $deepOpening, Problems $problems): ?self
    {
        $found = self::opening($walls, $deepOpening->opening);
        if ($found === null) {
            $problems->add("$deepOpening->path.opening", 'mouth.no-opening', ['given' => mb_substr($deepOpening->opening, 0, 60)]);

            return null;
        }
        [$span, $opening] = $found;
        $eye = $building->plot?->eye === null ? null : $building->plot->eyeAt(0.0);
        $distance = $eye === null ? 0.0 : $span->form->frame->height(new Vec3($eye->x, $eye->y, $span->form->frame->origin->z));
        $fault = match (true) {
            $opening->opening->style->filling() !== Filling::Nothing => ['opening', 'mouth.shut'],
            $opening->true !== null => ['opening', 'mouth.recedes'],
            $eye === null => ['opening', 'perspective.no-eye'],
            $distance <= 0.0 => ['opening', 'mouth.faces-away'],
            default => null,
        };
        if ($fault !== null) {
            $problems->add("$deepOpening->path.$fault[0]", $fault[1], ['given' => mb_substr($deepOpening->opening, 0, 60)]);

            return null;
        }

        return self::within($building, $walls, $span, $opening, $deepOpening, $distance, $problems);
    }

    private static function within(
        Building $building,
        Walls $walls,
        WallSpan $span,
        OpeningForm $opening,
        DeepOpening $deepOpening,
        float $distance,
        Problems $problems,
    ): ?self {
        $layer = $span->stack->layers[$span->innermost()];
        $start = $span->stack->thickness_mm;
        $axis = $deepOpening->axis->mm ?? $opening->shape->height / 2.0;
        $floor = BaseParts::topOf($building);
        $foot = DeepOpeningShape::footOf($opening, $floor, $layer->thickness_mm);
        if ($deepOpening->depth->mm < $start + 2.0 * $layer->thickness_mm) {
            $problems->add(
                "$deepOpening->path.depth",
                'relief.shallow',
                ['given' => round($deepOpening->depth->mm, 2), 'least' => round($start + 2.0 * $layer->thickness_mm, 2)],
            );

            return null;
        }
        if ($opening->sill + $axis < $foot || $axis > $opening->shape->height) {
            $problems->add(
                "$deepOpening->path.axis",
                'mouth.axis',
                ['given' => round($axis, 2), 'least' => round($foot - $opening->sill, 2), 'most' => round($opening->shape->height, 2)],
            );

            return null;
        }
        try {
            $view = OnePoint::of(
                new Vec2(($opening->left + $opening->right()) / 2.0, -$distance),
                $start,
                $deepOpening->depth->mm - $start,
                $deepOpening->apparent->mm - $start,
                $opening->sill + $axis,
            );
        } catch (InvalidInput) {
            $problems->add(
                "$deepOpening->path.apparent",
                'perspective.no-deeper',
                ['apparent' => round($deepOpening->apparent->mm, 2), 'depth' => round($deepOpening->depth->mm, 2)],
            );

            return null;
        }
        $shape = new DeepOpeningShape($span->form, $opening, $view, $start, $deepOpening->depth->mm, $layer->thickness_mm, $floor);
        if (! $shape->isWithin($walls->form->solids[$span->form->block])) {
            $problems->add(
                "$deepOpening->path.depth",
                'mouth.no-room',
                ['given' => round($deepOpening->depth->mm, 2), 'block' => $span->block->name],
            );

            return null;
        }

        return new self($deepOpening, $span, $opening, $layer, $shape);
    }

    /** @return ?array{WallSpan, OpeningForm} */
    private static function opening(Walls $walls, string $key): ?array
    {
        foreach ($walls->spans() as $span) {
            foreach ($span->isBuilt() ? $span->form->openings : [] as $opening) {
                if ($span->block->id.'.'.$span->name().'.'.$opening->id === $key) {
                    return [$span, $opening];
                }
            }
        }

        return null;
    }
}
