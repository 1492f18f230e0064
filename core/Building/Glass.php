<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;

/** What is to be seen on the glass of an opening. Real sizes. */
final readonly class Glass
{
    public const CLEAR = 'clear';

    public const FROSTED = 'frosted';

    public const PAINTED = 'painted';

    public const CURTAINS = 'curtains';

    public const STAINED = 'stained';

    /**
     * @param  string  $look  clear, frosted, painted out, with curtains or stained
     * @param  ?string  $colour  of that, as #rrggbb; null where it is as usual
     * @param  ?string  $leading  squares or lozenges; null where it is not leaded
     * @param  RealLength  $across  from lead to lead
     * @param  RealLength  $up  likewise
     */
    public function __construct(
        public string $look,
        public ?string $colour,
        public ?string $leading,
        public RealLength $across,
        public RealLength $up,
    ) {
    }

    public function isPrinted(): bool
    {
        return $this->look !== self::CLEAR || $this->leading !== null;
    }
}
