<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Recall\Recall;

/** Measures each declared joint where the parts stand, and says where it differs from what is declared. */
final class JointCheck
{
    /** Two rings of chords run beside each other to within a chord's error on each. */
    private const CURVED = Tolerance::MEET + 2.0 * Tolerance::CHORD;

    /** An edge longer than this is measured in three places. */
    private const LONG_MM = 1.0;

    /** An edge is looked for so far beyond its gap before the whole outline is. */
    private const NEAR_MM = 0.15;

    /** An area of contact may differ by a line of MEET along a short side. */
    private const AREA_MM2 = 0.5;

    /** A strip may also be out by this share of itself, since a fold takes up a little of a narrow one. */
    private const AREA_SHARE = 0.015;

    /** @var list<Finding> */
    private array $findings = [];

    /** @var list<JointMeasure> */
    private array $measures = [];

    private readonly SharedAreas $areas;

    /** How thick the thickest paper of the kit is; 0 where there is none. */
    private readonly float $paper;

    /** The worst that was found at the joint in hand, and its figures in words. */
    private float $off = 0.0;

    /** @var list<string> */
    private array $found = [];

    /** @var list<array{string, string, float}> code, text and millimetres of what is wrong with it */
    private array $wrong = [];

    public function __construct(
        private readonly Assembly $assembly,
        private readonly Recall $recall,
    ) {
        $this->areas = new SharedAreas;
        $papers = array_filter($assembly->parts, static fn (KitPart $p): bool => $p->isPaper());
        $this->paper = max([0.0, ...array_map(static fn (KitPart $p): float => $p->thickness, array_values($papers))]);
    }

    /** @return list<Finding> */
    public function all(): array
    {
        foreach ($this->assembly->joints as [$joint, $a, $b]) {
            $one = $this->assembly->pieces[$a->key()] ?? null;
            $other = $this->assembly->pieces[$b->key()] ?? null;
            if ($one === null || $other === null) {
                [$this->off, $this->found, $this->wrong] = [0.0, [], []];
                $this->add('joint.part-missing', $joint, 'names '.($one === null ? $a->part : $b->part).', which is not in the kit');
                $answer = [0.0, [], $this->wrong];
            } else {
                $said = Recall::question('said', ['id' => ''] + $joint->values, $this->paper);
                $answer = $this->recall->of(
                    "joint$one->fingerprint$other->fingerprint$said",
                    fn (): array => $this->letIn($joint, $said, [$one, $a], [$other, $b]) ?? $this->meet($joint, $one, $a, $other, $b),
                );
            }
            [$off, $found, $wrong] = $answer;
            foreach ($wrong as [$code, $text, $mm]) {
                $this->findings[] = new Finding($code, $joint->text('id'), $text, $mm);
            }
            $this->measures[] = new JointMeasure(
                $joint->text('id'),
                $joint->text('kind'),
                $a->part,
                $b->part,
                $off,
                implode(', ', $found),
                $wrong === [],
                $joint->textOrNull('why') ?? '',
            );
        }

        return $this->findings;
    }

    /**
     * What stands in an opening is measured anew only where that opening, or what is near, is another: not for others in the same wall.
     * Null where it is no such joint, or something is wrong with it, which is then measured against all that there is.
     *
     * @param  string  $said  all that the joint says, but for its id
     * @param  array{Piece, Side}  $in
     * @param  array{Piece, Side}  $round
     * @return ?array{float, list<string>, list<array{string, string, float}>}
     */
    private function letIn(KitShape $joint, string $said, array $in, array $round): ?array
    {
        [[$one, $a], [$other, $b]] = [$in, $round];
        $hole = $b->hole === null || $joint->text('kind') !== 'clearance' ? null : $other->part->region->holes[$b->hole] ?? null;
        if ($hole === null) {
            return null;
        }
        $box = array_map(static fn (float $at, int $i): float => $at + ($i % 2 === 0 ? -1.0 : 1.0), $one->box, array_keys($one->box));
        [$x0, $x1, $y0, $y1, $z0, $z1] = $box;
        $near = array_map(static fn (Facet $f): ?array => $f->within([$x0, $x1, $y0, $y1, $z0, $z1]), $other->facets);
        $answer = $this->recall->of(
            Recall::question('let in', $one->fingerprint, $said, $hole, $near),
            fn (): array => $this->meet($joint, $one, $a, $other, $b),
        );

        return $answer[2] === [] ? $answer : null;
    }

    /** @return array{float, list<string>, list<array{string, string, float}>} the worst, the figures in words, what is wrong */
    private function meet(KitShape $joint, Piece $one, Side $a, Piece $other, Side $b): array
    {
        [$this->off, $this->found, $this->wrong] = [0.0, [], []];
        $this->places($joint, $one, $other);
        match ($joint->text('kind')) {
            'butt', 'seat' => $this->edgeOnFace($joint, $one, $a, $other, $b),
            'mitre' => $this->mitre($joint, $one, $a, $other, $b),
            'lap' => $this->lap($joint, $one, $a, $other, $b),
            'clearance' => $this->clearance($joint, $one, $a, $other, $b),
            default => $this->add('joint.unknown-kind', $joint, 'is of no kind that can be measured'),
        };

        return [$this->off, $this->found, $this->wrong];
    }

