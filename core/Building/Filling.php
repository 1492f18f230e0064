<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** What stands in an opening. */
enum Filling
{
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
