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
     */
    public function __construct(
        public Part $part,
        public string $label,
        public ?string $like,
        public ?string $mirrorOf,
        public string $cut,
        public string $print,
    ) {
    }
}
