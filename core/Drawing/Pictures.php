<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

/** Where the pictures of a person's own papers are: a document only names them. */
interface Pictures
{
    /** @return ?string the JPEG file whose SHA-256 that is; null where there is none */
    public function jpeg(string $sha256): ?string;
}
