<?php

declare(strict_types=1);

namespace Tests\Core;

use Chartula\Core\Derivation;
use Chartula\Core\Fit\Plot\Clearance;
use Chartula\Core\Fit\Sight\SightLines;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\Support\Kits;
use Tests\Support\Plots\PlotGenerator;
use Tests\Support\Plots\Section;
use Tests\Support\Plots\Swept;
use Tests\Support\Sample;

/**
 * What the plot says of buildings anywhere on it, against what is found by trying: every place of the placed boards, and lines of sight
 * followed in steps past the building as it is described.
 */
final class PlotsTest extends TestCase
{
    private const ALL = 300;

    private const QUICK = 20;

    /** @return iterable<int, array{PlotGenerator, Derivation}> by seed */
    private static function plots(): iterable
    {
        for ($i = 0; $i < (Sample::isDeep() ? self::ALL : self::QUICK); $i++) {
            $seed = (Sample::isDeep() ? $i : $i + 7 * Sample::seed()) % self::ALL;
            $plot = new PlotGenerator($seed);
            yield $seed => [$plot, Kits::of($plot->document())];
        }
    }

    /** How much farther the nearest of the places looked at may be than the nearest there is. */
    private static function near(float $distance): float
    {
        return hypot($distance, Swept::STEP_MM / sqrt(2.0)) - $distance + 0.03;
    }

    private static function one(Derivation $derived, string $kind, string $with): ?Clearance
    {
        foreach ($derived->fit->clearances ?? [] as $clearance) {
            if ($clearance->kind === $kind && str_ends_with($clearance->with, $with)) {
                return $clearance;
            }
        }

        return null;
    }

    /** How near things are, and whether the building comes off past them. */
    #[Group('property')]
    public function testThingsAreAsNearAsTheBoardsAre(): void
    {
        $tried = ['apart' => 0, 'clash' => 0, 'passes' => 0, 'caught' => 0];
        foreach (self::plots() as $seed => [$plot, $derived]) {
            $swept = Swept::of(Kits::serialised($derived), $plot);
            foreach ($plot->things as $id => $thing) {
                $isNeighbour = $id[0] === 'n';
                $told = self::one($derived, $isNeighbour ? 'neighbour' : 'obstacle', $id);
                self::assertNotNull($told, "seed $seed: $id");
                $distance = $told->left_mm + ($isNeighbour ? 1.0 : 0.5);
                $found = $swept->nearest($thing);
                if ($distance > 0.0) {
                    self::assertEqualsWithDelta($found, $distance, self::near($distance), "seed $seed: $id, $told->text");
                } else {
                    self::assertLessThan(1.2, $found, "seed $seed: $id, $told->text");
                }
                $tried[$distance > 0.0 ? 'apart' : 'clash']++;

                $passing = $swept->passing($thing, $plot->way, 0.5);
                $lift = self::one($derived, 'lift', $id);
                if ($lift !== null && $lift->left_mm < -0.5 - 0.02) {
                    self::assertLessThan(1.6, $passing ?? INF, "seed $seed: $id, $lift->text");
                    $tried['caught']++;
                } elseif ($lift !== null && $passing !== null && $passing > 1.6) {
                    // What is level with it and nearer than its play is told too.
                    self::assertEqualsWithDelta(
                        min($passing, max(0.0, $lift->left_mm + 0.5)),
                        $lift->left_mm + 0.5,
                        self::near($passing),
                        "seed $seed: $id, $lift->text",
                    );
                    $tried['passes']++;
                } elseif ($lift === null) {
                    self::assertTrue($passing === null || $passing > 100.0 || $distance <= 0.0, "seed $seed: $id is passed at $passing and nothing is said");
                }
            }
        }
        self::assertGreaterThan(3, min($tried), (string) json_encode($tried));
    }

    /** What shows of a cut building, against lines of sight followed past it. */
    #[Group('property')]
    public function testWhatShowsIsWhatLinesOfSightFind(): void
    {
        $tried = 0;
        foreach (self::plots() as $seed => [$plot, $derived]) {
            $places = [];
            foreach ($plot->eye['travel'] > 0.0 ? range(-4, 4) : [0] as $i) {
                $places[] = $plot->inBuilding(200.0 + $plot->eye['travel'] * $i / 4.0, -$plot->eye['distance']);
            }
            $before = array_values(array_filter($places, static fn (array $p): bool => $p[1] < $plot->y - 0.01));
            $given = $derived->building->plot;
            self::assertNotNull($given);
            $sight = SightLines::of($given, $derived->kit);
            if ($plot->school === null || $before === []) {
                self::assertNull($sight, "seed $seed");

                continue;
            }
            $section = Section::cut($plot);
            $over = self::over($plot, $before, $section->end());
            if ($over === []) {
                self::assertNull($sight, "seed $seed: nothing is looked at over its front");

                continue;
            }
            self::assertNotNull($sight, "seed $seed");
            self::assertSame(count($before), count($sight->before));
            self::assertTopShows($plot, $section, $sight, $over, "seed $seed, $plot->school");
            self::assertRearIsMissed($plot, $sight, $places, "seed $seed, $plot->school");
            self::assertFlanks($plot, $sight, $places, "seed $seed, $plot->school");
            $tried++;
        }
        self::assertGreaterThan(self::QUICK / 4, $tried);
    }

