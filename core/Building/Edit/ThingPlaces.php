<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\FeatureReader;
use Chartula\Core\Field\Node;
use Chartula\Core\Measure\LengthFormat;
use stdClass;

/** Where a new thing goes, or one more of a thing, as a document says it. Real millimetres, on the plot of the model. */
final readonly class ThingPlaces
{
    /** A new band stands at so much of the height of the eaves. */
    private const UP = 2.0 / 3.0;

    /** Of one more that says nothing else, so far away, in courses up and in feet along. */
    private const COURSES = 4.0;

    private const ALONG_MM = 914.4;

    private const ASIDE_MM = 20.0;

    /** What stands on the ground before a wall is put so far from the one that it is like, real mm. */
    private const APART_MM = 1828.8;

    /** @param  stdClass  $owner  a block, or the document */
    public function __construct(private Ruler $ruler, private stdClass $owner)
    {
    }

    /**
     * What is said of a new one where nobody says otherwise.
     *
     * @return array<string, mixed>
     */
    public function usual(Anchor $anchor, stdClass $on, bool $isOnePlace = false): array
    {
        $isOnRoof = in_array($anchor, [Anchor::Slope, Anchor::RoofLine], true);
        $length = $isOnRoof ? $this->ruler->lengthOfWall($this->owner, $this->edge($on)) : 0.0;
        $middle = LengthFormat::like('0ft', round($length / 2.0 / 25.4) * 25.4);
        $where = $isOnePlace ? ['over' => FeatureReader::MIDDLE] : ['from' => $middle];

        return match ($anchor) {
            Anchor::Wall => $isOnePlace ? $where : ['up' => $this->courses($this->eaves() * self::UP)],
            Anchor::Slope => ['in' => '3ft'] + $where,
            Anchor::RoofLine => ['line' => 'ridge'] + $where,
            Anchor::Corner => ['corner' => 0],
            Anchor::Floor => ['at' => ['2ft', '2ft']],
            Anchor::Ground => ['spot' => ['20mm', '20mm']],
            Anchor::Track => ['track' => $this->firstTrack()],
            default => [],
        };
    }

    /** Which edge of the block a place names; the first where it names none. */
    public function edge(stdClass $on): int
    {
        $edge = array_search($on->edge ?? null, Ruler::edges($this->owner), true);

        return is_int($edge) ? $edge : 0;
    }

    /** Moves a place for one more of what stands at one place of a wall. */
    public function beside(mixed $on, int $times, ?string $every): void
    {
        if ($on instanceof stdClass) {
            $this->add($on, ['from'], $times * ($every === null ? self::APART_MM : $this->ruler->read($every)));
        }
    }

    /** Moves a place for one more: up a wall, along whatever else it is. */
    public function aside(?Anchor $anchor, mixed $on, int $times, ?string $every): void
    {
        if (! $on instanceof stdClass) {
            return;
        }
        $courses = $this->ruler->gauge->course_mm;
        $real = fn (float $usual): float => $times * ($every === null ? $usual : $this->ruler->read($every));
        $model = $times * ($every === null ? self::ASIDE_MM : $this->ruler->readModel($every));
        match ($anchor) {
            Anchor::Wall => $this->add($on, ['up'], $real(self::COURSES * $courses)),
            Anchor::Corner => $this->add($on, ['up', 'up_to'], $real(self::COURSES * $courses)),
            Anchor::Slope => $this->add($on, ['from'], $real(self::ALONG_MM)),
            Anchor::RoofLine => $this->add($on, ['from', 'to'], $real(self::ALONG_MM)),
            Anchor::Floor => $this->addTo($on, 'at', $real(self::ALONG_MM)),
            Anchor::Ground => $this->addTo($on, 'spot', $model),
            Anchor::Track => $on->along = LengthFormat::trimmed($this->ruler->readModel($on->along ?? '0mm') + $model, 4).'mm',
            default => null,
        };
    }

    /**
     * Puts a run on another wall.
     *
     * @param  array{float, float}  $lengths  of the one and of the other
     */
    public function along(stdClass $on, array $lengths, bool $isMirrored): bool
    {
        $like = is_string($on->from ?? null) ? $on->from : (is_string($on->to ?? null) ? $on->to : '0ft');
        [$from, $to] = [$this->ruler->read($on->from ?? null), isset($on->to) ? $this->ruler->read($on->to) : $lengths[0]];
        if ($isMirrored) {
            [$from, $to] = [$lengths[0] - $to, $lengths[0] - $from];
        }
        $isToTheEnd = $to >= min($lengths[0], $lengths[1]) - 1.0;
        unset($on->from, $on->to);
        if ($from > 0.0 && $from < $lengths[1]) {
            $on->from = LengthFormat::like($like, $from);
        }
        if (! $isToTheEnd) {
            $on->to = LengthFormat::like($like, $to);
        }

        return true;
    }

    /**
     * Puts what stands at one place of a wall on another: as far from the same end, or from the other one.
     *
     * @param  array{float, float}  $lengths  of the one and of the other
     * @param  ?float  $centre  of what it is centred on, from the left end of the one; null where nothing is said
     */
    public function at(stdClass $on, array $lengths, ?float $centre, bool $isMirrored): bool
    {
        $from = $this->ruler->read($on->from ?? null);
        $like = is_string($on->from ?? null) ? $on->from : '0ft';
        if (($on->over ?? null) === FeatureReader::MIDDLE) {
            $on->from = LengthFormat::like($like, $isMirrored ? -$from : $from);

            return true;
        }
        $place = ($centre ?? 0.0) + $from;
        unset($on->over);
        $on->from = LengthFormat::like($like, max(0.0, $isMirrored ? $lengths[1] - $place : $place));

        return true;
    }

    /** Puts what goes over several openings over as many of another wall, from its left end; whether there are so many. */
    public function onto(stdClass $on, WallEntry $to, Node $edit): bool
    {
        $wanted = is_array($on->openings ?? null) ? count($on->openings) : 2;
        $ids = array_map(strval(...), array_keys($to->ruler->openingsOf($to->wall, $to->document->styles ?? null)));
        if (count($ids) < $wanted) {
            $edit->get('to')?->fault('edit.too-few-openings', ['wall' => $to->name, 'wanted' => $wanted]);

            return false;
        }
        $on->openings = array_slice($ids, 0, $wanted);

        return true;
    }

    private function eaves(): float
    {
        return $this->ruler->read($this->owner->eaves ?? null) - $this->ruler->read($this->owner->base ?? null);
    }

    /** A height as so many whole courses. */
    private function courses(float $mm): string
    {
        $course = $this->ruler->gauge->course_mm;

        return LengthFormat::like('0ft', round($mm / $course) * $course);
    }

    private function firstTrack(): string
    {
        $plot = ($this->owner->plot ?? null) instanceof stdClass ? $this->owner->plot : new stdClass;
        $id = (Ruler::listed($plot->tracks ?? null)[0] ?? new stdClass)->id ?? null;

        return is_string($id) ? $id : 't1';
    }

    /** @param  list<string>  $keys */
    private function add(stdClass $on, array $keys, float $mm): void
    {
        foreach ($keys as $key) {
            if (isset($on->{$key}) || in_array($key, ['up', 'from'], true)) {
                $before = is_string($on->{$key} ?? null) ? $on->{$key} : '0ft';
                $on->{$key} = LengthFormat::like($before, $this->ruler->read($before) + $mm);
            }
        }
    }

    private function addTo(stdClass $on, string $key, float $mm): void
    {
        $pair = is_array($on->{$key} ?? null) ? array_values($on->{$key}) : [];
        if (is_string($pair[0] ?? null)) {
            $on->{$key} = [
                $key === 'spot'
                    ? LengthFormat::trimmed($this->ruler->readModel($pair[0]) + $mm, 4).'mm'
                    : LengthFormat::like($pair[0], $this->ruler->read($pair[0]) + $mm),
                ...array_slice($pair, 1),
            ];
        }
    }
}
