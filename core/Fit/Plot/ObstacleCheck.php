<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Obstacle;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Building\Site\Road;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Recall\Recall;

/**
 * Whether the finished building stands clear of its neighbours, of roads, and of what is fixed or moves on the layout.
 * docs/formulas.md#plot
 */
final readonly class ObstacleCheck
{
    private const KINDS = [
        'rod' => 'the rod', 'wire' => 'the wire', 'lamp' => 'the lamp', 'screw' => 'the screw', 'motor' => 'the motor',
        'post' => 'the post', 'tie' => 'the tie bar', 'other' => '',
    ];

    public function __construct(
        private Plot $plot,
        private Finished $finished,
    ) {
    }

    /** @return list<Clearance> */
    public function all(): array
    {
        $clearances = [];
        foreach ($this->plot->neighbours as $n) {
            $near = Nearest::to($this->plot, $this->finished, Bodies::neighbour($n));
            if ($near !== null) {
                $left = $near->distance - $n->clear;
                $meets = $near->distance < 0.0
                    ? sprintf('goes %.2f mm into %s', -$near->distance, $n->name)
                    : sprintf('is %.2f mm from %s', $near->distance, $n->name);
                $clearances[] = new Clearance(
                    'neighbour', 'plot.neighbour', $n->name, $near->piece->id, $left, null,
                    $left >= -Tolerance::TOLD
                        ? sprintf('%.2f mm left to %s.', max(0.0, $left), $n->name)
                        : sprintf(
                            '%s %s; it is to stay %.2f mm clear: move it, or make it smaller.',
                            $near->piece->name,
                            $meets,
                            $n->clear,
                        ),
                    $n->path,
                    [sprintf('%.2f mm from %s, less %.2f mm to stay clear', $near->distance, $near->piece->name, $n->clear)],
                );
            }
        }
        foreach ($this->plot->roads as $road) {
            $clearances[] = $this->road($road);
        }
        foreach ($this->plot->obstacles as $obstacle) {
            $clearances[] = $this->obstacle($obstacle);
        }

        return array_values(array_filter($clearances));
    }

    /** Traffic is as high as it is said to be; what hangs over it higher up is free. */
    private function road(Road $road): ?Clearance
    {
        $nearest = null;
        foreach (array_slice($road->line, 1) as $i => $to) {
            $way = Hull::around([$road->line[$i], $to]);
            $question = Recall::question('road', $way, $road->above);
            foreach ($this->finished->pieces as $piece) {
                $isNear = $nearest === null || $piece->whole->shadow->distanceTo($way, $nearest[1]) < $nearest[1];
                $distance = $isNear ? $this->finished->recalled($piece, $question, static fn (): float => min([
                    INF,
                    ...array_map($way->distanceTo(...), $piece->shadows(-INF, $road->above)),
                ])) : INF;
                $nearest = $distance < ($nearest[1] ?? INF) ? [$piece, $distance] : $nearest;
            }
        }
        if ($nearest === null) {
            return null;
        }
        [$piece, $distance] = $nearest;
        $left = $distance - $road->width / 2.0 - $road->clear;

        return new Clearance('road', 'plot.road', $road->name, $piece->id, $left, null, $left >= -Tolerance::TOLD
            ? sprintf('%.2f mm left beside %s.', max(0.0, $left), $road->name)
            : sprintf(
                '%s narrows %s by %.2f mm; move the building, or let it begin higher than %.1f mm.',
                $piece->name,
                $road->name,
                -$left,
                $road->above,
            ),
            $road->path,
            [sprintf('%.2f mm from the middle of %s, less half its width, %.2f mm, and %.2f mm clear', $distance, $road->name, $road->width / 2.0, $road->clear)]);
    }

    private function obstacle(Obstacle $o): ?Clearance
    {
        $name = trim(self::KINDS[$o->kind].' '.$o->name);
        $near = Nearest::to($this->plot, $this->finished, Bodies::obstacle($o));
        if ($near === null) {
            return null;
        }
        $left = $near->distance - $o->play;
        $travel = $o->travel->length();
        $hole = $o->isRound && $travel < Tolerance::TOLD ? sprintf('a hole %.1f mm across', $o->width + 2.0 * $o->play)
            : sprintf(
                'a slot %.1f × %.1f mm',
                max($o->width, $o->depth) + $travel + 2.0 * $o->play,
                min($o->width, $o->depth) + 2.0 * $o->play,
            );

        return new Clearance('obstacle', 'plot.obstacle', $name, $near->piece->id, $left, null, $left >= -Tolerance::TOLD
            ? sprintf('%s stands free, %.2f mm left beyond its play.', ucfirst($name), max(0.0, $left))
            : sprintf('%s meets %s; cut %s there, or move one of them.', ucfirst($name), $near->piece->name, $hole), $o->path,
            [sprintf('%.2f mm from %s to %s%s, less %.2f mm of play', $near->distance, $near->piece->name, $name, $travel > 0.0 ? ' wherever it moves' : '', $o->play)]);
    }
}
