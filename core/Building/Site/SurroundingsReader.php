<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\Values;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Scale;

/** Reads what stands, lies or moves on the plot: neighbours, roads, obstacles. */
final readonly class SurroundingsReader
{
    /** Ordinary road vehicles pass under this height, 15 ft, real millimetres. */
    private const ROAD_MM = 4572.0;

    private const CLEAR_MM = 1.0;

    private const PLAY_MM = 0.5;

    public function __construct(
        private Values $values,
        private ShapeReader $shape,
        private Scale $scale,
    ) {
    }

    /** @return list<Neighbour> */
    public function neighbours(?Node $list): array
    {
        $made = [];
        $optional = ['size', 'outline', 'at', 'from', 'clear', 'lifts', 'of'];
        foreach (NamedList::of($list, ['to'], $optional, $this->values) as [$id, $name, $node]) {
            $this->of($node->get('of'));
            $outline = $this->standing($node);
            $from = $this->values->model($node->get('from'), Sign::Any)->mm ?? 0.0;
            $to = $this->values->model($node->get('to'), Sign::Any)?->mm;
            $clear = $this->values->model($node->get('clear'), Sign::ZeroOrMore)->mm ?? self::CLEAR_MM;
            if ($to !== null && $to <= $from) {
                $node->get('to')?->fault('plot.upside-down', ['from' => $from, 'to' => $to]);
            } elseif ($outline !== null && $to !== null) {
                $made[] = new Neighbour($id, $name, $outline, $from, $to, $clear, $node->path, $node->get('lifts')?->choice(Lift::WAYS));
            }
        }

        return $made;
    }

    /** Which building of the project it was taken from, and when. */
    private function of(?Node $node): void
    {
        if ($node !== null && $node->isObject(['building', 'revision'], ['pitch'])) {
            $node->get('building')?->text(40);
            $node->get('revision')?->whole(1, 999_999_999);
            $node->get('pitch')?->number();
        }
    }

    /** @return list<Road> */
    public function roads(?Node $list): array
    {
        $made = [];
        foreach (NamedList::of($list, ['line', 'width'], ['above', 'clear'], $this->values) as [$id, $name, $node]) {
            $line = $this->shape->line($node->get('line'), PlotReader::MOST, 2);
            $width = $this->values->model($node->get('width'))?->mm;
            $above = $this->values->model($node->get('above'))->mm ?? self::ROAD_MM / $this->scale->ratio;
            $clear = $this->values->model($node->get('clear'), Sign::ZeroOrMore)->mm ?? 0.0;
            if ($line !== null && $width !== null) {
                $made[] = new Road($id, $name, $line, $width, $above, $clear, $node->path);
            }
        }

        return $made;
    }

    /** @return list<Obstacle> */
    public function obstacles(?Node $list): array
    {
        $made = [];
        foreach (NamedList::of(
            $list,
            ['at', 'kind', 'to'],
            ['size', 'across', 'from', 'travel', 'play', 'lifts'],
            $this->values,
        ) as [$id, $name, $node]) {
            $kind = $node->get('kind')?->choice(Obstacle::KINDS);
            $at = $this->shape->pair($node->get('at'));
            $across = $this->values->model($node->get('across'))?->mm;
            $size = $across === null ? $this->shape->size($node->get('size')) : new Vec2($across, $across);
            if (($node->get('size') === null) === ($node->get('across') === null)) {
                $node->fault('plot.size-or-across');
            }
            $from = $this->values->model($node->get('from'), Sign::Any)->mm ?? 0.0;
            $to = $this->values->model($node->get('to'), Sign::Any)?->mm;
            $travel = $this->shape->pair($node->get('travel')) ?? new Vec2(0.0, 0.0);
            $play = $this->values->model($node->get('play'), Sign::ZeroOrMore)->mm ?? self::PLAY_MM;
            if ($to !== null && $to <= $from) {
                $node->get('to')?->fault('plot.upside-down', ['from' => $from, 'to' => $to]);
            } elseif ($kind !== null && $at !== null && $size !== null && $to !== null) {
                $made[] = new Obstacle(
                    $id,
                    $kind,
                    $name,
                    $at,
                    $size->x,
                    $size->y,
                    $across !== null,
                    $from,
                    $to,
                    $travel,
                    $play,
                    $node->path,
                    $node->get('lifts')?->choice(Lift::WAYS),
                );
            }
        }

        return $made;
    }

    private function standing(Node $node): ?Ring
    {
        $at = $this->shape->pair($node->get('at')) ?? new Vec2(0.0, 0.0);
        if (($node->get('size') === null) === ($node->get('outline') === null)) {
            $node->fault('plot.size-or-outline');

            return null;
        }
        $size = $this->shape->size($node->get('size'));
        $ring = $size === null
            ? $this->shape->outline($node->get('outline'), PlotReader::MOST)
            : Ring::rectangle(0.0, 0.0, $size->x, $size->y);

        return $ring?->moved($at->x, $at->y);
    }
}
