<?php

declare(strict_types=1);

namespace Chartula\Core\Bench;

use Chartula\Core\Kit\Compare\PartChange;

/** One piece of the kit, or of an earlier one, with how far it has been made and whether it is still good. */
final readonly class MadePiece
{
    public const STATES = ['printed', 'cut', 'papered', 'fixed'];

    /**
     * @param  ?value-of<self::STATES>  $state  null where nothing has been made of it
     * @param  ?PartChange  $change  against what was made; null where nothing was
     */
    public function __construct(
        public string $part,
        public int $copy,
        public ?string $state,
        public ?PartChange $change,
    ) {
    }

    public function isStale(): bool
    {
        return $this->change !== null && ! $this->change->isSame();
    }

    public function key(): string
    {
        return $this->part.'#'.$this->copy;
    }
}
