<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\Compare;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Ordinal;
use Chartula\Core\Measure\Tolerance;

/** What became of one part between two kits: in its cut, its print or both, by how much, and in words. */
final readonly class PartChange
{
    public const SAME = 'same';

    public const CUT = 'cut';

    public const PRINT = 'print';

    public const BOTH = 'both';

    public const ADDED = 'added';

    public const GONE = 'gone';

    /**
     * @param  'same'|'cut'|'print'|'both'|'added'|'gone'  $kind
     * @param  float  $mm  the furthest that any of its lines moved
     */
    private function __construct(
        public string $id,
        public string $kind,
        public float $mm,
        public string $text,
        public ?PartRecord $before,
        public ?PartRecord $after,
    ) {
    }

    public static function between(?PartRecord $before, ?PartRecord $after): self
    {
        if ($before === null || $after === null) {
            return $after === null
                ? new self($before->id ?? '', self::GONE, 0.0, 'no longer wanted', $before, null)
                : new self($after->id, self::ADDED, 0.0, 'new', null, $after);
        }
        $cut = $before->cut !== $after->cut;
        $print = $before->print !== $after->print;
        if (! $cut) {
            return new self(
                $after->id,
                $print ? self::PRINT : self::SAME,
                0.0,
                $print ? 'printed differently; the cut is the same' : 'the same',
                $before,
                $after,
            );
        }
        $words = self::words($before, $after);

        return new self($after->id, $print ? self::BOTH : self::CUT, self::moved($before, $after), implode(', ', $words), $before, $after);
    }

    /**
     * Every part that is not the same.
     *
     * @param  array<string, PartRecord>  $before
     * @param  array<string, PartRecord>  $after
     * @return list<self> in the order of the later kit, then what is gone
     */
    public static function all(array $before, array $after): array
    {
        $changes = [];
        foreach (array_keys($after + $before) as $id) {
            $change = self::between($before[$id] ?? null, $after[$id] ?? null);
            if (! $change->isSame()) {
                $changes[] = $change;
            }
        }

        return $changes;
    }

    public function isSame(): bool
    {
        return $this->kind === self::SAME;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $part = $this->after ?? $this->before;

        return [
            'id' => $this->id, 'label' => $part->label ?? '', 'name' => $part->name ?? '', 'kind' => $this->kind,
            'mm' => round($this->mm, 2), 'text' => $this->text,
            'before' => self::rings($this->before), 'after' => self::rings($this->after),
        ];
    }

    /** @return ?list<list<array{float, float}>> outline, then holes */
    private static function rings(?PartRecord $record): ?array
    {
        return $record === null ? null : array_map(static fn (Ring $r): array => $r->toArray(), [$record->outline, ...$record->holes]);
    }

    /** @return non-empty-list<string> */
    private static function words(PartRecord $before, PartRecord $after): array
    {
        $words = [];
        if ($before->stock !== $after->stock) {
            $words[] = "of $after->stock instead of $before->stock";
        }
        if (abs($before->thickness - $after->thickness) > Tolerance::MEET / 2.0) {
            $words[] = LengthFormat::millimetres($after->thickness).' thick instead of '.LengthFormat::millimetres($before->thickness);
        }
        [$old, $new] = [$before->outline->bounds(), $after->outline->bounds()];
        foreach ([
            [$new->width() - $old->width(), 'wider', 'narrower'],
            [$new->height() - $old->height(), 'higher', 'lower'],
        ] as [$by, $more, $less]) {
            if (abs($by) > Tolerance::MEET / 2.0) {
                $words[] = LengthFormat::millimetres(abs($by)).' '.($by > 0.0 ? $more : $less);
            }
        }
        array_push($words, ...self::openings($before->holes, $after->holes));

        if ($words !== []) {
            return $words;
        }
        $outline = max(self::furthest([$before->outline], [$after->outline]), self::furthest([$after->outline], [$before->outline]));

        return [$outline > Tolerance::MEET ? 'its outline moved '.LengthFormat::millimetres($outline) : 'scored or folded otherwise'];
    }

    /**
     * @param  list<Ring>  $before
     * @param  list<Ring>  $after
     * @return list<string>
     */
    private static function openings(array $before, array $after): array
    {
        $more = count($after) - count($before);
        if ($more !== 0) {
            return [abs($more).' opening'.(abs($more) === 1 ? '' : 's').' '.($more > 0 ? 'more' : 'fewer')];
        }
        $moved = $grown = [];
        foreach (self::paired($before, $after) as $nth => [$old, $new]) {
            $moved[$nth] = $old->centre()->distanceTo($new->centre());
            $grown[$nth] = max(abs($new->width() - $old->width()), abs($new->height() - $old->height()));
        }

        return [
            ...self::named($grown, 'is sized %s differently', 'are sized %s differently'),
            ...self::named($moved, 'moved %s', 'moved %s'),
        ];
    }

    /**
     * Each opening with the one that it was: the nearest first, whatever order they were cut in.
     *
     * @param  list<Ring>  $before
     * @param  list<Ring>  $after  as many
     * @return list<array{Box2, Box2}> from left to right
     */
    private static function paired(array $before, array $after): array
    {
        $box = static fn (Ring $r): Box2 => $r->bounds();
        [$old, $new] = [array_map($box, $before), array_map($box, $after)];
        usort($new, static fn (Box2 $a, Box2 $b): int => [$a->x0, $a->y0] <=> [$b->x0, $b->y0]);
        $ways = [];
        foreach ($new as $i => $box) {
            foreach ($old as $k => $other) {
                $ways[] = [$box->centre()->distanceTo($other->centre()) + abs($box->width() - $other->width()), $i, $k];
            }
        }
        sort($ways);
        $pairs = $taken = [];
        foreach ($ways as [, $i, $k]) {
            if (! isset($pairs[$i]) && ! isset($taken[$k])) {
                $pairs[$i] = [$old[$k], $new[$i]];
                $taken[$k] = true;
            }
        }
        ksort($pairs);

        return array_values($pairs);
    }

    /**
     * Which of them it is, counted from the left as seen from outside, and by how much; of several how many, and the one that most.
     *
     * @param  array<int, float>  $by
     * @return list<string>
     */
    private static function named(array $by, string $one, string $several): array
    {
        $changed = array_filter($by, static fn (float $mm): bool => $mm > Tolerance::MEET);
        if ($changed === []) {
            return [];
        }
        arsort($changed);
        $nth = (int) array_key_first($changed);
        $uneven = array_filter($changed, static fn (float $mm): bool => $changed[$nth] - $mm > Tolerance::MEET);
        $which = count($by) === 1 ? 'the opening' : 'the '.Ordinal::of($nth).' opening from the left';
        $most = LengthFormat::millimetres($changed[$nth]);

        $all = count($changed).' openings ';

        return [match (true) {
            count($changed) === 1 => $which.' '.sprintf($one, $most),
            $uneven === [] => $all.sprintf($several, $most),
            default => $all.sprintf($several, "up to $most").", $which most",
        }];
    }

    private static function moved(PartRecord $before, PartRecord $after): float
    {
        [$old, $new] = [[$before->outline, ...$before->holes], [$after->outline, ...$after->holes]];

        return max(self::furthest($old, $new), self::furthest($new, $old));
    }

    /**
     * How far the corners of one set of rings lie from the other set at most.
     *
     * @param  non-empty-list<Ring>  $from
     * @param  non-empty-list<Ring>  $to
     */
    private static function furthest(array $from, array $to): float
    {
        $furthest = 0.0;
        foreach ($from as $ring) {
            foreach ($ring->points as $point) {
                $furthest = max($furthest, min(array_map(static fn (Ring $other): float => $other->distanceTo($point), $to)));
            }
        }

        return $furthest;
    }
}