    /** @return list<JointMeasure> worst first, once all() has run */
    public function measures(): array
    {
        $measures = $this->measures;
        usort($measures, static fn (JointMeasure $p, JointMeasure $q): int => [$p->closes, $q->off] <=> [$q->closes, $p->off]);

        return $measures;
    }

    private function add(string $code, KitShape $joint, string $text, float $mm = 0.0): void
    {
        $a = Side::read($joint->child('a'))->part;
        $b = Side::read($joint->child('b'))->part;
        $this->off = max($this->off, $mm);
        $this->wrong[] = [$code, "The joint of $a with $b $text", $mm];
    }

    /** A figure for the page, once each; nothing left free need not be said. */
    private function note(string $what, float $found): void
    {
        $words = sprintf(
            $what === 'lies on each other over (mm²)' ? 'lies on each other over %.2f mm²' : "$what %.2f mm",
            abs($found) < 0.005 ? 0.0 : $found,
        );
        if (! in_array($words, [...$this->found, 'leaves free 0.00 mm'], true)) {
            $this->found[] = $words;
        }
    }

    private function compare(
        KitShape $joint,
        string $code,
        string $what,
        float $found,
        float $declared,
        float $tolerance = Tolerance::MEET,
    ): void {
        $off = $found - $declared;
        $this->off = max($this->off, abs($off));
        $this->note($what, $found);
        if (! (abs($off) <= $tolerance)) {
            $this->add($code, $joint, sprintf('%s %.3f mm, not %.3f mm', $what, $found, $declared), abs($off));
        }
    }

    /** Every declared point of contact lies on the outline of one of the two; of a paper stuck to its wall, at a corner of the paper. */
    private function places(KitShape $joint, Piece $one, Piece $other): void
    {
        $isPaper = $one->part->isPaper() && $joint->text('kind') === 'lap';
        foreach ($joint->points3('contact') as $point) {
            $isThere = $isPaper
                ? $one->isCorner($point, 2.0 * Tolerance::MEET)
                : $one->isAt($point, 2.0 * Tolerance::MEET) || $other->isAt($point, 2.0 * Tolerance::MEET);
            if (! $isThere) {
                $off = $isPaper ? $one->distanceTo($point) : min($one->distanceTo($point), $other->distanceTo($point));
                $this->add('joint.place', $joint, sprintf('is declared %.3f mm away from '.($isPaper ? 'its corner' : 'both'), $off), $off);

                return;
            }
        }
    }

    private function edgeOnFace(KitShape $joint, Piece $one, Side $a, Piece $other, Side $b): void
    {
        $wanted = $joint->textOrNull('touch') ?? 'strip';
        $face = $b->edge !== null ? 'outside' : ($b->face ?? 'inside');
        $best = null;
        foreach ($b->edge !== null ? [$other->end($b->edge)] : $other->facets as $facet) {
            $contact = Contact::find($one, $a->edge ?? 0, $facet, $face);
            if ($contact !== null && ($best === null || $contact->length > $best->length)) {
                $best = $contact;
            }
        }
        if ($best === null || $best->touch !== $wanted) {
            $this->add(
                'joint.open',
                $joint,
                $best === null ? 'does not close' : "touches as a $best->touch, not as a $wanted",
                $this->leastGap($one, $a->edge ?? 0, $other, $face),
            );

            return;
        }
        $this->compare($joint, 'joint.length', 'closes over', $best->length, $joint->number('contact_mm'));
        $length = $one->part->region->outline->edgeLength($a->edge ?? 0);
        $this->compare($joint, 'joint.free', 'leaves free', max(0.0, $length - $best->length), $joint->number('free_mm'));
    }

    private function leastGap(Piece $one, int $edge, Piece $other, string $face): float
    {
        return min(
            array_map(
                static fn (Facet $f): float => max(array_map(static fn (Vec3 $p): float => abs($f->beyond($p, $face)), $one->strip($edge))),
                $other->facets,
            ),
        );
    }

