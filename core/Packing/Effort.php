<?php

declare(strict_types=1);

namespace Chartula\Core\Packing;

/** How long is looked for a tighter packing; counted in tries and in looks, never in time, so that equal input gives equal sheets. */
enum Effort: string
{
    /** The boxes round the pieces alone: what an edit waits for. */
    case Quick = 'quick';

    /** What a command waits for. */
    case Usual = 'usual';

    /** What is worked out beside the requests. */
    case Thorough = 'thorough';

    /** At most so many orders are tried. */
    public function tries(): int
    {
        return match ($this) {
            self::Quick => 0, self::Usual => 1000, self::Thorough => 2000
        };
    }

    /** It is given up after so many tries that brought nothing. */
    public function patience(): int
    {
        return match ($this) {
            self::Quick => 0, self::Usual => 300, self::Thorough => 500
        };
    }

    /** Nothing more is tried after so many looks at what a piece that lies forbids another. */
    public function looks(): int
    {
        return match ($this) {
            self::Quick => 0, self::Usual => 180_000, self::Thorough => 600_000
        };
    }
}
