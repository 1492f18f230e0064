<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\AtOnePlace;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Feature\HasHeights;
use Chartula\Core\Building\Feature\RoofLineKind;
use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\NumberType;
use Chartula\Core\Field\Said;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\Shows;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Form\Claims\Takes;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Trim\Makes;
use Chartula\Core\Trim\Remarks;

/** A stack on a ridge, a slope or at the eaves, through the roof or on it, with its courses, cap and pots. docs/formulas.md#chimneys */
final readonly class Chimney implements AtOnePlace, HasHeights, Makes, Remarks, Shows, Takes
{
    /** A stack that ends lower over the roof than that is none, mm. */
    private const LEAST_MM = 1.0;

    public function name(): string
    {
        return 'chimney';
    }

    public function title(): string
    {
        return 'Chimney';
    }

    public function says(): string
    {
        return 'A stack through the roof or on it: bricks in courses, plinth and oversailing courses, cap, flues and pots.';
    }

    public function picture(): string
    {
        return 'M3 21L10 15V5H9V3H16V5H15V10.7L21 5.5M11.5 3V1H13.5V3';
    }

    public function anchors(): array
    {
        return [Anchor::RoofLine, Anchor::Slope];
    }

    public function fields(): FieldSet
    {
        return new FieldSet(
            'chimney',
            ...self::sizes(), ...self::ways(), ...StackFields::plinth(), ...StackFields::all(),
        );
    }

    public function heights(Said $said): array
    {
        return StackFields::heights($said);
    }

    /** @return list<Field> how large it is, and of what */
    private static function sizes(): array
    {
        $above = ChoiceType::of(['ridge' => 'the ridge', 'roof' => 'the roof under it', 'base' => 'the block’s base']);

        return [
            Field::optional('w', 'wide', LengthType::real(), '18in')->saying('along the ridge, or along the foot of the slope'),
            Field::optional('d', 'deep', LengthType::real(), '18in'),
            Field::optional('turn', 'turned by', NumberType::degrees(), 0)->saying('counter-clockwise, as a plan shows it'),
            Field::optional('h', 'high', LengthType::real(), '3ft')->saying('to the top of its cap, without pots'),
            Field::optional('above', 'over', $above, 'ridge')->saying('of the roof under it the highest place'),
            ...StackCovering::fields(),
        ];
    }

    /** @return list<Field> how it is made */
    private static function ways(): array
    {
        $made = ChoiceType::of(['through' => 'through a hole', 'inside' => 'over a peg', 'notched' => 'notched, on the slope']);

        return [
            Field::optional('made', 'made', $made, 'through')
                ->saying('through a hole in the roof and held under it: neat, and the panel has to be cut for it; over a peg that goes through: it is put on last, a joint shows; or notched, on the slope: easiest, held by glue alone'),
            ...StackFields::cards(),
        ];
    }

    public function objection(Feature $feature, Site $site): ?string
    {
        $stack = Stack::of($site);
        $lines = $stack->tops ?? [];
        $highest = max([-INF, ...array_map(static fn (?FootLine $l): float => $l?->highest() ?? -INF, $lines)]);

        return match (true) {
            ($site->place->line ?? RoofLineKind::Ridge) !== RoofLineKind::Ridge => 'chimney.line',
            $stack === null, in_array(null, $lines, true), in_array(null, $stack->undersides, true) => 'chimney.off-roof',
            ! $stack->roof->block->ring->contains($stack->middle) => 'chimney.off-wall',
            array_filter($lines, static fn (?FootLine $l): bool => $l?->hasValley === true) !== [] => 'chimney.in-valley',
            $stack->head() < $highest + self::LEAST_MM => 'chimney.too-low',
            $stack->isSolid() && $stack->school() !== 'through' => 'chimney.solid-on-slope',
            $stack->school() === 'inside' && ! $stack->isInside() => 'chimney.peg-over-wall',
            $stack->isSolid() && ! $stack->isInside() => 'chimney.solid-over-wall',
            ! $stack->isSolid() && ! $stack->hasRoomForBox() => 'chimney.too-thin',
            (new StackRoom($stack))->isInABlock() => 'thing.blocked',
            default => (new StackRoom($stack))->objection(),
        };
    }

    public function takes(Feature $feature, Site $site): array
    {
        $stack = Stack::of($site);
        if ($stack === null) {
            return [];
        }
        $hole = $stack->hole();

        return [
            ...$hole === null ? [] : [Claim::upright('stack', $feature, $hole)],
            Claim::standing('stack', $feature, $stack->ring($stack->reach()))->with(shown: $stack->extent()),
        ];
    }

    public function remarks(Site $site): array
    {
        $stack = Stack::of($site);

        return $stack === null ? [] : (new StackRemarks($stack))->all();
    }

    public function seen(Site $site): array
    {
        $stack = Stack::of($site);

        return $stack === null ? [] : (new StackFaces($stack))->all();
    }

    public function made(Site $site, Building $building): PartSet
    {
        $stack = Stack::of($site);

        return $stack === null ? new PartSet : (new StackMaker($stack, $building))->make();
    }
}
