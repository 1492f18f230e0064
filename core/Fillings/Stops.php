<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Meeting;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Shell\OpeningCut;
use Chartula\Core\Shell\WallSpan;

/**
 * Strips in an opening behind what stands in it, as wide as the wall is deep there: flush with its back they are the gauge of how deep
 * it stands, and it leans against them. docs/formulas.md#stops
 */
final readonly class Stops
{
    private float $thickness;

    private OpeningCut $cut;

    /** @param  non-empty-list<OpeningForm>  $forms  that are alike */
    public function __construct(private Building $building, private WallSpan $span, private array $forms)
    {
        $this->cut = $span->cut($forms[0]->opening);
        $this->thickness = $this->cut->stripThickness($building);
    }

    /** @param  Part  $before  the last card of what leans against them */
    public function behind(Part $before): PartSet
    {
        if ($this->cut->strip === null) {
            return new PartSet;
        }
        $shape = $this->forms[0]->shape;
        // Under a head that is not level only the jambs have them.
        $across = $shape->chains() === [] ? ['head'] : [];
        $across = $this->forms[0]->reachesFoot() ? $across : [...$across, 'foot'];
        $sets = [$this->strips('jamb', $shape->springing(), ['left', 'right'], $before)];
        if ($across !== []) {
            $sets[] = $this->strips('across', $shape->width - 2.0 * $this->thickness, $across, $before);
        }

        return PartSet::joined($sets);
    }

    /** @param  list<'left'|'right'|'head'|'foot'>  $sides  of each opening in turn */
    private function strips(string $which, float $length, array $sides, Part $before): PartSet
    {
        [$block, $wall, $form] = [$this->span->block->id, $this->span->name(), $this->forms[0]];
        $width = (float) $this->cut->stop;
        $frames = $copies = [];
        foreach ($this->forms as $copy => $opening) {
            foreach ($sides as $side) {
                $frames[] = $this->frame($opening, $side, $width);
                $copies[] = $copy;
            }
        }
        assert($frames !== []);
        $end = new Edge('end', 'clearance');
        $part = Part::of(
            new PartName("$block.$wall.stop-$which.{$form->id}", $block, $wall, "stop-$which", $form->id), 'F',
            ucfirst($form->opening->style->name).' stop, '.($which === 'jamb' ? 'jamb' : 'across'), PartGroup::Trim,
            $this->cut->strip ?? $this->building->methods->frame, $this->thickness,
            Outline::rectangle($width, $length, $end, new Edge('back', 'clearance'), $end, new Edge('stop')), $frames,
            $this->workings($width, $length, $which),
        );

        return new PartSet([$part], array_map(
            static fn (int $stop, int $copy): Joint => self::stops($part, $stop, $before, $copy),
            array_keys($copies),
            $copies,
        ));
    }

    /** How the edge of a strip lies on the back of the card that leans against it. */
    private static function stops(Part $part, int $stop, Part $before, int $copy): Joint
    {
        $there = $before->with(placements: [$before->placements[$copy]]);
        $meeting = Meeting::onFace($part, 3, $there, 'inside', $stop);
        $length = $part->outline->ring->edgeLength(3);

        return new Joint(
            JointKind::Butt, Ref::edge($part->id, 3, $stop), Ref::inside($before->id, $copy),
            [$part->placements[$stop]->at(new Vec2(0.0, 0.0)), $part->placements[$stop]->at(new Vec2(0.0, $length))],
            $meeting->length ?? 0.0, free_mm: max(0.0, $length - ($meeting->length ?? 0.0)),
            why: 'what stands in the opening leans against it',
        );
    }

    /**
     * Its left edge on what leans against it, its back on the side of the opening; its length up a jamb, along the head and the foot.
     *
     * @param  'left'|'right'|'head'|'foot'  $side
     */
    private function frame(OpeningForm $opening, string $side, float $width): Frame
    {
        $wall = $this->span->form->frame;
        $in = $wall->normal->times(-1.0);
        $from = $this->span->stack->thickness_mm - $width;
        [$shape, $t] = [$opening->shape, $this->thickness];
        $at = fn (float $x, float $y): Frame => $wall->moved($opening->left + $x, $opening->sill + $y, -$from);

        return match ($side) {
            'left' => new Frame($at($t, 0.0)->origin, $in, $wall->y),
            'right' => new Frame($at($shape->width - $t, $shape->springing())->origin, $in, $wall->y->times(-1.0)),
            'head' => new Frame($at($t, $shape->height - $t)->origin, $in, $wall->x),
            'foot' => new Frame($at($shape->width - $t, $t)->origin, $in, $wall->x->times(-1.0)),
        };
    }

    /** @return array<string, Figure> */
    private function workings(float $width, float $length, string $which): array
    {
        $deep = $this->span->stack->thickness_mm;
        $words = 'less the reveal and the cards in it, '.LengthFormat::trimmed($deep - $width, 3);
        $height = Figure::given($which === 'jamb' ? $length : $length + 2.0 * $this->thickness, 'the opening');

        return [
            'width' => Figure::given($deep, 'the wall')->less($deep - $width, $words),
            'height' => $which === 'jamb' ? $height
                : $height->less(2.0 * $this->thickness, 'less the strips at both jambs, 2 × '.LengthFormat::trimmed($this->thickness, 3)),
        ];
    }
}
