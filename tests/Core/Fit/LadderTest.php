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
            'least_margins' => 1.125 * 2 * self::FT, 'least_piers' => 3.75 * 5 * self::FT, 'piers_count' => 5,
            'row' => 6, 'bay' => 9 * self::FT,
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
            'length' => 60 * self::FT, 'margins' => 3 * self::FT, 'piers' => 25 * self::FT,
            'least_margins' => 2.25 * self::FT, 'least_piers' => 18.75 * self::FT, 'piers_count' => 5, 'row' => 3,
            'bay' => 9 * self::FT,
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
}
