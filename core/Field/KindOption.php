<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** One of the kinds that the entries of a list may be of. */
final readonly class KindOption
{
    /**
     * @param  string  $title  what it is called, such as “Sill”
     * @param  string  $says  one sentence about it
     * @param  string  $picture  a path in a box of 24 by 24, as SVG writes it, y downwards
     * @param  FieldSet  $set  with its `kind`
     * @param  list<string>  $anchors  what it may stand on, where the list leaves that open
     * @param  bool  $isAtOnePlace  whether it stands at one place of a wall or a line, and does not run along it
     */
    public function __construct(
        public string $kind,
        public string $title,
        public string $says,
        public string $picture,
        public FieldSet $set,
        public array $anchors = [],
        public bool $isAtOnePlace = false,
    ) {
    }
}
