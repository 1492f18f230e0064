<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Check;

/** What is left between the finished building and something else, less what is to stay free; model millimetres. */
final readonly class Clearance
{
    /**
     * @param  'side'|'height'|'neighbour'|'road'|'track'|'obstacle'|'lift'|'run'  $kind
     * @param  string  $with  what it is measured to: the name of an edge, a neighbour, a track …
     * @param  string  $piece  the piece that is nearest
     * @param  float  $left_mm  negative where it is too little
     * @param  ?array{Vec2, Vec2}  $line  where it is measured, in the plot's own axes
     * @param  string  $text  a sentence with its remedy
     * @param  list<string>  $sums  how it came about, line by line
     */
    public function __construct(
        public string $kind,
        public string $code,
        public string $with,
        public string $piece,
        public float $left_mm,
        public ?array $line,
        public string $text,
        public string $path,
        public array $sums = [],
    ) {
    }

    public function isFree(): bool
    {
        return $this->left_mm >= -Tolerance::TOLD;
    }

    public function check(): ?Check
    {
        return $this->isFree() ? null : new Check($this->code, Check::STOP, $this->with, $this->text, -$this->left_mm);
    }

    /**
     * @return array{kind: string, code: string, with: string, piece: string, left_mm: float, fits: bool, line: ?array{array{float, float},
     *     array{float, float}}, text: string, path: string, sums: list<string>}
     */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind, 'code' => $this->code, 'with' => $this->with, 'piece' => $this->piece,
            'left_mm' => abs($this->left_mm) <= Tolerance::TOLD ? 0.0 : round($this->left_mm, 4), 'fits' => $this->isFree(),
            'line' => $this->line === null ? null : [$this->line[0]->toArray(), $this->line[1]->toArray()],
            'text' => $this->text, 'path' => $this->path, 'sums' => $this->sums,
        ];
    }
}
