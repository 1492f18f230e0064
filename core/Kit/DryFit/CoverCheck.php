<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Massing\Massing;
use Chartula\Core\Kit\DryFit\Massing\Surface;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Recall\Recall;

/**
 * The outside of the building, as its document describes it, is filled with card exactly. What the kit says of its own outside
 * is held to the same, and excuses nothing: a gap counts as closed only where a board or a paper that really stands there
 * closes it. docs/formulas.md#dry-fit
 */
final class CoverCheck
{
    /** Two planes that turn by no more than this, as one less the cosine, may be taken for each other. */
    private const NEARLY = 0.0001;

    /** Nor that lie further apart, mm. */
    private const RIVAL_MM = 1.0;

    /** Gives the groups of parts that fill each kind of surface. */
    private const GROUP_OF = ['wall' => 'shell', 'slope' => 'roof'];

    /** What closes a gap lies no further from its plane than so many times the thickness of card. */
    private const BEHIND = 2.0;

    /** @var list<Finding> */
    private array $findings = [];

    /** @var list<Excused> */
    private array $excused = [];

    public function __construct(
        private readonly Assembly $assembly,
        private readonly Massing $massing,
        private readonly Recall $recall,
    ) {
    }

    /** @return list<Finding> */
    public function all(): array
    {
        $surfaces = $this->massing->surfaces();
        $frames = array_map(static fn (Surface $s): Frame => $s->frame(), $surfaces);
        $corners = array_map(static fn (Surface $s): array => $s->corners(), $surfaces);
        $kit = array_map(self::said(...), $this->assembly->kit->children('outside'));
        $keys = array_map(static fn (Surface $s): string => $s->key(), $surfaces);
        foreach ($surfaces as $i => $surface) {
            $flush = array_filter($surfaces, static fn (Surface $other, int $k): bool =>
                $other->kind() === $surface->kind() && self::isFlush($frames[$i], $frames[$k], $corners[$k]), ARRAY_FILTER_USE_BOTH);
            $said = array_values(array_filter($kit, static fn (array $said): bool => self::isFlush($frames[$i], $said[1], $said[2])));
            $rivals = $surface->kind() === 'slope' ? self::rivals($frames[$i], array_diff_key($frames, $flush)) : [];
            $plates = $this->plates($surface->kind(), $frames[$i], array_values(array_intersect_key($frames, $flush)), $rivals);
            $question = Recall::question(
                'cover',
                [$keys[$i], ...array_values(array_intersect_key($keys, $flush))],
                array_map(static fn (array $said): array => $said[0]->values, $said),
                $plates,
            );
            $open = $this->recall->of($question, static fn (): ?Uncovered => Uncovered::of(
                new CoverLines($surface, array_values($flush), $said, $plates),
                $frames[$i],
            ));
            if ($open !== null) {
                $closing = new Closing($surface, $this->pieces($surface, $frames[$i]));
                $through = Through::of($surface, array_values($this->assembly->pieces));
                $answer = $this->recall->of(
                    Recall::question('closed', $question, $closing->key($open->box), $through->key()),
                    static fn (): Cover => Cover::of($open, $closing, $through),
                );
                $this->tell($surface->name(), $answer);
            }
        }
        $this->sizes();

        return $this->findings;
    }

    /** @return list<Excused> once all() has run */
    public function excused(): array
    {
        return $this->excused;
    }

    /**
     * @param  'wall'|'slope'  $kind
     * @param  list<Frame>  $planes  the surface's own, and those that lie flush with it
     * @param  list<Frame>  $rivals
     * @return list<Region> the card in the plane of a surface
     */
    private function plates(string $kind, Frame $frame, array $planes, array $rivals): array
    {
        $card = array_filter(
            $this->assembly->pieces,
            static fn (Piece $p): bool => $p->part->group === self::GROUP_OF[$kind]
                && $p->mayReach($frame, Tolerance::COVER)
                && self::isNearest($p, $planes, $rivals),
        );

        return Plates::in($frame, $card, $kind);
    }

