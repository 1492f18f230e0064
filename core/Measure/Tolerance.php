<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

/** Every tolerance, named by its use. Millimetres on the model, where nothing else is said. */
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

    /** Unit vectors and right angles agree to this, a pure number. */
    public const UNIT = 0.000001;

    /** Two figures that differ by less read the same: half of the last place that is shown, 0.01 mm. */
    public const TOLD = 0.005;

    /** Walls of two blocks nearer than this stand in one plane. */
    public const PLANE = 0.02;

    /** Places of the prototype nearer than this are one, real millimetres: nobody measures a building closer. */
    public const REAL_PLACE = 0.5;

    /** Two figures of one sum nearer than this are the same: a thousandth of what the kit writes. */
    public const FIGURE = 1e-6;

    /** Places of one line of sight nearer than this share of it are one: less than a tenth of a millimetre at arm's length. */
    public const SHARE = 1e-4;

    /** Points on a line that is being cut, and parallel lines, agree to this: less than a cut can move. */
    public const CUT = 1e-7;

    /** Sums that should be a whole number, a right angle or a ratio of one miss it by less. */
    public const ROUNDING = 1e-9;

    /** No sum divides by a length shorter than this. */
    public const NOTHING = 1e-12;
}
