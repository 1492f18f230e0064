<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Panes;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\OpeningShape;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\Scale;

/** The holes of frames: openings that are of one kind and of one size share theirs. */
final class PaneHoles
{
    /** @var array<string, array{OpeningShape, Panes, list<Ring>}> by what they are of, which is kept, so that its place stays its own */
    private array $known = [];

    /** @var array<int, Panes> of leaves, by object */
    private array $leaves = [];

    public function __construct(private readonly Scale $scale)
    {
    }

    /** @return list<Ring> in the opening's own frame; none where it has a leaf */
    public function of(OpeningForm $opening): array
    {
        $panes = $opening->opening->style->frame;

        return $panes === null ? [] : $this->divided($opening->shape, $panes);
    }

    /** @return array{list<Ring>, list<Ring>} of the two cards of a deep sash, the one in front first */
    public function deep(OpeningForm $opening, Panes $panes): array
    {
        $shape = $opening->shape;
        $layout = new PaneLayout($shape->true ?? $shape, $panes, $this->scale, PanelParts::CLEARANCE_MM);

        return [array_map($shape->placed(...), $layout->upper()), array_map($shape->placed(...), $layout->under())];
    }

    /** @return list<Ring> of the panels of a leaf, likewise; none where it has none */
    public function panels(OpeningForm $opening): array
    {
        $leaf = $opening->opening->style->leaf;

        return $leaf === null || ! $leaf->isPanelled()
            ? []
            : $this->divided($opening->shape, $this->leaves[spl_object_id($leaf)] ??= $leaf->divided());
    }

    /** @return list<Ring> */
    private function divided(OpeningShape $shape, Panes $panes): array
    {
        $key = spl_object_id($shape).' '.spl_object_id($panes);
        $this->known[$key] ??= [$shape, $panes, array_map(
            $shape->placed(...),
            (new PaneLayout($shape->true ?? $shape, $panes, $this->scale, PanelParts::CLEARANCE_MM))->holes(),
        )];

        return $this->known[$key][2];
    }
}
