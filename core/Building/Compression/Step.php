<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Compression;

/** One compromise: what of the real building is given up so that the model fits. Real millimetres. docs/formulas.md#compression */
final readonly class Step
{
    public const MARGINS = 'margins';

    public const PIERS = 'piers';

    public const SHORTEN = 'shorten';

    /** Makes a wall longer by what is over after bays have gone. */
    public const SPREAD = 'spread';

    public const BAYS = 'bays';

    public const COURSES = 'courses';

    /** Everything along a wall by a factor, openings too. */
    public const LENGTHS = 'lengths';

    public const STOREY = 'storey';

    public const FACTOR = 'factor';

    public const OMIT = 'omit';

    public const OPS = [
        self::MARGINS, self::PIERS, self::SHORTEN, self::SPREAD, self::BAYS, self::COURSES, self::LENGTHS, self::STOREY, self::FACTOR,
        self::OMIT,
    ];

    /**
     * @param  value-of<self::OPS>  $op
     * @param  ?string  $block  which it concerns; null: all of them
     * @param  ?string  $edge  along which it is shortened
     * @param  ?string  $storey  that goes
     * @param  float  $by  real millimetres, or the factor
     * @param  int  $count  of bays or courses
     */
    public function __construct(
        public string $op,
        public ?string $block,
        public ?string $edge,
        public ?string $storey,
        public float $by,
        public int $count,
        public bool $isOff,
        public string $path,
    ) {
    }
}
