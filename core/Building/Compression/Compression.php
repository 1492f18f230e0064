<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Compression;

/** What is given up of the real building, step by step; the real figures stay as they were measured. */
final readonly class Compression
{
    /** A step leaves these alone unless the person says otherwise. */
    public const PROTECTED = ['doors', 'windows'];

    /**
     * @param  list<Step>  $steps
     * @param  list<value-of<self::PROTECTED>>  $protect
     * @param  list<string>  $keep  what makes this building itself: blocks, their walls and openings, as `block`, `block.edge` and
     *     `block.edge.opening`; nothing may be given up of them
     */
    public function __construct(
        public array $steps,
        public array $protect,
        public array $keep = [],
    ) {
    }

    public static function none(): self
    {
        return new self([], self::PROTECTED);
    }
}
