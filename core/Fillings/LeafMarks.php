<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Leaf;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\MarkKind;

/** What is printed on the face of a leaf: where leaves meet, handles, letter plates. The opening's own frame. docs/formulas.md#leaves */
final readonly class LeafMarks
{
    /** Above the foot, real millimetres. */
    private const HANDLE_MM = 1016.0;

    private const PLATE_MM = 838.2;

    private const PLATE = [254.0, 63.5];

    private const KNOB_MM = 28.0;

    private const RING_MM = 50.0;

    private const LEVER_MM = 120.0;

    private const CORNERS = 16;

    public function __construct(private Fitted $in, private Leaf $leaf, private ?PaneLayout $layout)
    {
    }

    /** @return list<Mark> */
    public function all(): array
    {
        return [...$this->middle(), ...$this->parted(), ...$this->handle(), ...$this->plate()];
    }

    /** @return list<Mark> where two leaves meet */
    private function middle(): array
    {
        $x = $this->width() / 2.0;
        $top = new Vec2($x, $this->in->opening->shape->headAt($x, -FillingParts::CLEARANCE_MM));

        return ! $this->leaf->isDouble ? [] : [new Mark([new Vec2($x, 0.0), $top], 'leaves', MarkKind::Plank)];
    }

    /** @return list<Mark> where a stable door is parted */
    private function parted(): array
    {
        if ($this->leaf->split === null) {
            return [];
        }
        $y = $this->in->building->scale->modelMm($this->leaf->split);
        [$from, $to] = [FillingParts::CLEARANCE_MM, $this->width() - FillingParts::CLEARANCE_MM];

        return [new Mark([new Vec2($from, $y), new Vec2($to, $y)], 'parted', MarkKind::Plank)];
    }

    /** @return list<Mark> on the side that does not hang; of two leaves on the right one */
    private function handle(): array
    {
        $stile = $this->in->building->scale->modelMm($this->leaf->rail) / 2.0;
        $at = new Vec2(match (true) {
            $this->leaf->isDouble => $this->width() / 2.0 + $stile,
            $this->leaf->hinge === 'left' => $this->width() - FillingParts::CLEARANCE_MM - $stile,
            default => FillingParts::CLEARANCE_MM + $stile,
        }, $this->up(self::HANDLE_MM));
        // A lever points to where the leaf hangs.
        $way = $this->leaf->isDouble || $this->leaf->hinge === 'right' ? 1.0 : -1.0;
        $path = match ($this->leaf->handle) {
            'knob' => $this->round($at, self::KNOB_MM),
            'ring' => $this->round($at, self::RING_MM),
            'lever' => [$at, $at->plus(new Vec2($way * min($this->up(self::LEVER_MM), $stile), 0.0))],
            default => [],
        };

        return $path === [] || $at->y >= $this->in->opening->shape->springing() ? [] : [new Mark($path, 'handle', MarkKind::Plank)];
    }

    /** @return list<Mark> */
    private function plate(): array
    {
        [$w, $h] = array_map(fn (float $mm): float => $mm / $this->in->building->scale->ratio / 2.0, self::PLATE);
        $x = $this->width() * ($this->leaf->isDouble ? 0.75 : 0.5);
        $y = $this->onRail($this->up(self::PLATE_MM));
        $isThere = $this->leaf->hasLetterPlate && $y + $h < $this->in->opening->shape->springing();
        $corners = [[-$w, -$h], [$w, -$h], [$w, $h], [-$w, $h], [-$w, -$h]];

        return ! $isThere ? [] : [
            new Mark(array_map(static fn (array $p): Vec2 => new Vec2($x + $p[0], $y + $p[1]), $corners), 'letters', MarkKind::Plank),
        ];
    }

    /** The middle of the rail nearest to a height, where a leaf has rails. */
    private function onRail(float $y): float
    {
        $rail = $this->in->building->scale->modelMm($this->leaf->rail) / 2.0;
        $at = $this->leaf->glazed === null ? [] : [$this->in->building->scale->modelMm($this->leaf->glazed->from)];
        foreach ($this->leaf->isFaced() ? $this->layout?->holesOf(0) ?? [] : [] as $panel) {
            $at[] = $panel->bounds()->y0 - $rail;
        }
        usort($at, static fn (float $a, float $b): int => abs($a - $y) <=> abs($b - $y));

        return $at[0] ?? $y;
    }

    /** @return non-empty-list<Vec2> */
    private function round(Vec2 $at, float $mm): array
    {
        $radius = $mm / $this->in->building->scale->ratio;
        $path = [$at->plus(new Vec2($radius, 0.0))];
        for ($i = 1; $i <= self::CORNERS; $i++) {
            $angle = 2.0 * M_PI * $i / self::CORNERS;
            $path[] = $at->plus(new Vec2($radius * cos($angle), $radius * sin($angle)));
        }

        return $path;
    }

    /** A figure beside it stays as large as it is, whatever was made smaller. */
    private function up(float $mm): float
    {
        return $mm / $this->in->building->scale->ratio;
    }

    private function width(): float
    {
        return $this->in->opening->shape->width;
    }
}
