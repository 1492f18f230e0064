<?php

declare(strict_types=1);

use Chartula\Core\Things\Arch\Arch;
use Chartula\Core\Things\Band\Band;
use Chartula\Core\Things\Chimney\Chimney;
use Chartula\Core\Things\CornerQuoins\CornerQuoins;
use Chartula\Core\Things\Facing\Facing;
use Chartula\Core\Things\HoodMould\HoodMould;
use Chartula\Core\Things\Keystone\Keystone;
use Chartula\Core\Things\Lintel\Lintel;
use Chartula\Core\Things\Poster\Poster;
use Chartula\Core\Things\Quoins\Quoins;
use Chartula\Core\Things\Sill\Sill;
use Chartula\Core\Things\Surround\Surround;
use Chartula\Core\Things\WallChimney\WallChimney;

/** Every kind of thing, each a folder of its own, in the order in which a person is offered them. docs/adding-a-thing.md */
return [
    Sill::class,
    Lintel::class,
    Arch::class,
    Keystone::class,
    HoodMould::class,
    Quoins::class,
    Surround::class,
    Band::class,
    CornerQuoins::class,
    Facing::class,
    Poster::class,
    Chimney::class,
    WallChimney::class,
];
