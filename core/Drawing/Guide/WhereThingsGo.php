<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Drawing\Mates;
use Chartula\Core\Kit\Kit;

/** Plans, a section, the roofs from above, every wall from outside and what stands by itself, each with the labels of what is there. */
final readonly class WhereThingsGo
{
    /** @return list<Picture> */
    public static function of(Kit $kit): array
    {
        $walls = Walls::of($kit);

        $things = Things::of($kit);

        return [
            ...Plans::of($kit, $walls, $things),
            ...WallPictures::of($kit, $walls, $things, Mates::of($kit)),
            ...ThingPictures::of($kit, $things),
        ];
    }
}
