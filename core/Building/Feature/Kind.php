<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Feature;

use Chartula\Core\Field\FieldSet;

/**
 * A kind of thing that stands on, in or round a building, and says everything about itself. Stateless. What it takes of the building, and
 * what is made of it, it says by the interfaces of later rooms.
 */
interface Kind
{
    /** As documents name it. */
    public function name(): string;

    /** As a person calls one: “Sill”. */
    public function title(): string;

    /** What it is, in a sentence. */
    public function says(): string;

    /** A path in a box of 24 by 24, as SVG writes it, y downwards. */
    public function picture(): string;

    /** @return non-empty-list<Anchor> */
    public function anchors(): array;

    /** What is said of one, beside its kind. */
    public function fields(): FieldSet;
}
