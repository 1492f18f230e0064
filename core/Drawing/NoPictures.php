<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

/** Papers show as one colour. */
final readonly class NoPictures implements Pictures
{
    public function jpeg(string $sha256): ?string
    {
        return null;
    }
}
