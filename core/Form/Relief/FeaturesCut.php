<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Relief;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\AtOnePlace;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Feature\Place;
use Chartula\Core\Building\Feature\RoofLineKind;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;
use Closure;

/** What of a block's things goes with one piece of it that low relief leaves: those go whose place does. Real millimetres. */
final readonly class FeaturesCut
{
    /**
     * @param  Patch  $patch  what is left in plan, before it was squeezed; its sides labelled with the edges of the whole, or “cut”
     * @param  Closure(Vec2): Vec2  $squeezed  from a place of it to the block's own axes
     * @param  array<int, array<string, string>>  $names  by the edges of the piece: what openings that are left are called now
     */
    public function __construct(private Block $block, private Patch $patch, private Closure $squeezed, private array $names)
    {
    }

    /** @return list<Feature> */
    public function left(): array
    {
        $left = [];
        foreach ($this->block->features as $feature) {
            $isOne = $feature->kind instanceof AtOnePlace;
            $place = $feature->place === null ? null : $this->place($feature->place, $isOne);
            $beyond = $isOne && $place === null ? $this->fromBeyond($feature->place) : null;
            $place ??= $beyond === null ? null : $this->place($beyond, true);
            array_push($left, ...$place === null ? [] : [$feature->with(place: $place)]);
        }

        return $left;
    }

    private function place(Place $place, bool $isOne): ?Place
    {
        if (in_array($place->anchor, [Anchor::Slope, Anchor::Floor], true)) {
            $at = $this->block->inPlan($place->at ?? new Vec2(0.0, 0.0));

            return $this->patch->outline->contains($at) ? $place->with(at: ($this->squeezed)($at)) : null;
        }
        foreach ($this->patch->labels as $edge => $label) {
            $before = $this->patch->labels[($edge + count($this->patch->labels) - 1) % count($this->patch->labels)];
            $moved = match ($place->anchor) {
                Anchor::Corner => $label === (string) $place->corner && $before !== 'cut' ? $place->with(corner: $edge) : null,
                Anchor::Openings => $label === (string) $place->edge
                    ? $place->renamed($this->names[$edge] ?? [])?->with(edge: $edge)
                    : null,
                Anchor::Wall, Anchor::RoofLine => $label === (string) $place->edge ? $this->run($place, $edge, $isOne) : null,
                default => $place,
            };
            if ($moved !== null) {
                return $moved;
            }
        }

        return null;
    }

    /** A place on a ridge as it is said from the other side of that, whose wall may be left where its own is not; null of others. */
    private function fromBeyond(?Place $place): ?Place
    {
        $footprint = $this->block->footprint;
        if ($place?->anchor !== Anchor::RoofLine || $place->line !== RoofLineKind::Ridge || $footprint->count() !== 4) {
            return null;
        }
        $edge = (($place->edge ?? 0) + 2) % 4;

        return $place->with(edge: $edge, from: RealLength::ofMillimetres($footprint->length($edge)->mm - ($place->from->mm ?? 0.0)));
    }

    /** As much of a run as lies in the stretch of the wall that is left; what stands at one place of it only where that is left. */
    private function run(Place $place, int $edge, bool $isOne): ?Place
    {
        $ring = $this->block->standing();
        $start = $ring->point($place->edge ?? 0);
        [$a, $b] = [$this->patch->outline->point($edge), $this->patch->outline->point($edge + 1)];
        [$begins, $ends] = [$a->distanceTo($start), $b->distanceTo($start)];
        $squeeze = ($this->squeezed)($a)->distanceTo(($this->squeezed)($b)) / ($ends - $begins);
        $said = $place->from->mm ?? 0.0;
        if ($isOne && ($said < $begins - Tolerance::MEET || $said > $ends + Tolerance::MEET)) {
            return null;
        }
        $from = $isOne ? $said : max($begins, $said);
        $to = min($ends, $place->to->mm ?? INF);

        return ! $isOne && $to - $from < Tolerance::MEET ? null : $place->with(
            edge: $edge,
            from: RealLength::ofMillimetres(($from - $begins) * $squeeze),
            to: $place->to === null ? null : RealLength::ofMillimetres(($to - $begins) * $squeeze),
        );
    }
}
