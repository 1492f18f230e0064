<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Vec2;

/** A line to score and fold. `away` folds from the printed face, `towards` to it. */
final readonly class Score
{
    /**
     * @param  'away'|'towards'  $fold
     * @param  'face'|'back'  $scoreOn
     */
    public function __construct(
        public Vec2 $from,
        public Vec2 $to,
        public string $fold,
        public float $degrees,
        public string $scoreOn,
    ) {
    }

    public function moved(float $dx, float $dy): self
    {
        $by = new Vec2($dx, $dy);

        return new self($this->from->plus($by), $this->to->plus($by), $this->fold, $this->degrees, $this->scoreOn);
    }

    /** @return array{line: array{array{float, float}, array{float, float}}, fold: string, degrees: float, score_on: string} */
    public function toArray(): array
    {
        return [
            'line' => [$this->from->toArray(), $this->to->toArray()], 'fold' => $this->fold,
            'degrees' => round($this->degrees, 6), 'score_on' => $this->scoreOn,
        ];
    }
}
