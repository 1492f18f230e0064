<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

use Chartula\Core\Measure\Angle;

/** How steep a slope is: an Angle above level and below the steepest that can be roofed. */
final readonly class PitchType implements FieldType
{
    public const STEEPEST_DEG = 80.0;

    public function read(Node $node, Values $values): mixed
    {
        $degrees = $node->number();

        return $degrees === null ? null : self::inRange($node, $degrees);
    }

    /** As an angle that was not said itself, but follows from what $node says. */
    public static function inRange(Node $node, float $degrees): ?Angle
    {
        if (! ($degrees > 0.0 && $degrees < self::STEEPEST_DEG)) {
            $node->fault('roof.too-flat', ['given' => round($degrees, 3)]);

            return null;
        }

        return Angle::ofDegrees($degrees);
    }

    public function schema(): array
    {
        return ['type' => 'number', 'exclusiveMinimum' => 0, 'exclusiveMaximum' => self::STEEPEST_DEG];
    }

    public function form(): array
    {
        return ['what' => 'number', 'after' => 'degrees'];
    }

    public function words(): string
    {
        return 'degrees, above 0 and under '.self::STEEPEST_DEG;
    }
}
