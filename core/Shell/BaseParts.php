<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;

/** The floor between the walls, which also squares them. docs/formulas.md#floor */
final readonly class BaseParts
{
    /** What is left free on each side, so that the floor drops in: 0.2 mm in all each way. */
    public const CLEARANCE_MM = 0.1;

    public static function make(Building $building, BlockForm $form): PartSet
    {
        if ($building->methods->base === 'none') {
            return new PartSet;
        }
        $spans = WallParts::spans($building, $form);
        $t = array_map(static fn (WallSpan $span): float => $span->stack->thickness_mm, $spans);
        $layer = $building->methods->wall()->layers[count($building->methods->wall()->layers) - 1];
        $c = array_map(static fn (WallSpan $span): float => self::CLEARANCE_MM + PanelDepth::intoRoom($building, $span), $spans);
        $width = self::inside($form->wall(0)->length, $t[3], $t[1], $c[3] + $c[1], 'left', 'right');
        $depth = self::inside($form->wall(1)->length, $t[0], $t[2], $c[0] + $c[2], 'front', 'back');
        $id = $form->block->id.'.base.floor';
        $edges = array_map(static fn (string $side): Edge => new Edge($side), ['front', 'right', 'back', 'left']);
        $part = Part::of(
            $id, 'B', 'Floor', 'shell', $layer->stock, $layer->thickness_mm,
            Outline::rectangle($width->mm, $depth->mm, ...$edges),
            [$form->ground->moved($t[3] + $c[3], $t[0] + $c[0], $layer->thickness_mm)],
            ['width' => $width, 'height' => $depth],
        );
        $joints = [];
        foreach ($spans as $edge => $span) {
            $joints[] = new Joint('clearance', Ref::edge($id, $edge), Ref::inside($span->innermostId($form->block->id)), $part->corners(), gap_mm: $c[$edge], why: 'so that the floor drops in');
        }

        return new PartSet([$part], $joints);
    }

    private static function inside(Figure $outside, float $one, float $other, float $clearance, string $oneName, string $otherName): Figure
    {
        return $outside
            ->less($one, "less the $oneName wall, ".LengthFormat::trimmed($one, 3))
            ->less($other, "less the $otherName wall, ".LengthFormat::trimmed($other, 3))
            ->less($clearance, 'less clearance, '.LengthFormat::trimmed($clearance, 3).' in all');
    }
}
