<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\PrintedArt;
use Chartula\Core\Part\PrintedShape;
use Chartula\Core\Part\Ref;
use Chartula\Core\Part\Score;
use Chartula\Core\Part\Shape;
use Chartula\Core\Trim\EdgeWrap;

/** The paper of a chimney's cap: over its top, and turned down round its edges. docs/formulas.md#chimneys */
final readonly class Cap
{
    /** Of which tone each is. */
    private const TONES = ['mortar' => '#bfb6a6', 'stone' => Tone::STONE, 'concrete' => Tone::CONCRETE, 'lead' => Tone::LEAD];

    public function __construct(private Stack $stack)
    {
    }

    /** @return non-empty-array<string, string> */
    public static function words(): array
    {
        return ['mortar' => 'mortar', 'stone' => 'stone', 'concrete' => 'concrete', 'lead' => 'lead'];
    }

    public function paper(): PartSet
    {
        $paper = $this->stack->roof->methods->paper;
        $out = $this->stack->mm('cap_out');
        $turn = $this->stack->capLayers() * $this->stack->card() + $paper->thickness_mm;
        $box = new Box2(0.0, 0.0, $this->stack->w + 2.0 * $out, $this->stack->d + 2.0 * $out);
        [$outline, $scores] = EdgeWrap::of($box, $turn);
        $colour = self::TONES[$this->stack->said->text('cap') ?? 'mortar'] ?? self::TONES['mortar'];
        $ring = Ring::rectangle($box->x0, $box->y0, $box->x1, $box->y1);
        $more = 'plus 2 × what turns round its edges, '.LengthFormat::trimmed($turn, 3);
        $frame = StackFrames::level($this->stack, $out, $this->stack->top + $paper->thickness_mm);
        $part = Part::of(
            $this->stack->name('cap-paper'), 'P', 'Chimney, paper of the cap', PartGroup::Skin,
            $paper, $paper->thickness_mm, $outline, [$frame],
            [
                'width' => Figure::given($box->width(), 'over all')->plus(2.0 * $turn, $more),
                'height' => Figure::given($box->height(), 'over all')->plus(2.0 * $turn, $more),
            ],
            scores: $scores, mayTurn: false, shape: Shape::folded($box->centre()),
            art: new PrintedArt(new PrintedShape($ring, [], new Tone($colour, $colour)), [$box->x0, $box->x1]),
        );
        $cap = $this->stack->name('cap')->id;

        return new PartSet([$part], [new Joint(
            JointKind::Lap, Ref::inside($part->id), Ref::outside($cap),
            array_map(static fn (Score $s) => $part->placements[0]->at($s->from), $part->scores),
            why: 'stuck on its top', contact_mm2: $ring->area(),
        )]);
    }
}
