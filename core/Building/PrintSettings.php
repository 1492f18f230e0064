<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\LengthFormat;

/** The pages that are printed. Model millimetres. */
final readonly class PrintSettings
{
    /** Upright; `own` pages are as large as they are said to be. */
    public const PAPERS_MM = [
        'a5' => [148.0, 210.0], 'a4' => [210.0, 297.0], 'a3' => [297.0, 420.0], 'letter' => [215.9, 279.4], 'legal' => [215.9, 355.6],
        'tabloid' => [279.4, 431.8],
    ];

    /** By what the pages are in order: a stock after the other, or all of one block and then of the next. */
    public const ORDERS = ['stock', 'block'];

    public const PAPERS = ['a5', 'a4', 'a3', 'letter', 'legal', 'tabloid', 'own'];

    /** A page smaller than this takes no proving rule of 100 mm; one larger no printer. */
    public const LEAST_MM = 130.0;

    public const MOST_MM = 1200.0;

    /**
     * @param  value-of<self::PAPERS>  $paper
     * @param  array{float, float}  $size_mm  width and height as it lies in the printer
     * @param  float  $proofX_mm  what the printed 100 mm rule across measured
     * @param  float  $proofY_mm  what the printed 100 mm rule along measured
     * @param  value-of<self::ORDERS>  $order
     * @param  bool  $hasSpares  whether one more is printed of every tiny part
     * @param  list<TemplateCorrection>  $corrections  of single parts
     */
    public function __construct(
        public string $paper,
        public array $size_mm,
        public float $margin_mm,
        public float $gap_mm,
        public float $proofX_mm,
        public float $proofY_mm,
        public string $order = 'stock',
        public bool $hasSpares = false,
        public array $corrections = [],
    ) {
    }

    /** @param  array{float, float}  $size_mm  of a page that was printed under other settings */
    public function sized(array $size_mm): self
    {
        return $size_mm === $this->size_mm ? $this : new self(
            'own', $size_mm, $this->margin_mm, $this->gap_mm, $this->proofX_mm, $this->proofY_mm, $this->order, $this->hasSpares,
            $this->corrections,
        );
    }

    /** Gives the words for one of its pages: “A4”, “A3 on its side”. */
    public function words(): string
    {
        [$width, $height] = $this->size_mm;
        $name = match ($this->paper) {
            'own' => LengthFormat::trimmed($width, 1).' × '.LengthFormat::trimmed($height, 1).' mm',
            'a5', 'a4', 'a3' => strtoupper($this->paper),
            default => ucfirst($this->paper),
        };

        return $name.($this->paper !== 'own' && $width > $height ? ' on its side' : '');
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
