<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\PartGroup;

/** What is left of the finished outside to every side of the plot, and to what is above it. docs/formulas.md#plot */
final readonly class SideCheck
{
    private bool $isConvex;

    public function __construct(
        private Plot $plot,
        private Finished $finished,
    ) {
        $turns = true;
        $ring = $plot->outline;
        foreach (array_keys($ring->points) as $i) {
            $turns = $turns && $ring->point($i)->minus($ring->point($i - 1))->cross($ring->point($i + 1)->minus($ring->point($i))) >= 0.0;
        }
        $this->isConvex = $turns;
    }

    /** @return list<Clearance> */
    public function all(): array
    {
        $sides = array_map($this->nearest(...), array_keys($this->plot->outline->points));
        $clearances = [];
        foreach ($sides as $edge => [$distance, $piece, $at]) {
            if ($piece === null) {
                continue;
            }
            $wanted = $this->plot->wanted($edge);
            $clearances[] = $this->side($edge, $distance, $wanted, $piece, $at, $this->room($edge, $sides));
        }
        if ($this->plot->height !== null) {
            $clearances[] = $this->height($this->plot->height);
        }

        return $clearances;
    }

    /**
     * How far the nearest corner is inside an edge, less what will stand proud of it.
     *
     * @return array{float, ?FinishedPiece, Vec2}
     */
    private function nearest(int $edge): array
    {
        $a = $this->plot->outline->point($edge);
        $along = $this->plot->outline->point($edge + 1)->minus($a);
        $along = $along->times(1.0 / $along->length());
        $least = INF;
        $nearest = null;
        $at = $a;
        foreach ($this->finished->pieces as $piece) {
            $proud = match ($piece->group) {
                PartGroup::Roof => $this->plot->allowance->roofs,
                PartGroup::Shell, PartGroup::Skin => $this->plot->allowance->walls,
                PartGroup::Brace, PartGroup::Trim => 0.0,
            };
            foreach ($piece->whole->shadow->points as $p) {
                $distance = $this->distance($edge, $a, $along, $p) - $proud;
                if ($distance < $least) {
                    [$least, $nearest, $at] = [$distance, $piece, $p];
                }
            }
        }

        return [$least, $nearest, $at];
    }

    private function distance(int $edge, Vec2 $a, Vec2 $along, Vec2 $p): float
    {
        $off = $along->cross($p->minus($a));
        if ($this->isConvex) {
            return $off;
        }
        $ring = $this->plot->outline;
        if ($ring->contains($p)) {
            return $p->distanceToSegment($a, $ring->point($edge + 1));
        }
        // Outside a hollow plot only the edge that is nearest is passed.
        $own = $p->distanceToSegment($a, $ring->point($edge + 1));

        return $own <= $ring->distanceTo($p) + Tolerance::TOLD ? -$own : INF;
    }

    /**
     * By how much it could be moved away from an edge before it meets the one opposite; a rectangle has one.
     *
     * @param  list<array{float, ?FinishedPiece, Vec2}>  $sides
     */
    private function room(int $edge, array $sides): ?float
    {
        if (count($sides) !== 4) {
            return null;
        }
        $across = ($edge + 2) % 4;

        return $sides[$across][0] - $this->plot->wanted($across);
    }

    private function side(int $edge, float $distance, float $wanted, FinishedPiece $piece, Vec2 $at, ?float $room): Clearance
    {
        $name = $this->plot->edges[$edge];
        $left = $distance - $wanted;
        $a = $this->plot->outline->point($edge);
        $along = $this->plot->outline->point($edge + 1)->minus($a);
        $along = $along->times(1.0 / $along->length());
        $foot = $a->plus($along->times($along->dot($at->minus($a))));
        $isBackscene = in_array($edge, $this->plot->backscene, true);
        $sums = [sprintf('%s stands %.2f mm %s the %s side', $piece->name, abs($distance), $distance < 0.0 ? 'beyond' : 'inside', $name)];
        if ($wanted > 0.0) {
            $sums[] = sprintf('less %.2f mm kept free%s', $wanted, $isBackscene ? ' before the backscene' : '');
        }
        $text = $left >= -Tolerance::TOLD
            ? sprintf('%.2f mm left at the %s side.', max(0.0, $left), $name)
            : sprintf('%s stands %.2f mm too far out at the %s side%s; %s.', $piece->name, -$left, $name, $isBackscene ? ', the gap before the backscene counted' : '', match (true) {
                $room === null => 'move the building, or make it smaller',
                $room + $left >= -Tolerance::TOLD => sprintf(
                    'there is room across: move the building by that much, %.2f mm would be left',
                    max(0.0, $room + $left),
                ),
                default => sprintf('even moved across it is %.2f mm too long: give something up', -($room + $left)),
            });
        $isTooBig = $room !== null && $room + $left < -Tolerance::TOLD;
        $isDeep = $edge % 2 === 0;

        return new Clearance(
            'side',
            $isTooBig ? ($isDeep ? 'plot.too-deep' : 'plot.too-wide') : 'plot.over-edge',
            $name,
            $piece->id,
            $left,
            [$at, $foot],
            $text,
            'plot.size',
            $sums,
        );
    }

    private function height(float $height): Clearance
    {
        $highest = null;
        foreach ($this->finished->pieces as $piece) {
            $highest = $highest === null || $piece->whole->high > $highest->whole->high ? $piece : $highest;
        }
        $high = $highest === null ? 0.0 : $highest->whole->high;
        $left = $height - $high;

        return new Clearance('height', 'plot.too-high', 'height', $highest->id ?? '', $left, null,
            $left >= -Tolerance::TOLD
                ? sprintf('%.2f mm left above.', max(0.0, $left))
                : sprintf(
                    '%s reaches %.2f mm, %.2f mm higher than there is room; lower a storey or the roof.',
                    $highest->name ?? '',
                    $high,
                    -$left,
                ),
            'plot.height', [sprintf('%.2f mm of height, less %.2f mm to the top of the building', $height, $high)]);
    }
}
