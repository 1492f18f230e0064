<?php

declare(strict_types=1);

namespace Tests\Core\Output;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\DryFit\Facet;
use Chartula\Core\Kit\DryFit\Folding;

/** The kit as it stands, papers folded, and what of it somebody could see: a place is hidden when card or paper is in every line to it. */
final readonly class Standing
{
    /** Lines go out in so many ways, between square to the face and nearly along it. */
    private const ROUND = 16;

    private const STEEP = [0.999, 0.85, 0.6, 0.35];

    /** What can be seen in no more of these ways lies behind a crack or the rim of a window. */
    private const CREVICE = 4;

    /** Nearer than this is the face itself. */
    private const NEAR_MM = 0.03;

    /**
     * @param  array<string, non-empty-list<Facet>>  $pieces  by id and copy
     * @param  bool  $isRelief  whether nobody looks from behind
     */
    private function __construct(private array $pieces, private bool $isRelief)
    {
    }

    /** @param  array<string, mixed>  $kit */
    public static function of(array $kit, bool $isRelief = false): self
    {
        $pieces = [];
        foreach (Assembly::of($kit)->pieces as $key => $piece) {
            $isFolded = $piece->part->isPaper() && $piece->part->folds !== [];
            $pieces[$key] = $isFolded ? Folding::facets($piece->part, $piece->frame) : $piece->facets;
        }

        return new self($pieces, $isRelief);
    }

    /** Whether a place on the face of a piece can be seen; one just outside it counts as the nearest on it. */
    public function isSeen(string $piece, Vec2 $at): bool
    {
        $best = [INF, $this->pieces[$piece][0]];
        foreach ($this->pieces[$piece] as $facet) {
            $away = $facet->region->contains($at) ? 0.0 : $facet->region->index()->nearest($at, 5.0);
            $best = $away < $best[0] ? [$away, $facet] : $best;
        }
        $frame = $best[1]->frame;
        $from = $frame->at($at, self::NEAR_MM);
        $free = 0;
        foreach (self::STEEP as $up) {
            for ($i = 0; $i < self::ROUND; $i++) {
                $aside = sqrt(1.0 - $up * $up);
                [$c, $s] = [$aside * cos(2.0 * M_PI * $i / self::ROUND), $aside * sin(2.0 * M_PI * $i / self::ROUND)];
                $way = $frame->normal->times($up)->plus($frame->x->times($c))->plus($frame->y->times($s));
                if (! ($this->isRelief && $way->y > 0.0) && ! $this->isHit($from, $way) && ++$free > self::CREVICE) {
                    return true;
                }
            }
        }

        return false;
    }

    private function isHit(Vec3 $from, Vec3 $way): bool
    {
        foreach ($this->pieces as $facets) {
            foreach ($facets as $facet) {
                $frame = $facet->frame;
                $down = $way->dot($frame->normal);
                foreach (abs($down) < 1e-9 ? [] : [0.0, -$facet->thickness] as $depth) {
                    $far = ($depth - $frame->height($from)) / $down;
                    if ($far > 0.0 && $facet->region->contains($frame->project($from->plus($way->times($far))))) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}
