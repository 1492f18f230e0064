<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Panes;
use Chartula\Core\Building\Style;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\OpeningShape;
use Chartula\Core\Geometry\Ring;

/** How the frames and leaves of a building are divided: openings that are of one kind and of one size share it. */
final class PaneHoles
{
    /** @var array<string, array{OpeningShape, Panes, PaneLayout}> by what they are of, which is kept: its place stays its own */
    private array $known = [];

    /** @var array<int, array{Style, Panes}> of leaves, by the kind's object */
    private array $leaves = [];

    public function __construct(private readonly Building $building)
    {
    }

    /** Of a frame, or of a leaf where it is divided; null where nothing is. */
    public function layout(OpeningForm $opening): ?PaneLayout
    {
        $shape = $opening->shape;
        $panes = $this->divided($opening->opening->style);
        if ($panes === null) {
            return null;
        }
        $key = spl_object_id($shape).' '.spl_object_id($panes);
        $this->known[$key] ??= [$shape, $panes, new PaneLayout(
            $shape->true ?? $shape, $panes, $this->building->scale, $this->leastBar($panes),
        )];

        return $this->known[$key][2];
    }

    /** @return list<Ring> what is seen through of it, in the opening's own frame; none where it is shut */
    public function glass(OpeningForm $opening): array
    {
        $style = $opening->opening->style;
        $layout = $style->isGlazed() ? $this->layout($opening) : null;

        $holes = match (true) {
            $style->frame === null => $layout?->holesOf(1),
            $style->frame->tracery !== null => $layout?->tracery?->holes(),
            $style->frame->bars === Panes::DROPPED => $layout?->withoutBars(),
            default => $layout?->holes(),
        };

        return array_map($opening->shape->placed(...), $holes ?? []);
    }

    /** @return list<Ring> the panels of a leaf, likewise; none where it has none */
    public function panels(OpeningForm $opening): array
    {
        $leaf = $opening->opening->style->leaf;
        $layout = $leaf?->isFaced() === true ? $this->layout($opening) : null;

        return $leaf === null || $layout === null
            ? []
            : array_map($opening->shape->placed(...), Braces::between($layout->holesOf(0), $leaf, $this->building->scale));
    }

    /** As fine as bars may be that are not to be finer. */
    private function leastBar(Panes $panes): float
    {
        return match ($panes->bars) {
            Panes::WIDENED => $this->building->methods->frame->leastWebMm(),
            Panes::PRINTED => GlassPrint::LEAST_MM,
            default => 0.0,
        };
    }

    private function divided(Style $style): ?Panes
    {
        return match (true) {
            $style->frame !== null => $style->frame,
            $style->leaf === null, ! $style->leaf->isFaced() && $style->leaf->glazed === null => null,
            default => ($this->leaves[spl_object_id($style)] ??= [$style, $style->leaf->divided()])[1],
        };
    }
}