    /** @return list<Piece> boards and papers that come near a surface */
    private function pieces(Surface $surface, Frame $frame): array
    {
        $reach = self::BEHIND * $surface->thickness() + Tolerance::COVER;

        return array_values(array_filter(
            $this->assembly->pieces,
            static fn (Piece $p): bool => ($p->part->isPaper() || $p->part->edgesMustMeet()) && $p->mayReach($frame, $reach),
        ));
    }

    /**
     * Whether a board lies no nearer to planes that are nearly one with those of a surface than to these.
     *
     * @param  list<Frame>  $planes
     * @param  list<Frame>  $rivals
     */
    private static function isNearest(Piece $piece, array $planes, array $rivals): bool
    {
        foreach ($rivals === [] ? [] : $piece->facets as $facet) {
            foreach (['outside' => 0.0, 'inside' => -$facet->thickness] as $face => $out) {
                $points = array_map(static fn (Vec2 $p): Vec3 => $facet->frame->at($p, $out), $facet->face($face)->outline->points);
                $off = min([INF, ...array_map(static fn (Frame $f): float => self::off($points, $f), $planes)]);
                $its = min([INF, ...array_map(static fn (Frame $f): float => self::off($points, $f), $rivals)]);
                if ($off < Tolerance::COVER && $its < $off - Tolerance::EDGE) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * Planes that are not one with a surface's, and so near it that card of one may be taken for the other's.
     *
     * @param  array<int, Frame>  $others  of surfaces that do not lie flush with it
     * @return list<Frame>
     */
    private static function rivals(Frame $frame, array $others): array
    {
        return array_values(array_filter($others, static fn (Frame $other): bool =>
            $frame->normal->dot($other->normal) > 1.0 - self::NEARLY && abs($frame->height($other->origin)) < self::RIVAL_MM));
    }

    /** @return array{KitShape, Frame, non-empty-list<Vec3>} what the kit says of an outside, its plane, and its corners */
    private static function said(KitShape $outside): array
    {
        $frame = $outside->frame();
        $isSlope = $outside->text('kind') === 'slope';

        return [$outside, $frame, $isSlope ? array_map($frame->at(...), $outside->ring('outline')->points) : [$frame->origin]];
    }

    /** @param  list<Vec3>  $points */
    private static function off(array $points, Frame $plane): float
    {
        return max([0.0, ...array_map(static fn (Vec3 $p): float => abs($plane->height($p)), $points)]);
    }

    private function tell(string $name, Cover $cover): void
    {
        foreach ([
            ['outside.cover', $cover->missing, 'On the outside of %s card is missing over %.2f mm'],
            ['outside.cover', $cover->beyond, 'On the outside of %s card stands out over %.2f mm'],
            ['outside.unsaid', $cover->unsaid, 'The kit leaves out %2$.2f mm of the outside of %1$s, or says more of it than there is'],
            ['outside.gap', $cover->falseGap, 'The kit says that the outside of %s is open where it is not, over %.2f mm'],
        ] as [$code, $mm, $words]) {
            if ($mm > Tolerance::COVER) {
                $this->findings[] = new Finding($code, $name, sprintf($words, $name, $mm), $mm);
            }
        }
        if ($cover->excused !== null) {
            $this->excused[] = new Excused($name, ...$cover->excused);
        }
    }

    /** @param  non-empty-list<Vec3>  $corners  of the other */
    private static function isFlush(Frame $a, Frame $b, array $corners): bool
    {
        return $a->normal->dot($b->normal) > 1.0 - Tolerance::UNIT && self::off($corners, $a) < Tolerance::COVER;
    }

    private function sizes(): void
    {
        $scale = $this->assembly->kit->number('scale');
        foreach ($this->assembly->kit->children('outside') as $surface) {
            $real = $surface->has('real_mm') ? $surface->child('real_mm') : null;
            $box = $surface->ring('outline')->bounds();
            foreach ($real === null ? [] : [[$box->width(), $real->number('0')], [$box->height(), $real->number('1')]] as [$found, $size]) {
                if (abs($found - $size / $scale) > Tolerance::MEET) {
                    $name = $surface->text('name');
                    $this->findings[] = new Finding(
                        'outside.size',
                        $name,
                        sprintf('The outside of %s measures %.3f mm; the scale says %.3f mm', $name, $found, $size / $scale),
                        abs($found - $size / $scale),
                    );
                }
            }
        }
    }
}
