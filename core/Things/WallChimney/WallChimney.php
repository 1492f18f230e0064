<?php

declare(strict_types=1);

namespace Chartula\Core\Things\WallChimney;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\AtOnePlace;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Feature\HasHeights;
use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\CountType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\Said;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\GoesUp;
use Chartula\Core\Form\Claims\Shows;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Things\Chimney\AgainstWall;
use Chartula\Core\Things\Chimney\Breast;
use Chartula\Core\Things\Chimney\BreastChecks;
use Chartula\Core\Things\Chimney\Stack;
use Chartula\Core\Things\Chimney\StackCovering;
use Chartula\Core\Things\Chimney\StackFaces;
use Chartula\Core\Things\Chimney\StackFields;
use Chartula\Core\Things\Chimney\StackMaker;
use Chartula\Core\Things\Chimney\StackRemarks;
use Chartula\Core\Things\Chimney\StackRoom;
use Chartula\Core\Trim\Makes;
use Chartula\Core\Trim\Remarks;

/** A chimney outside a wall: breast, set-offs and shoulders, and the stack past the roof. docs/formulas.md#chimneys-on-walls */
final readonly class WallChimney implements AtOnePlace, GoesUp, HasHeights, Makes, Remarks, Shows
{
    private const MOST_SET_OFFS = 6;

    public function name(): string
    {
        return 'wall-chimney';
    }

    public function title(): string
    {
        return 'Outside chimney';
    }

    public function says(): string
    {
        return 'A breast on the outside of a gable or of any wall, with set-offs and shoulders, and its stack past the roof.';
    }

    public function picture(): string
    {
        return 'M3 21V11L12 4L21 11V21M8 21V13L10 10V3H9V1H15V3H14V10L16 13V21';
    }

    public function anchors(): array
    {
        return [Anchor::Wall];
    }

    public function fields(): FieldSet
    {
        return new FieldSet('wall-chimney', ...self::stack(), ...self::breast(), ...StackFields::cards(), ...StackFields::all());
    }

    public function heights(Said $said): array
    {
        return ['shoulder', 'set_off_up', ...StackFields::heights($said)];
    }

    /** @return list<Field> how large the stack is, and of what */
    private static function stack(): array
    {
        $above = ChoiceType::of(['ridge' => 'the ridge', 'roof' => 'the roof behind it', 'base' => 'the block’s base']);

        return [
            Field::optional('w', 'wide', LengthType::real(), '2ft 3in')->saying('the stack, along the wall'),
            Field::optional('d', 'deep', LengthType::real(), '18in')->saying('out from the wall'),
            Field::optional('h', 'high', LengthType::real(), '3ft')->saying('to the top of its cap, without pots'),
            Field::optional('above', 'over', $above, 'ridge')->saying('of the roof behind it the highest place'),
            ...StackCovering::fields(),
        ];
    }

    /** @return list<Field> what is wider below */
    private static function breast(): array
    {
        $at = ChoiceType::of(['left' => 'over its left', 'middle' => 'over its middle', 'right' => 'over its right']);

        return array_map(static fn (Field $f): Field => $f->under('Breast'), [
            Field::optional('breast_w', 'breast, wide', LengthType::real())->meaning('as the stack'),
            Field::optional('stack_at', 'the stack stands', $at, 'middle')->saying('where the breast is wider, as seen from outside'),
            Field::optional('shoulder', 'shoulders begin at', LengthType::real(), '6ft')->saying('above the block’s base'),
            Field::optional('shoulder_h', 'shoulders, high', LengthType::real(), '2ft'),
            Field::optional('set_offs', 'set-offs', new CountType(0, self::MOST_SET_OFFS), 0)
                ->saying('how often it is wider and deeper below, at its front and both sides'),
            Field::optional('set_off_up', 'topmost set-off at', LengthType::real(), '3ft')->saying('above the block’s base, to a course'),
            Field::optional('set_off_down', 'each lower by', LengthType::real(), '1ft 6in'),
            Field::optional('set_off_out', 'each out by', LengthType::real(), '2.25in')->saying('more than the one over it'),
        ]);
    }

    public function objection(Feature $feature, Site $site): ?string
    {
        $stack = Stack::of($site);
        if ($stack === null) {
            return null;
        }
        $own = $stack->breast === null
            ? (new AgainstWall($stack, $site->faces[0]->wall))->objection()
            : (new BreastChecks($stack, $stack->breast))->objection();

        return $own ?? (new StackRoom($stack))->objection();
    }

    public function takes(Feature $feature, Site $site): array
    {
        $stack = Stack::of($site);
        if ($stack === null) {
            return [];
        }
        $breast = $stack->breast;
        $through = [
            Claim::upright('stack', $feature, $stack->ring($stack->paper())),
            Claim::standing('stack', $feature, $stack->ring($stack->reach()))->with(shown: $stack->extent()),
        ];
        if ($breast === null) {
            return [...(new AgainstWall($stack, $site->faces[0]->wall))->claims($feature), ...$through];
        }
        $out = $breast->behind + $breast->deep + $stack->paper();

        return [
            Claim::own('breast', $feature, $breast->onWall(), $out)->with(shown: $breast->upTo($stack->top)),
            ...(new BreastChecks($stack, $breast))->setOffClaims($feature),
            ...$through,
        ];
    }

    public function remarks(Site $site): array
    {
        $stack = Stack::of($site);
        if ($stack !== null) {
            return (new StackRemarks($stack))->all();
        }
        [$roof, $wall] = [$site->roof, ($site->faces[0] ?? null)?->wall];

        return match (true) {
            $roof?->block->block->receding !== null => [
                'chimney.recedes' => 'not made, since its wall is built to look deeper than it is: draw it on the paper there, or let the wall be.',
            ],
            $roof !== null && $wall !== null && Breast::isBehind($wall, $roof) => [
                'chimney.behind' => 'not made, since its wall stands against the backscene.',
            ],
            default => ['chimney.no-room' => 'not made, since low relief leaves too little of it.'],
        };
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
