<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Meeting;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Trim\ThingParts;

/** The card of a chimney: a box with braces, or layers on each other, and its cap. docs/formulas.md#chimneys */
final readonly class StackCards
{
    /** A brace comes this far up a box, mm. */
    private const BRACED_MM = 25.0;

    /** A box that slips over a peg has so much room a side. */
    private const PEG_ROOM_MM = 0.1;

    public function __construct(private Stack $stack)
    {
    }

    public function make(): PartSet
    {
        $cap = $this->cap();
        $body = match (true) {
            $this->stack->breast !== null => (new BreastCards($this->stack, $this->stack->breast))->make($cap),
            $this->stack->isSolid() => $this->layers($cap, 'layer', 0.0),
            default => $this->box($cap),
        };
        $peg = $this->stack->school() === 'inside' ? $this->layers($cap, 'peg', $this->stack->card() + self::PEG_ROOM_MM) : new PartSet;

        return $body->with($peg)->with(new PartSet([$cap], $this->piled($cap)));
    }

    private function cap(): Part
    {
        $layers = $this->stack->capLayers();
        $out = $this->stack->mm('cap_out');
        $heights = array_map(fn (int $k): float => $this->stack->top - $k * $this->stack->card(), range(0, $layers - 1));

        return $this->plate('cap', 'cap', $out, $heights);
    }

    /** A box of four cards, those on the long sides running past the others. */
    private function box(Part $cap): PartSet
    {
        $sides = array_map($this->side(...), [0, 1, 2, 3]);
        $joints = [];
        foreach ($sides as $i => $side) {
            array_push($joints, ...$this->meets($side, 'head', $cap, 'its cap closes it'));
            foreach ($i % 2 === 1 ? [$sides[0], $sides[2]] : [] as $past) {
                array_push($joints, ...$this->meets($side, 'corner', $past, 'corner of the stack'));
            }
        }
        // A peg keeps it square.
        $braces = $this->stack->school() === 'inside' ? new PartSet : $this->braces($sides);

        return (new PartSet($sides, $joints))->with($braces);
    }

    private function side(int $i): Part
    {
        $t = $this->stack->card();
        $length = $this->stack->length($i);
        $run = $i % 2 === 0 ? new Interval(0.0, $length) : new Interval($t, $length - $t);
        $feet = (new Feet($this->stack))->of($i, $run, $t);
        $corner = new Edge('corner', 'clearance');
        $on = $this->stack->school() === 'through' ? new Edge('foot', 'clearance') : new Edge(ThingParts::ON_ROOF, 'clearance');
        $last = count($feet) - 1;
        $walk = array_map(static fn (Vec2 $p, int $k): array => [$p, $k === $last ? $corner : $on], $feet, array_keys($feet));
        $walk[] = [new Vec2($run->to, $this->stack->head()), new Edge('head', 'clearance')];
        $walk[] = [new Vec2($run->from, $this->stack->head()), $corner];
        $outline = Outline::walk($walk);
        $less = $length - $run->length();
        $width = Figure::given($length, 'over all');
        $name = Stack::SIDES[$i];

        return Part::of(
            $this->stack->name($name), 'T', "Chimney, $name", PartGroup::Trim,
            $this->stack->stock(), $t, $outline, [$this->frame($i)],
            [
                'width' => $less > 0.0 ? $width->less($less, 'less the cards that run past, 2 × '.round($t, 3)) : $width,
                'height' => Figure::given($outline->ring->bounds()->height(), 'from its foot to under its cap'),
            ],
        );
    }

    /** A side's plane, at its left end on the datum. */
    private function frame(int $side): Frame
    {
        return StackFrames::side($this->stack, $side);
    }

    /**
     * Where edges of a card end on the inside of another.
     *
     * @return list<Joint>
     */
    private function meets(Part $part, string $edge, Part $mate, string $why): array
    {
        $joints = [];
        foreach ($part->outline->edgesNamed($edge) as $i) {
            foreach (array_keys($mate->placements) as $copy) {
                $met = Meeting::onFace($part, $i, $mate->with(placements: [$mate->placements[$copy]]), 'inside');
                if ($met !== null) {
                    $joints[] = new Joint(
                        JointKind::Butt, Ref::edge($part->id, $i), Ref::inside($mate->id, $copy), $met->ends, $met->length,
                        free_mm: max(0.0, $part->outline->ring->edgeLength($i) - $met->length), why: $why, touch: $met->touch,
                    );
                }
            }
        }

        return $joints;
    }

    /** @param  list<Part>  $sides */
    private function braces(array $sides): PartSet
    {
        $foot = max([-INF, ...array_map(fn (Part $p): float => $this->stack->head() - $p->height(), $sides)]);
        foreach ($this->stack->tops as $line) {
            $foot = max($foot, $line?->highest() ?? $foot);
        }
        $high = $this->stack->head() - $foot;
        $count = (int) floor($high / self::BRACED_MM);
        if ($count === 0) {
            return new PartSet;
        }
        $heights = array_map(static fn (int $k): float => $foot + $high * $k / ($count + 1), range(1, $count));
        $brace = $this->plate('brace', 'brace', -$this->stack->card(), $heights);
        $joints = [];
        foreach (array_keys($heights) as $copy) {
            foreach ($brace->outline->edges as $i => $edge) {
                $met = Meeting::onFace($brace, $i, $sides[$i], 'inside', $copy);
                $joints = $met === null ? $joints : [...$joints, new Joint(
                    JointKind::Butt, Ref::edge($brace->id, $i, $copy), Ref::inside($sides[$i]->id), $met->ends, $met->length,
                    free_mm: max(0.0, $brace->outline->ring->edgeLength($i) - $met->length), why: 'keeps the stack square',
                    touch: $met->touch,
                )];
            }
        }

        return new PartSet([$brace], $joints);
    }

    /**
     * Layers on each other from the cap down through the roof.
     *
     * @param  float  $in  how much smaller than the plan they are all round
     */
    private function layers(Part $cap, string $name, float $in): PartSet
    {
        $t = $this->stack->card();
        $deep = $this->stack->deep() ?? $this->stack->head();
        $count = max(1, (int) ceil(($this->stack->head() - $deep) / $t));
        $heights = array_map(fn (int $k): float => $this->stack->head() - $k * $t, range(0, $count - 1));
        $layer = $this->plate($name, $name, -$in, $heights);
        $last = count($cap->placements) - 1;

        return new PartSet([$layer], [
            ...$this->piled($layer),
            new Joint(JointKind::Lap, Ref::outside($layer->id), Ref::inside($cap->id, $last), $layer->corners(),
                why: 'its cap lies on it', contact_mm2: $layer->outline->ring->area()),
        ]);
    }

    /**
     * A level card, as large as the plan or so much larger all round.
     *
     * @param  non-empty-list<float>  $heights  of its upper face, above the datum
     */
    private function plate(string $layer, string $name, float $out, array $heights): Part
    {
        [$w, $d] = [$this->stack->w + 2.0 * $out, $this->stack->d + 2.0 * $out];
        $outline = new Outline(Ring::rectangle(0.0, 0.0, $w, $d), array_map(
            static fn (string $side): Edge => new Edge($side, 'clearance'), Stack::SIDES,
        ));
        $sized = static fn (float $whole): Figure => $out === 0.0
            ? Figure::given($whole, 'over all')
            : Figure::given($whole, 'over all')->plus(2.0 * $out, $out > 0.0 ? 'plus 2 × what stands out' : 'less the cards round it');

        return Part::of(
            $this->stack->name($layer), 'T', "Chimney, $name", PartGroup::Trim,
            $this->stack->stock(), $this->stack->card(), $outline,
            array_map(fn (float $z): Frame => StackFrames::level($this->stack, $out, $z), $heights),
            ['width' => $sized($this->stack->w), 'height' => $sized($this->stack->d)],
        );
    }

    /** @return list<Joint> each layer on the one under it */
    private function piled(Part $part): array
    {
        $joints = [];
        foreach (array_slice(array_keys($part->placements), 1) as $copy) {
            $joints[] = new Joint(JointKind::Lap, Ref::inside($part->id, $copy - 1), Ref::outside($part->id, $copy),
                $part->corners($copy), why: 'layers stuck together', contact_mm2: $part->outline->ring->area());
        }

        return $joints;
    }
}
