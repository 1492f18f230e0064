<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Schema;

use Chartula\Core\Field\FieldSet;

/** Where in a document something stands that is described by fields. */
final readonly class FieldPlace
{
    /**
     * @param  string  $path  `*` for any id or number
     * @param  string  $title  of what the fields are, such as “a kind of opening”
     * @param  'prototype'|'plot'|'shell'|'roof'|'skin'|'trim'|'sheets'  $stage  where a person says it
     */
    public function __construct(
        public string $path,
        public FieldSet $set,
        public string $title,
        public string $stage,
    ) {
    }
}
