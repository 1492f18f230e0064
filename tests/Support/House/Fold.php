<?php

declare(strict_types=1);

namespace Tests\Support\House;

use Chartula\Core\Geometry\Vec2;

/**
 * The one half cut of a strip that is folded there: what lies beyond turns about its line on the face that is not cut, the inside one.
 *
 * @phpstan-import-type Part from Card
 */
final readonly class Fold
{
    /** @param  array{Vec2, Vec2}  $line */
    private function __construct(
        private array $line,
        private float $x,
        private float $y,
        private float $alongX,
        private float $alongY,
        private float $radians,
        private float $thickness,
    ) {
    }

    /**
     * Null where nothing is folded, or more than once.
     *
     * @param  Part  $part
     */
    public static function of(array $part): ?self
    {
        if (count($part['scores']) !== 1 || ! isset($part['form']['base'])) {
            return null;
        }
        [[$ax, $ay], [$bx, $by]] = $part['scores'][0]['line'];
        $length = hypot($bx - $ax, $by - $ay);
        [$ux, $uy] = [($bx - $ax) / $length, ($by - $ay) / $length];
        [$px, $py] = $part['form']['base'];
        // So that what is turned lies to the left of the line.
        $sign = $ux * ($py - $ay) - $uy * ($px - $ax) > 0.0 ? -1.0 : 1.0;
        $angle = deg2rad((float) $part['scores'][0]['degrees']) * ($part['scores'][0]['fold'] === 'away' ? 1.0 : -1.0);

        return new self([new Vec2($ax, $ay), new Vec2($bx, $by)], $ax, $ay, $sign * $ux, $sign * $uy, $angle, (float) $part['thickness']);
    }

    /** @return list<array{Vec2, Vec2}> the line as the edge of what stays, and as that of what turns */
    public function lines(): array
    {
        $by = new Vec2(-1e-7 * $this->alongY, 1e-7 * $this->alongX);

        return [$this->line, [$this->line[0]->plus($by), $this->line[1]->plus($by)]];
    }

    /** @return array{float, float, float} a place of the flat part, and how far it is before the outside face, after folding */
    public function folded(float $x, float $y, float $out): array
    {
        $off = $this->alongX * ($y - $this->y) - $this->alongY * ($x - $this->x);
        if ($off <= 0.0) {
            return [$x, $y, $out];
        }
        $on = $this->alongX * ($x - $this->x) + $this->alongY * ($y - $this->y);
        $lever = $out + $this->thickness;
        $turned = $off * cos($this->radians) + $lever * sin($this->radians);

        return [
            $this->x + $on * $this->alongX - $turned * $this->alongY,
            $this->y + $on * $this->alongY + $turned * $this->alongX,
            $lever * cos($this->radians) - $off * sin($this->radians) - $this->thickness,
        ];
    }
}
