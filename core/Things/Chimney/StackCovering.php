<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\NamedType;
use Chartula\Core\Field\Said;
use Chartula\Core\Skin\Covering;
use Chartula\Core\Skin\Coverings;

/** With what a chimney is covered. */
final readonly class StackCovering
{
    /** @return list<Field> */
    public static function fields(): array
    {
        return [
            Field::optional('finish', 'of', Finish::choice(), 'brick-stretcher'),
            Field::optional('paper', 'in a paper of your own', NamedType::paper())->meaning('as it is drawn'),
            Field::optional('palette', 'in colours of your own', NamedType::palette())->meaning('as elsewhere'),
        ];
    }

    /** @param  ?Finish  $round  of a course that stands out of it and is of something else */
    public static function of(Said $said, Building $building, ?Finish $round = null): ?Covering
    {
        return $round === null
            ? Coverings::of(self::finish($said), $building, $said->text('paper'), $said->text('palette'))
            : Coverings::of($round, $building);
    }

    private static function finish(Said $said): Finish
    {
        return Finish::from($said->text('finish') ?? Finish::Bare->value);
    }
}
