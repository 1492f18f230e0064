<?php

declare(strict_types=1);

namespace Tests\Core\Fit\Sight;

use Chartula\Core\Fit\Sight\ForcedPerspective;
use Chartula\Core\Geometry\Vec3;
use PHPUnit\Framework\TestCase;

/** Eye 600 off, 50 deep to look like 150, a mouth of 30 × 28 with the axis at its middle. */
final class ForcedPerspectiveTest extends TestCase
{
    private static function mouth(float $axis = 14.0): ForcedPerspective
    {
        return ForcedPerspective::of(600.0, 50.0, 150.0, $axis);
    }

    public function testWorkedDepths(): void
    {
        $p = self::mouth();
        self::assertEqualsWithDelta([375.0, 0.8667], [$p->vanishing(), $p->backScale()], 0.0001);
        self::assertEqualsWithDelta([0.0, 9.375, 18.293, 26.786, 34.884, 42.614, 50.0], array_map($p->trueDepth(...), [0.0, 25.0, 50.0, 75.0, 100.0, 125.0, 150.0]), 0.0005);
        self::assertEqualsWithDelta([103.8, 242.3], [$p->apparentFrom(300.0), $p->apparentFrom(1200.0)], 0.05);
        self::assertEqualsWithDelta([46.7, 1.87], [self::mouth(350.0)->rise(0.0), $p->rise(0.0)], 0.05);
        self::assertEqualsWithDelta(87.9, 76.2 / $p->backScale(), 0.05);
    }

    public function testTheInsideTapersToTheBack(): void
    {
        $inside = self::mouth()->inside(30.0, 28.0);
        self::assertEqualsWithDelta([30.0, 26.0], [$inside['floor']['front'], $inside['floor']['back']], 0.005);
        self::assertEqualsWithDelta([28.0, 24.267], [$inside['left']['front'], $inside['left']['back']], 0.005);
        // Floor and side share their receding edge.
        self::assertEqualsWithDelta($inside['floor']['long'], $inside['right']['other'], 1e-9);
    }

    /** From the eye every place of the true inside lies on the same line of sight as what it stands for. */
    public function testItLooksAsDeepAsItIsToLook(): void
    {
        $p = self::mouth();
        foreach ([0.0, 25.0, 90.0, 150.0] as $apparent) {
            foreach ([[-15.0, 0.0], [15.0, 28.0], [4.0, 9.0]] as [$x, $z]) {
                $stands = $p->at($x, $z, $p->trueDepth($apparent));
                $meant = new Vec3($x, $apparent, $z);
                $eye = new Vec3(0.0, -600.0, 14.0);
                [$a, $b] = [$stands->minus($eye), $meant->minus($eye)];
                self::assertEqualsWithDelta([$b->x / $b->y, $b->z / $b->y], [$a->x / $a->y, $a->z / $a->y], 1e-12);
            }
        }
    }

    public function testAStrongIllusionIsSaid(): void
    {
        self::assertFalse(self::mouth()->isStrong());
        self::assertTrue(ForcedPerspective::of(600.0, 50.0, 200.0, 14.0)->isStrong());
        self::assertTrue(ForcedPerspective::of(200.0, 50.0, 150.0, 14.0)->isStrong(), 'too small at the back');
    }
}
