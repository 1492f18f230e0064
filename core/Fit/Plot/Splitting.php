<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Lift;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\Tolerance;

/**
 * How a building too long to be handled in one piece is divided: into as few pieces as are handy, at natural lines where there are any.
 * Model millimetres, along its longer side from its end at the left or the front. docs/formulas.md#lifting-off
 *
 * @phpstan-type Piece array{from: float, to: float, length: float, swing: float}
 * @phpstan-type Joint array{at: float, where: string}
 */
final readonly class Splitting
{
    /** Where a block ends, between openings, and where nothing asks for a joint: what each costs against evenness. */
    private const COSTS = ['block' => 0.0, 'pier' => 0.05, 'none' => 0.3];

    /** A pier narrower than this, in thicknesses of nothing but handiness, takes no cover strip. */
    private const LEAST_PIER_MM = 3.0;

    /**
     * @param  bool  $isAcross  along x of the building; along y otherwise
     * @param  list<Piece>  $pieces
     * @param  list<Joint>  $joints
     */
    private function __construct(
        public bool $isAcross,
        public float $length,
        public float $height,
        public float $handy,
        public float $cover,
        public array $pieces,
        public array $joints,
    ) {
    }

    public static function of(Form $form, Lift $lift): self
    {
        $spans = static fn (bool $isAcross): array => array_map(static function (BlockForm $b) use ($isAcross): Interval {
            $box = $b->ring->bounds();

            return $isAcross ? new Interval($box->x0, $box->x1) : new Interval($box->y0, $box->y1);
        }, $form->blocks);
        $isAcross = self::around($spans(true))->length() >= self::around($spans(false))->length();
        $span = self::around($spans($isAcross));
        $height = $form->top();
        $joints = self::joints($span, self::natural($form, $isAcross, $spans($isAcross), $span), $lift->handy);
        $cuts = [$span->from, ...array_column($joints, 'at'), $span->to];
        $pieces = [];
        for ($i = 1; $i < count($cuts); $i++) {
            $length = $cuts[$i] - $cuts[$i - 1];
            $pieces[] = [
                'from' => $cuts[$i - 1] - $span->from, 'to' => $cuts[$i] - $span->from, 'length' => $length,
                'swing' => self::swing($length, $height),
            ];
        }

        return new self(
            $isAcross,
            $span->length(),
            $height,
            $lift->handy,
            self::cover($lift),
            $pieces,
            array_map(static fn (array $j): array => ['at' => $j['at'] - $span->from, 'where' => $j['where']], $joints),
        );
    }

    /** @param  list<Interval>  $all */
    private static function around(array $all): Interval
    {
        $from = array_map(static fn (Interval $i): float => $i->from, $all);
        $to = array_map(static fn (Interval $i): float => $i->to, $all);

        return new Interval(min([INF, ...$from]), max([-INF, ...$to]));
    }

    /** How far a piece so long and so high sweeps beyond itself where it is lifted at one end and turns about the other. */
    public static function swing(float $length, float $height): float
    {
        return hypot($length, $height) - $length;
    }

    /** How wide a strip over a joint is at the least: it covers what the joint leaves open however the pieces lie. */
    public static function cover(Lift $lift): float
    {
        return $lift->joint + 2.0 * $lift->play;
    }

    /**
     * @param  list<Interval>  $blocks
     * @return array<string, list<float>> where a joint would be natural, by kind
     */
    private static function natural(Form $form, bool $isAcross, array $blocks, Interval $span): array
    {
        $isIn = static fn (float $at): bool => $span->contains($at, Tolerance::MEET);
        $ends = array_merge(...array_map(static fn (Interval $b): array => [$b->from, $b->to], $blocks));
        $walls = array_filter(
            $form->walls(),
            static fn (WallForm $w): bool => abs($isAcross ? $w->frame->normal->x : $w->frame->normal->y) < Tolerance::ROUNDING,
        );
        $openings = [];
        foreach ($walls as $wall) {
            $on = static function (float $along) use ($wall, $isAcross): float {
                $at = $wall->frame->point($along, 0.0);

                return $isAcross ? $at->x : $at->y;
            };
            array_push(
                $openings,
                ...array_map(static fn (OpeningForm $o): Interval => Interval::between($on($o->left), $on($o->right())), $wall->openings),
            );
        }
        $piers = array_filter(
            $openings === [] ? [] : $span->without(Interval::joined($openings, Tolerance::MEET), Tolerance::MEET),
            static fn (Interval $p): bool => $p->from > $span->from + Tolerance::MEET
                && $p->to < $span->to - Tolerance::MEET
                && $p->length() >= self::LEAST_PIER_MM,
        );

        return [
            'block' => array_values(array_filter($ends, $isIn)),
            'pier' => array_values(array_map(static fn (Interval $p): float => ($p->from + $p->to) / 2.0, $piers)),
        ];
    }

    /**
     * The fewest joints that leave no piece longer than is handy, at the most natural and most even places.
     *
     * @param  array<string, list<float>>  $natural
     * @return list<Joint>
     */
    private static function joints(Interval $span, array $natural, float $handy): array
    {
        $count = (int) ceil($span->length() / $handy - Tolerance::ROUNDING);
        if ($count <= 1) {
            return [];
        }
        $even = $span->length() / $count;
        $places = array_map(static fn (int $i): array => ['at' => $span->from + $i * $even, 'kind' => 'none'], range(1, $count - 1));
        foreach ($natural as $kind => $all) {
            array_push($places, ...array_map(static fn (float $at): array => ['at' => $at, 'kind' => $kind], $all));
        }
        $isHandy = static fn (float $length): bool => $length > Tolerance::MEET && $length <= $handy + Tolerance::MEET;
        $uneven = static fn (float $length): float => (($length - $even) / $even) ** 2;
        // What each way of ending the pieces so far at a place costs, piece by piece.
        /** @var list<array{cost: float, at: float, joints: list<array{at: float, kind: string}>}> $best */
        $best = [['cost' => 0.0, 'at' => $span->from, 'joints' => []]];
        for ($i = 1; $i < $count; $i++) {
            $next = [];
            foreach ($places as $place) {
                foreach (array_filter($best, static fn (array $b): bool => $isHandy($place['at'] - $b['at'])) as $before) {
                    $cost = $before['cost'] + self::COSTS[$place['kind']] + $uneven($place['at'] - $before['at']);
                    if ($cost < ($next["{$place['at']}"]['cost'] ?? INF)) {
                        $next["{$place['at']}"] = ['cost' => $cost, 'at' => $place['at'], 'joints' => [...$before['joints'], $place]];
                    }
                }
            }
            $best = array_values($next);
        }
        $ending = array_filter($best, static fn (array $b): bool => $isHandy($span->to - $b['at']));
        usort(
            $ending,
            static fn (array $a, array $b): int =>
                $a['cost'] + $uneven($span->to - $a['at']) <=> $b['cost'] + $uneven($span->to - $b['at']),
        );

        return array_map(
            static fn (array $p): array => ['at' => $p['at'], 'where' => self::where($p['kind'])],
            $ending[0]['joints'] ?? [],
        );
    }

    private static function where(string $kind): string
    {
        return match ($kind) {
            'block' => 'where one part of the building ends',
            'pier' => 'between openings, behind a pilaster or a downpipe',
            default => 'no natural line lies near: cover it with a pilaster or a downpipe',
        };
    }

    /** @return list<string> sentences */
    public function texts(): array
    {
        if ($this->joints === []) {
            return [sprintf(
                'It is %.0f mm long and can be handled in one piece. Lifted at one end it swings %.2f mm out at the other: keep so much free there, or lift it level.',
                $this->length,
                $this->pieces[0]['swing'],
            )];
        }
        $end = $this->isAcross ? 'left' : 'front';
        $swings = array_map(static fn (array $p, int $i): string => sprintf(
            'piece %d, %.1f mm, swings %.2f mm out',
            $i + 1,
            $p['length'],
            $p['swing'],
        ), $this->pieces, array_keys($this->pieces));

        return [
            sprintf('It is %.0f mm long, and %.0f mm are handy: make it in %d pieces.', $this->length, $this->handy, count($this->pieces)),
            ...array_map(
                static fn (array $j, int $i): string =>
                    sprintf('Joint %d lies %.1f mm from the %s end, %s.', $i + 1, $j['at'], $end, $j['where']),
                $this->joints,
                array_keys($this->joints),
            ),
            sprintf(
                'Cover each joint, walls and roof, with a strip at least %.1f mm wide, stuck to the piece before it alone.',
                $this->cover,
            ),
            sprintf('The piece with the strip lies over its neighbour, so lift the pieces from the %s end: ', $end).implode(', ', $swings).'.',
        ];
    }

    /**
     * @return array{length_mm: float, handy_mm: float, cover_mm: float, pieces: list<array{from_mm: float, to_mm: float, length_mm: float,
     *     swing_mm: float}>, joints: list<array{at_mm: float, where: string}>, texts: list<string>}
     */
    public function toArray(): array
    {
        return [
            'length_mm' => round($this->length, 3), 'handy_mm' => $this->handy, 'cover_mm' => round($this->cover, 3),
            'pieces' => array_map(static fn (array $p): array => [
                'from_mm' => round($p['from'], 3), 'to_mm' => round($p['to'], 3), 'length_mm' => round($p['length'], 3),
                'swing_mm' => round($p['swing'], 3),
            ], $this->pieces),
            'joints' => array_map(static fn (array $j): array => ['at_mm' => round($j['at'], 3), 'where' => $j['where']], $this->joints),
            'texts' => $this->texts(),
        ];
    }
}
