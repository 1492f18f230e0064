<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\ModelLength;

/** A building cut short before the backscene: so deep from its foremost wall, in one of five ways. docs/formulas.md#relief */
final readonly class Relief
{
    /** Everything true and cut off. */
    public const SLICE = 'slice';

    /** The depth squeezed, the ridge as high as it is. */
    public const SQUEEZE = 'squeeze';

    /** The roof made anew over what is left, at its own pitch. */
    public const KEEP_PITCH = 'keep-pitch';

    /** Front slope and ridge true, the rear dropped. */
    public const FRONT_SLOPE = 'front-slope';

    /** The ridge true, at the back edge. */
    public const KEEP_RIDGE = 'keep-ridge';

    public const SCHOOLS = [self::SLICE, self::SQUEEZE, self::KEEP_PITCH, self::FRONT_SLOPE, self::KEEP_RIDGE];

    public const FLANKS = ['keep', 'narrow', 'drop'];

    /**
     * @param  value-of<self::SCHOOLS>  $school
     * @param  ReliefBack  $back  what stands where it is cut
     * @param  value-of<self::FLANKS>  $flank  openings of shortened walls: kept where they have room, narrowed where they have not, or
     *     dropped
     */
    public function __construct(
        public ModelLength $depth,
        public string $school,
        public ReliefBack $back,
        public string $flank,
        public string $path,
    ) {
    }
}
