<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Feature;

use Chartula\Core\Field\Said;

/** A thing, as a document describes it. */
final readonly class Feature
{
    public function __construct(public Kind $kind, public Said $said)
    {
    }
}
