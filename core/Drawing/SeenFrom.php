<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Measure\LengthFormat;

/** What of a covering is told apart from a distance. docs/formulas.md#seen */
final readonly class SeenFrom
{
    /** One minute of arc, in lengths a length away. */
    private const MINUTE = 0.000291;

    /** A joint that bricklayers make, real millimetres. */
    private const JOINT_MM = 10.0;

    /** @return array{distance: float, least_mm: float, words: string} of an eye so far away, model millimetres */
    public static function of(Building $building, float $distance): array
    {
        $least = $distance * self::MINUTE;
        $ratio = $building->scale->ratio;
        $joint = self::JOINT_MM / $ratio;
        [$brick, $course] = [$building->gauge->brick_mm / $ratio, $building->gauge->course_mm / $ratio];
        $mm = static fn (float $f): string => LengthFormat::trimmed($f, 3).' mm';
        $is = static fn (float $f): string => $f < $least ? 'only a tone' : ($f < 2.0 * $least ? 'just a line' : 'a line');
        $bricks = match (true) {
            $course < $least => 'courses run together into one colour',
            $course < 3.0 * $least => 'courses are a texture',
            default => 'bricks are told apart',
        };

        return ['distance' => $distance, 'least_mm' => round($least, 4), 'words' => sprintf(
            'From %s an eye tells %s apart. A joint of 10 mm is %s here: %s. Bricks are %s by %s: %s.',
            LengthFormat::trimmed($distance, 0).' mm', $mm($least), $mm($joint), $is($joint), $mm($brick), $mm($course), $bricks,
        )];
    }
}
