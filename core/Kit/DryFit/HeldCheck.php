<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\Massing\Face;
use Chartula\Core\Kit\DryFit\Massing\Massing;
use Chartula\Core\Measure\Tolerance;

/**
 * Whether something stands in every opening where the document wants something, and, where it wants that held, whether card stands close
 * before its edges. By the document and by where cards stand. docs/formulas.md#frame
 */
final readonly class HeldCheck
{
    /** So far inside its jambs something is looked for, mm: frames are wider. */
    private const INSIDE_MM = 0.2;

    /** What stands in a thin wall may stand so far into the room, mm. */
    private const INTO_ROOM_MM = 12.0;

    /** Between a stop and what leans against it there is paper, mm. */
    private const PAPER_MM = 0.35;

    /** Shares of an opening's height at which its jambs are looked at. */
    private const AT = [0.2, 0.35, 0.5];

    private const BESIDE_MM = 0.05;

    /** Where nobody has said how far, it may reach no more than so far behind what it leans against, mm. */
    private const LEAST_MM = 0.6;

    /** What stands along a wall is looked up by every so many millimetres. */
    private const APART_MM = 10.0;

    /** What stands in an opening is smaller than the card that it goes into by so much on each side, mm. */
    private const PLAY_MM = 0.1;

    /** @param  list<Piece>  $pieces  of card that are near */
    private function __construct(private Face $face, private array $pieces)
    {
    }

    /** @return list<Finding> */
    public static function all(Assembly $assembly, Massing $massing): array
    {
        $findings = [];
        foreach ($massing->faces() as $face) {
            $near = $face->filled === [] ? [] : self::near($assembly, $face, $massing->building->methods->glazing->id);
            foreach ($face->filled as [$ring, $rebate, $layer]) {
                $box = $ring->bounds()->grown($rebate + 1.0);
                $pieces = [];
                for ($at = self::place($box->x0); $at <= self::place($box->x1); $at++) {
                    $pieces += $near[$at] ?? [];
                }
                array_push($findings, ...(new self($face, array_values($pieces)))->one($ring, $rebate, $layer));
            }
        }

        return $findings;
    }

    /**
     * @param  string  $glass  of which stock that is: by itself it fills nothing
     * @return array<int, array<string, Piece>> what stands in a wall or close to it, by where along it that is
     */
    private static function near(Assembly $assembly, Face $face, string $glass): array
    {
        [$deep, $from, $along, $out] = [$face->thickness + self::INTO_ROOM_MM, $face->from, $face->along(), $face->out()];
        // What leans against nothing is asked for by itself.
        $isTrim = array_filter($face->filled, static fn (array $one): bool => $one[1] > 0.0 || $one[2] !== null) === [];
        $near = [];
        foreach ($assembly->pieces as $key => $piece) {
            if ($piece->part->isPaper() || $piece->part->stock === $glass || ($isTrim && $piece->part->group !== 'trim')) {
                continue;
            }
            [$x0, $x1, $y0, $y1] = $piece->box;
            // Written out, since every piece goes through here for every wall.
            [$a, $b, $c, $d] = [
                ($x0 - $from->x) * $out->x, ($x1 - $from->x) * $out->x, ($y0 - $from->y) * $out->y, ($y1 - $from->y) * $out->y,
            ];
            if (max($a, $b) + max($c, $d) < -$deep || min($a, $b) + min($c, $d) > 1.0) {
                continue;
            }
            [$a, $b, $c, $d] = [
                ($x0 - $from->x) * $along->x, ($x1 - $from->x) * $along->x, ($y0 - $from->y) * $along->y, ($y1 - $from->y) * $along->y,
            ];
            $last = self::place(min($face->length(), max($a, $b) + max($c, $d)));
            for ($at = self::place(max(0.0, min($a, $b) + min($c, $d))); $at <= $last; $at++) {
                $near[$at][$key] = $piece;
            }
        }

        return $near;
    }

    private static function place(float $x): int
    {
        return (int) floor($x / self::APART_MM);
    }

    /**
     * @param  ?float  $layer  how deep the layer is in which it may be cut
     * @return list<Finding>
     */
    private function one(Ring $ring, float $rebate, ?float $layer): array
    {
        $inside = self::beside($ring, -self::INSIDE_MM);
        if ($layer !== null && array_filter($inside, fn (Vec2 $at): bool => ! $this->isAt($at, $layer)) === []) {
            return [];
        }
        $where = sprintf('%.1f mm along %s', $ring->bounds()->centre()->x, $this->face->name);
        if (array_filter($inside, fn (Vec2 $at): bool => $this->cards($at, 'trim') === []) !== []) {
            return [new Finding(
                'filling.missing', $this->face->name, "Nothing stands in the opening $where", $ring->bounds()->width(),
            )];
        }
        // Between where the card before it ends and where it ends itself.
        $beside = ($this->face->paper + min($rebate, self::LEAST_MM) - self::PLAY_MM) / 2.0;
        $loose = $rebate <= 0.0 ? [] : array_filter(
            self::beside($ring, $beside),
            fn (Vec2 $at, int $i): bool => ! $this->leans($at, $inside[$i]) && ! $this->isStopped($inside[$i]),
            ARRAY_FILTER_USE_BOTH,
        );

        return $loose === [] ? [] : [new Finding(
            'filling.floats', $this->face->name, "What stands in the opening $where leans against nothing at its edges", $rebate,
        )];
    }

    /** Whether card begins so deep behind a place. */
    private function isAt(Vec2 $at, float $depth): bool
    {
        return array_filter($this->cards($at), static fn (array $card): bool => abs($card[0] - $depth) < Tolerance::MEET) !== [];
    }

    /**
     * Places so far outside its jambs, where those are upright.
     *
     * @return list<Vec2>
     */
    private static function beside(Ring $ring, float $by): array
    {
        $box = $ring->bounds();
        $places = [];
        foreach (self::AT as $share) {
            $y = $box->y0 + $share * $box->height();
            $isUpright = $ring->contains(new Vec2($box->x0 + self::BESIDE_MM, $y))
                && $ring->contains(new Vec2($box->x1 - self::BESIDE_MM, $y));
            array_push($places, ...$isUpright ? [new Vec2($box->x0 - $by, $y), new Vec2($box->x1 + $by, $y)] : []);
        }

        return $places;
    }

    /**
     * Whether what is behind both of two places stands close behind card of the wall at the first, or behind what is stuck on that.
     *
     * @param  Vec2  $inside  within the opening, where nothing of the wall is
     */
    private function leans(Vec2 $at, Vec2 $inside): bool
    {
        $filling = array_column($this->cards($inside), 3);
        $cards = $this->cards($at);
        usort($cards, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $ends = [];
        foreach ($cards as [$from, $to, $group, $key]) {
            $gaps = array_map(static fn (float $end): float => $from - $end, $ends);
            $isClose = array_filter($gaps, static fn (float $gap): bool => $gap > -Tolerance::MEET && $gap < self::PAPER_MM) !== [];
            if ($isClose && $group === 'trim' && in_array($key, $filling, true)) {
                return true;
            }
            $ends = $isClose || $group !== 'trim' ? [...$ends, $to] : $ends;
        }

        return false;
    }

    /** Whether close behind a card within the opening something stands across it. */
    private function isStopped(Vec2 $inside): bool
    {
        $behind = array_map(static fn (array $card): float => $card[1] + self::BESIDE_MM, $this->cards($inside, 'trim'));
        foreach ($this->pieces as $piece) {
            foreach ($behind === [] ? [] : $piece->facets as $facet) {
                $isAcross = abs($facet->frame->normal->dot($this->face->frame()->normal)) < Tolerance::UNIT;
                foreach ($isAcross ? $behind : [] as $depth) {
                    $place = $this->face->frame()->at($inside, -$depth);
                    $height = $facet->frame->height($place);
                    if ($height <= 0.0 && $height >= -$facet->thickness && $facet->region->contains($facet->frame->project($place))) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /**
     * Card behind a place of the face: from how deep to how deep, and of which group.
     *
     * @param  ?string  $group  of which alone it is asked; null for all
     * @return list<array{float, float, string, int}> and of which of the pieces
     */
    private function cards(Vec2 $at, ?string $group = null): array
    {
        $cards = [];
        foreach ($this->pieces as $key => $piece) {
            foreach ($group === null || $piece->part->group === $group ? $piece->facets : [] as $facet) {
                $place = $this->face->frame()->at($at);
                $faces = $facet->frame->normal->dot($this->face->frame()->normal);
                if ($faces > 1.0 - Tolerance::UNIT && $facet->region->contains($facet->frame->project($place))) {
                    $depth = $facet->frame->height($place);
                    $cards[] = [$depth, $depth + $facet->thickness, $piece->part->group, $key];
                }
            }
        }

        return array_values(array_filter($cards, fn (array $c): bool => $c[0] < $this->face->thickness + self::INTO_ROOM_MM));
    }
}
