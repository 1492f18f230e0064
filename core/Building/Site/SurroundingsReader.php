<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Field\Fields;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** Makes what stands, lies or moves on the plot of what was read of it: neighbours, roads, obstacles. */
final readonly class SurroundingsReader
{
    /** @return list<Neighbour> */
    public static function neighbours(Fields $plot): array
    {
        $made = [];
        foreach ($plot->list('neighbours') as $said) {
            $outline = self::standing($said);
            $levels = self::levels($said);
            if ($outline !== null && $levels !== null) {
                [$id, $name] = PlotShapes::names($said);
                $clear = $said->model('clear')->mm ?? 0.0;
                $made[] = new Neighbour($id, $name, $outline, $levels[0], $levels[1], $clear, $said->node->path, self::lifts($said));
            }
        }

        return $made;
    }

    /** @return list<Road> */
    public static function roads(Fields $plot): array
    {
        $made = [];
        foreach ($plot->list('roads') as $said) {
            [$id, $name] = PlotShapes::names($said);
            $line = PlotShapes::line($said, 'line', 2);
            $width = $said->model('width');
            $above = $said->model('above');
            $clear = $said->model('clear');
            if ($line !== null && $width !== null && $above !== null && $clear !== null) {
                $made[] = new Road($id, $name, $line, $width->mm, $above->mm, $clear->mm, $said->node->path);
            }
        }

        return $made;
    }

    /** @return list<Obstacle> */
    public static function obstacles(Fields $plot): array
    {
        $made = [];
        foreach ($plot->list('obstacles') as $said) {
            $across = $said->model('across')?->mm;
            $size = $across === null ? PlotShapes::pair($said, 'size') : new Vec2($across, $across);
            if (($said->at('size') === null) === ($said->at('across') === null)) {
                $said->node->fault('plot.size-or-across');
            }
            $levels = self::levels($said);
            $kind = $said->text('kind');
            $at = PlotShapes::pair($said, 'at');
            if ($kind === null || $at === null || $size === null || $levels === null) {
                continue;
            }
            [$id, $name] = PlotShapes::names($said);
            $made[] = new Obstacle(
                $id,
                $kind,
                $name,
                $at,
                $size->x,
                $size->y,
                $across !== null,
                $levels[0],
                $levels[1],
                PlotShapes::pair($said, 'travel') ?? new Vec2(0.0, 0.0),
                $said->model('play')->mm ?? 0.0,
                $said->node->path,
                self::lifts($said),
            );
        }

        return $made;
    }

    /** @return ?array{float, float} from where to where it reaches; null, with a fault, where that is upside down */
    private static function levels(Fields $said): ?array
    {
        $from = $said->model('from')->mm ?? 0.0;
        $to = $said->model('to')?->mm;
        if ($to !== null && $to <= $from) {
            $said->at('to')?->fault('plot.upside-down', ['from' => $from, 'to' => $to]);
        }

        return $to === null || $to <= $from ? null : [$from, $to];
    }

    /** @return ?value-of<Lift::WAYS> */
    private static function lifts(Fields $said): ?string
    {
        return $said->oneOf('lifts', Lift::WAYS);
    }

    private static function standing(Fields $said): ?Ring
    {
        if (($said->at('size') === null) === ($said->at('outline') === null)) {
            $said->node->fault('plot.size-or-outline');

            return null;
        }
        $at = PlotShapes::pair($said, 'at') ?? new Vec2(0.0, 0.0);
        $size = PlotShapes::pair($said, 'size');
        $ring = $size === null ? PlotShapes::outline($said, 'outline') : Ring::rectangle(0.0, 0.0, $size->x, $size->y);

        return $ring?->moved($at->x, $at->y);
    }
}
