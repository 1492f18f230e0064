<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\ThinEdge;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Massing\Massing;
use Chartula\Core\Kit\DryFit\Massing\SlopeSurface;
use Chartula\Core\Measure\Tolerance;

/**
 * Where the outermost layer of a roof makes its edge, it reaches as far as the document's overhang and no farther. The card under it is
 * held to its own by the cover. docs/formulas.md#thin-edges
 */
final readonly class ThinEdgeCheck
{
    /** It is looked at so far before its edge and beyond it, mm. */
    private const BESIDE_MM = 0.1;

    /** And so far apart up a verge, mm. */
    private const STEP_MM = 2.0;

    /** What is nearer to other roofs, blocks and what stands on a roof, in thicknesses of that, ends at those and is not asked. */
    private const CLEAR = 2.5;

    /**
     * @param  list<Piece>  $roofs  the card of roofs
     * @param  list<Piece>  $others  what may stand in its way
     * @param  float  $height  of the middle of the outermost layer over the underside of the roof
     */
    private function __construct(private Massing $finished, private array $roofs, private array $others, private float $height)
    {
    }

    /** @return list<Finding> */
    public static function all(Assembly $assembly, Building $building, Massing $under): array
    {
        if (ThinEdge::under($building) === $building) {
            return [];
        }
        $of = static fn (string ...$groups): array => array_values(array_filter(
            $assembly->pieces,
            static fn (Piece $p): bool => in_array($p->part->group, $groups, true),
        ));
        $stack = $building->methods->roof();
        $height = $stack->thickness_mm - $stack->layers[0]->thickness_mm / 2.0;
        $self = new self(Massing::finished($building), $of('roof'), $of('trim', 'brace'), $height);
        $carried = self::slopes($under);
        $findings = [];
        foreach (self::slopes($self->finished) as $name => $slopes) {
            foreach ($slopes as $slope) {
                array_push($findings, ...$self->edges($slope, $carried[$name] ?? []));
            }
        }

        return $findings;
    }

    /** @return array<string, list<SlopeSurface>> by name */
    private static function slopes(Massing $massing): array
    {
        $slopes = [];
        foreach ($massing->surfaces() as $surface) {
            if ($surface instanceof SlopeSurface) {
                $slopes[$surface->name()][] = $surface;
            }
        }

        return $slopes;
    }

    /**
     * @param  list<SlopeSurface>  $under  the same plane as far as the card under it goes
     * @return list<Finding>
     */
    private function edges(SlopeSurface $slope, array $under): array
    {
        $frame = $slope->frame();
        $across = array_map(static fn (Vec3 $p): float => $frame->project($p)->x, $slope->corners());
        // Where card must be, and where none may be.
        $asked = [];
        foreach ($slope->places([]) as $x) {
            $wanted = $slope->at($x)[0];
            foreach (self::band($slope, $wanted, $under, $x) as $band) {
                foreach ($wanted as $all) {
                    array_push($asked, ...abs($band->from - $all->from) < Tolerance::EDGE
                        ? [[$x, $band->from + self::BESIDE_MM, true], [$x, $band->from - self::BESIDE_MM, false]] : []);
                    array_push($asked, ...abs($band->to - $all->to) < Tolerance::EDGE
                        ? [[$x, $band->to - self::BESIDE_MM, true], [$x, $band->to + self::BESIDE_MM, false]] : []);
                }
            }
        }
        foreach ([[min($across) + self::BESIDE_MM, -1.0], [max($across) - self::BESIDE_MM, 1.0]] as [$x, $way]) {
            foreach (self::band($slope, $slope->at($x)[0], $under, $x) as $band) {
                for ($y = $band->from + self::BESIDE_MM; $y < $band->to; $y += self::STEP_MM) {
                    array_push($asked, [$x, $y, true], [$x + $way * 2.0 * self::BESIDE_MM, $y, false]);
                }
            }
        }
        $wrong = ['short' => 0, 'over' => 0];
        foreach ($asked as [$x, $y, $isIn]) {
            $at = $frame->at(new Vec2($x, $y), $this->height);
            if ($this->isCard($at) !== $isIn && $this->isClear($slope, $at)) {
                $wrong[$isIn ? 'short' : 'over']++;
            }
        }

        return self::findings($slope->name(), $wrong);
    }

    /**
     * @param  list<Interval>  $wanted
     * @param  list<SlopeSurface>  $under
     * @return list<Interval> what of it lies beyond the card under it
     */
    private static function band(SlopeSurface $slope, array $wanted, array $under, float $x): array
    {
        foreach ($under as $one) {
            // The same place, in the axes of the other.
            $its = $one->frame()->project($slope->frame()->at(new Vec2($x, 0.0)));
            $wanted = Stretches::without($wanted, array_map(
                static fn (Interval $s): Interval => new Interval($s->from - $its->y, $s->to - $its->y),
                $one->at($its->x)[0],
            ));
        }

        return array_values(array_filter($wanted, static fn (Interval $s): bool => $s->length() > 2.0 * self::BESIDE_MM));
    }

    private function isCard(Vec3 $at): bool
    {
        foreach ($this->roofs as $piece) {
            foreach ($piece->isNearTo($at, 0.0) ? $piece->facets : [] as $facet) {
                $up = $facet->frame->height($at);
                if ($up < 0.0 && $up > -$facet->thickness && $facet->region->contains($facet->frame->project($at))) {
                    return true;
                }
            }
        }

        return false;
    }

    private function isClear(SlopeSurface $slope, Vec3 $at): bool
    {
        $clear = self::CLEAR * $this->finished->roof();
        foreach ($this->others as $piece) {
            if ($piece->isNearTo($at, $clear)) {
                return false;
            }
        }

        return $slope->isClearOfOthers(new Vec2($at->x, $at->y), $clear);
    }

    /**
     * @param  array{short: int, over: int}  $wrong  in how many places
     * @return list<Finding>
     */
    private static function findings(string $name, array $wrong): array
    {
        $findings = [];
        foreach (['short' => 'does not reach its edge', 'over' => 'reaches beyond its edge'] as $how => $words) {
            if ($wrong[$how] > 0) {
                $text = sprintf('The outermost layer of %s %s in %d places', $name, $words, $wrong[$how]);
                $findings[] = new Finding('outside.edge', $name, $text, self::BESIDE_MM);
            }
        }

        return $findings;
    }
}
