<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Sight;

use Chartula\Core\Building\OpeningKind;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Shell\WallSpan;

/**
 * How much of a room an eye sees through an opening: what lies beyond that needs no floor and no wall. Model millimetres, sideways from
 * the opening's left jamb as it is seen from outside. docs/formulas.md#sight
 */
final readonly class InsideSeen
{
    /**
     * @param  string  $name  of the opening, with its wall
     * @param  float  $room  how deep the room behind it is, from the wall's outside
     * @param  float  $width  of the opening
     * @param  ?array{float, float}  $back  from where to where the back of the room shows; null where none of it does
     * @param  ?array{float, float}  $floor  from where to where its floor shows; null where none of it does
     */
    private function __construct(
        public string $key,
        public string $name,
        public float $room,
        public float $width,
        public ?array $back,
        public ?array $floor,
    ) {
    }

    /**
     * @param  list<Vec3>  $eyes
     * @param  list<SeenFace>  $faces
     * @return list<self> of openings in walls that show, a row by its first
     */
    public static function all(Kit $kit, array $eyes, array $faces): array
    {
        $shown = array_map(
            static fn (SeenFace $f): string => $f->key,
            array_filter($faces, static fn (SeenFace $f): bool => $f->share > 0.0),
        );
        $found = [];
        foreach ($kit->walls->spans() as $span) {
            $isShown = $span->isBuilt() && in_array($span->block->id.'.'.$span->name(), $shown, true);
            foreach ($isShown ? $span->form->openings : [] as $opening) {
                // A door is shut.
                if ($opening->copy === 0 && $opening->opening->style->kind !== OpeningKind::Door) {
                    array_push($found, ...array_filter([self::through($kit, $span, $opening, $eyes)]));
                }
            }
        }

        return $found;
    }

    /** @param  list<Vec3>  $eyes */
    private static function through(Kit $kit, WallSpan $span, OpeningForm $opening, array $eyes): ?self
    {
        $frame = $span->form->frame;
        $block = $kit->form->blocks[$span->form->block];
        $room = self::roomBehind($block, $span);
        $floor = self::floorUnder($kit, $block, $opening);
        [$width, $thick] = [$opening->shape->width, $span->stack->thickness_mm];
        $isLookedAt = false;
        $sides = $floors = [];
        foreach ($eyes as $eye) {
            [$away, $aside] = [$frame->height($eye), $frame->project($eye)->x - $opening->left];
            $side = $away > 0.0 ? self::sideways($width, $thick, $away, $aside, $room) : null;
            if ($side === null) {
                continue;
            }
            $isLookedAt = true;
            $sides[] = $side;
            $floors[] = self::floorSeen(
                $opening->sill - $floor,
                $opening->top() - $floor,
                $thick,
                $away,
                $eye->z - $frame->origin->z - $floor,
                $room,
            );
        }

        return ! $isLookedAt ? null : new self(
            $span->block->id.'.'.$span->name().'.'.$opening->id,
            (count($kit->form->blocks) > 1 ? $block->block->name.', ' : '').$span->name().': '.$opening->id,
            $room,
            $width,
            self::within(self::together($sides), self::walls($block, $span, $opening)),
            self::together(array_values(array_filter($floors))),
        );
    }

    /**
     * From the least to the greatest of all; null of none.
     *
     * @param  list<array{float, float}>  $ranges
     * @return ?array{float, float}
     */
    private static function together(array $ranges): ?array
    {
        $from = array_map(static fn (array $r): float => $r[0], $ranges);
        $to = array_map(static fn (array $r): float => $r[1], $ranges);

        return $from === [] || $to === [] ? null : [min($from), max($to)];
    }

    /**
     * What of a range lies in the room; null where only a side of that is seen.
     *
     * @param  ?array{float, float}  $range
     * @param  array{float, float}  $walls
     * @return ?array{float, float}
     */
    private static function within(?array $range, array $walls): ?array
    {
        $in = $range === null ? null : [max($range[0], $walls[0]), min($range[1], $walls[1])];

        return $in === null || $in[0] >= $in[1] ? null : $in;
    }

    /** @return array{float, float} where the sides of the room stand, from the opening's left jamb */
    private static function walls(BlockForm $block, WallSpan $span, OpeningForm $opening): array
    {
        $frame = $span->form->frame;
        $at = array_map(
            static fn (Vec2 $p): float => $frame->project(new Vec3($p->x, $p->y, $frame->origin->z))->x - $opening->left,
            $block->ring->points,
        );

        return [min($at), max($at)];
    }

    private static function roomBehind(BlockForm $block, WallSpan $span): float
    {
        return max(array_map(
            static fn (Vec2 $p): float => -$span->form->frame->height(new Vec3($p->x, $p->y, $span->form->frame->origin->z)),
            $block->ring->points,
        ));
    }

    /** The floor of the storey behind an opening, against the wall's foot: the highest that is not above its sill. */
    private static function floorUnder(Kit $kit, BlockForm $block, OpeningForm $opening): float
    {
        $floor = 0.0;
        foreach ($block->block->storeys as $storey) {
            $at = $kit->modelled->building->scale->modelMm($storey->floor) - $block->base;
            $floor = $at <= $opening->sill + Tolerance::MEET ? max($floor, $at) : $floor;
        }

        return $floor;
    }

    /**
     * From where to where an eye sees what lies so deep behind the front, through an opening from 0 to $width in a wall $thick.
     *
     * @return ?array{float, float} null where the jambs hide all of it
     */
    public static function sideways(float $width, float $thick, float $away, float $aside, float $deep): ?array
    {
        $limits = static fn (float $jamb): array =>
            array_map(static fn (float $y): float => $jamb + ($jamb - $aside) * ($deep - $y) / ($away + $y), [0.0, $thick]);
        [$left, $right] = [max($limits(0.0)), min($limits($width))];

        return $left < $right ? [$left, $right] : null;
    }

    /**
     * From where to where behind the front an eye sees the floor, over the sill and under the head, all heights above that floor.
     *
     * @return ?array{float, float} null where it sees none of it
     */
    public static function floorSeen(float $sill, float $head, float $thick, float $away, float $eye, float $room): ?array
    {
        if ($eye <= 0.0) {
            return null;
        }
        $near = $sill <= 0.0 ? 0.0 : ($eye > $sill ? $thick + $sill * ($away + $thick) / ($eye - $sill) : INF);
        $far = $eye > $head ? $head * $away / ($eye - $head) : INF;

        return $near < min($far, $room) ? [$near, min($far, $room)] : null;
    }

    public function text(): string
    {
        $back = $this->back === null ? 'Of the back of the room nothing shows' : sprintf(
            'At the back of the room, %.1f mm behind the wall’s outside, it is seen from %.1f mm left of the opening to %.1f mm right of it',
            $this->room,
            max(0.0, -$this->back[0]),
            max(0.0, $this->back[1] - $this->width),
        );

        return "$this->name. $back; ".match (true) {
            $this->floor === null => 'of its floor nothing shows.',
            $this->floor[1] > $this->room - Tolerance::TOLD => 'its floor shows to the back.',
            default => sprintf('its floor shows to %.1f mm deep, and beyond that none is needed.', $this->floor[1]),
        };
    }

    /**
     * @return array{key: string, name: string, room_mm: float, back_mm: ?array{float, float}, floor_mm: ?array{float, float}, text: string}
     */
    public function toArray(): array
    {
        return [
            'key' => $this->key, 'name' => $this->name, 'room_mm' => round($this->room, 2), 'back_mm' => self::rounded($this->back),
            'floor_mm' => self::rounded($this->floor), 'text' => $this->text(),
        ];
    }

    /**
     * @param  ?array{float, float}  $range
     * @return ?array{float, float}
     */
    private static function rounded(?array $range): ?array
    {
        return $range === null ? null : [round($range[0], 2), round($range[1], 2)];
    }
}
