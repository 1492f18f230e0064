<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;

/** How the leaf of a door is made. Real sizes. */
final readonly class Leaf
{
    public const PLANKS = 'planks';

    public const PANELLED = 'panelled';

    /**
     * @param  string  $kind  planks, panelled or plain
     * @param  RealLength  $board  how wide a plank is, as near as they come out equal
     * @param  array{int, int}  $panels  columns and rows
     * @param  RealLength  $rail  how wide it is round its panels and between them
     * @param  bool  $isDouble  two leaves that meet in the middle
     */
    public function __construct(
        public string $kind,
        public RealLength $board,
        public array $panels,
        public RealLength $rail,
        public bool $isDouble,
    ) {
    }

    /** As a frame would be divided: in two leaves twice as often across. */
    public function divided(): Panes
    {
        return new Panes($this->panels[0] * ($this->isDouble ? 2 : 1), $this->panels[1], $this->rail, $this->rail, false);
    }

    public function isPanelled(): bool
    {
        return $this->kind === self::PANELLED;
    }
}
