<?php

declare(strict_types=1);

namespace Chartula\Core\Packing;

/** Pieces packed as the boxes round them. */
final readonly class Boxes
{
    /** @param  list<Piece>  $pieces  each of which goes on a bin */
    public static function pack(array $pieces, Bin $bin): Packing
    {
        $byKey = [];
        $boxes = [];
        foreach ($pieces as $piece) {
            $turn = array_key_first($piece->turns);
            $shape = $piece->shape();
            $byKey[$piece->key] = [$piece, $turn];
            $boxes[] = new Box($piece->key, $shape->width, $shape->height, self::turned($piece->turns[($turn + 90) % 360] ?? null));
        }
        $places = [];
        foreach ((new Packer($bin->width, $bin->height, $bin->gap))->pack($boxes) as $packed) {
            [$piece, $turn] = $byKey[$packed->box->key];
            $places[] = new Place($piece, $packed->bin, $packed->turned ? ($turn + 90) % 360 : $turn, $packed->x, $packed->y);
        }

        return Packing::of($places);
    }

    /** @return ?array{float, float} */
    private static function turned(?Shape $shape): ?array
    {
        return $shape === null ? null : [$shape->width, $shape->height];
    }
}