    /**
     * Lines of sight over the front to the back edge: eye and place in plan.
     *
     * @param  list<array{float, float}>  $before
     * @return list<array{array{float, float}, array{float, float}}>
     */
    private static function over(PlotGenerator $plot, array $before, float $end): array
    {
        $lines = [];
        foreach ($before as [$ex, $ey]) {
            for ($i = 0; $i < 24; $i++) {
                [$x, $y] = [$plot->x + $plot->width * ($i + 0.5) / 24.0, $plot->y + $end];
                $at = $ex + ($x - $ex) * ($plot->y - $ey) / ($y - $ey);
                if ($at > $plot->x && $at < $plot->x + $plot->width) {
                    $lines[] = [[$ex, $ey], [$x, $y]];
                }
            }
        }

        return $lines;
    }

    /** @param  list<array{array{float, float}, array{float, float}}>  $over */
    private static function assertTopShows(PlotGenerator $plot, Section $section, SightLines $sight, array $over, string $seed): void
    {
        $top = $section->profile[count($section->profile) - 1][1];
        $from = $down = INF;
        foreach ($over as $i => [$eye, $place]) {
            if ($i % max(1, intdiv(count($over), 6)) !== 0 && $i !== count($over) - 1) {
                continue;
            }
            $from = min($from, max($top, $section->seenFrom($eye, [...$place, $top])));
            $share = ($place[1] - $eye[1] + 3.0) / ($place[1] - $eye[1]);
            $line = [$eye[0] + ($place[0] - $eye[0]) * $share, $place[1] + 3.0];
            $down = min($down, $section->seenDownTo([...$eye, $plot->eye['high']], $line));
        }
        self::assertEqualsWithDelta($top, $sight->top, 0.01, $seed);
        self::assertEqualsWithDelta(1.0, $sight->topFrom / $from, 0.03, "$seed: seen from $sight->topFrom, found $from");
        self::assertEqualsWithDelta($down, $sight->backscene[0], 0.3 + 0.01 * abs($down), "$seed: the backscene");
        self::assertLessThan($down + 0.3, $sight->backscene[0], "$seed: paint it far enough");
        // Cut square, the edge of a panel that rises to the back is seen from before its own plane.
        $isRising = in_array($plot->school, ['slice', 'keep-ridge'], true);
        self::assertSame($isRising, $sight->squareFrom !== null, $seed);
        if ($isRising) {
            $profile = $section->profile;
            $rise = ($profile[1][1] - $profile[0][1]) / ($profile[1][0] - $profile[0][0]);
            $near = min([INF, ...array_map(static fn (array $line): float => $line[1][1] - $line[0][1], $over)]);
            self::assertEqualsWithDelta($top + $near / $rise, $sight->squareFrom, 0.01, $seed);
        }
    }

    /** @param  list<array{float, float}>  $places */
    private static function assertRearIsMissed(PlotGenerator $plot, SightLines $sight, array $places, string $seed): void
    {
        if (in_array($plot->school, ['squeeze', 'keep-pitch'], true)) {
            self::assertNull($sight->missingRear, $seed);

            return;
        }
        self::assertNotNull($sight->missingRear, $seed);
        $whole = Section::whole($plot);
        [$at, $high] = $whole->profile[1];
        $least = INF;
        foreach ($places as $eye) {
            // A place on the rear slope as it would be, seen past the whole of it.
            $y = $at + ($whole->end() - $at) * 0.6;
            foreach ($eye[1] < $plot->y ? [0.3, 0.6] : [] as $along) {
                $least = min($least, $whole->seenFrom($eye, [$plot->x + $plot->width * $along, $plot->y + $y, $whole->height($y)]));
            }
        }
        if ($least < INF && count(array_filter($places, static fn (array $p): bool => $p[1] < $plot->y)) === count($places)) {
            self::assertEqualsWithDelta($least, $sight->missingRear[0], 2.0 + 0.02 * abs($least), "$seed: the rear, $high high");
        } else {
            // From beside it the slope is looked along or from behind: seen from lower down.
            self::assertLessThan($least + 2.0 + 0.02 * abs($least), $sight->missingRear[0], $seed);
        }
    }

    /** @param  list<array{float, float}>  $places */
    private static function assertFlanks(PlotGenerator $plot, SightLines $sight, array $places, string $seed): void
    {
        $told = [];
        foreach ($sight->ends as $end) {
            $told[$end['end']] = $end['join']->missingAcross();
            self::assertEqualsWithDelta($end['join']->missing * sin(deg2rad($end['join']->angle)), $end['join']->missingAcross(), 1e-9);
        }
        $missing = $plot->depth - $plot->cut;
        foreach (['left' => [-1.0, $plot->x], 'right' => [1.0, $plot->x + $plot->width]] as $end => [$sign, $x]) {
            $most = null;
            foreach ($places as [$ex, $ey]) {
                $aside = $sign * ($ex - $x);
                $away = $plot->y + $plot->cut - $ey;
                if ($aside > 0.01) {
                    // As much of the missing flank as stands across the line of sight to where it ends.
                    $most = max($most ?? 0.0, $missing * $aside / hypot($aside, $away));
                }
            }
            self::assertSame($most !== null, isset($told[$end]), "$seed: the $end flank");
            if ($most !== null) {
                self::assertEqualsWithDelta($most, $told[$end] ?? 0.0, 0.01, "$seed: the $end flank");
            }
        }
    }
}
