<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\LengthType;

/** Whether something on a wall is printed on its paper, cut as a piece of its own, or both. */
enum HowMade: string
{
    case Printed = 'printed';

    /** On brickwork that runs on behind it. */
    case Raised = 'raised';

    /** Raised, and printed where it goes, so that nothing else shows beside it. */
    case Both = 'both';

    public function isPrinted(): bool
    {
        return $this !== self::Raised;
    }

    public function isRaised(): bool
    {
        return $this !== self::Printed;
    }

    /**
     * What is said of it, of any such thing.
     *
     * @param  string  $proud  how far it usually stands proud of the wall
     * @return list<Field>
     */
    public static function fields(string $proud, self $usual = self::Printed): array
    {
        $ways = ChoiceType::of(['printed' => 'printed', 'raised' => 'raised', 'both' => 'raised, and printed under it']);

        return [
            Field::optional('as', 'made', $ways, $usual->value)
                ->saying('on the wall’s paper and what of it turns in, as card with paper of its own, or both'),
            Field::optional('proud', 'proud of the wall by', LengthType::real(), $proud)->when('as', ['raised', 'both'])
                ->saying('as near as its card comes to that'),
        ];
    }
}
