<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\OwnPaper;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Part\Pattern\Bricks;
use Chartula\Core\Part\Pattern\Pattern;
use Chartula\Core\Part\Pattern\Picture;
use Chartula\Core\Part\Pattern\Rows;

/** A person's own paper, printed so that its courses and units are as wide as those that would be drawn. docs/formulas.md#own-papers */
final readonly class FittedPaper
{
    public const MM_PER_INCH = 25.4;

    /**
     * @param  array{float, float}  $factors  of the paper as it was scanned, across and up
     * @param  array{?float, ?float}  $wanted  from unit to unit and from course to course, model millimetres; null where nothing asks
     * @param  float  $dotsPerInch  of the picture as it is printed, the fewer of both
     */
    private function __construct(public Picture $pattern, public array $factors, public array $wanted, public float $dotsPerInch)
    {
    }

    /** @param  ?Pattern  $drawn  what would be there without it */
    public static function of(OwnPaper $paper, ?Pattern $drawn): self
    {
        [$along, $up] = $wanted = self::pitches($drawn);
        $factor = static fn (?float $wanted, ?float $measured): ?float => $wanted === null || $measured === null
            ? null
            : $wanted / $measured;
        $across = $factor($along, $paper->unit_mm);
        $high = $factor($up, $paper->course_mm);
        // Where only one was measured the picture keeps its shape.
        $factors = [$across ?? $high ?? 1.0, $high ?? $across ?? 1.0];
        [$w, $h] = $paper->size();

        return new self(
            new Picture(
                $paper->sha256, [$w * $factors[0], $h * $factors[1]], $paper->foot_mm * $factors[1], $paper->isTiled,
                $paper->tone, $drawn?->joint() ?? 0.0,
            ),
            $factors, $wanted,
            self::MM_PER_INCH / max($paper->mmPerPixel[0] * $factors[0], $paper->mmPerPixel[1] * $factors[1]),
        );
    }

    /** Once, over all of a box. */
    public static function stretched(OwnPaper $paper, Box2 $box): self
    {
        [$w, $h] = $paper->size();
        $factors = [$box->width() / $w, $box->height() / $h];

        return new self(
            new Picture($paper->sha256, [$box->width(), $box->height()], 0.0, false, $paper->tone), $factors, [null, null],
            self::MM_PER_INCH / max($paper->mmPerPixel[0] * $factors[0], $paper->mmPerPixel[1] * $factors[1]),
        );
    }

    /** @return array{?float, ?float} from unit to unit, and from course to course */
    private static function pitches(?Pattern $drawn): array
    {
        if ($drawn instanceof Bricks) {
            return [$drawn->brick, $drawn->course];
        }
        if (! $drawn instanceof Rows) {
            return [null, null];
        }
        $row = array_sum($drawn->rows) / count($drawn->rows);
        $long = $drawn->long > 0.0 ? $drawn->long : null;

        return $drawn->isUpright ? [$row, $long] : [$long, $row];
    }
}
