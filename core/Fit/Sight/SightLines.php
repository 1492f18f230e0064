<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Sight;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Relief;
use Chartula\Core\Building\Site\Eye;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Fit\Relief\ReliefTable;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Form;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\Tolerance;

/**
 * What an eye before a building cut at a depth sees of the cut, from the worst place of its whole way and the worst of its heights.
 * Reckoned on the surfaces that are described: the card of a roof lies on them and hides a little more. Model millimetres; depths from the
 * building's front, heights above the baseboard. docs/formulas.md#sight
 */
final readonly class SightLines
{
    /** Lines of sight over the back edge are followed to so many places along it. */
    private const ALONG = 24;

    /**
     * @param  list<EyePlace>  $before  where the eye stands before the building's front
     * @param  list<EyePlace>  $beside  and where it does not
     * @param  ?array{Facet, float}  $frontSlope  and the least height of an eye that sees it; null where no roof rises to the back
     * @param  ?array{float, EyePlace}  $missingRear  the least height from which it is noticed that there is no rear slope, and where; null
     *     where none is missing
     * @param  float  $top  how high the back edge stands where it shows soonest
     * @param  float  $topFrom  the least height of an eye that sees it, cut level or not cut at all
     * @param  ?float  $squareFrom  the same where it is cut square to its panel; null where that never shows
     * @param  array{float, EyePlace}  $backscene  the height down to which the backscene shows behind the top
     * @param  array{float, float}  $ridge  how high the building's ridge stands, and how far behind its front
     * @param  list<array{join: Join, end: 'left'|'right', from: EyePlace, hidden: float, place: Vec2}>  $ends  those past which an eye
     *     looks,
     *     from where most of it is missing; hidden is the angle up to which the building itself hides its join, place is where that stands
     */
    private function __construct(
        public Eye $eye,
        public array $before,
        public array $beside,
        public float $front,
        public float $depth,
        public float $whole,
        public float $gap,
        public ?array $frontSlope,
        public ?array $missingRear,
        public float $top,
        public float $topFrom,
        public ?float $squareFrom,
        public array $backscene,
        public array $ridge,
        public array $ends,
    ) {
    }

    /** Null where nothing is cut, where nobody says from where it is looked at, and where that is nowhere before its front. */
    public static function of(Plot $plot, Kit $kit): ?self
    {
        $cut = $kit->modelled->cut;
        $relief = $kit->compressed->building->relief;
        $slope = ReliefTable::frontSlope($kit->form);
        if ($plot->eye === null || $cut === null || $relief === null) {
            return null;
        }
        $front = min(array_map(static fn (BlockForm $b): float => $b->ring->bounds()->y0, $kit->form->blocks));
        $places = EyePlace::all($plot);
        $isBefore = static fn (EyePlace $e): bool => $e->at->y < $front - Tolerance::MEET;
        $before = array_values(array_filter($places, $isBefore));
        $beside = array_values(array_filter($places, static fn (EyePlace $e): bool => ! $isBefore($e)));
        $gap = $plot->backscene === [] ? 0.0 : $plot->gap;
        $edges = self::edges($kit->form, $before, $front, $front + $cut['depth']);
        $last = self::lastPanel($kit->form, $front + $cut['depth']);
        $ridge = ReliefTable::highest($kit->form);

        return $before === [] || $edges === [] ? null : new self(
            $plot->eye,
            $before,
            $beside,
            $front,
            $cut['depth'],
            $cut['whole'],
            $gap,
            $slope === null ? null : [$slope, min(array_map(static fn (EyePlace $e): float => $slope->heightAt($e->at), $before))],
            self::missingRear($kit, $relief, $places),
            ...self::topEdge($edges, $last, $front + $cut['depth'], $gap, $plot->eye->highest),
            ridge: [$ridge[0], $ridge[1] - $front],
            ends: self::ends($kit->form, $places, $front, $cut, $gap),
        );
    }

    /** Whether any eye can tell that something is missing: a rear that is looked for, a top that is cut, a flank that stops. */
    public function shows(): bool
    {
        return $this->beside !== [] || $this->ends !== [] || $this->isRearMissed() || $this->eye->highest > $this->topFrom;
    }

    public function isRearMissed(): bool
    {
        return $this->missingRear !== null && $this->eye->highest > $this->missingRear[0];
    }

    /** What is seen of the back edge straight on from an eye, at a place of its own along the building. */
    public static function straightOn(Form $form, Vec2 $eye, float $back): TopEdge
    {
        return new TopEdge((new Heights($form))->along($eye, new Vec2($eye->x, $back)));
    }

    /**
     * The least height from which a rear that is not modelled would be seen, if it were: that of its plane at the eye. Where the ridge has
     * been brought to the back edge, it is looked for behind that.
     *
     * @param  list<EyePlace>  $places
     * @return ?array{float, EyePlace}
     */
    private static function missingRear(Kit $kit, Relief $relief, array $places): ?array
    {
        if (! in_array($relief->school, [Relief::SLICE, Relief::FRONT_SLOPE, Relief::KEEP_RIDGE], true)) {
            return null;
        }
        $whole = ReliefTable::whole($kit->compressed->building);
        $shift = $relief->school === Relief::KEEP_RIDGE ? ReliefTable::highest($kit->form)[1] - ReliefTable::highest($whole)[1] : 0.0;
        $least = null;
        foreach ($whole->facets as $facet) {
            if ($facet->gradient()->y > -Tolerance::MEET || $facet->patches === []) {
                continue;
            }
            foreach ($places as $place) {
                $from = $facet->heightAt(new Vec2($place->at->x, $place->at->y - $shift));
                $least = $least === null || $from < $least[0] ? [$from, $place] : $least;
            }
        }

        return $least;
    }

    /**
     * What is seen of the back edge over the building, from everywhere before it and all along it.
     *
     * @param  list<EyePlace>  $before
     * @return list<array{TopEdge, EyePlace}>
     */
    private static function edges(Form $form, array $before, float $front, float $back): array
    {
        $heights = new Heights($form);
        $xs = self::between($form, static fn (Box2 $b): bool => $b->y1 > $back - Tolerance::MEET);
        $fronts = self::between($form, static fn (Box2 $b): bool => $b->y0 < $front + Tolerance::MEET);
        $edges = [];
        foreach ($before as $place) {
            for ($i = 0; $i < self::ALONG; $i++) {
                $to = new Vec2($xs->from + $xs->length() * ($i + 0.5) / self::ALONG, $back);
                $in = $place->at->plus($to->minus($place->at)->times(($front - $place->at->y) / ($back - $place->at->y)));
                // Only what is looked at over the front: past its ends it is the flank that tells.
                $edge = $fronts->contains($in->x) ? new TopEdge($heights->along($place->at, $to)) : null;
                if ($edge !== null && $edge->height() > -INF) {
                    $edges[] = [$edge, $place];
                }
            }
        }

        return $edges;
    }

    /**
     * From where to where some blocks stand across.
     *
     * @param  callable(Box2): bool  $is
     */
    private static function between(Form $form, callable $is): Interval
    {
        $boxes = array_filter(array_map(static fn (BlockForm $b): Box2 => $b->ring->bounds(), $form->blocks), $is);

        return new Interval(
            min([INF, ...array_values(array_map(static fn (Box2 $b): float => $b->x0, $boxes))]),
            max([-INF, ...array_values(array_map(static fn (Box2 $b): float => $b->x1, $boxes))]),
        );
    }

    /** The panel that ends at the cut; null where none does. */
    private static function lastPanel(Form $form, float $back): ?Facet
    {
        foreach ($form->facets as $facet) {
            foreach ($facet->patches as $patch) {
                foreach ($patch->outline->points as $p) {
                    if (abs($p->y - $back) < Tolerance::MEET && abs($facet->gradient()->y) > Tolerance::MEET) {
                        return $facet;
                    }
                }
            }
        }

        return null;
    }

    /**
     * @param  non-empty-list<array{TopEdge, EyePlace}>  $edges
     * @return array{top: float, topFrom: float, squareFrom: ?float, backscene: array{float, EyePlace}}
     */
    private static function topEdge(array $edges, ?Facet $last, float $back, float $gap, float $highest): array
    {
        $top = $square = $backscene = null;
        foreach ($edges as [$edge, $place]) {
            $from = $edge->shownFrom();
            $top = $top === null || $from < $top[1] ? [$edge->height(), $from] : $top;
            $away = $back - $place->at->y;
            // A panel that falls to the back turns its edge away.
            if ($last !== null && $last->gradient()->y > Tolerance::MEET) {
                $square = min($square ?? INF, max($from, $edge->height() + $away / $last->gradient()->y));
            }
            $down = $edge->seenDownTo($highest, ($away + $gap) / $away);
            $backscene = $backscene === null || $down < $backscene[0] ? [$down, $place] : $backscene;
        }

        return ['top' => $top[0], 'topFrom' => $top[1], 'squareFrom' => $square, 'backscene' => $backscene];
    }

    /**
     * Each end past which some eye looks, from where that shows most.
     *
     * @param  list<EyePlace>  $places
     * @param  array{depth: float, whole: float, share: float}  $cut
     * @return list<array{join: Join, end: 'left'|'right', from: EyePlace, hidden: float, place: Vec2}>
     */
    private static function ends(Form $form, array $places, float $front, array $cut, float $gap): array
    {
        $back = $front + $cut['depth'];
        $points = array_merge(...array_map(static fn (BlockForm $b): array => $b->ring->points, $form->blocks));
        $atBack = array_filter($points, static fn (Vec2 $p): bool => abs($p->y - $back) < Tolerance::MEET);
        $found = [];
        foreach ($atBack === [] ? [] : ['left' => -1.0, 'right' => 1.0] as $end => $sign) {
            $x = $sign * max([-INF, ...array_map(static fn (Vec2 $p): float => $sign * $p->x, array_values($atBack))]);
            $place = new Vec2($x, $back);
            $angleTo = static fn (Vec2 $to): float => rad2deg(atan2($sign * ($to->x - $x), $back - $to->y));
            $hidden = max(
                [0.0, ...array_map($angleTo, array_filter($points, static fn (Vec2 $p): bool => $p->y < $back - Tolerance::MEET))],
            );
            $worst = null;
            foreach ($places as $eye) {
                $angle = $angleTo($eye->at);
                $isBeyond = $sign * ($eye->at->x - $x) > Tolerance::MEET && $angle > $hidden;
                if ($isBeyond && ($worst === null || abs(90.0 - $angle) < abs(90.0 - $worst[0]))) {
                    $worst = [$angle, $eye];
                }
            }
            if ($worst !== null) {
                $found[] = [
                    'join' => new Join($cut['depth'], $cut['whole'] - $cut['depth'], $gap, $worst[0]), 'end' => $end, 'from' => $worst[1],
                    'hidden' => $hidden, 'place' => $place,
                ];
            }
        }

        return $found;
    }
}
