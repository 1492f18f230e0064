<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Geometry\Box2;

/**
 * Scores first, while the sheet is whole; then slits; then openings, smallest first, each after what lies in it; then outlines, the outer
 * parts of the sheet first, so that the waste holds what is left. Frame by frame. docs/formulas.md#cutting-order
 */
final class CuttingOrder
{
    /** @var array<string, non-empty-list<PlacedPart>> what lies in an opening, by its piece and number; '' what lies in none */
    private array $in = [];

    private function __construct(private readonly Page $page, private readonly Frame $frame)
    {
        $openings = $this->openings();
        foreach ($frame->parts as $i => $placed) {
            $this->in[self::around($placed, $i, $openings)][] = $placed;
        }
    }

    /** @return list<CutStep> */
    public static function of(Sheet $sheet): array
    {
        return array_merge(...array_map(static fn (Frame $f): array => (new self($sheet->page, $f))->steps(), $sheet->frames));
    }

    /** @return list<array{int, string, Box2, float}> piece, key, box and area of each opening that the smallest piece would go through */
    private function openings(): array
    {
        $least = min(array_map(static fn (PlacedPart $p): float => min($p->width(), $p->height()), $this->frame->parts));
        $openings = [];
        foreach ($this->frame->parts as $i => $placed) {
            foreach ($placed->part->part->holes as $k => $hole) {
                $size = $hole->bounds();
                if (min($size->width(), $size->height()) > $least) {
                    $box = Box2::around(array_map($placed->toSheet(...), $hole->points));
                    $openings[] = [$i, self::key($placed, $k), $box, $hole->area()];
                }
            }
        }

        return $openings;
    }

    /** @param  list<array{int, string, Box2, float}>  $openings */
    private static function around(PlacedPart $placed, int $i, array $openings): string
    {
        $least = INF;
        $key = '';
        foreach ($openings as [$of, $opening, $box, $area]) {
            $isIn = $placed->x > $box->x0 && $placed->y > $box->y0
                && $placed->x + $placed->width() < $box->x1 && $placed->y + $placed->height() < $box->y1;
            if ($of !== $i && $isIn && $area < $least) {
                [$least, $key] = [$area, $opening];
            }
        }

        return $key;
    }

    private static function key(PlacedPart $placed, int $opening): string
    {
        return $placed->part->part->id.'#'.$placed->copy.' '.$opening;
    }

    /** @return list<CutStep> */
    private function steps(): array
    {
        $scores = $slits = [];
        foreach ($this->frame->parts as $placed) {
            foreach (array_keys($placed->part->part->scores) as $i) {
                $scores[] = new CutStep('score', $placed, $i);
            }
            foreach (array_keys($placed->part->part->slits) as $i) {
                $slits[] = new CutStep('slit', $placed, $i);
            }
        }

        return [...$scores, ...$slits, ...$this->loose('')];
    }

    /** @return list<CutStep> what cuts the pieces loose that lie in one opening, or in none */
    private function loose(string $in): array
    {
        $openings = $outlines = [];
        foreach ($this->in[$in] ?? [] as $placed) {
            foreach ($placed->part->part->holes as $i => $hole) {
                $openings[] = [$hole->area(), [...$this->loose(self::key($placed, $i)), new CutStep('opening', $placed, $i)]];
            }
            $outlines[] = [self::inset($this->page, $placed), [new CutStep('outline', $placed, null)]];
        }
        $sort = static fn (array $a, array $b): int => $a[0] <=> $b[0];
        usort($openings, $sort);
        usort($outlines, $sort);

        return array_merge(...array_column([...$openings, ...$outlines], 1), ...[[]]);
    }

    /** How far a part lies from the nearest edge of the page. */
    private static function inset(Page $page, PlacedPart $placed): float
    {
        return min($placed->x, $placed->y, $page->width - $placed->x - $placed->width(), $page->height - $placed->y - $placed->height());
    }
}
