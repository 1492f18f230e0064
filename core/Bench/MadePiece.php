<?php

declare(strict_types=1);

namespace Chartula\Core\Bench;

use Chartula\Core\Kit\Compare\PartChange;

/** One piece of the kit, or of an earlier one, with how far it has been made and whether it is still good. */
final readonly class MadePiece
{
    public const STATES = ['printed', 'cut', 'papered', 'fixed'];

    /** The document was changed. */
    public const BY_EDIT = 'edit';

    /** A new version of the program makes it otherwise from the same document. */
    public const BY_PROGRAM = 'program';

    public const BY_BOTH = 'both';

    /**
     * @param  ?value-of<self::STATES>  $state  null where nothing has been made of it
     * @param  ?PartChange  $change  against what was made; null where nothing was
     * @param  ?self::BY_*  $by  what changed it; null where it is as it was made
     * @param  bool  $isKept  whether it is kept as it was made, in place of what the kit has now
     */
    public function __construct(
        public string $part,
        public int $copy,
        public ?string $state,
        public ?PartChange $change,
        public ?string $by = null,
        public bool $isKept = false,
    ) {
    }

    public function isStale(): bool
    {
        return $this->differs() && ! $this->isKept;
    }

    /** Whether the kit has it otherwise than it was made, kept or not. */
    public function differs(): bool
    {
        return $this->change !== null && ! $this->change->isSame();
    }

    public function key(): string
    {
        return $this->part.'#'.$this->copy;
    }
}
