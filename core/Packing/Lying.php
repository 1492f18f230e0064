<?php

declare(strict_types=1);

namespace Chartula\Core\Packing;

/** A shape that lies in a bin, by steps of its grid. */
final readonly class Lying
{
    public function __construct(
        public Shape $shape,
        public int $column,
        public int $row,
    ) {
    }
}
