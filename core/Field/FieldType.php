<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** What a key of a document may hold: how it is read, what its schema is, what a form must know of it, and how a table calls it. */
interface FieldType
{
    /** Gives the value; null, with a fault by its path, where it is not sound. */
    public function read(Node $node, Values $values): mixed;

    /** @return array<string, mixed> as JSON Schema, 2020-12 */
    public function schema(): array;

    /** @return array{what: string, ...} `what` it is, and whatever a form shows of such a thing */
    public function form(): array;

    /** In a table: “a real length above zero”. */
    public function words(): string;
}
