<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Panes;
use Chartula\Core\Geometry\Ring;

/** The light whose casement stands ajar, and whose panes are whose. docs/formulas.md#frame */
final readonly class AjarLight
{
    /** Panes lie so far within the light they belong to, or beside it. */
    private const BESIDE_MM = 0.1;

    /**
     * @param  Ring  $ring  of it, open
     * @param  list<Ring>  $panes  of its casement
     * @param  list<Ring>  $others  of all that are shut
     */
    private function __construct(public Ring $ring, public array $panes, public array $others)
    {
    }

    /** Null where none does. */
    public static function of(Panes $frame, PaneLayout $layout): ?self
    {
        $light = $frame->ajar > 0.0 ? $layout->whole()[$frame->ajarLight - 1] ?? null : null;
        if ($light === null) {
            return null;
        }
        $box = $light->bounds()->grown(self::BESIDE_MM);
        [$in, $beside] = [[], []];
        foreach ($layout->glazed() as $pane) {
            if ($box->shared($pane->bounds()) === null) {
                $beside[] = $pane;
            } else {
                $in[] = $pane;
            }
        }

        return new self($light, $in, $beside);
    }

    /** Whether it has a level head: any other would strike the reveal over it. */
    public function isLevel(): bool
    {
        return $this->ring->count() === 4;
    }
}
