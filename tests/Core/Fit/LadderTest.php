<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Chartula\Core\Fit\Compromise\Ladder;
use Chartula\Core\Fit\Compromise\Proposal;
use PHPUnit\Framework\TestCase;

/** A wall of 60 ft: six openings of 4 ft, piers of 5, margins of 5.5; to be 54. */
final class LadderTest extends TestCase
{
    private const FT = 304.8;

    public function testWorkedHarms(): void
    {
        $of = [
            'length' => 60 * self::FT, 'margins' => 11 * self::FT, 'piers' => 25 * self::FT,
            'openings' => 24 * self::FT, 'least_margins' => 1.125 * 2 * self::FT, 'least_piers' => 3.75 * 5 * self::FT, 'piers_count' => 5,
            'row' => 6, 'bay' => 9 * self::FT, 'central' => false, 'pairs' => 0,
        ];
        $found = array_column(
            array_map(static fn (Proposal $p): array => [$p->key, $p], Ladder::of('main', 'front', $of, 6 * self::FT)),
            1,
            0,
        );
        self::assertSame(['mix', 'piers', 'margins', 'bays'], array_keys($found), 'least harmful first');
        $factor = Ladder::factor(0.9);
        self::assertNotNull($factor);
        $found['factor'] = $factor;
        self::assertEqualsWithDelta(
            [27.1, 27.4, 39.4, 41.2, 42.1],
            array_values(array_map(static fn (Proposal $p): float => $p->harm, $found)),
            0.06,
        );
        $lengths = Ladder::lengths('main', 'front', $of, 0.9);
        self::assertEqualsWithDelta(57.9, $lengths->harm, 0.06);
        self::assertTrue($lengths->isProtected);
        // Margins to 5.0 and piers to 4.0: one foot of margins and five of piers.
        self::assertSame(['304.8mm', '1524mm'], array_column($found['mix']->steps, 'by'));
        self::assertSame(
            [
                ['op' => 'bays', 'block' => 'main', 'edge' => 'front', 'count' => 1],
                ['op' => 'spread', 'block' => 'main', 'edge' => 'front', 'by' => '914.4mm'],
            ],
            $found['bays']->steps,
        );
        self::assertSame([false, true], [$found['bays']->isProtected, $found['factor']->isProtected]);
    }

    public function testNothingIsProposedBeyondItsLimits(): void
    {
        $of = [
            'length' => 60 * self::FT, 'margins' => 3 * self::FT, 'piers' => 25 * self::FT, 'openings' => 24 * self::FT,
            'least_margins' => 2.25 * self::FT, 'least_piers' => 18.75 * self::FT, 'piers_count' => 5, 'row' => 3,
            'bay' => 9 * self::FT, 'central' => false, 'pairs' => 0,
        ];
        self::assertSame(
            [],
            array_values(
                array_map(
                    static fn (Proposal $p): string => $p->key,
                    array_filter(
                        Ladder::of('main', 'front', $of, 5.9 * self::FT),
                        static fn (Proposal $p): bool => ! in_array($p->key, ['piers', 'mix'], true),
                    ),
                ),
            ),
        );
        self::assertSame([], Ladder::of('main', 'front', $of, 20 * self::FT));
        self::assertNull(Ladder::factor(0.89));
    }

    /** A twentieth is as much as lengths alone may lose. */
    public function testLengthsOnlyUpToATwentieth(): void
    {
        $of = [
            'length' => 60 * self::FT, 'margins' => 11 * self::FT, 'piers' => 25 * self::FT, 'openings' => 24 * self::FT,
            'least_margins' => 11 * self::FT, 'least_piers' => 25 * self::FT, 'piers_count' => 5, 'row' => 0, 'bay' => 0.0,
            'central' => false, 'pairs' => 0,
        ];
        $keys = static fn (float $feet): array => array_map(
            static fn (Proposal $p): string => $p->key,
            Ladder::of('main', 'front', $of, $feet * self::FT),
        );
        self::assertSame(['lengths'], $keys(3.0));
        self::assertSame([], $keys(3.1));
    }

    /** Five over a door in the middle become three: one goes at either end. Where only one could go, it is said what that costs. */
    public function testARowOverADoorKeepsToIt(): void
    {
        $of = [
            'length' => 39 * self::FT, 'margins' => 5 * self::FT, 'piers' => 14 * self::FT, 'openings' => 20 * self::FT,
            'least_margins' => 5 * self::FT, 'least_piers' => 14 * self::FT, 'piers_count' => 4, 'row' => 5, 'bay' => 7.5 * self::FT,
            'central' => true, 'pairs' => 1,
        ];
        $bays = static fn (int $pairs): Proposal => Ladder::of('main', 'front', ['pairs' => $pairs] + $of, 7 * self::FT)[0];
        self::assertSame([2, ['5 openings to 3']], [$bays(1)->steps[0]['count'], array_slice($bays(1)->costs, 0, 1)]);
        self::assertNotContains('the door no longer stands under the middle of the row', $bays(1)->costs);
        $one = $bays(0);
        self::assertSame([1, 'the door no longer stands under the middle of the row'], [$one->steps[0]['count'], $one->costs[1]]);
    }
}
