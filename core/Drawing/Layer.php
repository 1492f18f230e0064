<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

/** What a line is for; writers keep the layers apart. In the order in which they are drawn. */
enum Layer: string
{
    case Art = 'art';
    case Mark = 'mark';
    case Score = 'score';
    case Cut = 'cut';
    case Text = 'text';
}
