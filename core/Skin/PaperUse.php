<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\OwnPaper;

/** A face that shows one of a person's own papers. */
final readonly class PaperUse
{
    /**
     * @param  string  $words  which face that is, such as “the front wall of Dairy”
     * @param  string  $path  where the document says so
     * @param  string  $at  where a remark on it stands: a block, a wall, or a thing on one
     * @param  array{float, float}  $size  of the face, of one that recedes as it is, model millimetres
     */
    public function __construct(
        public OwnPaper $paper,
        public FittedPaper $fitted,
        public string $words,
        public string $path,
        public string $at,
        public array $size,
    ) {
    }
}
