<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** What stands on a chimney and out of its sides, as its document describes it. Model millimetres. */
final readonly class StackDetails
{
    /** Card that stands out comes no nearer to what is said than that, mm. */
    private const MORE_MM = 0.8;

    /** Over a paper so much card stays between a chimney and the cut, mm. */
    private const WEB_MM = 1.2;

    public function __construct(private StackBox $stack, private StackPlace $place, private Building $building)
    {
    }

    /** How far before the line at which low relief cuts the building a chimney ends: by as much as anything may stand out of it. */
    public static function beforeCut(Building $building, Feature $feature): float
    {
        $said = $feature->said;
        $most = 0.0;
        foreach ([
            'cap' => 1, 'cornice' => ($said->real('cornice')->mm ?? 0.0) > 0.0 ? 1 : 0, 'oversail' => $said->count('oversail') ?? 0,
            'plinth' => min(1, $said->count('plinth') ?? 0), 'band' => min(1, $said->count('band') ?? 0),
        ] as $what => $times) {
            $most = max($most, $times * ($said->real("{$what}_out")->mm ?? 0.0));
        }
        $most = ($said->count('panels') ?? 0) > 0 ? max($most, $said->real('panels_in')->mm ?? 0.0) : $most;

        return max(self::MORE_MM + $most / $building->scale->ratio, self::WEB_MM + $building->methods->paper->thickness_mm);
    }

    /**
     * What stands out of its sides, by its figures: courses of the building, counted on the datum.
     *
     * @return array<string, array{?float, float, float}> by what its parts are called: its foot, null on the roof, its top, and how far out
     */
    public function courses(float $head): array
    {
        $course = $this->stack->course();
        $count = fn (string $key): int => $this->stack->feature->said->count($key) ?? 0;
        $down = static fn (float $height): float => floor($height / $course + Tolerance::SHARE) * $course;
        $cornice = $this->stack->mm('cornice');
        $courses = $cornice > 0.0 ? ['cornice' => [$head - $cornice, $head, $this->stack->mm('cornice_out')]] : [];
        $head -= $cornice;
        if ($count('plinth') > 0) {
            $highest = $this->stack->highest($this->stack->mm('plinth_out'));
            $top = (ceil($highest / $course - Tolerance::SHARE) + $count('plinth')) * $course;
            $courses['plinth'] = [null, $top, $this->stack->mm('plinth_out')];
        }
        if ($count('band') > 0) {
            $top = $down($head - $count('band_down') * $course);
            $courses['band'] = [$top - $count('band') * $course, $top, $this->stack->mm('band_out')];
        }
        if ($count('panels') > 0) {
            $top = $down($head - $count('panels_down') * $course);
            $courses['panels'] = [$top - $count('panels_high') * $course, $top, $this->stack->mm('panels_in')];
        }
        $top = $down($head - $count('oversail_down') * $course);
        for ($i = 1; $i <= $count('oversail'); $i++) {
            $foot = $top - ($count('oversail') - $i + 1) * $course;
            $courses['oversail'.($i === 1 ? '' : "-$i")] = [$foot, $foot + $course, $i * $this->stack->mm('oversail_out')];
        }

        return $courses;
    }

    /**
     * The middles of its panels along a side, and of what is between and beside them, from the left end of that.
     *
     * @return array{list<float>, list<float>}
     */
    public function panels(int $side): array
    {
        $count = $this->stack->feature->said->count('panels') ?? 0;
        $half = $this->halfBrick();
        $each = ($this->stack->plan->edgeLength($side) - $half) / max(1, $count);
        [$open, $shut] = [[], $count === 0 ? [] : [$half / 2.0]];
        for ($k = 0; $k < $count; $k++) {
            $open[] = $half + ($k + 0.5) * $each - $half / 2.0;
            $shut[] = $half / 2.0 + ($k + 1) * $each;
        }

        return [$open, $shut];
    }

    /** @return list<Vec2> where its pots stand, in plan: those for which low relief leaves no room do not */
    public function pots(): array
    {
        $said = $this->stack->feature->said;
        $count = $said->count('flues') ?? 1;
        $rows = min($count, $said->count('rows') ?? 1);
        $columns = (int) ceil($count / $rows);
        $pitch = $this->stack->mm('flue') + $this->halfBrick();
        [$x, $y] = [$this->place->along, $this->place->across()];
        $places = [];
        for ($i = 0; $i < $count; $i++) {
            $inRow = min($columns, $count - intdiv($i, $columns) * $columns);
            $long = ($i % $columns - ($inRow - 1) / 2.0) * $pitch;
            $short = (intdiv($i, $columns) - ($rows - 1) / 2.0) * $pitch;
            [$on, $off] = $this->stack->mm('w') >= $this->stack->mm('d') ? [$long, $short] : [-$short, $long];
            $at = $this->place->middle->plus($x->times($on))->plus($y->times($off));
            $room = $this->stack->plan->contains($at) ? $this->stack->plan->distanceTo($at) : 0.0;
            array_push($places, ...$room > max($this->stack->mm('flue'), $this->stack->mm('pot_w')) / 2.0 - Tolerance::MEET ? [$at] : []);
        }

        return $said->text('pots') === 'none' ? [] : array_slice($places, 0, $said->count('open') ?? $count);
    }

    /** Of the real building: a factor leaves the model's own larger. */
    private function halfBrick(): float
    {
        return $this->building->gauge->brick_mm * $this->building->shrunk / $this->building->scale->ratio / 2.0;
    }
}
