<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Skeleton\SkeletonFace;
use Chartula\Core\Geometry\Skeleton\StraightSkeleton;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\PlanGenerator;
use Tests\Support\Sample;

/** Plans with arms and walls in one line: the skeleton ends, its faces fill the plan, and each lies in its edge's own plane. */
final class SkeletonTest extends TestCase
{
    #[Group('property')]
    public function testFacesFillThePlanAndLieInTheirPlanes(): void
    {
        $wrong = [];
        foreach (range(1, Sample::isDeep() ? 5000 : 300) as $seed) {
            $plan = (new PlanGenerator($seed))->plan();
            $schedules = self::schedules($plan, new Randomizer(new Mt19937($seed)), intdiv($seed, 5) % 4);
            $faces = StraightSkeleton::of($plan, $schedules);
            $why = $faces === null ? 'never closes' : self::wrong($plan, $schedules, $faces);
            if ($why !== null) {
                $wrong[] = "seed $seed: $why, ".json_encode([$plan->points, $schedules]);
            }
        }
        self::assertSame([], $wrong);
    }

    /**
     * A jog of 10 between a side that rises 1 in 2 and one under 45°: 10 up both fronts lie at 20, where the jog's own slope
     * has gone. The shallow one goes on for both, over a level break from the jog's end to the hip.
     */
    public function testWhereTwoFrontsComeToLieInOneLineTheShallowOneGoesOn(): void
    {
        $plan = new Ring([
            new Vec2(0.0, 0.0), new Vec2(10.0, 0.0), new Vec2(10.0, -40.0),
            new Vec2(60.0, -40.0), new Vec2(60.0, 60.0), new Vec2(0.0, 60.0),
        ]);
        $schedules = array_map(static fn (float $speed): array => [[-INF, $speed]], [1.0, 1.0, 1.0, 1.0, 1.0, 2.0]);
        $faces = StraightSkeleton::of($plan, $schedules);
        self::assertNotNull($faces);
        self::assertNull(self::wrong($plan, $schedules, $faces));
        $steep = array_values(array_filter($faces, static fn (SkeletonFace $f): bool => $f->edge === 1));
        self::assertCount(1, $steep);
        $places = array_map(static fn (Vec3 $p): array => [round($p->x, 6), round($p->y, 6), round($p->z, 6)], $steep[0]->points);
        sort($places);
        self::assertSame([[10.0, -40.0, 0.0], [10.0, 0.0, 0.0], [20.0, -30.0, 10.0], [20.0, 10.0, 10.0]], $places);
    }

    /**
     * All alike, some edges gables or half-hips, each edge its own, or a break half-way up.
     *
     * @return list<list<array{float, float}>>
     */
    private static function schedules(Ring $plan, Randomizer $random, int $way): array
    {
        $speed = static fn (): float => 1.0 / tan(deg2rad($random->getInt(60, 110) / 2.0));
        $common = $speed();
        $n = $plan->count();
        $schedules = [];
        for ($i = 0; $i < $n; $i++) {
            $isBetweenOuter = self::pointsOut($plan, $i) && self::pointsOut($plan, $i + 1);
            $schedules[] = match (true) {
                $way === 1 => [[-INF, $speed()]],
                $way === 2 && $isBetweenOuter && $random->getInt(0, 1) === 1 => [[-INF, 0.0], [$random->getInt(5, 60) * 0.25, $common]],
                $way === 3 => [[-INF, $common * 0.6], [7.25, $common * 1.4]],
                default => [[-INF, $common]],
            };
        }

        return $schedules;
    }

    private static function pointsOut(Ring $plan, int $corner): bool
    {
        $at = $plan->point($corner);
        $before = $plan->point($corner + $plan->count() - 1);

        return $at->minus($before)->cross($plan->point($corner + 1)->minus($at)) > 0.0;
    }

    /**
     * @param  list<list<array{float, float}>>  $schedules
     * @param  list<SkeletonFace>  $faces
     */
    private static function wrong(Ring $plan, array $schedules, array $faces): ?string
    {
        $area = 0.0;
        foreach ($faces as $face) {
            $area += (new Ring(array_map(static fn (Vec3 $p): Vec2 => new Vec2($p->x, $p->y), $face->points)))->signedArea();
            foreach ($face->isUpright() ? [] : $face->points as $p) {
                $in = self::inFrom($plan, $face->edge, new Vec2($p->x, $p->y));
                $moved = self::moved($schedules[$face->edge], $p->z);
                if (abs($in - $moved) > 0.01) {
                    return sprintf('face of edge %d lies %.3f in from it at a height where its front lies %.3f', $face->edge, $in, $moved);
                }
            }
        }

        return abs($area - $plan->signedArea()) < 0.01 ? null : sprintf('faces of %.3f mm² on %.3f', $area, $plan->signedArea());
    }

    private static function inFrom(Ring $plan, int $edge, Vec2 $at): float
    {
        $along = $plan->point($edge + 1)->minus($plan->point($edge));

        return $along->cross($at->minus($plan->point($edge))) / $along->length();
    }

    /**
     * How far a front has come at a height, from its speeds alone.
     *
     * @param  list<array{float, float}>  $schedule
     */
    private static function moved(array $schedule, float $height): float
    {
        $moved = 0.0;
        foreach ($schedule as $k => [$from, $speed]) {
            $to = min($height, $schedule[$k + 1][0] ?? INF);
            $moved += max(0.0, $to - max(0.0, $from)) * $speed;
        }

        return $moved;
    }
}
