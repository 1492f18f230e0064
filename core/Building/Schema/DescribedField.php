<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Schema;

use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;

/** A field, and the set in which it stands. */
final readonly class DescribedField
{
    public function __construct(public FieldSet $set, public Field $field)
    {
    }
}
