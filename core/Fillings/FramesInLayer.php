<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Part\Mark;
use Chartula\Core\Shell\LayerFrames;
use Chartula\Core\Shell\WallSpan;

/** The foremost sheet of what stands in an opening, in a layer of its wall. docs/formulas.md#layers-of-frames */
final class FramesInLayer implements LayerFrames
{
    private readonly PaneHoles $panes;

    public function __construct(private readonly Building $building)
    {
        $this->panes = new PaneHoles($building);
    }

    public function holes(WallSpan $span, OpeningForm $opening): array
    {
        return array_map(
            static fn (Ring $ring): Ring => $ring->moved($opening->left, $opening->sill),
            $this->sheet($span, $opening)->holes,
        );
    }

    public function marks(WallSpan $span, OpeningForm $opening): array
    {
        return array_map(
            static fn (Mark $mark): Mark => $mark->moved($opening->left, $opening->sill),
            $this->sheet($span, $opening)->marks,
        );
    }

    private function sheet(WallSpan $span, OpeningForm $opening): Sheet
    {
        return FillingSheets::of(new Fitted($this->building, $opening, $span->cut($opening->opening)), $this->panes, $span)[0];
    }
}
