<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Lift;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Measure\Tolerance;

/**
 * Whether the building comes off the layout by the way it is to take, past whatever stands there, and in which order what can be taken
 * off before it has to go. docs/formulas.md#lifting-off
 */
final readonly class LiftCheck
{
    /** @var list<LiftedThing> everything that stands on the plot and may be in the way */
    private array $things;

    /** @var list<?array{FinishedPiece, float}> the piece that passes each nearest, and what is left there less what is to stay free */
    private array $passing;

    private float $far;

    public function __construct(
        private Plot $plot,
        private Finished $finished,
    ) {
        $things = [];
        foreach ($plot->neighbours as $n) {
            $things[] = new LiftedThing($n->name, Bodies::neighbour($n), $n->lifts, $n->path);
        }
        foreach ($plot->obstacles as $o) {
            $things[] = new LiftedThing($o->name, Bodies::obstacle($o), $o->lifts, $o->path);
        }
        $this->things = $things;
        $this->far = $this->farAway();
        $this->passing = array_map($this->buildingPast(...), $this->things);
    }

    /** So far that nothing on the plot is passed any more. */
    private function farAway(): float
    {
        $box = $this->plot->outline->bounds();
        $reach = array_merge(
            ...array_map(
                static fn (LiftedThing $t): array => array_map(static fn (Body $b): Box2 => $b->shadow->bounds(), $t->bodies),
                $this->things,
            ),
            ...[array_map(static fn (FinishedPiece $p): Box2 => $p->box, $this->finished->pieces)],
        );
        foreach ($reach as $one) {
            $box = new Box2(min($box->x0, $one->x0), min($box->y0, $one->y0), max($box->x1, $one->x1), max($box->y1, $one->y1));
        }

        return 2.0 * ($box->width() + $box->height());
    }

    /** @param  value-of<Lift::WAYS>  $name */
    private function way(string $name): Way
    {
        return new Way($name, $this->far, $this->plot->lift->play);
    }

    /** @return list<Clearance> one for each thing in the way */
    public function all(): array
    {
        $order = $this->order();
        $clearances = [];
        foreach ($this->things as $i => $thing) {
            $caught = $this->passing[$i];
            if ($caught !== null) {
                $clearances[] = $this->told($thing, ...$caught, step: $order === null ? false : array_search($i, $order, true));
            }
        }

        return $clearances;
    }

    /**
     * What comes off before the building, in the order in which it goes; each thing once.
     *
     * @return list<array{name: string, way: value-of<Lift::WAYS>}>
     */
    public function steps(): array
    {
        return array_map(
            fn (int $i): array => ['name' => $this->things[$i]->name, 'way' => $this->things[$i]->lifts ?? 'up'],
            $this->order() ?? [],
        );
    }

    /** @return ?array{FinishedPiece, float} the piece that passes it nearest, and what is left there less what is to stay free */
    private function buildingPast(LiftedThing $thing): ?array
    {
        $way = $this->way($this->plot->lift->way);
        $order = [];
        foreach ($this->finished->pieces as $i => $piece) {
            foreach ($thing->bodies as $k => $body) {
                $gap = $way->gap($piece->box, $body);
                array_push($order, ...($way->concerns($piece->whole, $body, $gap) ? [[$gap, $i, $k]] : []));
            }
        }
        sort($order);
        $nearest = null;
        foreach ($order as [$least, $i, $k]) {
            if ($nearest !== null && $least >= $nearest[1]) {
                break;
            }
            $distance = $way->past($this->finished->pieces[$i]->shadows(...), $thing->bodies[$k]);
            if ($distance !== null && ($nearest === null || $distance < $nearest[1])) {
                $nearest = [$this->finished->pieces[$i], $distance];
            }
        }

        return $nearest === null ? null : [$nearest[0], $nearest[1] - $this->plot->lift->play];
    }

    /**
     * Indices of the things that have to come off before the building; null where that cannot be done.
     *
     * @return ?list<int>
     */
    private function order(): ?array
    {
        $order = $wanted = [];
        foreach (array_keys($this->things) as $i) {
            if (($this->passing[$i][1] ?? 0.0) < -Tolerance::TOLD) {
                $wanted[] = $i;
            }
        }
        foreach ($wanted as $i) {
            $order = $this->with($i, $order, []);
            if ($order === null) {
                return null;
            }
        }

        return $order;
    }

    /**
     * An order with one thing taken off too, after whatever holds it; null where it does not come off.
     *
     * @param  list<int>  $order
     * @param  list<int>  $waiting  for which it is to go
     * @return ?list<int>
     */
    private function with(int $i, array $order, array $waiting): ?array
    {
        if (in_array($i, $order, true)) {
            return $order;
        }
        $thing = $this->things[$i];
        // What holds itself by way of another, or is held by the building, never comes off before it.
        if ($thing->lifts === null || in_array($i, $waiting, true) || $this->isHeldByBuilding($thing)) {
            return null;
        }
        foreach ($this->things as $k => $other) {
            if ($k !== $i && ! in_array($k, $order, true) && $this->holds($other->bodies, $thing)) {
                $order = $this->with($k, $order, [...$waiting, $i]);
                if ($order === null) {
                    return null;
                }
            }
        }

        return [...$order, $i];
    }

    /** @param  list<Body>  $bodies */
    private function holds(array $bodies, LiftedThing $thing): bool
    {
        $way = $this->way($thing->lifts ?? 'up');
        foreach ($bodies as $body) {
            if (($way->past($thing->shadows(...), $body) ?? INF) < -Tolerance::TOLD) {
                return true;
            }
        }

        return false;
    }

    private function isHeldByBuilding(LiftedThing $thing): bool
    {
        // The building that stays and the thing that goes: the same as the building that comes the other way, and the thing stays.
        $way = $this->way(
            ['up' => 'up', 'front' => 'back', 'back' => 'front', 'left' => 'right', 'right' => 'left'][$thing->lifts ?? 'up'],
        );
        foreach ($thing->bodies as $body) {
            foreach ($this->finished->pieces as $piece) {
                $isNear = $way->gap($piece->box, $body) < 0.0;
                $distance = match (true) {
                    ! $isNear => null,
                    $way->name === 'up' => $this->over($piece, $body),
                    default => $way->past($piece->shadows(...), $body),
                };
                if ($distance !== null && $distance < -Tolerance::TOLD) {
                    return true;
                }
            }
        }

        return false;
    }

    /** How near a body passes what of a piece is above it, or lies on it. */
    private function over(FinishedPiece $piece, Body $body): ?float
    {
        $above = array_map(
            static fn (Hull $h): float => $h->distanceTo($body->shadow),
            $piece->shadows($body->high - Tolerance::MEET, INF),
        );

        return $above === [] ? null : min($above);
    }

    /** @param  int|false  $step  which in the order it is, where it comes off before */
    private function told(LiftedThing $thing, FinishedPiece $piece, float $left, int|false $step): Clearance
    {
        $words = $this->way($this->plot->lift->way)->words();
        $text = match (true) {
            $left >= -Tolerance::TOLD => sprintf('%s it passes %s with %.2f mm to spare.', ucfirst($words), $thing->name, max(0.0, $left)),
            $step !== false => sprintf(
                '%s, %s would be caught by %s: take that off before, %s; it is number %d to come off.',
                ucfirst($words),
                $piece->name,
                $thing->name,
                $thing->lifts === 'up' ? 'up' : 'to the '.$thing->lifts,
                $step + 1,
            ),
            $thing->lifts !== null => sprintf(
                '%s, %s is caught by %s, and that does not come off before: something holds it. Let one of them come out another way.',
                ucfirst($words),
                $piece->name,
                $thing->name,
            ),
            default => sprintf(
                '%s, %s is caught by %s. Say how that comes off, if it does, or let the building come out another way.',
                ucfirst($words),
                $piece->name,
                $thing->name,
            ),
        };

        return new Clearance('lift', 'plot.lift', $thing->name, $piece->id, $step !== false ? 0.0 : $left, null, $text, $thing->path);
    }
}
