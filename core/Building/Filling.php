<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** What stands in an opening. */
enum Filling
{
    /** It goes into its opening with so much to spare on each side, model millimetres. docs/formulas.md#frame */
    public const PLAY_MM = 0.1;

    /** Stile, bars and panes of clear sheet behind them. */
    case Frame;

    /** A leaf, closed. */
    case Leaf;

    /** It is filled up, somewhat behind the face. */
    case Blind;

    /** Something that is not made of sheets here. */
    case Bought;

    case Nothing;
}
