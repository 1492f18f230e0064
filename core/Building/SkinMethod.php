<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** How walls are papered. Model millimetres; colours as #rrggbb. */
final readonly class SkinMethod
{
    /** The wall's own paper turns in. */
    public const FOLDED = 'folded';

    /** It ends at the edge, and strips of their own line the sides. */
    public const STRIPS = 'strips';

    /** It ends at the edge, and the sides are card. */
    public const CUT = 'cut';

    /** What of a flap lies on the back of the wall, mm. docs/formulas.md#turning-in */
    private const BEHIND_MM = 1.2;

    /**
     * @param  self::FOLDED|self::STRIPS|self::CUT  $inOpenings  what is on their sides
     * @param  ?float  $flap_mm  how deep; null where it follows the wall
     * @param  bool  $widensJoints  whether joints too fine to print are printed as fine as they can be, and not left to the units' tones
     * @param  float  $soot  how much of it is under eaves, from 0 to 1
     * @param  float  $damp  how much of it is at the foot, likewise
     * @param  bool  $runsThrough  whether bricks are set out once for a whole wall, and broken under its openings
     */
    public function __construct(
        public float $overlap_mm,
        public string $inOpenings,
        public ?float $flap_mm,
        public string $brick,
        public string $mortar,
        public bool $widensJoints = false,
        public float $soot = 0.0,
        public float $damp = 0.0,
        public bool $runsThrough = false,
    ) {
    }

    public function turnsIn(): bool
    {
        return $this->inOpenings === self::FOLDED;
    }

    /** Whether there is paper on the sides of openings. */
    public function lines(): bool
    {
        return $this->inOpenings !== self::CUT;
    }

    /** @param  float  $wall  how thick the card is into which the paper turns, mm */
    public function flap(float $wall): float
    {
        return $this->flap_mm ?? $wall + self::BEHIND_MM;
    }
}
