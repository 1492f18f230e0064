<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

/** What lies beyond a side of a roof's plane or of a wall. */
enum SideKind: string
{
    /** Nothing: the low side of a slope, or a lower roof over which it reaches. */
    case Eaves = 'eaves';

    /** Nothing: the end of a slope over a gable. */
    case Verge = 'verge';

    /** Nothing: the high side of a lean-to, or of a wall under its eaves. */
    case Top = 'top';

    /** Nothing: the top of a wall that has no roof on it, and of a parapet. */
    case Rim = 'rim';

    /** Nothing: where it was cut free of what comes in beside it, and the upright tip of a gable over a corner. */
    case Open = 'open';

    /** A parapet round a flat roof. */
    case Deck = 'deck';

    /** Nothing: low relief has left no more of it. */
    case Cut = 'cut';

    /** The ground, or the floor, or the deck that a wall stands on. */
    case Foot = 'foot';

    /** The top of the wall round a corner, past which a gable rises. */
    case Atop = 'atop';

    /** The left end of a wall, at a corner of its block. */
    case Left = 'left';

    /** The right end of a wall, at a corner of its block. */
    case Right = 'right';

    /** An opening that runs out of a wall. */
    case Opening = 'opening';

    /** Another plane of a roof, which it meets. */
    case Plane = 'plane';

    /** Another block's plane, on top of which it ends. */
    case Over = 'over';

    /** Another block's plane, over which its square eaves leans out without reaching it. */
    case Clear = 'clear';

    /** Another block's plane, which lies on top of it. */
    case Below = 'below';

    /** A plane on which a wall stands. */
    case On = 'on';

    /** A wall at which it stops. */
    case Wall = 'wall';

    /** A wall that stands on a slope, beside the hole in it. */
    case Beneath = 'beneath';

    /** The roof over a wall, before which it is cut upright. */
    case Beside = 'beside';

    /** Another block's wall in the same plane. */
    case Party = 'party';

    /** The outside of its own wall, where it ends upright under another block's. */
    case Within = 'within';

    /** Another block's wall, past which it runs behind that one at an inner corner. */
    case Past = 'past';

    /** Another block's eaves over a wall. */
    case Under = 'under';

    /** What goes through it. */
    case Pierced = 'pierced';
}
