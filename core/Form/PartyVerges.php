<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/**
 * Where a plane ends at the line in which its block stands wall to wall with another: over that one it goes on only where there is
 * room for its card above the other's. docs/formulas.md#envelope
 */
final readonly class PartyVerges
{
    /**
     * @param  list<array{Solid, Vec2, Vec2, string}>  $parties  the other block, where the shared line begins, its way (its own block
     * on the left), and its label
     */
    private function __construct(
        private Facet $facet,
        private float $roof,
        private array $parties,
    ) {
    }

    /** @param  list<Solid>  $near */
    public static function of(Facet $facet, Solid $own, array $near, float $roof): self
    {
        $parties = [];
        foreach ($own->gables as $edge) {
            $from = $own->ring->point($edge);
            $along = $own->ring->point($edge + 1)->minus($from)->times(1.0 / $own->ring->edgeLength($edge));
            foreach ($near as $solid) {
                foreach (array_keys($solid->ring->points) as $other) {
                    $p = $solid->ring->point($other)->minus($from);
                    $q = $solid->ring->point($other + 1)->minus($from);
                    $shared = min($own->ring->edgeLength($edge), $along->dot($p)) - max(0.0, $along->dot($q));
                    if (max(abs($along->cross($p)), abs($along->cross($q))) < Tolerance::PLANE && $shared > Tolerance::PLANE) {
                        $parties[] = [$solid, $from, $along, Side::party($solid->index, $other)];
                    }
                }
            }
        }

        return new self($facet, $roof, $own->tails === [] ? $parties : []);
    }

    /** @return list<Line> in which its answers change */
    public function lines(): array
    {
        $lines = [];
        $box = $this->facet->whole->outline->bounds();
        $reach = $box->width() + $box->height();
        foreach ($this->parties as [$solid, $from, $along, $label]) {
            $lines[] = new Line($from->minus($along->times($reach)), $from->plus($along->times($reach)), $label);
            foreach ($solid->roof->facets as $other) {
                array_push($lines, ...array_map(
                    static fn (Line $l): Line => new Line($l->from, $l->to, SideKind::Open->value),
                    $this->facet->levelWith($other, $box, $this->roof / $other->pitch->cos()),
                ));
            }
            array_push($lines, ...($solid->roof->outline === null ? [] : Overhangs::plain($solid->roof->outline)));
        }

        return $lines;
    }

    /** Whether it is cut away over a place. */
    public function cut(Vec2 $at): bool
    {
        foreach ($this->parties as [$solid, $from, $along]) {
            if ($along->cross($at->minus($from)) < 0.0) {
                $over = $solid->hasParapet ? null : $solid->roof->facetAt($at);
                $top = match (true) {
                    $over !== null => $over->heightAt($at) + $this->roof / $over->pitch->cos(),
                    $solid->contains($at) => $solid->eaves,
                    default => -INF,
                };
                if ($this->facet->heightAt($at) < $top - Tolerance::FIGURE) {
                    return true;
                }
            }
        }

        return false;
    }
}
