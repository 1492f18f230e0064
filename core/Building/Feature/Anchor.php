<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Feature;

/** What a thing may stand on, in or round. */
enum Anchor: string
{
    /** One opening, or every one of a kind. */
    case Opening = 'opening';

    /** Several openings of a wall, as if they were one. */
    case Openings = 'openings';

    /** A run of a wall at a height, or the whole length of it. */
    case Wall = 'wall';

    /** Where two walls meet, between two heights. */
    case Corner = 'corner';

    /** A place on a slope of the roof. */
    case Slope = 'slope';

    /** A line of the roof: ridge, hip, valley, eaves, verge, or where it ends at a wall. */
    case RoofLine = 'roof-line';

    /** The front of another thing. */
    case Feature = 'feature';

    /** A place on a floor, which is that of a storey, or the block’s base. */
    case Floor = 'floor';

    /** A place on the plot. */
    case Ground = 'ground';

    /** A place along a track. */
    case Track = 'track';

    /** The plot as a whole. */
    case Plot = 'plot';

    /** Whose things belong to a block: those round one opening, or every one of a kind, belong to that. */
    public const OF_BLOCKS = [
        self::Openings, self::Wall, self::Corner, self::Slope, self::RoofLine, self::Feature, self::Floor,
    ];

    /** Whose things belong to the building as a whole. */
    public const OF_THE_PLOT = [self::Ground, self::Track, self::Plot];

    public function words(): string
    {
        return match ($this) {
            self::Opening => 'round an opening',
            self::Openings => 'round several openings',
            self::Wall => 'along a wall',
            self::Corner => 'at a corner',
            self::Slope => 'on a slope of the roof',
            self::RoofLine => 'along a line of the roof',
            self::Feature => 'on another thing',
            self::Floor => 'on a floor',
            self::Ground => 'on the ground',
            self::Track => 'along a track',
            self::Plot => 'on the plot',
        };
    }
}
