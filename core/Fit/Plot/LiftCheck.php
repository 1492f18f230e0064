<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** Whether the building comes off the layout by the way it is to take, past whatever stands there. docs/formulas.md#plot */
final readonly class LiftCheck
{
    public function __construct(
        private Plot $plot,
        private Finished $finished,
    ) {
    }

    /** @return list<Clearance> at most one for each thing in the way */
    public function all(): array
    {
        $clearances = [];
        foreach ($this->plot->neighbours as $n) {
            $clearances[] = $this->past($n->name, Bodies::neighbour($n), $n->path);
        }
        foreach ($this->plot->obstacles as $o) {
            $clearances[] = $this->past($o->name, Bodies::obstacle($o), $o->path);
        }

        return array_values(array_filter($clearances));
    }

    /** @param  list<Body>  $bodies */
    private function past(string $name, array $bodies, string $path): ?Clearance
    {
        $way = $this->plot->lift->way;
        $nearest = null;
        foreach ($this->finished->pieces as $piece) {
            foreach ($bodies as $body) {
                $distance = $way === 'up' ? $this->upwards($piece, $body) : $this->sideways($piece, $body, $way);
                if ($distance !== null && ($nearest === null || $distance < $nearest[1])) {
                    $nearest = [$piece, $distance];
                }
            }
        }
        if ($nearest === null) {
            return null;
        }
        $left = $nearest[1] - $this->plot->lift->play;
        $words = $way === 'up' ? 'lifted up' : "drawn out to the $way";

        return $left >= -Tolerance::TOLD
            ? new Clearance(
                'lift',
                'plot.lift',
                $name,
                $nearest[0]->id,
                $left,
                null,
                sprintf('%s it passes %s with %.2f mm to spare.', ucfirst($words), $name, max(0.0, $left)),
                $path,
            )
            : new Clearance(
                'lift',
                'plot.lift',
                $name,
                $nearest[0]->id,
                $left,
                null,
                sprintf(
                    '%s, %s is caught by %s; take that off first, or let the building come out another way (plot.lift).',
                    ucfirst($words),
                    $nearest[0]->name,
                    $name,
                ),
                $path,
            );
    }

    /** Gives the distance at which a body passes a piece that is lifted; null where it is not above and so not in the way. */
    private function upwards(FinishedPiece $piece, Body $body): ?float
    {
        return $body->low < $piece->whole->high ? null : $piece->whole->shadow->distanceTo($body->shadow);
    }

    private function sideways(FinishedPiece $piece, Body $body, string $way): ?float
    {
        if (! $piece->whole->isLevelWith($body->low, $body->high)) {
            return null;
        }
        $place = $this->plot->outline->bounds();
        $far = 2.0 * ($place->width() + $place->height());
        $by = [
            'front' => new Vec2(0.0, -$far), 'back' => new Vec2(0.0, $far), 'left' => new Vec2(-$far, 0.0),
            'right' => new Vec2($far, 0.0),
        ][$way]
            ?? new Vec2(0.0, 0.0);
        $where = $piece->whole->shadow;
        // What is beside it already is looked at apart.
        if ($where->distanceTo($body->shadow) <= 0.0) {
            return null;
        }

        return $where->swept($by)->distanceTo($body->shadow);
    }
}
