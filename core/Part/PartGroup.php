<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

/** The kinds of part a kit is made of, as `group` of docs/formats.md names them. */
enum PartGroup: string
{
    case Shell = 'shell';
    case Brace = 'brace';
    case Roof = 'roof';
    case Skin = 'skin';
    case Trim = 'trim';
}
