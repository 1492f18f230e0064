<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Compromise;

use Chartula\Core\Building\Compression\Step;
use Chartula\Core\Measure\Tolerance;

/**
 * The ways to make one wall shorter by so much, each with its harm: 100·w·|ln(x′/x)| summed over the classes of lengths that it
 * touches. Real millimetres. docs/formulas.md#compression
 *
 * @phpstan-type Measures array{length: float, margins: float, piers: float, openings: float, least_margins: float, least_piers: float,
 *     piers_count: int, row: int, bay: float, central: bool, pairs: int}
 */
final readonly class Ladder
{
    private const MARGINS = 0.5;

    private const PIERS = 1.0;

    private const BAYS = 1.5;

    private const FACTOR = 4.0;

    private const OPENINGS = 4.0;

    /** A wall and its openings made shorter than this share of themselves look narrow. */
    private const LEAST_LENGTHS = 0.95;

    /** A building smaller than this share of itself is not called the same any more. */
    private const LEAST_FACTOR = 0.9;

    private const LEAST_BAYS = 3;

    /**
     * @param  Measures  $of
     * @return list<Proposal> least harmful first
     */
    public static function of(string $block, string $edge, array $of, float $by): array
    {
        $found = [];
        [$margins, $piers] = [$of['margins'], $of['piers']];
        if ($margins - $by >= $of['least_margins'] - Tolerance::MEET) {
            $found[] = new Proposal(
                'margins',
                'Margins only',
                [self::step(Step::MARGINS, $block, $edge, $by)],
                [self::share('margins', $margins, $margins - $by)],
                self::harm(self::MARGINS, $margins, $margins - $by),
            );
        }
        if ($piers > 0.0 && $piers - $by >= $of['least_piers'] - Tolerance::MEET) {
            $found[] = new Proposal(
                'piers',
                'Piers only',
                [self::step(Step::PIERS, $block, $edge, $by)],
                [self::share('piers', $piers, $piers - $by)],
                self::harm(self::PIERS, $piers, $piers - $by),
            );
        }
        $found = [...$found, ...array_values(array_filter([self::mixed($block, $edge, $of, $by), self::bays($block, $edge, $of, $by)]))];
        if ($of['length'] > 0.0 && $by <= (1.0 - self::LEAST_LENGTHS) * $of['length'] + Tolerance::MEET) {
            $found[] = self::lengths($block, $edge, $of, 1.0 - $by / $of['length']);
        }
        usort($found, Proposal::compare(...));

        return $found;
    }

    /**
     * The least harmful way without bays, or null.
     *
     * @param  Measures  $of
     */
    public static function best(string $block, string $edge, array $of, float $by): ?Proposal
    {
        return array_values(
            array_filter(
                self::of($block, $edge, $of, $by),
                static fn (Proposal $p): bool => ! in_array($p->key, ['bays', 'lengths'], true),
            ),
        )[0]
            ?? null;
    }

    /**
     * Everything along a wall by a factor, its openings too; nothing in height.
     *
     * @param  Measures  $of
     */
    public static function lengths(string $block, string $edge, array $of, float $factor): Proposal
    {
        $weight = ($of['openings'] > 0.0 ? self::OPENINGS : 0.0)
            + ($of['piers'] > 0.0 ? self::PIERS : 0.0)
            + ($of['margins'] > 0.0 ? self::MARGINS : 0.0);

        return new Proposal(
            'lengths',
            'Lengths only',
            [['op' => Step::LENGTHS, 'block' => $block, 'edge' => $edge, 'by' => floor($factor * 1e6) / 1e6]],
            [sprintf('everything along it %.1f %% narrower, doors and windows too, and as high as it is', 100.0 * (1.0 - $factor))],
            self::harm($weight, 1.0, $factor),
            true,
        );
    }

    /** Makes everything smaller by a factor in all three directions; null where that would be another building. */
    public static function factor(float $factor): ?Proposal
    {
        return $factor < self::LEAST_FACTOR || $factor >= 1.0 ? null
            : new Proposal(
                'factor',
                'Everything smaller',
                [['op' => Step::FACTOR, 'by' => round($factor, 6)]],
                [
                    sprintf(
                        'everything %.1f %% smaller, doors and windows too; areas %.3f, volumes %.3f of it',
                        100.0 * (1.0 - $factor),
                        $factor ** 2,
                        $factor ** 3,
                    ),
                ],
                self::harm(self::FACTOR, 1.0, $factor),
                true,
            );
    }

    /**
     * @param  Measures  $of
     */
    private static function mixed(string $block, string $edge, array $of, float $by): ?Proposal
    {
        $mix = self::mix($of, $by);
        if ($mix === null || $mix[0] <= Tolerance::MEET || $mix[1] <= Tolerance::MEET) {
            return null;
        }
        [$margins, $piers] = [$of['margins'], $of['piers']];

        return new Proposal(
            'mix',
            'Margins and piers',
            [self::step(Step::MARGINS, $block, $edge, $mix[0]), self::step(Step::PIERS, $block, $edge, $mix[1])],
            [self::share('margins', $margins, $margins - $mix[0]), self::share('piers', $piers, $piers - $mix[1])],
            self::harm(self::MARGINS, $margins, $margins - $mix[0]) + self::harm(self::PIERS, $piers, $piers - $mix[1]),
        );
    }

    /** @return array<string, string> */
    private static function step(string $op, string $block, string $edge, float $mm): array
    {
        return ['op' => $op, 'block' => $block, 'edge' => $edge, 'by' => self::mm($mm)];
    }

    /**
     * The best mix of margins and piers: 2e′/w_e = (n − 1)p′/w_p, neither larger than before nor smaller than it may be.
     *
     * @param  Measures  $of
     * @return ?array{float, float} by how much each is less
     */
    private static function mix(array $of, float $by): ?array
    {
        $left = $of['margins'] + $of['piers'] - $by;
        if ($of['piers'] <= 0.0 || $left < $of['least_margins'] + $of['least_piers'] - Tolerance::MEET) {
            return null;
        }
        $margins = $left * self::MARGINS / (self::MARGINS + self::PIERS);
        $margins = max($of['least_margins'], $left - $of['piers'], min($of['margins'], $left - $of['least_piers'], $margins));

        return [$of['margins'] - $margins, $of['piers'] - ($left - $margins)];
    }

    /**
     * @param  Measures  $of
     */
    private static function bays(string $block, string $edge, array $of, float $by): ?Proposal
    {
        $drop = $of['bay'] > 0.0 ? (int) ceil($by / $of['bay'] - Tolerance::ROUNDING) : 0;
        // As many at either end, so that the row stays over the door in its middle.
        $drop += $of['central'] && $drop % 2 === 1 && intdiv($drop, 2) < $of['pairs'] ? 1 : 0;
        if ($drop < 1 || $of['row'] - $drop < self::LEAST_BAYS) {
            return null;
        }
        $isOffMiddle = $of['central'] && ($drop % 2 === 1 || intdiv($drop, 2) > $of['pairs']);
        $over = $drop * $of['bay'] - $by;
        $steps = [['op' => Step::BAYS, 'block' => $block, 'edge' => $edge, 'count' => $drop]];
        $costs = [
            sprintf('%d openings to %d', $of['row'], $of['row'] - $drop),
            ...$isOffMiddle ? ['the door no longer stands under the middle of the row'] : [],
        ];
        $harm = self::harm(self::BAYS, $of['row'], $of['row'] - $drop);
        if ($over > Tolerance::MEET) {
            // Evenly over what piers and margins are left, as many as there are.
            $piers = $of['piers_count'] - $drop;
            $each = $over / ($piers + 2);
            $width = $of['piers_count'] > 0 ? $of['piers'] / $of['piers_count'] : 0.0;
            $steps[] = ['op' => Step::SPREAD, 'block' => $block, 'edge' => $edge, 'by' => self::mm($over)];
            $costs[] = self::share('margins', $of['margins'], $of['margins'] + 2.0 * $each);
            $harm += self::harm(self::MARGINS, $of['margins'], $of['margins'] + 2.0 * $each);
            if ($piers > 0 && $width > 0.0) {
                $costs[] = self::share('piers', $width, $width + $each);
                $harm += self::harm(self::PIERS, $width, $width + $each);
            }
        }

        return new Proposal('bays', 'Fewer bays', $steps, $costs, $harm);
    }

    /** Weighs the harm to a class of lengths that goes from one size to another. */
    public static function harm(float $weight, float $was, float $is): float
    {
        return $was <= 0.0 || $is <= 0.0 ? 0.0 : 100.0 * $weight * abs(log($is / $was));
    }

    private static function share(string $what, float $was, float $is): string
    {
        return sprintf('%s %.0f %% %s', $what, 100.0 * abs($is / $was - 1.0), $is < $was ? 'narrower' : 'wider');
    }

    private static function mm(float $mm): string
    {
        return rtrim(rtrim(number_format($mm, 3, '.', ''), '0'), '.').'mm';
    }
}
