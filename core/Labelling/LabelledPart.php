<?php

declare(strict_types=1);

namespace Chartula\Core\Labelling;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Part\Part;

/** A part as it is known on the bench: its label, its likes, and its fingerprints. */
final readonly class LabelledPart
{
    use CopiesWith;

    /**
     * @param  ?string  $like  a letter that equal parts share
     * @param  ?string  $mirrorOf  the id of a part whose mirror image this is
     * @param  string  $body  all that it is cut, bent and printed by, in one word
     */
    public function __construct(
        public Part $part,
        public string $label,
        public ?string $like,
        public ?string $mirrorOf,
        public string $cut,
        public string $print,
        public string $body,
    ) {
    }

    /** @return list<mixed> all that a kit says of it besides its body */
    public function identity(): array
    {
        $part = $this->part;

        return [
            $part->id, $part->of, $part->name, $part->group, $part->placements, $part->workings, $part->roof, $this->label, $this->like,
            $this->mirrorOf,
        ];
    }
}
