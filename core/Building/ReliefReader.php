<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\Values;

/** Reads `relief`; whether the building can be cut so is found out where it is formed. */
final readonly class ReliefReader
{
    public static function fields(): FieldSet
    {
        $schools = ChoiceType::of([
            Relief::SLICE => 'everything true, and cut off', Relief::SQUEEZE => 'the depth squeezed, the ridge as high',
            Relief::KEEP_PITCH => 'a roof of its own pitch over what is left',
            Relief::FRONT_SLOPE => 'front slope and ridge true, the rear dropped',
            Relief::KEEP_RIDGE => 'the ridge true, at the back edge',
        ]);
        $backs = ChoiceType::of(['open' => 'open', 'plain' => 'plain card', 'stiffener' => 'a frame of card']);
        $flanks = ChoiceType::of(['keep' => 'kept if they fit', 'narrow' => 'narrowed', 'drop' => 'left out']);

        return new FieldSet(
            'relief',
            Field::required('depth', 'depth', LengthType::model())->saying('to the back from the foremost wall, in the building’s axes'),
            Field::required('school', 'cut by', $schools)->offTheForm(),
            Field::optional('back', 'its back', $backs, 'open')->saying('what stands where it is cut'),
            Field::optional('flank', 'openings of flanks', $flanks, 'keep')->saying('what becomes of openings in shortened walls'),
        );
    }

    public static function read(?Node $node, Values $values): ?Relief
    {
        $said = $node === null || $node->isEmpty() ? null : self::fields()->read($node, $values);
        $depth = $said?->model('depth');
        $school = $said?->oneOf('school', Relief::SCHOOLS);
        $back = ReliefBack::tryFrom($said?->text('back') ?? '');
        $flank = $said?->oneOf('flank', Relief::FLANKS);

        return $said === null || $depth === null || $school === null || $back === null || $flank === null
            ? null
            : new Relief($depth, $school, $back, $flank, $said->node->path);
    }
}
