<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;

/** The coverings of a building, by the finishes that its document names. */
final readonly class Coverings
{
    /** Null where the finish is bare card, or is not drawn yet. */
    public static function of(Finish $finish, Building $building): ?Covering
    {
        $bond = $finish->bond();

        return $bond === null ? null : Brickwork::of($bond, $building);
    }

    /** The same, or its tone where it is not drawn yet; null where it is bare card. */
    public static function orTone(Finish $finish, Building $building): ?Covering
    {
        return $finish === Finish::Bare ? null : self::of($finish, $building) ?? Toned::of($finish, $building);
    }
}
