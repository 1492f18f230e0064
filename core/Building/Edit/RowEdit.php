<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Bays;
use Chartula\Core\Field\Node;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\LengthFormat;
use stdClass;

/** What screens do to a row of equal openings in bays: all of it moves, goes or is copied, or it becomes single openings. */
final readonly class RowEdit
{
    /** Between the heads of one row and the sills of the next. */
    private const BETWEEN_COURSES = 4;

    private const QUARTER_MM = 6.35;

    private const STANDS = ['bays', 'margin', 'from'];

    public function __construct(private WallEntry $on, private stdClass $row)
    {
    }

    public function apply(string $op, Node $edit): void
    {
        match ($op) {
            'copy-opening' => $this->copy($edit),
            'repeat-opening' => $this->counted($edit),
            'remove-opening' => $this->replaced(),
            'break-row' => $this->broken(),
            'stand-row' => $this->stand($edit),
            default => $this->move($edit),
        };
    }

    /** As many as that; where they would come into something else they stand closer, in equal bays of what is free. */
    private function counted(Node $edit): void
    {
        $count = $edit->get('count')?->whole(1, 200);
        if ($count === null) {
            return;
        }
        $first = $this->bays()->places()[0];
        $this->row->count = $count;
        $rows = $this->on->wall->rows ?? [];
        $this->replaced();
        $free = $this->on->free();
        $this->on->wall->rows = $rows;
        [$width, $height, $sill] = $this->on->size($this->row);
        $taken = array_filter(
            $this->bays()->places(),
            static fn (Interval $place): bool => ! $free->isFree($place->from, $width, $sill, $sill + $height),
        );
        $least = $count * ($width + $this->on->ruler->gauge->brick_mm);
        $stretches = $taken === [] ? [] : $free->stretches($least, $sill, $sill + $height);
        $own = array_filter($stretches, static fn (Interval $s): bool => $s->overlaps($first));
        $stretch = array_values([...$own, ...$stretches])[0] ?? null;
        if ($stretch !== null) {
            $this->within($stretch);
        }
    }

    /** In equal bays of a stretch of the wall. */
    public function within(Interval $stretch): void
    {
        [$width] = $this->on->size($this->row);
        $count = is_int($this->row->count ?? null) ? max(1, $this->row->count) : 1;
        $bay = $stretch->length() / $count;
        $like = $this->like();
        unset($this->row->margin);
        // To a quarter of an inch, as one marks it out; what that leaves over is left at the end.
        $bay = floor($bay / self::QUARTER_MM) * self::QUARTER_MM;
        $first = $stretch->from + ($stretch->length() - ($count - 1) * $bay - $width) / 2.0;
        $this->row->from = LengthFormat::like($like, round($first / self::QUARTER_MM) * self::QUARTER_MM);
        $this->row->pitch = LengthFormat::like($like, $bay);
    }

    /** It stands from then on where it has come to stand, at the spacing it has. */
    private function move(Node $edit): void
    {
        $along = OpeningEdit::step($this->on->ruler, $this->on->wall, $edit->get('bricks')?->number() ?? 0.0, 'bricks');
        $up = OpeningEdit::step($this->on->ruler, $this->on->wall, $edit->get('courses')?->number() ?? 0.0, 'courses');
        if ($along !== 0.0) {
            $this->settle($along);
        }
        if ($up !== 0.0) {
            $sill = is_string($this->row->sill ?? null) ? $this->row->sill : '0mm';
            $this->row->sill = LengthFormat::like($sill, max(0.0, $this->on->ruler->read($sill) + $up));
        }
    }

    /** In equal bays, between equal margins or from a place on: the figures are those of where it stands now. */
    private function stand(Node $edit): void
    {
        $how = $edit->get('how');
        if ($how === null) {
            $edit->missing('how');
        }
        match ($how?->choice(self::STANDS)) {
            'from' => $this->settle(0.0),
            'margin' => $this->space(LengthFormat::like($this->like(), max(0.0, $this->bays()->from))),
            'bays' => $this->space(null),
            null => null,
        };
    }

    /** @param  float  $along  so much farther from the left end than it stands */
    private function settle(float $along): void
    {
        [$bays, $like] = [$this->bays(), $this->like()];
        $this->row->from = LengthFormat::like($like, max(0.0, $bays->from + $along));
        if (($this->row->count ?? 1) > 1) {
            $this->row->pitch = LengthFormat::like($like, $bays->pitch);
        }
        unset($this->row->margin);
    }

    private function space(?string $margin): void
    {
        unset($this->row->from, $this->row->pitch, $this->row->margin);
        if ($margin !== null) {
            $this->row->margin = $margin;
        }
    }

    private function bays(): Bays
    {
        [$width] = $this->on->size($this->row);

        return FreePlaces::bays($this->on->ruler, $this->row, $this->on->length(), $width);
    }

    /** A length of the row as it was typed, so that others are written like it. */
    private function like(): string
    {
        foreach (['from', 'margin', 'sill'] as $key) {
            if (is_string($this->row->{$key} ?? null)) {
                return $this->row->{$key};
            }
        }

        return '0ft';
    }

    /** Over it, four courses above its heads, where that is free. */
    private function copy(Node $edit): void
    {
        $to = $edit->get('to');
        if ($to !== null) {
            // In bays or between margins as here; one that begins at a place begins at the same one.
            $this->put(WallEntry::of($this->on->document, $to), clone $this->row);

            return;
        }
        [, $height, $sill] = $this->on->size($this->row);
        $next = $sill + $height + self::BETWEEN_COURSES * $this->on->ruler->gauge->course_mm;
        $meets = function (stdClass $other) use ($next, $height): bool {
            [, $its, $at] = $this->on->size($other);

            return $at < $next + $height && $at + $its > $next;
        };
        $top = $this->on->eaves() - self::BETWEEN_COURSES * $this->on->ruler->gauge->course_mm / 2.0;
        if ($next + $height > $top || array_filter($this->on->rows(), $meets) !== []) {
            $edit->fault('edit.no-room-up', ['wall' => $this->on->name]);

            return;
        }
        $copy = clone $this->row;
        $this->on->raise($copy, $next);
        $this->put($this->on, $copy);
    }

    private function put(?WallEntry $on, stdClass $copy): void
    {
        if ($on !== null) {
            $copy->id = WallEntry::freeId('r', $on->rows());
            $on->adopt($copy, $this->on);
            $on->wall->rows = [...$on->rows(), $copy];
        }
    }

    private function replaced(): void
    {
        $row = $this->row;
        $this->on->wall->rows = array_values(array_filter($this->on->rows(), static fn (stdClass $other): bool => $other !== $row));
    }

    /** Each by itself, where it stands. */
    private function broken(): void
    {
        $id = is_string($this->row->id ?? null) ? $this->row->id : 'r';
        $openings = is_array($this->on->wall->openings ?? null) ? $this->on->wall->openings : [];
        foreach ($this->bays()->places() as $i => $place) {
            if (FreePlaces::isKept($this->on->ruler, $this->on->wall, $place)) {
                continue;
            }
            $from = LengthFormat::like($this->like(), $place->from);
            $single = (object) ['id' => $id.'-'.($i + 1), 'style' => $this->row->style ?? null, 'from' => $from];
            foreach (['sill', 'storey'] as $key) {
                if (isset($this->row->{$key})) {
                    $single->{$key} = $this->row->{$key};
                }
            }
            $openings[] = $single;
        }
        $this->on->wall->openings = $openings;
        $this->replaced();
    }
}
