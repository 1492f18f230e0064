<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\InTheWay;
use Chartula\Core\Form\Claims\RaisedRoom;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;

/** How far before a wall what is raised on it stands, on what, and where it ends. docs/formulas.md#dressings */
final readonly class RaisedPlace
{
    /** What lies over less than this of something else is not stuck to it, mm². */
    private const LEAST_MM2 = 0.01;

    /** At a corner no farther from square than this, degrees, what goes on round it is closed. */
    private const SQUARE_DEG = 0.05;

    public function __construct(private Building $building, private Walls $walls, private WallSpan $span)
    {
    }

    /** As far as it goes: round a corner, and up to a roof. */
    public function ended(Claim $claim): Claim
    {
        return $this->underRoofs($claim->opening === null ? $this->roundCorner($claim) : $claim);
    }

    /** @return array{float, int} how thick its card is, and of how many layers it is */
    public function layers(Claim $claim): array
    {
        [$stock, $paper] = [$this->building->methods->frame, $this->building->methods->paper];
        $thickness = $stock->thickness_mm + $this->building->methods->template->addsTo($stock);

        return [$thickness, max(1, (int) round(($claim->proud - $paper->thickness_mm) / $thickness))];
    }

    /** How far its paper stands before its wall: this one where nothing else is said. */
    public function front(Claim $claim, ?WallSpan $on = null): float
    {
        $paper = $this->building->methods->paper->thickness_mm;
        [$thickness, $layers] = $this->layers($claim);

        return $this->base($claim, $on) + $layers * $thickness + $paper;
    }

    /** How far before its wall it begins: on its paper, or on what it lies over. */
    public function base(Claim $claim, ?WallSpan $on = null): float
    {
        $span = $on ?? $this->span;

        return max([
            $span->form->isPapered ? $this->building->methods->paper->thickness_mm : 0.0,
            ...array_map(fn (Claim $under): float => $this->front($under, $span), self::below($claim, $span)),
        ]);
    }

    /** @return list<Claim> what it lies on: of what is raised round the same opening and lies under it what stands out farthest */
    public function under(Claim $claim): array
    {
        $below = self::below($claim, $this->span);
        $base = $this->base($claim);

        return array_values(array_filter($below, fn (Claim $c): bool => $this->front($c) > $base - Tolerance::MEET));
    }

    /** @return list<Claim> what is raised round the same opening before it, and lies under it, as an arch does under a keystone */
    private static function below(Claim $claim, WallSpan $span): array
    {
        $under = [];
        foreach ($claim->isOver ? $span->form->claims : [] as $other) {
            if ($other->id === $claim->id && $other->opening === $claim->opening) {
                break;
            }
            $isShared = $other->opening === $claim->opening && $other->opening !== null && RaisedRoom::has($span->form, $other)
                && Clip::sharedArea(new Region($claim->ring), new Region($other->ring)) > self::LEAST_MM2;
            array_push($under, ...$isShared ? [$other] : []);
        }

        return $under;
    }

    /** What goes on round the corner at its right end, as high there, is closed by it: it runs on to the front of that. */
    private function roundCorner(Claim $claim): Claim
    {
        $box = $claim->ring->bounds();
        $isAtEnd = abs($box->x1 - $this->span->form->length->mm) < Tolerance::MEET;
        if (! $isAtEnd || abs($this->span->right->angle - 90.0) > self::SQUARE_DEG) {
            return $claim;
        }
        $next = $this->walls->span($this->span->form->block, $this->span->right->edge);
        foreach ($next->isBuilt() ? $next->form->claims : [] as $other) {
            $its = $other->ring->bounds();
            $goesOn = $other->feature->kind->name() === $claim->feature->kind->name() && abs($its->x0) < Tolerance::MEET
                && abs($its->y0 - $box->y0) < Tolerance::MEET && abs($its->y1 - $box->y1) < Tolerance::MEET;
            if ($goesOn && RaisedRoom::has($next->form, $other)) {
                $on = $this->front($other, $next);

                return $claim->with(ring: new Ring(array_map(
                    static fn (Vec2 $p): Vec2 => abs($p->x - $box->x1) < Tolerance::MEET ? new Vec2($p->x + $on, $p->y) : $p,
                    $claim->ring->points,
                )));
            }
        }

        return $claim;
    }

    /** An eaves or a verge over it comes down before the wall: it ends under that. */
    private function underRoofs(Claim $claim): Claim
    {
        $box = $claim->ring->bounds();
        $top = $box->y1;
        $foot = $this->span->form->frame;
        $front = $this->front($claim);
        $plan = new Ring(array_map(static function (array $at) use ($foot): Vec2 {
            $place = $foot->point($at[0], 0.0, $at[1]);

            return new Vec2($place->x, $place->y);
        }, [[$box->x0, $front], [$box->x1, $front], [$box->x1, 0.0], [$box->x0, 0.0]]));
        foreach ($this->walls->form->facets as $facet) {
            foreach ($facet->patches as $patch) {
                foreach ($patch->outline->bounds()->gapTo($plan->bounds()) > 0.0 ? [] : InTheWay::shared($patch, $plan) as $over) {
                    $under = min(array_map($facet->heightAt(...), $over->outline->points)) - $foot->origin->z;
                    $top = $under > $box->y0 + Tolerance::CUT ? min($top, $under) : $top;
                }
            }
        }

        return $top > $box->y1 - Tolerance::FIGURE ? $claim : $claim->with(ring: Ring::ofDistinct(array_map(
            static fn (Vec2 $p): Vec2 => new Vec2($p->x, min($p->y, $top)),
            $claim->ring->points,
        )));
    }
}
