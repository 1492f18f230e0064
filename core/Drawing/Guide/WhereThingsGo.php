<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Drawing\Mates;
use Chartula\Core\Kit\Kit;

/** Plans, a section, the roofs from above and every wall from outside, each with the labels of what stands there. */
final readonly class WhereThingsGo
{
    /** @return list<Picture> */
    public static function of(Kit $kit): array
    {
        $walls = Walls::of($kit);

        return [...Plans::of($kit, $walls), ...WallPictures::of($kit, $walls, Mates::of($kit))];
    }
}
