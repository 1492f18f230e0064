<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** The finishes that a document may name, and those that are drawn as brick bonds. docs/formats.md */
final readonly class Finish
{
    public const ALL = [
        'brick-stretcher', 'brick-header', 'brick-english', 'brick-flemish', 'brick-english-garden', 'brick-flemish-garden',
        'stone-ashlar', 'stone-coursed', 'stone-random', 'render', 'concrete', 'boards-horizontal', 'boards-vertical',
        'corrugated', 'slate', 'plain-tile', 'pantile', 'lead', 'felt', 'bare',
    ];

    public const DRAWN = ['brick-stretcher', 'brick-english', 'brick-flemish'];

    public const BARE = 'bare';
}
