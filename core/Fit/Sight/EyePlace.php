<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Sight;

use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Geometry\Vec2;

/** One of the places at which the eye stands on its way to and fro: in plan, the building's axes, model millimetres. */
final readonly class EyePlace
{
    /** Places of the eye from one end of its travel to the other. */
    private const PLACES = 9;

    private function __construct(
        public float $aside,
        public Vec2 $at,
    ) {
    }

    /** @return list<self> none where nobody says from where it is looked at */
    public static function all(Plot $plot): array
    {
        if ($plot->eye === null) {
            return [];
        }
        $places = [];
        foreach ($plot->eye->travel > 0.0 ? range(0, self::PLACES - 1) : [(self::PLACES - 1) / 2] as $i) {
            $aside = $plot->eye->travel * (2.0 * $i / (self::PLACES - 1) - 1.0);
            $places[] = new self($aside, $plot->eyeAt($aside));
        }

        return $places;
    }

    public function words(): string
    {
        return $this->aside === 0.0 ? 'the middle' : sprintf('%.0f mm to the %s', abs($this->aside), $this->aside < 0.0 ? 'left' : 'right');
    }
}
