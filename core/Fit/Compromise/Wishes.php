<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Compromise;

/** What a person wants of every proposal, whatever it costs. */
final readonly class Wishes
{
    /**
     * @param  ?string  $only  the wall that may be shortened, block and edge; any where it is not said
     * @param  bool  $alike  blocks that are twins stay as large as each other
     * @param  bool  $bricks  walls give whole bricks
     */
    public function __construct(public ?string $only = null, public bool $alike = false, public bool $bricks = false)
    {
    }
}
