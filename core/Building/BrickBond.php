<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** The bonds in which brickwork is drawn. */
enum BrickBond: string
{
    case Stretcher = 'stretcher';
    case Header = 'header';
    case English = 'english';
    case Flemish = 'flemish';
    case EnglishGarden = 'english-garden';
    case FlemishGarden = 'flemish-garden';
}
