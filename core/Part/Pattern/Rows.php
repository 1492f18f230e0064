<?php

declare(strict_types=1);

namespace Chartula\Core\Part\Pattern;

/** Units in rows: squared stone, boards, slates, tiles, sheets; or in upright ones, as boards that stand. */
final readonly class Rows implements Pattern
{
    use InColours;

    /**
     * @param  string  $of  what it shows
     * @param  non-empty-list<float>  $rows  how high they are, from the datum up, again and again
     * @param  float  $long  how long a unit is; 0 where one runs through
     * @param  float  $joint  between units of a row
     * @param  float  $bed  between rows
     * @param  float  $stagger  by how much of a unit every second row is shifted
     * @param  float  $varies  by how much of that a unit's ends may stand off their places
     * @param  bool  $isUpright  whether they stand: rows are counted from the left end then
     * @param  bool  $breaks  whether every row begins anew at a jamb, as stones do
     * @param  non-empty-list<float>  $across  a unit as it bends: strips of one width along each row, lighter or darker by so much
     */
    public function __construct(
        public string $of,
        public array $rows,
        public float $long,
        private float $joint,
        public float $bed,
        private Palette $palette,
        private string $ground,
        public float $stagger = 0.5,
        public float $varies = 0.0,
        public bool $isUpright = false,
        public bool $breaks = false,
        public array $across = [0.0],
    ) {
    }

    public function rule(): array
    {
        return [
            'kind' => 'rows', 'of' => $this->of, 'rows' => array_map(static fn (float $h): float => round($h, 4), $this->rows),
            'long' => round($this->long, 4), 'joint' => round($this->joint, 4), 'bed' => round($this->bed, 4),
            'stagger' => $this->stagger, 'varies' => round($this->varies, 4),
            'upright' => $this->isUpright, 'breaks' => $this->breaks, 'across' => $this->across,
        ];
    }
}
