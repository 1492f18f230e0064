<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Node;
use Chartula\Core\Measure\LengthFormat;
use stdClass;

/** What screens do to a row of equal openings in bays: all of it moves, goes or is copied, or it becomes single openings. */
final readonly class RowEdit
{
    /** Between the heads of one row and the sills of the next. */
    private const BETWEEN_COURSES = 4;

    /**
     * @param  float  $length  of the wall, real millimetres
     * @param  float  $eaves  above its foot
     */
    public function __construct(
        private Ruler $ruler,
        private stdClass $document,
        private stdClass $wall,
        private stdClass $row,
        private float $length,
        private float $eaves,
    ) {
    }

    /** @param  string  $name  of the wall */
    public function apply(string $op, Node $edit, string $name): void
    {
        match ($op) {
            'copy-opening' => $this->copy($edit, $name),
            'repeat-opening' => $this->row->count = $edit->get('count')?->whole(1, 200) ?? $this->row->count,
            'remove-opening' => $this->replaced(),
            'break-row' => $this->broken(),
            default => $this->move($edit),
        };
    }

    /** It stands from then on where it has come to stand, at the spacing it has. */
    private function move(Node $edit): void
    {
        [$width] = FreePlaces::size($this->ruler, $this->document, $this->row);
        $along = OpeningEdit::step($this->ruler, $this->wall, $edit->get('bricks')?->number() ?? 0.0, 'bricks');
        $up = OpeningEdit::step($this->ruler, $this->wall, $edit->get('courses')?->number() ?? 0.0, 'courses');
        if ($along !== 0.0) {
            $bays = FreePlaces::bays($this->ruler, $this->row, $this->length, $width);
            $like = $this->like();
            $this->row->from = LengthFormat::like($like, max(0.0, $bays->from + $along));
            if (($this->row->count ?? 1) > 1) {
                $this->row->pitch = LengthFormat::like($like, $bays->pitch);
            }
            unset($this->row->margin);
        }
        if ($up !== 0.0) {
            $sill = is_string($this->row->sill ?? null) ? $this->row->sill : '0mm';
            $this->row->sill = LengthFormat::like($sill, max(0.0, $this->ruler->read($sill) + $up));
        }
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
    private function copy(Node $edit, string $name): void
    {
        [, $height, $sill] = FreePlaces::size($this->ruler, $this->document, $this->row);
        $next = $sill + $height + self::BETWEEN_COURSES * $this->ruler->gauge->course_mm;
        $meets = function (stdClass $other) use ($next, $height): bool {
            [, $its, $at] = FreePlaces::size($this->ruler, $this->document, $other);

            return $at < $next + $height && $at + $its > $next;
        };
        $top = $this->eaves - self::BETWEEN_COURSES * $this->ruler->gauge->course_mm / 2.0;
        if ($next + $height > $top || array_filter($this->rows(), $meets) !== []) {
            $edit->fault('edit.no-room-up', ['wall' => $name]);

            return;
        }
        $copy = clone $this->row;
        $copy->id = $this->freeId();
        $copy->sill = LengthFormat::like(is_string($this->row->sill ?? null) ? $this->row->sill : '0ft', $next);
        $this->wall->rows = [...$this->rows(), $copy];
    }

    /** @return list<stdClass> */
    private function rows(): array
    {
        return array_values(array_filter(
            is_array($this->wall->rows ?? null) ? $this->wall->rows : [],
            static fn (mixed $row): bool => $row instanceof stdClass,
        ));
    }

    private function freeId(): string
    {
        $taken = array_map(static fn (stdClass $row): mixed => $row->id ?? null, $this->rows());
        for ($n = 1; ; $n++) {
            if (! in_array("r$n", $taken, true)) {
                return "r$n";
            }
        }
    }

    private function replaced(): void
    {
        $row = $this->row;
        $this->wall->rows = array_values(array_filter($this->rows(), static fn (stdClass $other): bool => $other !== $row));
    }

    /** Each by itself, where it stands. */
    private function broken(): void
    {
        [$width] = FreePlaces::size($this->ruler, $this->document, $this->row);
        $id = is_string($this->row->id ?? null) ? $this->row->id : 'r';
        $openings = is_array($this->wall->openings ?? null) ? $this->wall->openings : [];
        foreach (FreePlaces::bays($this->ruler, $this->row, $this->length, $width)->places() as $i => $place) {
            if (FreePlaces::isKept($this->ruler, $this->wall, $place)) {
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
        $this->wall->openings = $openings;
        $this->replaced();
    }
}
