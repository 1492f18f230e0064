<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Roll;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\PrintedArt;
use Chartula\Core\Part\PrintedShape;
use Chartula\Core\Part\Ref;
use Chartula\Core\Part\Score;
use Chartula\Core\Part\Shape;

/** Pots on open flues, rolled from paper, of discs or round a rod, and slabs on the others. docs/formulas.md#chimneys */
final readonly class Pots
{
    /** A tube's paper laps over itself so far, mm, or by so much of its girth. */
    private const LAP_MM = 2.0;

    private const LAP_SHARE = 0.25;

    /** A disc is cut with so many sides. */
    private const SIDES = 24;

    /** Of a disc its bore takes so much of its width. */
    private const BORE = 0.6;

    /** Louvres are so far apart, and so far from both ends, in shares of the height. */
    private const LOUVRES = [0.12, 0.25];

    private Flues $flues;

    public function __construct(private Stack $stack)
    {
        $this->flues = new Flues($stack);
    }

    public function make(): PartSet
    {
        [$open, $shut] = [
            array_slice($this->flues->places(), 0, $this->flues->open()),
            array_slice($this->flues->places(), $this->flues->open()),
        ];
        $isCapped = $this->flues->pots() !== 'none' || $this->stack->said->count('open') !== null;
        $pots = match (true) {
            $open === [] => new PartSet,
            $this->stack->said->text('pots_as') === 'discs' => $this->discs($open),
            default => new PartSet([$this->tube($open)]),
        };

        return $pots->with($shut === [] || ! $isCapped ? new PartSet : $this->slabs($shut));
    }

    public function high(): float
    {
        $said = $this->stack->mm('pot_h');

        return $said > 0.0 ? $said : self::usual($this->flues->pots()) / $this->stack->site->masonry->ratio();
    }

    /** How high such a pot usually is, real mm. */
    private static function usual(string $pots): float
    {
        return match ($pots) {
            'tall' => 914.4,
            'louvred' => 609.6,
            default => 457.2,
        };
    }

    private function level(): float
    {
        return $this->stack->top + $this->paper();
    }

    private function paper(): float
    {
        return $this->stack->roof->methods->paper->thickness_mm;
    }

    /**
     * A tube of paper round each place, rolled or of four sides; its outside begins in the middle of its front.
     *
     * @param  non-empty-list<Vec2>  $places
     */
    private function tube(array $places): Part
    {
        [$wide, $high, $u] = [$this->stack->mm('pot_w'), $this->high(), $this->paper()];
        $isSquare = $this->flues->pots() === 'square';
        // A crease turns about the paper's middle, and so does what is rolled.
        $girth = ($isSquare ? 4.0 : M_PI) * ($wide - $u);
        $lap = min(self::LAP_MM, self::LAP_SHARE * $girth);
        $length = $girth + $lap;
        [$along, $middle] = [$this->stack->along, $isSquare ? ($wide - $u) / 2.0 : 0.0];
        $off = $along->times(-$middle)->minus((new Vec2(-$along->y, $along->x))->times($wide / 2.0));
        $frames = array_map(function (Vec2 $p) use ($along, $off): Frame {
            $at = StackFrames::level($this->stack, 0.0, $this->level())->at($p);

            return new Frame(new Vec3($at->x + $off->x, $at->y + $off->y, $at->z),
                new Vec3($along->x, $along->y, 0.0), new Vec3(0.0, 0.0, 1.0));
        }, $places);
        $fold = static fn (float $x): Score => new Score(new Vec2($x, 0.0), new Vec2($x, $high), 'away', 90.0, 'back');
        $folds = array_map(static fn (int $i): Score => $fold($i * $girth / 4.0), $isSquare ? [1, 2, 3, 4] : []);
        $radius = ($wide - $u) / 2.0;
        $roll = Roll::cylinder(new Vec2(0.0, 0.0), new Vec2(0.0, 1.0), $radius, $length / $radius);
        $paper = $this->stack->roof->methods->paper;

        return Part::of(
            $this->stack->name('pot'), 'P', 'Chimney, pot', PartGroup::Skin, $paper, $paper->thickness_mm,
            Outline::rectangle($length, $high, ...$this->edges()), $frames,
            [
                'width' => Figure::given($girth, ($isSquare ? '4' : 'π').' × '.LengthFormat::trimmed($wide, 3).', less the paper')
                    ->plus($lap, 'plus the lap, '.LengthFormat::trimmed($lap, 3)),
                'height' => Figure::given($high, 'as high as the pot'),
            ],
            scores: $folds, mayTurn: false,
            shape: $isSquare ? Shape::folded(new Vec2($middle, $high / 2.0)) : Shape::rolled(new Vec2(0.0, $high / 2.0), $roll),
            art: $this->art($length, $high),
        );
    }

    /** Of clay, with louvres where it has them. */
    private function art(float $length, float $high): PrintedArt
    {
        $dark = [];
        if ($this->flues->pots() === 'louvred') {
            for ($y = self::LOUVRES[1]; $y < 1.0 - self::LOUVRES[1] + self::LOUVRES[0] / 2.0; $y += self::LOUVRES[0]) {
                $dark[] = Ring::rectangle(0.0, $y * $high, $length, ($y + self::LOUVRES[0] / 2.0) * $high);
            }
        }
        $tone = $dark === [] ? new Tone(Tone::TERRACOTTA, Tone::TERRACOTTA) : new Tone(Tone::DARK, Tone::TERRACOTTA);

        return new PrintedArt(new PrintedShape(Ring::rectangle(0.0, 0.0, $length, $high), $dark, $tone), [0.0, $length]);
    }

    /** @return array{Edge, Edge, Edge, Edge} */
    private function edges(): array
    {
        return [new Edge('foot', 'clearance'), new Edge('lap', 'clearance'), new Edge('rim', 'clearance'), new Edge('end', 'clearance')];
    }

    /**
     * Discs on each other, each with its bore.
     *
     * @param  non-empty-list<Vec2>  $places
     */
    private function discs(array $places): PartSet
    {
        $stock = $this->stack->stock();
        $t = $this->stack->card();
        $count = max(1, (int) round($this->high() / $t));
        $wide = $this->stack->mm('pot_w');
        $shape = fn (float $of): array => $this->flues->pots() === 'square'
            ? Ring::rectangle(-$of / 2.0, -$of / 2.0, $of / 2.0, $of / 2.0)->points
            : array_map(static fn (int $i): Vec2 => new Vec2(
                $of / 2.0 * cos(2.0 * M_PI * $i / self::SIDES), $of / 2.0 * sin(2.0 * M_PI * $i / self::SIDES),
            ), range(0, self::SIDES - 1));
        $ring = new Ring($shape($wide));
        $bore = new Ring(array_reverse($shape($wide * self::BORE)));
        $level = StackFrames::level($this->stack, 0.0, $this->level());
        $frames = [];
        foreach ($places as $place) {
            foreach (range(1, $count) as $k) {
                $frames[] = $level->moved($place->x, $place->y, $k * $t);
            }
        }
        $part = Part::of(
            $this->stack->name('pot'), 'T', 'Chimney, disc of a pot', PartGroup::Trim, $stock, $t,
            new Outline($ring, array_map(static fn (): Edge => new Edge('edge', 'clearance'), $ring->points)), $frames,
            ['width' => Figure::given($wide, 'over all')], [$bore],
        );
        $joints = [];
        foreach (array_keys($frames) as $copy) {
            $joints = $copy % $count === 0 ? $joints : [...$joints, new Joint(
                JointKind::Lap, Ref::inside($part->id, $copy), Ref::outside($part->id, $copy - 1), $part->corners($copy),
                why: 'discs stuck together', contact_mm2: $ring->area() - $bore->area(),
            )];
        }

        return new PartSet([$part], $joints);
    }

    /** @param  non-empty-list<Vec2>  $places */
    private function slabs(array $places): PartSet
    {
        $frame = $this->stack->roof->methods->frame;
        $t = $frame->thickness_mm + $this->stack->roof->methods->template->addsTo($frame);
        $wide = $this->flues->wide + $this->stack->site->masonry->halfOfReal / 2.0;
        $level = StackFrames::level($this->stack, 0.0, $this->level() + $t);
        $part = Part::of(
            $this->stack->name('slab'), 'T', 'Chimney, slab on a flue', PartGroup::Trim, $frame, $t,
            Outline::rectangle($wide, $wide, ...$this->edges()),
            array_map(static fn (Vec2 $p): Frame => $level->moved($p->x - $wide / 2.0, $p->y - $wide / 2.0), $places),
            array_fill_keys(['width', 'height'], Figure::given($wide, 'the flue, and a quarter of a brick')),
        );
        $cap = $this->stack->name('cap-paper')->id;

        return new PartSet([$part], array_map(static fn (int $copy): Joint => new Joint(
            JointKind::Lap, Ref::inside($part->id, $copy), Ref::outside($cap), $part->corners($copy),
            why: 'caps a flue that is not used', contact_mm2: $part->outline->ring->area(),
        ), array_keys($places)));
    }
}
