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

    public function __construct(private readonly Scale $scale)
    {
    }

    /** @return list<Ring> in the opening's own frame; none where it has a leaf */
    public function of(OpeningForm $opening): array
    {
        [$panes, $shape] = [$opening->opening->style->frame, $opening->shape];
        if ($panes === null) {
            return [];
        }
        $key = spl_object_id($shape).' '.spl_object_id($panes);
        $this->known[$key] ??= [$shape, $panes, array_map(
            $shape->placed(...),
            (new PaneLayout($shape->true ?? $shape, $panes, $this->scale, PanelParts::CLEARANCE_MM))->holes(),
        )];

        return $this->known[$key][2];
    }
}
