<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** Reads the plot; judging the fit comes with the Plot stage. */
final readonly class PlotReader
{
    public static function read(?Node $plot, Values $values): ?Plot
    {
        if ($plot === null || ! $plot->isObject(['size'], ['at', 'turn', 'height', 'gap', 'eye'])) {
            return null;
        }
        $size = array_map(static fn (Node $side): ?float => $values->model($side)?->mm, $plot->get('size')?->items(2, 2) ?? []);
        $at = array_map(static fn (Node $side): ?float => $values->model($side, Sign::Any)?->mm, $plot->get('at')?->items(2, 2) ?? []);
        $turn = $plot->get('turn')?->number() ?? 0.0;
        $height = $values->model($plot->get('height'))?->mm;
        $gap = $values->model($plot->get('gap'), Sign::ZeroOrMore)?->mm;
        $eye = self::eye($plot->get('eye'), $values);

        return isset($size[0], $size[1]) ? new Plot($size[0], $size[1], $at[0] ?? 0.0, $at[1] ?? 0.0, $turn, $height, $gap, $eye) : null;
    }

    private static function eye(?Node $eye, Values $values): ?Eye
    {
        if ($eye === null || ! $eye->isObject(['distance', 'height'], ['travel'])) {
            return null;
        }
        $distance = $values->model($eye->get('distance'))?->mm;
        $height = $values->model($eye->get('height'), Sign::Any)?->mm;
        $travel = $values->model($eye->get('travel'), Sign::ZeroOrMore)->mm ?? 0.0;

        return $distance === null || $height === null ? null : new Eye($distance, $height, $travel);
    }
}
