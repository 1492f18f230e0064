<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** Colours that a person gives to a covering, under a name. Colours as #rrggbb. docs/formats.md, section 2 */
final readonly class OwnPalette
{
    public const LONGEST_NAME = 60;

    /**
     * @param  list<array{string, int}>  $colours  of units, each with so many parts of them; none where they keep their own
     * @param  ?string  $joint  what shows between them; null where that stays
     * @param  ?array{string, float}  $burnt  headers of brickwork, and which share of them, from 0 to 1
     * @param  ?array{string, int, int}  $bands  courses in another colour: every so many, so many high
     * @param  ?array{string, int}  $diaper  lozenges of bricks in another colour, so many half bricks wide
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $colours,
        public ?string $joint,
        public ?array $burnt,
        public ?array $bands,
        public ?array $diaper,
        public string $path,
    ) {
    }
}
