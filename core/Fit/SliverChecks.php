<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Problem\Check;

/** Names what is too narrow to be cut, and is left out: stretches of wall between mitres, steps in a wall, planes of a roof. */
final readonly class SliverChecks
{
    /** @return list<Check> */
    public static function of(Kit $kit): array
    {
        $checks = [];
        foreach ($kit->walls->leftOut() as [$span, $k, $width]) {
            $checks[] = new Check('card.too-narrow', $k === 0 ? Check::WARN : Check::NOTE, $span->block->id.'.'.$span->name(), sprintf(
                'A stretch of this wall’s %s %s wide is too narrow for the bevels at its ends and is not cut%s.',
                $span->stack->layers[$k]->id,
                LengthFormat::millimetres($width),
                $k === 0 ? '; fill it with a strip' : ': the layer before it covers the place',
            ), $width);
        }
        foreach ($kit->walls->spans() as $span) {
            if ($span->form->isBuilt() && ! $span->isBuilt()) {
                $checks[] = new Check('card.too-narrow', Check::NOTE, $span->block->id.'.'.$span->name(), sprintf(
                    'This step of %s is shorter than the card is thick and is not cut: the ends of the walls beside it are its outside.',
                    LengthFormat::millimetres($span->form->length->mm),
                ), $span->form->length->mm);
            }
        }
        foreach ($kit->panels->leftOut as [$facet, $width]) {
            $checks[] = new Check(
                'card.too-narrow',
                Check::WARN,
                $kit->form->blocks[$facet->block]->block->id.'.'.$facet->name,
                sprintf(
                    'This plane of the roof is %s wide, less than cutting its neighbours square takes off it, and is not cut; '
                        .'lay a strip over it.',
                    LengthFormat::millimetres($width),
                ),
                $width,
            );
        }

        return $checks;
    }
}
