<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Sight;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\OnePoint;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Problem\Check;
use Chartula\Core\Trim\DeepOpeningPlace;

/**
 * What is built to look deeper than it is, in figures: where it all aims, how large things are, and from where the illusion breaks.
 * docs/formulas.md#perspective
 */
final readonly class PerspectiveReport
{
    /** Depths that are listed, from the front to the back. */
    private const DEPTHS = 6;

    private function __construct(
        private string $path,
        private string $name,
        private OnePoint $view,
        private float $foot,
        private bool $isMouth,
        private float $ratio,
        private float $aside,
        private float $above,
        /** @var list<LabelledPart> */
        private array $parts,
    ) {
    }

    /** @return list<self> */
    public static function all(Building $building, Kit $kit): array
    {
        $plot = $building->plot;
        if ($plot?->eye === null) {
            return [];
        }
        $ratio = $building->scale->ratio;
        $found = [];
        $receding = array_values(array_filter($building->blocks, static fn (Block $b): bool => $b->receding !== null));
        if ($receding !== [] && $receding[0]->receding !== null) {
            $view = $receding[0]->receding->view->over($ratio);
            $names = count($receding) === count($building->blocks)
                ? 'The building'
                : self::together(array_map(static fn (Block $b): string => $b->name, $receding));
            $found[] = new self(
                'perspective',
                $names,
                $view,
                min(array_map(static fn (Block $b): float => $b->base->mm, $receding)) / $ratio,
                false,
                $ratio,
                $plot->eye->travel,
                abs($plot->eye->height - $view->axis),
                [],
            );
        }
        foreach (DeepOpeningPlace::all($building, $kit->walls) as $i => $place) {
            $view = $place->shape->view;
            $frame = $place->span->form->frame;
            // How far off the mouth's own axis the eye ever stands, along the wall.
            $asides = array_map(
                static fn (float $off): float => abs($frame->project(SeenFaces::eye($plot, $off))->x - $view->eye->x),
                [-$plot->eye->travel, $plot->eye->travel],
            );
            $name = 'Inside '.$place->opening->id.' of '.$place->span->block->name.', '.$place->span->name();
            $found[] = new self(
                "perspective.mouths.$i",
                $name,
                $view,
                $place->opening->sill,
                true,
                $ratio,
                max($asides),
                abs($plot->eye->height - $frame->origin->z - $view->axis),
                array_values(
                    array_filter(
                        $kit->parts,
                        static fn (LabelledPart $p): bool => $place->holds($p->part->of),
                    ),
                ),
            );
        }

        return $found;
    }

    /** @return list<Check> */
    public static function checks(Building $building, Kit $kit): array
    {
        $checks = [];
        foreach (self::all($building, $kit) as $one) {
            if ($one->view->isStrong()) {
                $checks[] = new Check('perspective.strong', Check::WARN, $one->path, $one->strong());
            }
            $limit = $one->view->askewFrom();
            if ($one->aside > $limit) {
                $checks[] = new Check(
                    'perspective.travel',
                    Check::WARN,
                    $one->path,
                    sprintf(
                        '%s: lines that run back look askew once the eye stands more than %.0f mm off their axis, and it moves %.0f mm. Make the depth less strong, or keep people before it.',
                        $one->name,
                        $limit,
                        $one->aside,
                    ),
                    $one->aside - $limit,
                );
            }
            if ($one->above > $limit) {
                $checks[] = new Check(
                    'perspective.eye-high',
                    Check::NOTE,
                    $one->path,
                    sprintf(
                        '%s: the eye stands %.0f mm above or below the axis, and from more than %.0f the ground seems to rise or fall. It works for a low eye or a camera.',
                        $one->name,
                        $one->above,
                        $limit,
                    ),
                    $one->above - $limit,
                );
            }
        }

        return $checks;
    }

    /** @param  non-empty-list<string>  $names */
    private static function together(array $names): string
    {
        $last = array_pop($names);

        return $names === [] ? $last : implode(', ', $names).' and '.$last;
    }

    private function strong(): string
    {
        return sprintf(
            '%s: that is stronger than holds when the eye moves. Keep the apparent depth to %.0f times the true one, and the back to %.0f %% of its size.',
            $this->name,
            OnePoint::MOST_RATIO,
            100.0 * OnePoint::LEAST_SCALE,
        );
    }

    /**
     * @return array{
     *     path: string, name: string, vanishing_mm: float, back_scale: float, back_ratio: float, rise_mm: float,
     *     limit_mm: float, strong: bool,
     *     depths: list<array{apparent_mm: float, true_mm: float, scale: float}>,
     *     pieces: list<array{label: string, name: string, front_mm: float, back_mm: float, long_mm: float, other_mm: float}>,
     *     texts: list<string>,
     * }
     */
    public function toArray(): array
    {
        $view = $this->view;
        $depths = array_map(static function (int $i) use ($view): array {
            $apparent = $view->apparent * $i / self::DEPTHS;

            return [
                'apparent_mm' => round($apparent, 2),
                'true_mm' => round($view->trueDepth($apparent), 3),
                'scale' => round($view->scaleAt($apparent), 4),
            ];
        }, range(0, self::DEPTHS));
        $pieces = array_map(static function (LabelledPart $p): array {
            [$front, $long, $back, $other] = array_map(
                static fn (int $i): float => round($p->part->outline->ring->edgeLength($i), 2),
                range(0, 3),
            );

            return [
                'label' => $p->label, 'name' => $p->part->name, 'front_mm' => $front, 'back_mm' => $back,
                'long_mm' => $long, 'other_mm' => $other,
            ];
        }, $this->parts);

        return [
            'path' => $this->path, 'name' => $this->name, 'vanishing_mm' => round($view->vanishing(), 3),
            'back_scale' => round($view->backScale(), 5), 'back_ratio' => round($this->ratio / $view->backScale(), 2),
            'rise_mm' => round($view->rise($this->foot), 3), 'limit_mm' => round($view->askewFrom(), 2),
            'strong' => $view->isStrong(), 'depths' => $depths, 'pieces' => $pieces, 'texts' => $this->texts(),
        ];
    }

    /** @return list<string> */
    private function texts(): array
    {
        $view = $this->view;
        $limit = $view->askewFrom();
        $rise = $view->rise($this->foot);
        $texts = [
            sprintf(
                '%.1f mm deep%s, it looks %.1f: all receding lines meet %.1f mm behind %s, %.1f mm above its foot. Aim courses, kerbs and gutters there.',
                $view->depth,
                $this->isMouth ? ' behind the wall' : '',
                $view->apparent,
                $view->vanishing(),
                $this->isMouth ? 'the wall' : 'its front',
                $view->axis - $this->foot,
            ),
            sprintf(
                'At the back everything is %.1f %% of its size, figures 1:%.1f; level ground %s by %.2f mm.',
                100.0 * $view->backScale(),
                $this->ratio / $view->backScale(),
                $rise < 0.0 ? 'falls' : 'rises',
                abs($rise),
            ),
            sprintf(
                'From half the distance it looks %.0f mm deep, from twice the distance %.0f.',
                $view->apparentFrom($view->distance() / 2.0),
                $view->apparentFrom($view->distance() * 2.0),
            ),
            sprintf(
                'Its lines seem to run askew once the eye stands %.0f mm off its axis; yours moves up to %.0f mm aside and stands %.0f mm above or below it.',
                $limit,
                $this->aside,
                $this->above,
            ),
        ];
        if ($view->isStrong()) {
            $texts[] = $this->strong();
        }
        $texts[] = $this->isMouth
            ? 'End it in black.'
            : 'Its walls go down to the baseboard; the ground that rises with it is marked on them.';

        return $texts;
    }
}
