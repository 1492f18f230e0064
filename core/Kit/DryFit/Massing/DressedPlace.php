<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Frame;

/** Where the document has something raised that stands round an opening. */
final readonly class DressedPlace
{
    /**
     * @param  string  $part  what its card is called
     * @param  Frame  $frame  of the face on which it stands
     */
    private function __construct(public string $part, public Frame $frame, public Box2 $box)
    {
    }

    /** @return list<self> */
    public static function all(Massing $massing): array
    {
        $places = [];
        foreach (Faces::dressed($massing) as [$wall, $frame, $opening, $ring]) {
            foreach (DressedBoxes::of($massing->building, $opening, $ring) as $id => $box) {
                $places[] = new self("$wall.$id.$opening->id", $frame, $box);
            }
        }

        return $places;
    }
}
