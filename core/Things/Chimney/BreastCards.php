<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
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

/**
 * The card of a chimney outside a wall: a front and a back of its whole outline, with its sides and its shoulders between them; or as many
 * layers of that outline as it is deep. docs/formulas.md#chimneys-on-walls
 */
final readonly class BreastCards
{
    /** Between its sides there is a brace at least so often, mm. */
    private const BRACED_MM = 25.0;

    /** How near two heights are the same. */
    private const SAME_MM = 0.001;

    private Stack $wide;

    public function __construct(private Stack $stack, private Breast $breast)
    {
        $this->wide = $stack->overBreast();
    }

    public function make(Part $cap): PartSet
    {
        $body = $this->body();
        $joints = $this->heads($body, $cap);
        if ($this->breast->layers > 0) {
            return new PartSet([$body], [...$joints, ...$this->layered($body)]);
        }
        $between = $this->between();
        foreach ($between as $card) {
            array_push($joints, ...$this->ends($card, $body), ...$this->heads($card, $cap));
        }

        return (new PartSet([$body, ...$between], $joints))->with($this->braces($body));
    }

    /** Its outline: a front and a back, or every layer. */
    private function body(): Part
    {
        $t = $this->stack->card();
        $layers = $this->breast->layers;
        $behind = $layers > 0
            ? array_map(static fn (int $k): float => $k * $t, range(0, $layers - 1))
            : [0.0, $this->breast->deep - $t];
        $front = StackFrames::side($this->stack, 0);
        $points = $this->breast->outline($this->stack->head());
        $head = max(array_map(static fn (Vec2 $p): float => $p->y, $points));
        $isHead = static fn (int $i): bool => min($points[$i]->y, $points[($i + 1) % count($points)]->y) > $head - self::SAME_MM;
        $outline = Outline::walk(array_map(
            static fn (Vec2 $p, int $i): array => [$p, new Edge($isHead($i) ? 'head' : 'side', 'clearance')],
            $points,
            array_keys($points),
        ));
        [$layer, $words] = $layers > 0 ? ['layer', 'layer'] : ['front', 'front and back'];

        return Part::of(
            $this->stack->name($layer), 'T', "Chimney, $words", PartGroup::Trim, $this->stack->stock(), $t, $outline,
            array_map(static fn (float $by): Frame => $front->moved(0.0, 0.0, -$by), $behind),
            [
                'width' => Figure::given($this->breast->wide->length(), 'over all'),
                'height' => Figure::given($outline->ring->bounds()->height(), 'from its foot to under its cap'),
            ],
        );
    }

    /** @return list<Part> its sides and its shoulders */
    private function between(): array
    {
        $cards = [];
        [$foot, $seam, $head] = [$this->breast->foot, $this->breast->top, $this->stack->head()];
        foreach (['left' => 3, 'right' => 1] as $side => $number) {
            $frame = $this->sideFrame($this->stack, $number);
            if (! in_array($side, $this->breast->shoulders(), true)) {
                $cards[] = $this->upright($side, new Interval($foot, $head), $frame);

                continue;
            }
            $shoulder = $this->shoulder($side);
            // Where the shoulder, cut square, comes down to inside it.
            $top = $this->breast->shoulder - $this->stack->card() * $shoulder->placements[0]->normal->z;
            $cards[] = $this->upright("breast-$side", new Interval($foot, $top), $this->sideFrame($this->wide, $number));
            $cards[] = $shoulder;
            $cards[] = $this->upright($side, new Interval($seam, $head), $frame);
        }

        return $cards;
    }

    /** A side’s plane, from the end of it that is farther left as seen from outside, at the inside of what it ends on there. */
    private function sideFrame(Stack $stack, int $side): Frame
    {
        return StackFrames::side($stack, $side)->moved($this->stack->card(), 0.0);
    }

    /** How long what stands between the front and the back is. */
    private function run(): Figure
    {
        return Figure::given($this->breast->deep, 'from its back to its front')
            ->less(2.0 * $this->stack->card(), 'less its front and back, 2 ×');
    }

    private function upright(string $name, Interval $heights, Frame $frame): Part
    {
        $ring = Ring::rectangle(0.0, $heights->from, $this->run()->mm, $heights->to);

        return $this->card([$name, str_replace('-', ', ', $name)], $ring, $frame, Figure::given($heights->length(), 'from its foot up'));
    }

    /** @param  'left'|'right'  $side */
    private function shoulder(string $side): Part
    {
        $frame = self::slope($this->stack, $this->breast, $side)->moved($this->stack->card(), 0.0);
        $up = Figure::given(hypot($this->breast->stepsIn($side), $this->breast->top - $this->breast->shoulder), 'up its slope');

        return $this->card(["shoulder-$side", "$side shoulder"], Ring::rectangle(0.0, 0.0, $this->run()->mm, $up->mm), $frame, $up);
    }

    /**
     * The plane of a shoulder: x level, from left to right as seen from outside, y up it from its lower edge.
     *
     * @param  'left'|'right'  $side
     */
    public static function slope(Stack $stack, Breast $breast, string $side): Frame
    {
        $plane = StackFrames::side($stack->overBreast(), $side === 'left' ? 3 : 1);
        $in = $plane->normal->times(-$breast->stepsIn($side))->plus(new Vec3(0.0, 0.0, $breast->top - $breast->shoulder));

        return new Frame($plane->at(new Vec2(0.0, $breast->shoulder)), $plane->x, $in->times(1.0 / $in->length()));
    }

    /** @param  array{string, string}  $called  its layer, and its words */
    private function card(array $called, Ring $ring, Frame $frame, Figure $height): Part
    {
        $names = ['foot', 'corner', 'head', 'corner'];

        return Part::of(
            $this->stack->name($called[0]), 'T', "Chimney, $called[1]", PartGroup::Trim, $this->stack->stock(), $this->stack->card(),
            new Outline($ring, array_map(static fn (string $name): Edge => new Edge($name, 'clearance'), $names)), [$frame],
            ['width' => $this->run(), 'height' => $height],
        );
    }

    /** @return list<Joint> where a card ends on the inside of the front, and on what of the back looks inwards */
    private function ends(Part $card, Part $body): array
    {
        $joints = [];
        foreach ($card->outline->edgesNamed('corner') as $i) {
            foreach ([0 => 'inside', 1 => 'outside'] as $copy => $face) {
                $met = Meeting::onFace($card, $i, $body->with(placements: [$body->placements[$copy]]), $face);
                $on = $face === 'inside' ? Ref::inside($body->id, $copy) : Ref::outside($body->id, $copy);
                array_push($joints, ...$met === null ? [] : [self::butt($card, Ref::edge($card->id, $i), $on, $met)]);
            }
        }

        return $joints;
    }

    private static function butt(Part $card, Ref $edge, Ref $on, Meeting $met): Joint
    {
        return new Joint(
            JointKind::Butt, $edge, $on, $met->ends, $met->length, why: 'corner of the stack', touch: $met->touch,
            free_mm: max(0.0, $card->outline->ring->edgeLength((int) $edge->edge) - $met->length),
        );
    }

    /** @return list<Joint> where its cap lies on it */
    private function heads(Part $card, Part $cap): array
    {
        $joints = [];
        $last = count($cap->placements) - 1;
        foreach ($card->outline->edgesNamed('head') as $i) {
            foreach (array_keys($card->placements) as $copy) {
                $met = Meeting::onFace($card, $i, $cap->with(placements: [$cap->placements[$last]]), 'inside', $copy);
                $edge = Ref::edge($card->id, $i, $copy);
                $joints = $met === null ? $joints : [...$joints, self::butt($card, $edge, Ref::inside($cap->id, $last), $met)];
            }
        }

        return $joints;
    }

    /** @return list<Joint> each layer on the one behind it */
    private function layered(Part $body): array
    {
        return array_map(static fn (int $copy): Joint => new Joint(
            JointKind::Lap, Ref::inside($body->id, $copy - 1), Ref::outside($body->id, $copy), $body->corners($copy),
            why: 'layers stuck together', contact_mm2: $body->outline->ring->area(),
        ), array_slice(array_keys($body->placements), 1));
    }

    /** Level cards that keep it square, in the breast and in the stack. */
    private function braces(Part $body): PartSet
    {
        $set = new PartSet;
        $t = $this->stack->card();
        $low = $this->breast->hasShoulders() ? $this->breast->shoulder - $t : $this->breast->foot;
        foreach ([
            ['brace-breast', $this->wide, new Interval($this->breast->foot, max($this->breast->foot, $low))],
            ['brace', $this->stack, new Interval(max($this->breast->seam(), $low), $this->stack->head())],
        ] as [$name, $stack, $heights]) {
            $count = (int) floor($heights->length() / self::BRACED_MM);
            if ($count > 0) {
                $set = $set->with($this->brace($name, $stack, array_map(
                    static fn (int $k): float => $heights->from + $heights->length() * $k / ($count + 1),
                    range(1, $count),
                ), $body));
            }
        }

        return $set;
    }

    /** @param  non-empty-list<float>  $heights  of its upper face */
    private function brace(string $name, Stack $stack, array $heights, Part $body): PartSet
    {
        $t = $this->stack->card();
        $ring = Ring::rectangle(0.0, 0.0, $stack->w - 2.0 * $t, $this->run()->mm);
        $brace = Part::of(
            $this->stack->name($name), 'T', 'Chimney, brace', PartGroup::Trim, $this->stack->stock(), $t,
            new Outline($ring, array_map(static fn (string $side): Edge => new Edge($side, 'clearance'), Stack::SIDES)),
            array_map(static fn (float $z): Frame => StackFrames::level($stack, -$t, $z), $heights),
            ['width' => Figure::given($stack->w, 'over all')->less(2.0 * $t, 'less its sides, 2 ×'), 'height' => $this->run()],
        );
        $joints = [];
        foreach (array_keys($heights) as $copy) {
            foreach ([0 => [0, 'inside'], 2 => [1, 'outside']] as $edge => [$of, $face]) {
                $met = Meeting::onFace($brace, $edge, $body->with(placements: [$body->placements[$of]]), $face, $copy);
                $on = $face === 'inside' ? Ref::inside($body->id, $of) : Ref::outside($body->id, $of);
                array_push($joints, ...$met === null ? [] : [self::butt($brace, Ref::edge($brace->id, $edge, $copy), $on, $met)]);
            }
        }

        return new PartSet([$brace], $joints);
    }
}