    /** Measures two edges that share a line: their inner arrises at a ridge or hip, their outer ones in a valley. */
    private function mitre(KitShape $joint, Piece $one, Side $a, Piece $other, Side $b): void
    {
        [$met, $open] = $joint->textOrNull('touch') === 'outside' ? [0, 2] : [2, 0];
        $p = $one->strip($a->edge ?? 0, $a->hole);
        $q = $other->strip($b->edge ?? 0, $b->hole);
        $where = $met === 2 ? 'on the inside' : 'on the outside';
        $along = $p[$met + 1]->minus($p[$met]);
        $length = $along->length();
        $along = $along->times(1.0 / $length);
        $at = [];
        $off = 0.0;
        // The two run against each other.
        foreach ([$q[$met + 1], $q[$met]] as $point) {
            $s = $point->minus($p[$met])->dot($along);
            $off = max($off, $point->distanceTo($p[$met]->plus($along->times($s))));
            $at[] = $s;
        }
        $this->compare($joint, 'joint.open', "parts $where by", $off, 0.0);
        $this->compare(
            $joint,
            'joint.length',
            'closes over',
            max(0.0, min($length, $at[1]) - max(0.0, $at[0])),
            $joint->number('contact_mm'),
        );
        $this->compare(
            $joint,
            'joint.free',
            'leaves free',
            $length - max(0.0, min($length, $at[1]) - max(0.0, $at[0])),
            $joint->number('free_mm'),
        );
        // How far the other arrises part, square to the line.
        $across = $q[$open]->minus($p[$open]);
        $gap = $across->minus($along->times($across->dot($along)))->length();
        $this->compare($joint, 'joint.gap', 'is open '.($met === 2 ? 'outside' : 'inside').' by', $gap, $joint->number('gap_mm'));
    }

    /** Measures two faces on each other. */
    private function lap(KitShape $joint, Piece $one, Side $a, Piece $other, Side $b): void
    {
        $best = [INF, null, null];
        foreach ($one->facets as $f) {
            foreach ($other->facets as $g) {
                $off = max(array_map(
                    static fn (Vec2 $p): float =>
                        abs($f->beyond($g->frame->at($p, $b->face === 'inside' ? -$g->thickness : 0.0), $a->face ?? 'inside')),
                    $g->face($b->face ?? 'outside')->outline->points,
                ));
                // Of two that lie in one plane, as a face and the lap under it, the first.
                if ($off < $best[0] - Tolerance::EDGE) {
                    $best = [$off, $f, $g];
                }
            }
        }
        [$off, $f, $g] = $best;
        // Nothing lies between two faces but paper.
        $between = min($joint->number('gap_mm'), $this->paper);
        $this->compare($joint, 'joint.open', 'lifts off by', $off, $between);
        if ($joint->has('contact_mm2') && $f instanceof Facet && $g instanceof Facet && abs($off - $between) <= Tolerance::MEET) {
            $area = $joint->number('contact_mm2');
            $this->compare(
                $joint,
                'joint.area',
                'lies on each other over (mm²)',
                $this->areas->of($one, [$f, $a->face ?? 'inside'], $other, [$g, $b->face ?? 'outside']),
                $area,
                max(self::AREA_MM2, self::AREA_SHARE * $area),
            );
        }
    }

    private function clearance(KitShape $joint, Piece $one, Side $a, Piece $other, Side $b): void
    {
        $gap = $joint->number('gap_mm');
        if ($b->hole !== null) {
            $hole = $other->part->region->holes[$b->hole] ?? null;
            if ($hole === null) {
                $this->add('joint.part-missing', $joint, 'names an opening that is not there');

                return;
            }
            foreach (range(0, $hole->count() - 1) as $edge) {
                $this->beside($joint, [$hole->point($edge), $hole->point($edge + 1)], $other->frame, $one, $gap);
            }
        } elseif ($b->face === 'outline') {
            $ring = $one->part->region->outline;
            $this->beside($joint, [$ring->point($a->edge ?? 0), $ring->point(($a->edge ?? 0) + 1)], $one->frame, $other, $gap);
        } else {
            $facet = $other->facets[0];
            $least = min(array_map(static fn (Vec3 $p): float => $facet->beyond($p, $b->face ?? 'inside'), $one->strip($a->edge ?? 0)));
            $this->compare($joint, 'joint.gap', 'keeps', $least, $gap);
        }
    }

    /**
     * Points along an edge keep the gap from the outline of $inner.
     *
     * @param  array{Vec2, Vec2}  $edge
     */
    private function beside(KitShape $joint, array $edge, Frame $frame, Piece $inner, float $gap): void
    {
        $index = $inner->facets[0]->region->index();
        // The chords of an arc are short, and their middles say enough.
        foreach ($edge[0]->distanceTo($edge[1]) > self::LONG_MM ? [0.25, 0.5, 0.75] : [0.5] as $at) {
            $point = $edge[0]->plus($edge[1]->minus($edge[0])->times($at));
            $place = $inner->frame->project($frame->at($point));
            $near = $index->nearest($place, abs($gap) + self::NEAR_MM);
            $found = ($near === INF ? $inner->part->region->outline->distanceTo($place) : $near) * ($index->contains($place) ? -1.0 : 1.0);
            if (abs($found - $gap) > self::CURVED) {
                $this->compare($joint, 'joint.gap', 'keeps', $found, $gap, self::CURVED);

                return;
            }
            $this->off = max($this->off, abs($found - $gap));
        }
        $this->note('keeps', $gap);
    }
}
