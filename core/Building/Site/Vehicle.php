<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Measure\Scale;

/** A vehicle on rails, as it stands on the layout. Model millimetres. docs/formulas.md#throw */
final readonly class Vehicle
{
    /** A long bogie coach of an ordinary railway, real millimetres: 57 ft long, 9 ft wide, 12 ft 6 in high, bogies 40 ft apart. */
    private const TYPICAL = [17373.6, 2743.2, 3810.0, 12192.0, 2438.4];

    /**
     * @param  float  $centres  from the middle of one bogie to that of the other, or the wheelbase where there are none
     * @param  float  $bogie  a bogie's own wheelbase; 0 where there are none
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $length,
        public float $width,
        public float $height,
        public float $centres,
        public float $bogie,
    ) {
    }

    /** A document that describes no vehicle is reckoned with these. */
    public static function typical(Scale $scale): self
    {
        [$length, $width, $height, $centres, $bogie] = array_map(static fn (float $mm): float => $mm / $scale->ratio, self::TYPICAL);

        return new self('usual', 'a usual long coach', $length, $width, $height, $centres, $bogie);
    }

    /** The exact distance by which the vehicle's middle stands in towards the centre of a curve. */
    public function centreThrow(float $radius): float
    {
        return $radius - $this->middle($radius);
    }

    /** The exact distance by which the vehicle's corners stand out. */
    public function endThrow(float $radius): float
    {
        return hypot($this->middle($radius) + $this->width / 2.0, $this->length / 2.0) - $radius - $this->width / 2.0;
    }

    /** The throw-over by the short formula. */
    public function shortCentreThrow(float $radius): float
    {
        return ($this->centres ** 2 + $this->bogie ** 2) / (8.0 * $radius);
    }

    public function shortEndThrow(float $radius): float
    {
        return ($this->length ** 2 - $this->centres ** 2 - $this->bogie ** 2) / (8.0 * $radius);
    }

    /** The distance from the centre of the curve to the middle of the vehicle's axis. */
    private function middle(float $radius): float
    {
        return sqrt($radius ** 2 - $this->bogie ** 2 / 4.0 - $this->centres ** 2 / 4.0);
    }
}
