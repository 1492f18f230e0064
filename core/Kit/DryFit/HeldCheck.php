<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\Massing\Face;
use Chartula\Core\Kit\DryFit\Massing\Faces;
use Chartula\Core\Kit\DryFit\Massing\Massing;
use Chartula\Core\Measure\Tolerance;

/**
 * Whether something stands in every opening where the document wants something, and, where it wants that held, whether card stands close
 * before its edges. By the document and by where cards stand. docs/formulas.md#frame
 */
final readonly class HeldCheck
{
    /** So far inside its jambs something is looked for, mm: frames are wider. */
    private const INSIDE_MM = 0.3;

    /** What stands in a thin wall may stand so far into the room, mm. */
    private const INTO_ROOM_MM = 4.0;

    /** Between a stop and what leans against it there is paper, mm. */
    private const PAPER_MM = 0.35;

    /** Shares of an opening's height at which its jambs are looked at. */
    private const AT = [0.2, 0.35, 0.5];

    private const BESIDE_MM = 0.05;

    /** What stands in an opening is smaller than the card that it goes into by so much on each side, mm. */
    private const PLAY_MM = 0.1;

    /** @param  list<Piece>  $pieces  of card and glass that are near */
    private function __construct(private Face $face, private array $pieces)
    {
    }

    /** @return list<Finding> */
    public static function all(Assembly $assembly, Massing $massing): array
    {
        $findings = [];
        foreach (Faces::of($massing) as $face) {
            $deep = $face->thickness + self::INTO_ROOM_MM;
            foreach ($face->filled as [$ring, $rebate]) {
                $box = $ring->bounds()->grown($rebate + 1.0);
                [$from, $to] = [$face->frame()->point($box->x0, $box->y0, 1.0), $face->frame()->point($box->x1, $box->y1, -$deep)];
                $room = [
                    min($from->x, $to->x), max($from->x, $to->x), min($from->y, $to->y), max($from->y, $to->y), $from->z, $to->z,
                ];
                $self = new self($face, array_values(array_filter(
                    $assembly->pieces,
                    static fn (Piece $p): bool => ! $p->part->isPaper() && $p->comesInto($room),
                )));
                array_push($findings, ...$self->one($ring, $rebate));
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function one(Ring $ring, float $rebate): array
    {
        $where = sprintf('%.1f mm along %s', $ring->bounds()->centre()->x, $this->face->name);
        if (array_filter(self::beside($ring, -self::INSIDE_MM), fn (Vec2 $at): bool => $this->cards($at) === []) !== []) {
            return [new Finding(
                'filling.missing', $this->face->name, "Nothing stands in the opening $where", $ring->bounds()->width(),
            )];
        }
        // Between where the card before it ends and where it ends itself.
        $beside = ($this->face->paper + $rebate - self::PLAY_MM) / 2.0;
        $loose = $rebate <= 0.0 ? [] : array_filter(self::beside($ring, $beside), fn (Vec2 $at): bool => ! $this->isStopped($at));

        return $loose === [] ? [] : [new Finding(
            'filling.floats', $this->face->name, "What stands in the opening $where leans against nothing at its edges", $rebate,
        )];
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

    /** Whether of two cards behind a place one stands close before the other: the wall's, and what leans on it. */
    private function isStopped(Vec2 $at): bool
    {
        $cards = $this->cards($at);
        foreach ($cards as [$from, , $group]) {
            foreach ($cards as [, $to, $other]) {
                $gap = $from - $to;
                if ($group === 'trim' && $other !== 'trim' && $gap > -Tolerance::MEET && $gap < self::PAPER_MM) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<array{float, float, string}> card behind a place of the face: from how deep to how deep, and of which group */
    private function cards(Vec2 $at): array
    {
        $cards = [];
        foreach ($this->pieces as $piece) {
            foreach ($piece->facets as $facet) {
                $place = $this->face->frame()->at($at);
                $faces = $facet->frame->normal->dot($this->face->frame()->normal);
                if ($faces > 1.0 - Tolerance::UNIT && $facet->region->contains($facet->frame->project($place))) {
                    $depth = $facet->frame->height($place);
                    $cards[] = [$depth, $depth + $facet->thickness, $piece->part->group];
                }
            }
        }

        return array_values(array_filter($cards, fn (array $c): bool => $c[0] < $this->face->thickness + self::INTO_ROOM_MM));
    }
}
