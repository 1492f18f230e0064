<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** The pages that are printed. Model millimetres. */
final readonly class PrintSettings
{
    public const PAPERS_MM = ['a4' => [210.0, 297.0], 'letter' => [215.9, 279.4]];

    /**
     * @param  'a4'|'letter'  $paper
     * @param  float  $proofX_mm  what the printed 100 mm rule across measured
     * @param  float  $proofY_mm  what the printed 100 mm rule along measured
     */
    public function __construct(
        public string $paper,
        public float $margin_mm,
        public float $gap_mm,
        public float $proofX_mm,
        public float $proofY_mm,
    ) {
    }

    /** @return array{float, float} */
    public function size_mm(): array
    {
        return self::PAPERS_MM[$this->paper];
    }

    /** Drawings are stretched across by this factor so that 100 mm measure 100 mm. docs/formulas.md#print-calibration */
    public function factorX(): float
    {
        return 100.0 / $this->proofX_mm;
    }

    public function factorY(): float
    {
        return 100.0 / $this->proofY_mm;
    }
}
