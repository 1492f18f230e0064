<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Stock\Stock;

/** One of the sheets that stand behind each other in an opening. The opening's own frame, model millimetres. */
final readonly class Sheet
{
    use CopiesWith;

    /**
     * @param  string  $layer  which of them it is: frame, leaf, glazing …
     * @param  'F'|'D'|'G'|'P'  $letter
     * @param  string  $words  what a person calls it
     * @param  list<Ring>  $holes
     * @param  array<string, Figure>  $workings
     * @param  list<Mark>  $marks
     * @param  string  $why  how it goes on the one before it; '' of the first
     * @param  ?Swing  $swing  how it stands open within the first; null where it does not
     * @param  bool  $isFitted  whether it goes into the opening with a clearance; glass is smaller
     */
    public function __construct(
        public string $layer,
        public string $letter,
        public string $words,
        public Stock $stock,
        public float $thickness,
        public Outline $outline,
        public array $holes,
        public array $workings,
        public array $marks = [],
        public ?Artwork $art = null,
        public string $why = '',
        public bool $isFitted = true,
        public PartGroup $group = PartGroup::Trim,
        public ?Swing $swing = null,
    ) {
    }
}
