<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

/** Every tolerance of the geometry, named by its use; millimetres on the model. */
final readonly class Tolerance
{
    /** Lengths and places of what meets agree to this: a fifth of what the finest print can show. */
    public const MEET = 0.01;

    /** A point nearer than this to an outline lies on it: ten times what the kit document rounds to. */
    public const EDGE = 0.001;

    /** Two solids may overlap by this before the dry fit objects: card compresses by more. */
    public const OVERLAP = 0.05;

    /** The outside must have card within this. */
    public const COVER = 0.05;

    /** A chord may leave its arc by this. */
    public const CHORD = 0.01;

    /** Two points nearer than this are one point: a thousandth of what meets. */
    public const SAME = 0.00001;

    /** Contacts shorter than this are corners touching in passing, and no joint. */
    public const PASSING = 0.5;

    /** Unit vectors and right angles, as a pure number. */
    public const UNIT = 0.000001;
}
