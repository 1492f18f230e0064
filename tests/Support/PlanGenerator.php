<?php

declare(strict_types=1);

namespace Tests\Support;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Plans with arms, by seed: T, cross, H, comb and court, measured in 5 mm steps, many with walls in one line; model millimetres. */
final class PlanGenerator
{
    private const SCALES = [43.5, 64.0, 76.2, 87.1, 120.0, 148.0, 160.0];

    private readonly Randomizer $random;

    public function __construct(public readonly int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function plan(): Ring
    {
        $places = match ($this->seed % 5) {
            0 => $this->tee(), 1 => $this->cross(), 2 => $this->aitch(), 3 => $this->comb(), default => $this->court(),
        };
        $scale = self::SCALES[$this->random->getInt(0, 6)];
        $turn = $this->random->getInt(0, 3) === 0 ? deg2rad($this->random->getInt(1, 89)) : 0.0;
        $at = static fn (float $x, float $y): Vec2 => new Vec2($x * cos($turn) - $y * sin($turn), $x * sin($turn) + $y * cos($turn));

        return new Ring(array_map(static fn (array $p): Vec2 => $at($p[0] / $scale, $p[1] / $scale), $places));
    }

    /** @return non-empty-list<array{int, int}> */
    private function tee(): array
    {
        [$w, $d, $arm, $out] = [$this->mm(5000, 12000), $this->mm(3000, 8000), $this->mm(2000, 4000), $this->mm(1000, 4500)];
        $x = $this->mm(100, $w - $arm - 100);

        return [[0, 0], [$x, 0], [$x, -$out], [$x + $arm, -$out], [$x + $arm, 0], [$w, 0], [$w, $d], [0, $d]];
    }

    /** @return non-empty-list<array{int, int}> */
    private function cross(): array
    {
        [$w, $d, $arm, $out] = [$this->mm(5000, 12000), $this->mm(3000, 8000), $this->mm(2000, 4000), $this->mm(1000, 4500)];
        $x = $this->mm(100, $w - $arm - 100);
        [$x2, $arm2] = $this->often() ? [$x, $arm] : [$this->mm(100, $w - $arm - 100), $arm - 5];
        $out2 = $this->often() ? $out : $this->mm(1000, 4500);

        return [
            [0, 0], [$x, 0], [$x, -$out], [$x + $arm, -$out], [$x + $arm, 0], [$w, 0], [$w, $d],
            [$x2 + $arm2, $d], [$x2 + $arm2, $d + $out2], [$x2, $d + $out2], [$x2, $d], [0, $d],
        ];
    }

    /** @return non-empty-list<array{int, int}> */
    private function aitch(): array
    {
        [$w, $d] = [$this->mm(6000, 12000), $this->mm(4000, 9000)];
        [$l, $r, $n] = [$this->mm(1500, 2900), $this->mm(1500, 2900), $this->mm(500, 1900)];
        $n2 = $this->often() ? $n : $this->mm(500, 1900);
        $o = $this->often() ? 0 : $this->mm(-300, 300);

        return [
            [0, 0], [$l, 0], [$l, $n], [$w - $r, $n], [$w - $r, $o], [$w, $o], [$w, $d],
            [$w - $r, $d], [$w - $r, $d - $n2], [$l, $d - $n2], [$l, $d], [0, $d],
        ];
    }

    /** @return non-empty-list<array{int, int}> */
    private function comb(): array
    {
        $out = $this->mm(1000, 4500);
        $places = [[0, 0]];
        $x = 0;
        for ($i = 0, $n = $this->random->getInt(2, 4); $i < $n; $i++) {
            $from = $x + $this->mm(1000, 3000);
            $x = $from + $this->mm(1000, 3000);
            $o = $this->often() ? $out : $this->mm(1000, 4500);
            array_push($places, [$from, 0], [$from, -$o], [$x, -$o], [$x, 0]);
        }
        $x += $this->mm(1000, 3000);
        $d = $this->mm(3000, 8000);

        return [...$places, [$x, 0], [$x, $d], [0, $d]];
    }

    /** @return non-empty-list<array{int, int}> two recesses that face each other */
    private function court(): array
    {
        [$a, $h, $in] = [$this->mm(1000, 2500), $this->mm(4000, 8000), $this->mm(500, 1900)];
        $b = $a + $this->mm(1000, 2500);
        $w = $b + $this->mm(1000, 2500);
        $in2 = $this->often() ? $in : $this->mm(500, 1900);

        return [
            [0, 0], [$a, 0], [$a, $in], [$b, $in], [$b, 0], [$w, 0],
            [$w, $h], [$b, $h], [$b, $h - $in2], [$a, $h - $in2], [$a, $h], [0, $h],
        ];
    }

    private function often(): bool
    {
        return $this->random->getInt(0, 2) > 0;
    }

    private function mm(int $least, int $most): int
    {
        return 5 * $this->random->getInt((int) ceil($least / 5), (int) floor($most / 5));
    }
}
