<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Bays;
use Chartula\Core\Building\OpeningKind;
use Chartula\Core\Field\Node;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\LengthFormat;
use stdClass;

/** What screens do to the openings of one wall. */
final readonly class OpeningEdit
{
    /** Steps on walls that show no courses: 3in along and up, 1in for a quarter. */
    private const PLAIN_STEP_MM = 76.2;

    private const PLAIN_QUARTER_MM = 25.4;

    private const SILL = '2ft 9in';

    /** So many openings a new row has where there is room. */
    private const ROW = 3;

    private function __construct(private WallEntry $on, private Node $edit)
    {
    }

    public static function apply(stdClass $document, string $op, Node $edit): void
    {
        $on = WallEntry::of($document, $edit->get('wall'));
        if ($on === null) {
            if ($edit->get('wall') === null) {
                $edit->missing('wall');
            }

            return;
        }
        $self = new self($on, $edit);
        $row = in_array($op, ['add-opening', 'add-row'], true) ? null : $self->row();
        if ($row !== null) {
            (new RowEdit($on, $row))->apply($op, $edit);

            return;
        }

        match ($op) {
            'add-opening' => $self->add(),
            'add-row' => $self->addRow(),
            'copy-opening' => $self->copy(),
            'repeat-opening' => $self->repeat(),
            'remove-opening' => $self->remove(),
            'break-row', 'stand-row' => $self->find(),
            'place-opening' => $self->place(),
            default => $self->move(),
        };
    }

    private function find(): ?stdClass
    {
        $id = $this->edit->get('id')?->text(32);
        foreach ($this->on->openings() as $i => $opening) {
            if (($opening->id ?? 'o'.($i + 1)) === $id) {
                $opening->id = $id;

                return $opening;
            }
        }
        ($this->edit->get('id') ?? $this->edit)->fault('edit.no-such', ['given' => "{$this->on->name} $id"]);

        return null;
    }

    /** The row in bays that is meant, by its own id. */
    private function row(): ?stdClass
    {
        $id = $this->edit->get('id')?->value;
        foreach ($this->on->rows() as $i => $row) {
            if (($row->id ?? 'r'.($i + 1)) === $id) {
                $row->id = $id;

                return $row;
            }
        }

        return null;
    }

    private function place(): void
    {
        $this->edit->isObject(['op', 'wall', 'id', 'how']);
        $opening = $this->find();
        if ($opening !== null) {
            PlaceEdit::apply($this->on, $opening, $this->edit);
        }
    }

    private function move(): void
    {
        $this->edit->isObject(['op', 'wall', 'id'], ['bricks', 'courses']);
        $opening = $this->find();
        if ($opening === null) {
            return;
        }
        foreach (['from' => 'bricks', 'sill' => 'courses'] as $field => $unit) {
            $steps = $this->edit->get($unit)?->number() ?? 0.0;
            if ($steps !== 0.0) {
                $before = is_string($opening->{$field} ?? null) ? $opening->{$field} : '0mm';
                $after = max(0.0, $this->on->ruler->read($before) + self::step($this->on->ruler, $this->on->wall, $steps, $unit));
                $opening->{$field} = LengthFormat::like($before, $after);
            }
        }
    }

    /** How far so many steps are, in bricks along or courses up. */
    public static function step(Ruler $ruler, stdClass $wall, float $steps, string $unit): float
    {
        $finish = is_string($wall->finish ?? null) ? $wall->finish : '';
        if (str_starts_with($finish, 'brick-')) {
            return $steps * ($unit === 'bricks' ? $ruler->gauge->brick_mm : $ruler->gauge->course_mm);
        }
        $whole = (float) (int) $steps;

        return $whole * self::PLAIN_STEP_MM + ($steps - $whole) * 4.0 * self::PLAIN_QUARTER_MM;
    }

    /** A row in equal bays, of as many as go, at the usual sill or over what stands there. */
    private function addRow(): void
    {
        $this->edit->isObject(['op', 'wall'], ['style']);
        $id = WallEntry::freeId('r', $this->on->rows());
        $row = (object) ['id' => $id, 'style' => $this->style(), 'sill' => self::SILL, 'count' => self::ROW];
        [$width, $height, $usual] = $this->on->size($row);
        $length = $this->on->length();
        $free = $this->on->free();
        foreach ($free->sills($usual, $this->on->eaves() - $height) as $sill) {
            for ($count = self::ROW; $count > 1; $count--) {
                $isClear = static fn (Interval $place): bool => $free->isFree($place->from, $width, $sill, $sill + $height);
                $places = Bays::of($length, $width, $count, [])->places();
                if (count(array_filter($places, $isClear)) === $count) {
                    $row->count = $count;
                    $row->sill = LengthFormat::like(self::SILL, $sill);
                    $this->on->wall->rows = [...$this->on->rows(), $row];

                    return;
                }
            }
        }
        foreach ($free->sills($usual, $this->on->eaves() - $height) as $sill) {
            if ($this->rowBeside($row, $free, $sill)) {
                return;
            }
        }
        $this->edit->fault('edit.no-room', ['wall' => $this->on->name, 'width' => round(2.0 * $width, 2)]);
    }

    /** In equal bays of what is free beside another block or a door, where it is of use. */
    private function rowBeside(stdClass $row, FreePlaces $free, float $sill): bool
    {
        [$width, $height] = $this->on->size($row);
        $least = $width + $this->on->ruler->gauge->brick_mm;
        $stretch = $free->stretches(2.0 * $least, $sill, $sill + $height)[0] ?? null;
        if ($stretch === null) {
            return false;
        }
        $row->count = min(self::ROW, (int) floor($stretch->length() / $least));
        $row->sill = LengthFormat::like(self::SILL, $sill);
        (new RowEdit($this->on, $row))->within($stretch);
        $this->on->wall->rows = [...$this->on->rows(), $row];

        return true;
    }

    private static function kind(mixed $style): ?OpeningKind
    {
        return $style instanceof stdClass ? OpeningKind::said($style->kind ?? null) : null;
    }

    /** The kind that is asked for, or the first that there is of windows; one is made where there is none. */
    private function style(): string
    {
        $styles = $this->on->document->styles ?? null;
        if (! $styles instanceof stdClass || get_object_vars($styles) === []) {
            $this->on->document->styles = $styles = (object) [OpeningKind::Window->value => KindEdit::fresh(OpeningKind::Window)];
        }
        $all = get_object_vars($styles);
        $alike = array_filter($all, static fn (mixed $s): bool => self::kind($s) === OpeningKind::Window);

        return $this->edit->get('style')?->text(32) ?? (string) array_key_first($alike === [] ? $all : $alike);
    }

    private function add(): void
    {
        $this->edit->isObject(['op', 'wall'], ['style', 'at']);
        $style = $this->style();
        $styles = $this->on->document->styles;
        $isDoor = self::kind($styles instanceof stdClass ? $styles->{$style} ?? null : null) === OpeningKind::Door;
        $opening = (object) [
            'id' => WallEntry::freeId($isDoor ? 'd' : 'w', $this->on->openings()), 'style' => $style, 'from' => '0ft',
            'sill' => $isDoor ? '0ft' : self::SILL,
        ];
        $this->put($this->on, $opening, null);
    }

    private function copy(): void
    {
        $this->edit->isObject(['op', 'wall', 'id'], ['to', 'mirrored', 'at']);
        $opening = $this->find();
        $to = $this->edit->get('to') === null ? $this->on : WallEntry::of($this->on->document, $this->edit->get('to'));
        if ($opening === null || $to === null) {
            return;
        }
        $copy = clone $opening;
        if ($to === $this->on) {
            unset($copy->repeat);
        }
        $copy->id = WallEntry::freeId(substr(is_string($opening->id) ? $opening->id : 'w', 0, 1), $to->openings());
        $to->adopt($copy, $this->on);
        // As far from the left end as it is on its own wall, or from the right.
        $extents = $to->ruler->extentsOf($opening, $to->document->styles ?? null);
        $isMirrored = $this->edit->get('mirrored')?->value === true;
        $this->put($to, $copy, $isMirrored ? $to->length() - $extents[count($extents) - 1]->to : $extents[0]->from);
    }

    /** In the place that is named, else in the first that is free, or in the nearest to one; where there is none it says so. */
    private function put(WallEntry $on, stdClass $opening, ?float $near): void
    {
        [, $height, $sill] = $on->size($opening);
        $extents = $on->ruler->extentsOf($opening, $on->document->styles ?? null);
        $width = $extents[count($extents) - 1]->to - $extents[0]->from;
        $free = $on->free();
        $named = $this->edit->get('at')?->number();
        $at = match (true) {
            $named !== null => $free->isFree($named, $width, $sill, $sill + $height) ? $named : null,
            $near === null => $free->first($width, $sill, $sill + $height),
            default => $free->nearest($near, $width, $sill, $sill + $height),
        };
        if ($at === null) {
            $this->edit->fault('edit.no-room', ['wall' => $on->name, 'width' => round($width, 2)]);

            return;
        }
        $opening->from = LengthFormat::like(is_string($opening->from ?? null) ? $opening->from : '0ft', $at);
        $on->wall->openings = [...$on->openings(), $opening];
    }

    private function repeat(): void
    {
        $this->edit->isObject(['op', 'wall', 'id', 'count'], ['pitch']);
        $opening = $this->find();
        $count = $this->edit->get('count')?->whole(1, 200);
        if ($opening === null || $count === null) {
            return;
        }
        $before = ($opening->repeat ?? null) instanceof stdClass && is_string($opening->repeat->pitch ?? null)
            ? $opening->repeat->pitch
            : null;
        $pitch = $this->edit->get('pitch')?->text(60) ?? $before;
        if ($pitch === null) {
            $style = is_string($opening->style ?? null) && ($this->on->document->styles ?? null) instanceof stdClass
                ? ($this->on->document->styles->{$opening->style} ?? null)
                : null;
            $pitch = LengthFormat::like('0ft', 2.0 * $this->on->ruler->widthOf($style));
        }
        if ($count === 1) {
            unset($opening->repeat);
        } else {
            $opening->repeat = (object) ['count' => $count, 'pitch' => $pitch];
        }
    }

    private function remove(): void
    {
        $this->edit->isObject(['op', 'wall', 'id']);
        $opening = $this->find();
        if ($opening === null) {
            return;
        }
        $this->on->wall->openings = array_values(array_filter($this->on->openings(), static fn (stdClass $o): bool => $o !== $opening));
    }
}
